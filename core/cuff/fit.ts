import type { Finding } from '../findings/finding';
import { length, lengths, type Message, msg, sentences } from '../message/message';
import { LIMB_LABELS, LIMB_NAMES, type Limb, limbKind } from '../quantity/limb';
import { toDecimals } from '../quantity/rounding';
import { type Cuff, GIRTH_CM } from './cuff';

/** How one cuff answers one limb. `widthToGirth` is bladder width ÷ girth, without unit (rule FIT-3). */
export type CuffFit = { cuff: Cuff; fits: boolean; widthToGirth: number; reason: Message };

/**
 * What is wrong with a girth, if anything (rule FIT-1).
 * @param girthCm girth of the relaxed limb where the cuff goes, in cm
 */
export function checkGirth(limb: Limb, girthCm: number): Finding[] {
  const { low, high } = GIRTH_CM[limbKind(limb)];
  if (girthCm >= low && girthCm <= high) return [];
  return [
    {
      rule: 'FIT-1',
      level: 'hard',
      subject: 'girthCm',
      message: msg('{limb}: a girth of {girthCm} is outside {range}.', {
        limb: LIMB_LABELS[limb],
        girthCm: length(girthCm),
        range: lengths(low, high),
      }),
      remedy: msg('Measure again where the cuff goes, limb relaxed, and enter centimetres.'),
    },
  ];
}

/**
 * Every cuff for this kind of limb, best first: those that fit, the larger before the smaller, of equals the contoured one
 * (rule FIT-2).
 * @param girthCm girth where the cuff goes, in cm
 */
export function rankCuffs(limb: Limb, girthCm: number, cuffs: readonly Cuff[]): CuffFit[] {
  const kind = limbKind(limb);
  const ranked = cuffs
    .filter((cuff) => cuff.limbKind === kind)
    .map((cuff) => ({
      cuff,
      fits: cuff.canOcclude && cuff.girthLowCm <= girthCm && girthCm <= cuff.girthHighCm,
    }))
    .sort(
      (a, b) =>
        Number(b.fits) - Number(a.fits) ||
        b.cuff.girthHighCm - a.cuff.girthHighCm ||
        Number(b.cuff.shape === 'contoured') - Number(a.cuff.shape === 'contoured'),
    );
  const fitting = ranked.filter(({ fits }) => fits).length;
  return ranked.map(({ cuff, fits }, place) => ({
    cuff,
    fits,
    widthToGirth: toDecimals(cuff.widthCm / girthCm, 2),
    reason: fitReason(cuff, girthCm, fits, fitting > 1 && place === 0),
  }));
}

function fitReason(cuff: Cuff, girthCm: number, fits: boolean, largerOfSeveral: boolean): Message {
  const range = rangeText(cuff);
  if (!cuff.canOcclude) return msg('Cannot stop the flow, so no occlusion pressure can be measured with it.');
  if (largerOfSeveral)
    return msg('Fits {range}, and is the larger of those that fit: the ends overlap.', { range });
  if (fits) return msg('Fits {range}.', { range });
  return girthCm < cuff.girthLowCm
    ? msg('Too large: made for {range}, this limb is {girthCm}.', { range, girthCm: length(girthCm) })
    : msg('Too small: made for {range}, this limb is {girthCm}.', { range, girthCm: length(girthCm) });
}

/** The girths a cuff is made for. */
const rangeText = ({ girthLowCm, girthHighCm }: Cuff): Message => lengths(girthLowCm, girthHighCm);

const EITHER_WAY_CM = { arm: 4, leg: 8 } as const;

/** What to buy when no cuff of the kit fits: a range that holds this limb with room either way (rule FIT-2). */
export function rangeToBuy(limb: Limb, girthCm: number): Message {
  const { girthLowCm, girthHighCm } = rangeAround(limb, girthCm);
  return msg('No cuff in the kit fits: one is needed whose range includes {girthCm}, such as {range}.', {
    girthCm: length(toDecimals(girthCm, 1)),
    range: lengths(girthLowCm, girthHighCm),
  });
}

/** A range that a cuff for this girth would have, in whole cm. @example rangeAround('left-thigh', 90) //=> { girthLowCm: 82, girthHighCm: 98 } */
export function rangeAround(limb: Limb, girthCm: number): { girthLowCm: number; girthHighCm: number } {
  const roomCm = EITHER_WAY_CM[limbKind(limb)];
  return { girthLowCm: Math.floor(girthCm - roomCm), girthHighCm: Math.ceil(girthCm + roomCm) };
}

/**
 * What is wrong with putting this cuff on this limb, if anything (rules FIT-1, FIT-2).
 * @param girthCm girth where the cuff goes, in cm
 */
export function checkCuff(limb: Limb, girthCm: number, cuff: Cuff, cuffs: readonly Cuff[]): Finding[] {
  const kind = limbKind(limb);
  if (cuff.limbKind !== kind) {
    return [
      {
        rule: 'FIT-1',
        level: 'hard',
        subject: 'cuffId',
        message:
          cuff.limbKind === 'arm'
            ? msg('{cuff} is made for an arm, not for the {limb}.', {
                cuff: cuff.label,
                limb: LIMB_NAMES[limb],
              })
            : msg('{cuff} is made for an upper leg, not for the {limb}.', {
                cuff: cuff.label,
                limb: LIMB_NAMES[limb],
              }),
        remedy: msg('Choose a cuff for this kind of limb.'),
      },
    ];
  }
  const fit = rankCuffs(limb, girthCm, [cuff])[0];
  if (fit?.fits) return [];
  const better = rankCuffs(limb, girthCm, cuffs).find((candidate) => candidate.fits);
  return [
    {
      rule: 'FIT-2',
      level: 'hard',
      subject: 'cuffId',
      message: sentences(msg('{cuff} does not fit.', { cuff: cuff.label }), fit?.reason ?? null),
      remedy: better
        ? msg('Use {cuff} ({range}).', { cuff: better.cuff.label, range: rangeText(better.cuff) })
        : rangeToBuy(limb, girthCm),
    },
  ];
}
