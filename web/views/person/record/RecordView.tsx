import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { Link, useSearchParams } from 'react-router';
import { RELEASE } from '#contract/release';
import { calledIn, compile, doseOf, lighterWords, type PlannedExercise, plannedKg } from '#core/plan';
import { LIMB_LABELS } from '#core/quantity';
import {
  correctedReps,
  effortWords,
  liveTimeline,
  type SetRecord,
  SIGNS,
  writeSessionFile,
} from '#core/session';
import { useAct } from '../../../act/act';
import { serverNow } from '../../../data/clock';
import type { LiveSession } from '../../../data/live-session';
import { saveFile } from '../../../data/save-file';
import { useEffortIn } from '../../../data/use-effort-in';
import { translate } from '../../../language/translate';
import { OcclusionStrip } from '../../../parts/drawing/OcclusionStrip';
import { SessionEffort } from '../../../parts/live/SessionEffort';
import { AdjunctNotes } from '../../../parts/record/AdjunctNotes';
import { AdverseEvents } from '../../../parts/record/AdverseEvents';
import { Attachments } from '../../../parts/record/Attachments';
import { BloodPressureInWork } from '../../../parts/record/BloodPressureInWork';
import { FollowUpForm } from '../../../parts/record/FollowUpForm';
import { LeaveNote } from '../../../parts/record/HandoverNotes';
import { VisitNoteForm } from '../../../parts/record/VisitNoteForm';
import { NextTime } from '../../../parts/review/NextTime';
import { clock, dayAndTime, plain } from '../../../words/format';
import { shareOfMax } from '../../../words/share-of-max';
import { type Measure, useUnits } from '../../../words/units';
import { DoseFigures } from './DoseFigures';
import { Happenings } from './Happenings';
import { HeartRate } from './HeartRate';

const REASONS = {
  done: t`all done`,
  failure: t`failure`,
  pain: t`pain`,
  operator: t`ended by the operator`,
} as const;

const loadWords = ({ load }: PlannedExercise, mass: Measure): string =>
  load.kind === 'weighed'
    ? `${mass.words(load.load.value)} (${translate(load.recipe)})${shareOfMax(load, load.load.value)}`
    : translate(load.recipe);

/** The plan and the log of a session, for research or another program; whose it was is not in it (docs/session-file.md). */
const fileOf = ({ view: { id, openedAtMs, plan }, log }: LiveSession): Blob =>
  new Blob([writeSessionFile({ release: RELEASE, sessionId: id, openedAtMs, plan, events: log })], {
    type: 'application/x-ndjson',
  });

/** Where the work goes on from a session that is over. */
function WayOn({ clientId }: { clientId: string }) {
  return (
    <nav aria-label={t`Where it goes on`} className="flex flex-wrap gap-x-6 print:hidden">
      {[
        [`/people/${clientId}/prescribe`, t`The next plan`],
        [`/people/${clientId}/outcomes`, t`Take a measure`],
        ['/', t`Who is next`],
      ].map(([to = '/', words]) => (
        <Link key={to} to={to} className="min-h-9 py-1.5 underline underline-offset-4">
          {words}
        </Link>
      ))}
    </nav>
  );
}

/** What was lifted in a set; a dash without kilograms. */
function liftedWords(set: SetRecord, exercise: PlannedExercise | undefined, mass: Measure): string {
  const loadKg = set.loadKg ?? (exercise ? plannedKg(exercise.load) : null);
  return loadKg === null ? '–' : mass.show(loadKg);
}

