import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import type { ClientRecord } from '#contract/client';
import type { NewFit } from '#contract/measurements';
import { checkCuff, checkGirth, rangeAround, rangeToBuy, rankCuffs } from '#core/cuff';
import { LIMB_NAMES, LIMBS, type Limb, limbKind, limbSchema, newest } from '#core/quantity';
import { limbInHand } from '#core/record';
import { api, failureWords, read } from '../../../data/api';
import { usePractice, useRecordWrite } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Why } from '../../../parts/base/Why';
import { LimbCross } from '../../../parts/drawing/LimbCross';
import { Field, FieldError } from '../../../parts/fields/Field';
import { HandHints } from '../../../parts/fields/HandHints';
import { type Reading, reads, useFields } from '../../../parts/forms/use-fields';
import { BenchHeading } from '../../../parts/plan/Bench';
import { kitAddress } from '../../../parts/plan/kit-address';
import { usePlanInHand } from '../../../parts/plan/use-plan-in-hand';
import { plain } from '../../../words/format';
import { useUnits } from '../../../words/units';

const WHERE = {
  arm: t`Just below the armpit, arm hanging relaxed. Never over the elbow or the forearm.`,
  leg: t`Just below the greater trochanter, thigh relaxed. Never over the knee or the calf.`,
} as const;

