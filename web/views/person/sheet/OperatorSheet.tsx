import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { ROLE_NAMES } from '#core/access';
import { markWords } from '#core/cuff';
import type { Derived } from '#core/derivation';
import {
  type CuffedTarget,
  compile,
  cuffSteps,
  cuffStepWords,
  isCuffed,
  type Plan,
  planLimitMs,
} from '#core/plan';
import { teachingOf } from '#core/protocol';
import { LIMB_LABELS, LIMB_NAMES, POSITION_NAMES } from '#core/quantity';
import { RULES } from '#core/rules';
import { translate } from '../../../language/translate';
import { ExerciseFigure } from '../../../parts/drawing/ExerciseFigure';
import { OcclusionStrip } from '../../../parts/drawing/OcclusionStrip';
import { PaperHead } from '../../../parts/paper/PaperHead';
import { PlaceLine } from '../../../parts/plan/PlaceLine';
import { amountWords, restWords, stepsWords } from '../../../parts/plan/PlanSummary';
import { SittingWords } from '../../../parts/plan/SittingWords';
import { clock, dayAndTime, plain } from '../../../words/format';
import { shareOfMax } from '../../../words/share-of-max';
import { useUnits } from '../../../words/units';
import type { SheetProps } from './PersonalSheet';

const NO_STEP = { off: [], on: [] };

