import { t } from '@lingui/core/macro';
import type { SessionView } from '#contract/session';
import { outputWords } from '#core/aerobic';
import { calledIn } from '#core/plan';
import { LIMB_NAMES } from '#core/quantity';
import { bloodPressureWords } from '#core/screening';
import { BLOOD_PRESSURE_MOMENTS, EVENTS, momentWords, undoable } from '#core/session';
import type { LiveSession } from '../../../data/live-session';
import { inSentence, translate } from '../../../language/translate';
import { clock } from '../../../words/format';
import { offerWords } from '../../../words/offer-words';
import { useUnits } from '../../../words/units';

/** What went otherwise than planned: corrections, changes offered and taken or left, alarms that were passed. */
export function Happenings({ session: { view, log, state } }: { session: LiveSession }) {
  const { mass } = useUnits();
  const startMs = state.startedAtMs ?? view.openedAtMs;
  const kept = undoable(log).filter(({ type }) => EVENTS[type].corrects).length;
  const undone = log.filter(({ type }) => type === 'undone').length;
  const timedByReceipt = log.filter(({ saidAtMs }) => saidAtMs !== undefined).length;
  const lines = [
    kept + undone > 0 && t`${kept} ${kept === 1 ? t`correction` : t`corrections`}, ${undone} taken back.`,
    ...state.offers.map(({ exerciseIndex, setIndex, offer, accepted }) => {
      return t`After ${translate(calledIn(view.plan.exercises)[exerciseIndex]) ?? ''}, set ${setIndex + 1}: ${offerWords(offer, mass.words)}, ${accepted ? t`taken` : t({ message: 'left', context: 'an offer that was not taken' })}.`;
    }),
    ...state.ignoredAlarms.map(
      ({ atMs, limb }) =>
        t`${clock(atMs - startMs)}: the limit of the ${translate(LIMB_NAMES[limb])} was passed and the cuff was still up (RUN-1).`,
    ),
    ...state.sets.flatMap(({ setIndex, heartRates }) =>
      heartRates.map(
        ({ moment, beatsPerMinute }) =>
          t`Heart rate, set ${setIndex + 1}, ${translate(momentWords(moment))}: ${beatsPerMinute}.`,
      ),
    ),
    ...state.sets.flatMap(({ setIndex, output }) =>
      output ? [t`Machine, set ${setIndex + 1}: ${translate(outputWords(output))}.`] : [],
    ),
    ...state.bloodPressures.map(
      ({ moment, reading }) =>
        t`Blood pressure, ${inSentence(BLOOD_PRESSURE_MOMENTS[moment])}: ${bloodPressureWords(reading)} mmHg.`,
    ),
    ...readinessLines(view.readiness),
    timedByReceipt > 0 &&
      t`A device’s clock was behind: ${timedByReceipt} of ${log.length} events are timed by when the server received them (RUN-9).`,
  ].filter((line) => line !== false);
  if (lines.length === 0) return null;
  return (
    <section>
      <h2 className="text-xl font-semibold">{t`On the way`}</h2>
      <ul>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </section>
  );
}

/** How the person had slept, and how sore they were, where it was asked. */
const readinessLines = (readiness: SessionView['readiness']): string[] => [
  ...(readiness?.sleepHours === undefined ? [] : [t`Slept ${readiness.sleepHours} h before it.`]),
  ...(readiness?.soreness === undefined ? [] : [t`Soreness before it: ${readiness.soreness} of 10.`]),
];
