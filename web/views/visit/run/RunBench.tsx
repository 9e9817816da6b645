import { t } from '@lingui/core/macro';
import { useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { v4 as newId } from 'uuid';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import { guardFindings } from '#core/findings';
import { choicesOf, GOALS, type Plan, wornLabel } from '#core/plan';
import { LIMB_NAMES, POSITION_NAMES } from '#core/quantity';
import {
  basisOf,
  dayCheckInForce,
  endedBlock,
  LINK_LABELS,
  recheck,
  rungMoved,
  sessionToAskAbout,
  whatReviewAsks,
} from '#core/record';
import { useAct } from '../../../act/act';
import { openSession } from '../../../act/runtime';
import { failureWords } from '../../../data/api';
import { usePastSessions } from '../../../data/history';
import { type LiveSession, useSession } from '../../../data/live-session';
import { usePractice, usePractitioner } from '../../../data/queries';
import { inSentence, translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { FindingLine } from '../../../parts/base/FindingLine';
import { More } from '../../../parts/base/More';
import { FieldError } from '../../../parts/fields/Field';
import { useSpace } from '../../../parts/keys/use-space';
import { AtPlaces } from '../../../parts/plan/AtPlaces';
import { BenchHeading, FirstDo } from '../../../parts/plan/Bench';
import { LimitsInForce } from '../../../parts/plan/LimitsInForce';
import { PlaceLine } from '../../../parts/plan/PlaceLine';
import { PlanLines } from '../../../parts/plan/PlanLines';
import { PlanSummary } from '../../../parts/plan/PlanSummary';
import { useGuards } from '../../../parts/plan/use-guards';
import { planSearch, usePlanInHand } from '../../../parts/plan/use-plan-in-hand';
import { ConsentForm } from '../../../parts/record/ConsentForm';
import { DayCheckForm } from '../../../parts/record/DayCheckForm';
import { FollowUpForm } from '../../../parts/record/FollowUpForm';
import { HandoverNotes } from '../../../parts/record/HandoverNotes';
import { LastReview } from '../../../parts/review/LastReview';
import { dayAndTime } from '../../../words/format';
import { AsLastTime, CourseToday, MovesToday } from './CourseToday';
import { DayExposure } from './DayExposure';
import { EnterSession } from './EnterSession';
import { HomeLinks } from './HomeLinks';
import { LighterToday, useLighter } from './LighterToday';
import { Retarget } from './Retarget';
import { ShortOfKit } from './ShortOfKit';

/** What will be run, whether it may be, and what was run before. */
export function RunBench({ client }: { client: ClientRecord }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [failure, setFailure] = useState<unknown>(null);
  const [opening, setOpening] = useState(false);
  const { plans, inHand, choose } = usePlanInHand(client);
  const prescription = inHand?.prescription;
  const open = client.facts.sessions.find(({ finishedAtMs }) => finishedAtMs === null);
  const { data: practice } = usePractice();
  const held = client.chain.filter(({ id, state }) => id !== 'run' && state !== 'good');
  const ask = sessionToAskAbout(client.facts, client.judgedAtMs);
  const review =
    prescription && practice
      ? whatReviewAsks(prescription, client.facts, practice, prescription.role, client.judgedAtMs)
      : null;
  const today = dayCheckInForce(client.facts, client.judgedAtMs);
  const [lighter, setLighter] = useLighter(today?.notWell.includes('sleep') ?? false, prescription?.plan);
  const [keepsBack, setKeepsBack] = useState(false);
  const again =
    prescription && practice
      ? recheck(prescription, client.facts, practice, client.judgedAtMs, { lighter, keepsBack })
      : null;
  const shown = again?.plan ?? null;
  const checked = today !== undefined;
  const guards = guardFindings(again?.findings ?? []);
  const { mayPass, reason, asked } = useGuards(guards, failure);
  const clear = prescription && !open && held.length === 0 && !ask;
  const ready = clear && checked && mayPass;
  const start = async () => {
    if (!ready || opening) return;
    setOpening(true);
    setFailure(null);
    try {
      navigate(
        `/sessions/${await openSession(queries, newId(), prescription.id, {
          ...reason,
          ...(lighter ? { lighter } : {}),
          ...(keepsBack ? { keepsBack: true as const } : {}),
        })}`,
      );
    } catch (error) {
      setFailure(error);
    } finally {
      setOpening(false);
    }
  };
  useSpace(() => void start());
  const makeLighter = clear && checked && shown && (
    <LighterToday plan={shown} lighter={lighter} onChange={setLighter} />
  );
  const keepBack = ready && again && (
    <AsLastTime day={again.day} keepsBack={keepsBack} onChange={setKeepsBack} />
  );
  // What is answered right here is not said as a way to somewhere else.
  const answeredHere = review?.kind === 'answer' || (!review && again?.retargetable);
  const toCorrect = held.filter(({ id }) => !(id === 'prescribe' && answeredHere));
  // What was never done is done one after the other; what no longer holds is said at once.
  const first = toCorrect.filter(({ state }, place) => place === 0 || state !== 'missing');
  const later = toCorrect.filter((link) => !first.includes(link));
  return (
    <section className="space-y-6">
      <BenchHeading title={t`Run`}>
        {prescription ? planWords(prescription.plan) : t`The session, hands-free.`}
      </BenchHeading>
      {practice && plans.length > 0 && (
        <PlanLines client={client} practice={practice} plans={plans} inHand={inHand} choose={choose} />
      )}
      {prescription && <PlaceLine plan={prescription.plan} />}
      <HandoverNotes clientId={client.id} />
      {/* What must be done first comes first. */}
      {first.map((link) => (
        <FirstDo key={link.id} clientId={client.id} link={link.id}>
          {translate(link.reason)}
        </FirstDo>
      ))}
      {later.length > 0 && (
        <p className="text-quiet">{t`After that: ${later.map(({ id }) => translate(LINK_LABELS[id])).join(', ')}.`}</p>
      )}
      {prescription && <LimitsInForce client={client} />}
      {review?.kind === 'answer' && <LastReview sessionId={review.session.id} />}
      {prescription && again?.retargetable && (
        <Retarget clientId={client.id} prescriptionId={prescription.id} findings={again.findings} />
      )}
      {ask && <DayAfter sessionId={ask.id} />}
      {prescription && prescription.changes.length > 0 && (
        <p className="text-[15px] text-quiet">
          {t`This version, signed ${dayAndTime(prescription.atMs)}: ${prescription.changes.map((change) => translate(change)).join(' ')}`}
        </p>
      )}
      {again && shown && !checked && <MovesToday plan={shown} day={again.day} />}
      {again && prescription && <CourseToday day={again.day} rung={rungMoved(prescription, client.facts)} />}
      {endedBlock(client.facts, client.judgedAtMs) && (
        <p className="text-[15px]">
          {t`The block has ended.`}{' '}
          <Link className="underline underline-offset-4" to={`/people/${client.id}/prescribe?part=block`}>
            {t`What it did, and what may follow`}
          </Link>
        </p>
      )}
      {clear && !checked && <DayCheckForm client={client} />}
      {clear && guards.some(({ rule }) => rule === 'SCR-6') && <ConsentForm client={client} />}
      {clear && guards.map((finding) => <FindingLine key={translate(finding.message)} finding={finding} />)}
      {lighter && makeLighter}
      {clear && checked && asked}
      {ready && shown && practice && <ShortOfKit practice={practice} plan={shown} />}
      {failure !== null && <FieldError>{failureWords(failure)}</FieldError>}
      {open ? (
        <Link
          to={`/sessions/${open.id}`}
          className="inline-flex min-h-14 items-center rounded-sm bg-plum px-6 text-xl font-semibold text-on-plum"
        >
          {t`Go on with the open session`}
        </Link>
      ) : (
        <div className="flex flex-wrap items-center gap-3">
          {ready && (
            <Button
              kind="main"
              className="min-h-14 text-xl"
              does="next"
              disabled={opening}
              onClick={() => void start()}
            >
              {t`Open the session`}
            </Button>
          )}
          {keepBack}
          {!lighter && makeLighter}
        </div>
      )}
      {shown && <DayExposure client={client} plan={shown} />}
      {prescription && <PlanSummary plan={shown ?? prescription.plan} />}
      {prescription && practice && <Elsewhere client={client} practice={practice} plan={prescription.plan} />}
      {prescription && (
        <p className="flex flex-wrap gap-x-6">
          {(['person', 'operator'] as const).map((reader) => (
            <Link
              key={reader}
              to={`/people/${client.id}/sheet/${reader}${planSearch(prescription.coursePlanId)}`}
              className="min-h-9 underline underline-offset-4"
            >
              {reader === 'person' ? t`Sheet for the person` : t`Sheet for the operator`}
            </Link>
          ))}
          <Link
            to={`/papers/session/${client.id}${planSearch(prescription.coursePlanId)}`}
            className="min-h-9 underline underline-offset-4"
          >
            {t`Sheet to fill in`}
          </Link>
        </p>
      )}
      {inHand && <EnterSession client={client} inHand={inHand} plan={shown ?? inHand.prescription.plan} />}
      {inHand && <HomeLinks clientId={client.id} coursePlan={inHand.coursePlan} />}
      <PastSessions client={client} />
    </section>
  );
}

/** What another place would change of the plan; it is signed for there in Prescribe. */
function Elsewhere({ client, practice, plan }: { client: ClientRecord; practice: PracticeView; plan: Plan }) {
  const role = usePractitioner()?.role ?? 'coach';
  const basis = useMemo(
    () => basisOf(client.facts, practice, role, client.judgedAtMs),
    [client, practice, role],
  );
  const session = useMemo(() => choicesOf(plan), [plan]);
  return <AtPlaces session={session} plan={plan} basis={basis} />;
}

function planWords({ exercises, goal }: Plan): string {
  const [exercise, ...others] = exercises;
  const target = exercise?.limbs[0];
  if (!exercise || !target) return '';
  return others.length > 0
    ? t`${1 + others.length} exercises, ${inSentence(GOALS[goal].label)}`
    : t`${translate(exercise.label)}, ${translate(POSITION_NAMES[exercise.position])}, ${translate(LIMB_NAMES[target.limb])} with ${wornLabel(target)}`;
}

/** How the last session was, asked before the next one opens (rule RUN-6). */
function DayAfter({ sessionId }: { sessionId: string }) {
  const { session } = useSession(sessionId);
  return session ? <AskDayAfter session={session} /> : null;
}

function AskDayAfter({ session: { view, state } }: { session: LiveSession }) {
  const act = useAct(view);
  return <FollowUpForm known={state.followUp} act={act} isNext />;
}

function PastSessions({ client }: { client: ClientRecord }) {
  const { rows: past, more } = usePastSessions(client.id);
  if (past.length === 0) return null;
  return (
    <section>
      <h3 className="font-semibold">{t`Sessions on record`}</h3>
      <ul className="mt-1 max-w-2xl border-t border-rule">
        {past.map((session) => (
          <li key={session.id} className="border-b border-rule">
            <Link to={`/sessions/${session.id}`} className="flex gap-6 py-2 hover:bg-tint">
              <span className="figures w-36">{dayAndTime(session.startedAtMs)}</span>
              <span className="underline underline-offset-4">{t`Record`}</span>
            </Link>
          </li>
        ))}
      </ul>
      <More more={more}>{t`Show earlier sessions`}</More>
    </section>
  );
}
