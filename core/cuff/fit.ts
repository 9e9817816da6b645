import type { Finding } from '../findings/finding';
import { LIMB_LABELS, type Limb, limbKind } from '../quantity/limb';
import { toDecimals } from '../quantity/rounding';
import { type Cuff, GIRTH_CM } from './cuff';

/** How one cuff answers one limb. `widthToGirth` is bladder width ÷ girth, without unit (rule FIT-3). */
export type CuffFit = { cuff: Cuff; fits: boolean; widthToGirth: number; reason: string };

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
      message: `${LIMB_LABELS[limb]}: a girth of ${girthCm} cm is outside ${low}–${high} cm.`,
      remedy: 'Measure again where the cuff goes, limb relaxed, and enter centimetres.',
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

function fitReason(cuff: Cuff, girthCm: number, fits: boolean, largerOfSeveral: boolean): string {
  const range = `${cuff.girthLowCm}–${cuff.girthHighCm} cm`;
  if (!cuff.canOcclude) return 'Cannot stop the flow, so no occlusion pressure can be measured with it.';
  if (largerOfSeveral) return `Fits ${range}, and is the larger of those that fit: the ends overlap.`;
  if (fits) return `Fits ${range}.`;
  return girthCm < cuff.girthLowCm
    ? `Too large: made for ${range}, this limb is ${girthCm} cm.`
    : `Too small: made for ${range}, this limb is ${girthCm} cm.`;
}

const EITHER_WAY_CM = { arm: 4, leg: 8 } as const;

/** What to buy when no cuff of the kit fits: a range that holds this limb with room either way (rule FIT-2). */
export function rangeToBuy(limb: Limb, girthCm: number): string {
  const roomCm = EITHER_WAY_CM[limbKind(limb)];
  const low = Math.floor(girthCm - roomCm);
  const high = Math.ceil(girthCm + roomCm);
  return `No cuff in the kit fits: one is needed whose range includes ${toDecimals(girthCm, 1)} cm, such as ${low}–${high} cm.`;
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
        message: `${cuff.label} is made for an ${cuff.limbKind === 'arm' ? 'arm' : 'upper leg'}, not for the ${LIMB_LABELS[limb].toLowerCase()}.`,
        remedy: 'Choose a cuff for this kind of limb.',
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
      message: `${cuff.label} does not fit. ${fit?.reason ?? ''}`.trim(),
      remedy: better
        ? `Use ${better.cuff.label} (${better.cuff.girthLowCm}–${better.cuff.girthHighCm} cm).`
        : rangeToBuy(limb, girthCm),
    },
  ];
}