/** A limb's girth and the cuff that fits it, or the strap that takes its place. */
export function FitBench({ client }: { client: ClientRecord }) {
  const navigate = useNavigate();
  const { inHand } = usePlanInHand(client);
  const { data: practice } = usePractice();
  const { length } = useUnits();
  const [search] = useSearchParams();
  const asked = limbSchema.safeParse(search.get('limb')).data;
  const [limb, setLimb] = useState<Limb>(
    asked ?? limbInHand(client.facts, inHand?.prescription) ?? 'left-thigh',
  );
  const [picked, setPicked] = useState<string | null>(null);
  const write = useRecordWrite((json: NewFit) =>
    read(api.clients[':id'].fits.$post({ param: { id: client.id }, json })),
  );
  const cuffs = practice?.cuffs ?? [];
  const straps = practice?.straps.filter((strap) => strap.limbKind === limbKind(limb)) ?? [];
  const readGirth = ({ girth }: { girth: string }): Reading<{ girth: string }, number> => {
    const cm = length.parse(girth);
    if (Number.isNaN(cm)) return { wrong: { girth: t`Enter the girth as a number in ${length.unit}.` } };
    const [finding] = checkGirth(limb, cm);
    return finding
      ? { wrong: { girth: `${translate(finding.message)} ${translate(finding.remedy)}` } }
      : { sent: cm };
  };
  const { typed, field, send } = useFields(
    { girth: search.get('girth') ?? '' },
    write.error,
    reads(readGirth),
  );
  // The cuffs are ranked, and a wrong girth is said, while it is being typed.
  const reading = typed.girth.trim() === '' ? null : readGirth(typed);
  const girthCm = reading && 'sent' in reading ? reading.sent : null;
  const ranked = girthCm === null ? [] : rankCuffs(limb, girthCm, cuffs);
  const strap = straps.find(({ id }) => id === picked);
  const cuffId = strap ? undefined : (picked ?? ranked.find(({ fits }) => fits)?.cuff.id);
  const cuff = cuffs.find(({ id }) => id === cuffId);
  const misfit = cuff && girthCm !== null ? checkCuff(limb, girthCm, cuff, cuffs)[0] : undefined;
  const toBuy = girthCm !== null && !ranked.some(({ fits }) => fits) ? rangeToBuy(limb, girthCm) : null;
  const ready = ranked.length > 0 && !misfit && (cuffId !== undefined || strap !== undefined);

  const girthField = field('girth', 'girthCm');
  const worn = strap
    ? ({ kind: 'strap', strapId: strap.id } as const)
    : ({ kind: 'cuff', cuffId: cuffId ?? '' } as const);

  return (
    <form
      className="grid gap-8 lg:grid-cols-[20rem_1fr]"
      {...send((measuredCm) => {
        if (!ready) return;
        write.mutate(
          { limb, girthCm: measuredCm, ...worn },
          { onSuccess: () => navigate(`/people/${client.id}/measure`) },
        );
      })}
    >
      <div className="space-y-5">
        <BenchHeading title={t`Fit`}>{t`Girth where the cuff goes, then the cuff.`}</BenchHeading>
        <LimbCross
          value={limb}
          known={knownGirths(client, length.words)}
          onChange={(next) => {
            setLimb(next);
            setPicked(null);
          }}
        />
        <Field
          label={t`Girth of the ${translate(LIMB_NAMES[limb])}`}
          unit={length.unit}
          number="decimal"
          autoFocus
          {...girthField}
          onChange={(event) => {
            setPicked(null);
            return girthField.onChange(event);
          }}
          error={reading && 'wrong' in reading ? reading.wrong.girth : girthField.error}
          hint={WHERE[limbKind(limb)]}
        />
      </div>
      <div>
        <h3 className="font-semibold">
          {t`Cuffs for this limb`} <Why rule="FIT-3" />
        </h3>
        {ranked.length === 0 && (
          <p className="mt-2 text-quiet">{t`Enter the girth and the cuffs are ranked here.`}</p>
        )}
        <ul className="mt-2 border-t border-rule" aria-label={t`Cuffs`}>
          {ranked.map(({ cuff: { id, label, widthCm }, fits, reason, widthToGirth }) => (
            <li key={id} className="border-b border-rule">
              <label
                className={`grid grid-cols-[1.5rem_1fr_auto] items-baseline gap-2 px-2 py-2 has-checked:bg-tint ${fits ? '' : 'text-quiet'}`}
              >
                <input
                  type="radio"
                  name="cuff"
                  className="accent-plum"
                  checked={cuffId === id}
                  onChange={() => setPicked(id)}
                />
                <span>
                  <Trans>
                    <strong className={fits ? '' : 'font-normal'}>{label}</strong>, {length.words(widthCm)}{' '}
                    wide
                    <span className="block text-[14px]">{translate(reason)}</span>
                  </Trans>
                </span>
                <span className="figures text-[14px]">{t`${plain(widthToGirth, 2)} width ÷ girth`}</span>
              </label>
            </li>
          ))}
        </ul>
        {toBuy && !misfit && (
          <FieldError>
            {translate(toBuy)} <Why rule="FIT-2" />{' '}
            <Link
              className="inline-flex min-h-9 items-center font-semibold underline underline-offset-4"
              to={kitAddress({
                add: {
                  kind: 'cuff',
                  item: { limbKind: limbKind(limb), ...rangeAround(limb, girthCm ?? 0) },
                },
                back: `/people/${client.id}/fit?${new URLSearchParams({ limb, girth: typed.girth })}`,
              })}
            >
              {t`Add such a cuff`}
            </Link>
          </FieldError>
        )}
        {misfit && (
          <FieldError>
            {translate(misfit.message)} {translate(misfit.remedy)}
          </FieldError>
        )}
        {ranked.length > 0 && straps.length > 0 && (
          <fieldset className="mt-4">
            <legend className="text-[14px] text-quiet">
              {t`Nothing with a gauge at hand? By feel only, never as %LOP`} <Why rule="TIGHT" />
            </legend>
            {straps.map(({ id, label, firstMark, lastMark }) => (
              <label key={id} className="flex min-h-11 items-center gap-2 px-2 has-checked:bg-tint">
                <input
                  type="radio"
                  name="cuff"
                  className="accent-plum"
                  checked={strap?.id === id}
                  onChange={() => setPicked(id)}
                />
                {t`${label}, marks ${firstMark}–${lastMark}`}
              </label>
            ))}
          </fieldset>
        )}
        {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
        {ready && (
          <div className="mt-4">
            <HandHints step="fit" kind={limbKind(limb)} />
            <p className="text-[15px] text-quiet">{t`A pinch means it sits too low: let it down, move it up.`}</p>
          </div>
        )}
        <Button type="submit" kind="main" does="accept" className="mt-4" disabled={!ready || write.isPending}>
          {strap ? t`Record girth and strap` : t`Record girth and cuff`}
        </Button>
      </div>
    </form>
  );
}

function knownGirths(client: ClientRecord, words: (cm: number) => string): Partial<Record<Limb, string>> {
  return Object.fromEntries(
    LIMBS.flatMap((limb) => {
      const fit = newest(client.facts.fits.filter((fact) => fact.limb === limb));
      return fit ? [[limb, `${words(fit.girthCm)}, ${fit.label}`]] : [];
    }),
  );
}