/** One page for who runs it: pressures and limits, boxes to fill in by hand, and how each figure came about. */
export function OperatorSheet({ client, prescription, practice }: SheetProps) {
  const { mass } = useUnits();
  const { plan, atMs, signedBy, overrideReason } = prescription;
  const signer = practice.practitioners.find(({ id }) => id === signedBy);
  const steps = cuffSteps(plan);
  return (
    <article className="space-y-3 text-[15px]">
      <PaperHead
        title={client.name}
        aside={
          <p>{t`Signed ${dayAndTime(atMs)}, ${signer?.name ?? ''} (${translate(signer?.role && ROLE_NAMES[signer?.role]) ?? ''})`}</p>
        }
      />
      {overrideReason && <p className="notched py-1">{t`Guard passed: ${overrideReason}`}</p>}
      <PlaceLine plan={plan} />
      <SittingWords plan={plan} when="before" />
      {plan.exercises.map((exercise, place) => (
        <section
          // biome-ignore lint/suspicious/noArrayIndexKey: an exercise is its place
          key={place}
          className="break-inside-avoid"
        >
          {plan.exercises.length > 1 && (
            <p className="font-semibold">{translate(cuffStepWords(steps[place] ?? NO_STEP) ?? '')}</p>
          )}
          <h2 className="text-2xl font-semibold">
            {place + 1}. {translate(exercise.label)}, {translate(POSITION_NAMES[exercise.position])}
          </h2>
          <p className="text-xl">
            {exercise.load.kind === 'weighed' ? (
              <>
                <strong className="figures text-4xl">{mass.words(exercise.load.load.value)}</strong>{' '}
                {translate(exercise.load.recipe)}
                {shareOfMax(exercise.load, exercise.load.load.value)}
              </>
            ) : (
              translate(exercise.load.recipe)
            )}
          </p>
          <ExerciseFigure id={exercise.exerciseId} className="float-right h-16" />
          <p className="text-lg">{restWords(exercise)}</p>
          <TaughtLine id={exercise.exerciseId} />
          <ul className="text-lg">
            {exercise.limbs.map((target) =>
              target.kind === 'by-feel' ? (
                <li key={target.limb}>
                  <Trans>
                    {translate(LIMB_LABELS[target.limb])}, {target.strapLabel}: to{' '}
                    <strong className="figures text-4xl">{translate(markWords(target))}</strong> (felt{' '}
                    {target.felt} of 10, by feel: check colour and tingling after every set). Never longer
                    than {clock(planLimitMs(plan, target.limb, place))} (PRO-1).
                    {target.primingMarks && t` Prime: to ${target.primingMarks.join(', ')}.`}
                    {stepsWords(target, exercise) &&
                      t` One after the other: ${stepsWords(target, exercise) ?? ''}.`}
                  </Trans>
                </li>
              ) : (
                <li key={target.limb}>
                  <Trans>
                    {translate(LIMB_LABELS[target.limb])}, {target.cuffLabel}: inflate to{' '}
                    <strong className="figures text-4xl">{target.pressure.value} mmHg</strong> (
                    {originWords(target)}). Never longer than {clock(planLimitMs(plan, target.limb, place))}{' '}
                    (PRO-1).
                    {target.primingMmHg.length > 0 && t` Prime: ${target.primingMmHg.join(', ')} mmHg.`}
                    {stepsWords(target, exercise) &&
                      t` One after the other: ${stepsWords(target, exercise) ?? ''}.`}
                  </Trans>
                </li>
              ),
            )}
          </ul>
          <table className="mt-1 w-full border-collapse text-left">
            <thead>
              <tr>
                {[
                  t`Set`,
                  t`Planned`,
                  t`Done`,
                  t`Effort 0–10`,
                  t`Joint pain 0–10`,
                  t`mmHg read`,
                  t`Colour, feeling`,
                ].map((head) => (
                  <th key={head} className="border border-ink/40 px-2 font-normal">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {exercise.sets.map((set, setIndex) => (
                <tr
                  // biome-ignore lint/suspicious/noArrayIndexKey: a set is its place
                  key={setIndex}
                  className="h-9 text-lg"
                >
                  <td className="figures border border-ink/40 px-2">{setIndex + 1}</td>
                  <td className="figures border border-ink/40 px-2">
                    {amountWords(set)}
                    {set.work.kind === 'to-failure' && t` or failure`}
                  </td>
                  {Array.from({ length: 5 }, (_, i) => t`box ${i}`).map((box) => (
                    <td key={box} className="border border-ink/40" />
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      ))}
      <SittingWords plan={plan} when="after" />
      <OcclusionStrip planned={compile(plan)} plan={plan} laneHeight={40} />
      <section className="break-inside-avoid">
        <h2 className="font-semibold">{t`How the figures came about`}</h2>
        <ul className="text-[13px]">
          {workings(plan).map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      </section>
      <p className="text-[13px] text-quiet">
        {t`Decision support; follow local policy and licensed practice. Stop symptoms: deflate at once (RUN-3).`}
      </p>
    </article>
  );
}

/** What a pressure rests on. */
const originWords = (target: CuffedTarget): string =>
  target.kind === 'measured'
    ? t`${target.percentLop} % of LOP ${plain(target.occlusion.value)} ± ${plain(target.uncertaintyMmHg)}, ${translate(POSITION_NAMES[target.measuredPosition])}; truly ${plain(target.trueRange.interval?.low ?? target.percentLop)}–${plain(target.trueRange.interval?.high ?? target.percentLop)} %`
    : t`an arbitrary pressure, no LOP was measured: effort ${RULES['PRS-7'].figures.mostEffort} of 10 at most, PRS-7`;

/** One line a figure: what it is, how it came about, and by which rules. */
function workings({ exercises }: Plan): string[] {
  return exercises.flatMap(({ label, limbs, load }, place) => [
    ...limbs.map(
      (target) =>
        `${place + 1}. ${translate(label)}, ${translate(LIMB_NAMES[target.limb])}: ${
          isCuffed(target)
            ? workingWords(target.pressure)
            : t`by feel, ${translate(markWords(target))}, felt ${target.felt} of 10 (TIGHT)`
        }`,
    ),
    t`${place + 1}. ${translate(label)}, load: ${load.kind === 'weighed' ? workingWords(load.load) : t`${translate(load.recipe)} (LOAD-4)`}`,
  ]);
}

const workingWords = ({ working, rules }: Derived): string =>
  `${working.map(({ label, detail }) => `${translate(label)} ${translate(detail)}`).join('; ')} (${rules.join(', ')})`;

function TaughtLine({ id }: { id: string }) {
  const teaching = teachingOf(id);
  return (
    teaching && (
      <p>{`${translate(teaching.setUp)} ${translate(teaching.range)} ${translate(teaching.wrong)}`}</p>
    )
  );
}