/** What happened, done over planned: sets, dose, signs (rule RUN-5). All of it is folded from the log. */
export function RecordView({ session }: { session: LiveSession }) {
  const { view, state } = session;
  const timeline = liveTimeline(view.plan, state, state.finishedAtMs ?? serverNow());
  const dose = doseOf(timeline);
  const { mass } = useUnits();
  const effortIn = useEffortIn();
  const planned = compile(view.plan);
  const act = useAct(view);
  // A set of the log points to its place on the strip.
  const pointedAtMs = Number(useSearchParams()[0].get('at') ?? Number.NaN);
  const { exercises } = view.plan;
  const called = calledIn(exercises);
  const title = exercises.length > 1 ? t`${exercises.length} exercises` : (exercises[0]?.label ?? '');
  return (
    <article className="space-y-6">
      <header>
        <h1 className="text-3xl font-semibold">
          {translate(title)}, {dayAndTime(state.startedAtMs ?? view.openedAtMs)}
        </h1>
        <p className="text-quiet">
          {t`${exercises
            .map(
              (exercise, place) =>
                `${translate(called[place])}: ${translate(exercise.protocolLabel)}, ${loadWords(exercise, mass)}`,
            )
            .join(
              '; ',
            )}. Done over planned.${state.byClient ? t` Done at home: reported by the person who did it.` : ''}${
            state.enteredAtMs !== null
              ? t` Entered later, ${dayAndTime(state.enteredAtMs)}: rests are the plan’s, and what was not read is not known.`
              : ''
          }${view.plan.today ? ` ${translate(lighterWords(view.plan.today))}` : ''}`}
        </p>
      </header>
      <OcclusionStrip
        planned={planned}
        done={timeline}
        plan={view.plan}
        {...(Number.isFinite(pointedAtMs) ? { nowMs: pointedAtMs } : {})}
      />
      <NextTime session={session} act={act} />
      <div className="max-w-md">
        <AdjunctNotes clientId={view.clientId} plan={view.plan} state={state} act={act} />
      </div>
      {state.finishedAtMs !== null && <WayOn clientId={view.clientId} />}
      <SessionEffort state={state} act={act} />
      <div className="max-w-xl print:hidden">
        <VisitNoteForm clientId={view.clientId} atMs={state.startedAtMs ?? view.openedAtMs} />
        <Attachments
          clientId={view.clientId}
          about="session"
          aboutId={view.id}
          attach={t`Attach a photographed sheet`}
        />
        <LeaveNote clientId={view.clientId} label={t`For the next shift`} />
      </div>
      <DoseFigures dose={dose} sets={timeline.sets} plannedReps={doseOf(planned).reps} />
      <table className="w-full max-w-3xl border-t border-ink/40">
        <thead>
          <tr className="text-left text-[14px] text-quiet">
            {[t`Set`, t`Repetitions`, t`Load`, t`Lasted`, t`Ended`, t`Effort`, t`Joint pain`, t`Colour`].map(
              (head) => (
                <th key={head} className="py-1 font-normal">
                  {head}
                </th>
              ),
            )}
          </tr>
        </thead>
        <tbody>
          {state.sets.map((set) => (
            <tr key={`${set.exerciseIndex}.${set.setIndex}`} className="border-t border-rule">
              <td className="py-1.5">
                {exercises.length > 1 && `${translate(called[set.exerciseIndex])}, `}
                {set.setIndex + 1}
              </td>
              <td className="figures">
                {set.plannedReps === null ? t`by the clock` : t`${correctedReps(set)} of ${set.plannedReps}`}
                {set.correctedBy !== 0 && (
                  <span className="text-[13px] text-quiet"> {t`corrected ${plain(set.correctedBy)}`}</span>
                )}
              </td>
              <td className="figures">{liftedWords(set, exercises[set.exerciseIndex], mass)}</td>
              <td className="figures">{clock((set.endedAtMs ?? set.startedAtMs) - set.startedAtMs)}</td>
              <td>{set.reason ? REASONS[set.reason] : '–'}</td>
              <td className="figures">
                {set.effort === null ? '–' : translate(effortWords(set.effort, effortIn))}
              </td>
              <td className="figures">{set.jointPain ?? '–'}</td>
              <td>{set.colourGood === null ? '–' : set.colourGood ? t`good` : t`not good`}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {(state.signs.length > 0 || state.stopped) && (
        <section>
          <h2 className="text-xl font-semibold">{t`Symptoms`}</h2>
          <ul>
            {state.signs.map(({ atMs, sign }) => (
              <li key={atMs}>
                <span className="figures">{clock(atMs - (state.startedAtMs ?? atMs))}</span>{' '}
                {translate(SIGNS[sign].label)}
              </li>
            ))}
          </ul>
          {state.stopped && <p className="text-vermilion">{t`Stopped: ${translate(state.stopped.why)}.`}</p>}
        </section>
      )}
      <BloodPressureInWork clientId={view.clientId} plan={view.plan} state={state} act={act} />
      <HeartRate session={session} act={act} />
      <Happenings session={session} />
      <FollowUpForm known={state.followUp} act={act} />
      <AdverseEvents
        clientId={view.clientId}
        sessionId={view.id}
        atMs={state.startedAtMs ?? view.openedAtMs}
      />
      <p className="text-[14px] text-quiet">
        <Trans>
          {dose.limbs.map(({ limb }) => translate(LIMB_LABELS[limb])).join(', ')}. {session.log.length} events
          in the log of this session.{' '}
          <button
            type="button"
            className="min-h-9 underline underline-offset-4 print:hidden"
            onClick={() => saveFile(fileOf(session), `session-${view.id}.ndjson`)}
          >
            Save as a file
          </button>
        </Trans>
      </p>
    </article>
  );
}
