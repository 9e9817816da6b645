import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useEffect, useMemo, useState } from 'react';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import { type CoursePlanChoice, nameOf, occasionWords } from '#core/course';
import { boutsOf } from '#core/forecast';
import type { Text } from '#core/message';
import { compile, isPostOperativeWork, type Plan, type SessionChoice } from '#core/plan';
import type { Rung } from '#core/protocol';
import { type Day, isEqual, type Limb } from '#core/quantity';
import { basisOf, heavyShare, type LastReview, measuredStamp } from '#core/record';
import { failureWords } from '../../../data/api';
import { usePractitioner } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { FindingsFor } from '../../../parts/base/FindingLine';
import { Reading, ReadingSilently } from '../../../parts/base/Reading';
import { Said, Why } from '../../../parts/base/Why';
import { FieldError } from '../../../parts/fields/Field';
import { useDraft } from '../../../parts/forms/use-draft';
import { useAction } from '../../../parts/keys/use-action';
import { AtPlaces } from '../../../parts/plan/AtPlaces';
import { LimitsInForce } from '../../../parts/plan/LimitsInForce';
import { plain } from '../../../words/format';
import { useUnits } from '../../../words/units';
import { CourseAhead } from './CourseAhead';
import { DraftWays } from './DraftWays';
import { EffortForecast } from './EffortForecast';
import { ExerciseList } from './ExerciseList';
import { ExerciseEditor } from './editor/ExerciseEditor';
import { SittingEditor } from './editor/SittingEditor';
import { GivenSoFar } from './GivenSoFar';
import { Leads } from './Leads';
import { PlanHeader } from './PlanHeader';
import { PlanStrip } from './PlanStrip';
import { RungCheck } from './RungCheck';
import { RungsAhead } from './RungsAhead';
import { SchoolsTable } from './SchoolsTable';
import { SignBar } from './SignBar';
import type { DraftFrom } from './state/drafting';
import { type Beginning, useBeginning } from './state/use-beginning';
import { useComposer } from './state/use-composer';
import type { Start } from './state/use-start';
import { WishSentence } from './WishSentence';
import { WorkChooser } from './WorkChooser';

type Of = { client: ClientRecord; practice: PracticeView; review: LastReview; start: Start };

/** What the session begins with, and the composer once that is found. */
export function Composer({ client, practice, review, start }: Of) {
  const role = usePractitioner()?.role ?? 'coach';
  const basis = useMemo(
    () => basisOf(client.facts, practice, role, client.judgedAtMs),
    [client, practice, role],
  );
  const from = { client, practice, review, inHand: start.inHand, basis };
  const kept = useDraft<SessionChoice | null>(keptAs(client, start), null);
  const { data: beginning, error, again } = useBeginning(from, start, kept[0]);
  if (error)
    return (
      <div className="space-y-4">
        <FieldError>{failureWords(error)}</FieldError>
        <Button onClick={again}>{t`Draft again`}</Button>
      </div>
    );
  if (!beginning) return <Reading>{t`Finding the best session…`}</Reading>;
  return <Composing from={from} start={start} beginning={beginning} kept={kept} />;
}

const keptAs = ({ id, facts }: ClientRecord, { inHand, copied, goal }: Start): string => {
  const { id: last = '', plan } = inHand?.prescription ?? {};
  return `prescribe ${id} ${last} ${plan?.rungs?.rung ?? ''} ${copied ? JSON.stringify(copied) : ''} ${goal ?? ''} ${measuredStamp(facts)}`;
};

/** The session as it is being made: the wish, what comes of it in large figures, the strip; the chosen exercise beside. */
function Composing({
  from,
  start,
  beginning,
  kept: [, keep, clearKept],
}: {
  from: DraftFrom;
  start: Start;
  beginning: Beginning;
  kept: ReturnType<typeof useDraft<SessionChoice | null>>;
}) {
  const { client, practice, review, basis } = from;
  const composer = useComposer(from, beginning, keep);
  const [typed, setTyped] = useState<Partial<CoursePlanChoice>>({});
  const choice = { ...called(start), ...typed };
  // Its name follows what it trains until it is given another.
  const name = choice.name ?? (composer.composed ? translate(nameOf(composer.composed.plan)) : '');
  const { session, composed, notes, selected, findings, fixOf, fixAt, isDrafting } = composer;
  useAction('fix', (figure) => fixAt(figure - 1), { fromFields: true, enabled: !isDrafting });
  // Work of a rung is drafted once the record has it: until then it is above the limb's.
  const [entered, setEntered] = useState<{ limb: Limb; rung: Rung } | null>(null);
  const isOnRecord = entered !== null && basis.rungs.get(entered.limb) === entered.rung;
  useEffect(() => {
    if (!isOnRecord) return;
    setEntered(null);
    // Work that the plan names for it is there already.
    if (composer.session?.rungs?.rung === entered.rung) return;
    composer.draftAgain({ ...composer.wish, goal: 'rehab', rung: entered.rung });
  }, [isOnRecord, entered, composer]);
  const redraft = () => composer.draftAgain(composer.wish);
  useAction('redraft', redraft);
  const chosen = session?.exercises[selected];
  const timeline = composed && compile(composed.plan);
  const ofNone = findings.filter(
    ({ exerciseIndex, subject }) => exerciseIndex === undefined && subject !== 'rungs',
  );
  return (
    <div className="space-y-4">
      {isDrafting && <ReadingSilently />}
      {!start.inHand && !start.isChanging && (
        <p>
          <Trans>
            A new plan{name && ': '}
            <span className="font-semibold">{name}</span>, {translate(occasionWords(choice.occasion))}{' '}
            <button
              type="button"
              className="min-h-9 underline underline-offset-4"
              onClick={() => start.setChanging(true)}
            >
              Name, days
            </button>
          </Trans>
        </p>
      )}
      {start.isChanging && (
        <PlanHeader
          client={client}
          known={start.inHand?.coursePlan}
          choice={choice}
          calledNow={name}
          onChoice={(part) => setTyped({ ...typed, ...part })}
        />
      )}
      <WishSentence composer={composer} practice={practice} />
      {composer.failed && <FieldError>{failureWords(composer.failed)}</FieldError>}
      <DraftWays composer={composer} />
      <LimitsInForce client={client} />
      {composer.wish.limbs
        .filter((limb) => composer.wish.goal === 'rehab' || isPostOperativeWork([limb], basis))
        .map((limb) => (
          <RungCheck key={limb} client={client} limb={limb} take={(rung) => setEntered({ limb, rung })} />
        ))}
      {composer.setAside && (
        <p className="flex flex-wrap items-center gap-x-4">
          <Trans>
            Drafted again.
            <button
              type="button"
              className="min-h-9 underline underline-offset-4"
              onClick={composer.takeBack}
            >
              Take your own changes back
            </button>
          </Trans>
        </p>
      )}
      {session ? (
        <>
          <div className="grid items-start gap-x-8 gap-y-6 xl:grid-cols-[minmax(0,1fr)_21rem]">
            <div className="min-w-0 space-y-4">
              {/* What a draft is about to replace is not changed by hand meanwhile. */}
              <fieldset className="min-w-0 space-y-4" disabled={isDrafting}>
                <ExerciseList composer={composer} session={session} />
                <FindingsFor
                  subjects={[...new Set(ofNone.map(({ subject }) => subject))]}
                  findings={ofNone}
                  fixOf={fixOf}
                />
                <RungsAhead
                  composer={composer}
                  session={session}
                  isSigned={start.inHand?.prescription.plan.rungs !== undefined}
                />
                {composed && (
                  <CourseAhead
                    client={client}
                    composer={composer}
                    session={session}
                    plan={composed.plan}
                    coursePlanId={start.inHand?.coursePlan.id ?? null}
                    occasion={choice.occasion}
                  />
                )}
                {composed && timeline ? (
                  <PlanStrip
                    plan={composed.plan}
                    timeline={timeline}
                    session={session}
                    change={composer.change}
                  />
                ) : (
                  <p className="notched py-1 text-ochre" role="alert">
                    {composer.missing ?? t`Fill in every figure, within its range, and the strip comes back.`}
                  </p>
                )}
                <SittingEditor session={session} change={composer.change} />
                {composed && (
                  <AtPlaces session={session} plan={composed.plan} basis={basis} take={composer.change} />
                )}
                {composed && session.goal === 'keep' && (
                  <InPlaceOfHeavy client={client} plan={composed.plan} today={basis.today} />
                )}
              </fieldset>
              <About notes={notes} redraft={redraft}>
                <Leads composer={composer} clientId={client.id} />
              </About>
              <WorkChooser client={client} limb={composer.wish.limbs[0]} goal={composer.wish.goal} />
              {composed && timeline && (
                <>
                  <EffortForecast
                    plan={composed.plan}
                    bouts={boutsOf(composed.plan, timeline, basis.library)}
                    seen={review.seen}
                  />
                  <details>
                    <summary className="min-h-11 cursor-pointer py-2 text-[15px] font-semibold">
                      {t`The schools side by side`}
                    </summary>
                    <SchoolsTable
                      session={session}
                      basis={basis}
                      choose={(row) => composer.change(row.session)}
                    />
                  </details>
                </>
              )}
              <GivenSoFar given={review.given} hasBlock={client.facts.blocks.length > 0} />
            </div>
            {chosen && (
              <fieldset className="min-w-0" disabled={isDrafting}>
                <ExerciseEditor
                  key={selected}
                  composer={composer}
                  choice={chosen}
                  place={selected}
                  clientId={client.id}
                  practice={practice}
                />
              </fieldset>
            )}
          </div>
          <SignBar
            composer={composer}
            client={client}
            session={session}
            name={name}
            clearKept={clearKept}
            signedFor={
              start.inHand
                ? { kind: 'next-version', coursePlanId: start.inHand.coursePlan.id }
                : { kind: 'new-plan', ...choice }
            }
          />
        </>
      ) : (
        <About notes={notes} redraft={redraft}>
          <Leads composer={composer} clientId={client.id} />
        </About>
      )}
    </div>
  );
}

/** What a session stands in for of the heavy work of a week (rule PRO-4). */
function InPlaceOfHeavy({ client, plan, today }: { client: ClientRecord; plan: Plan; today: Day }) {
  const { mass } = useUnits();
  const share = heavyShare([plan], client.facts, today);
  return (
    <p className="text-[15px]">
      {share
        ? t`One session is ${plain(mass.inUnit(share.kgReps), 0)} ${mass.unit}·reps: ${share.percent} % of the heavy volume, ${plain(mass.inUnit(share.heavyKgReps), 0)} a week.`
        : t`No heavy work of the last four weeks is on record to compare it with.`}{' '}
      <Why rule="PRO-4" />
    </p>
  );
}

/** Why the draft is as it is, and the way to another. */
function About({
  notes,
  redraft,
  children,
}: {
  notes: readonly Text[];
  redraft: () => void;
  children: React.ReactNode;
}) {
  return (
    <div className="flex flex-wrap items-start justify-between gap-x-6 gap-y-2">
      <ul className="max-w-3xl flex-1 text-[15px] text-quiet" aria-label={t`About this draft`}>
        {notes
          .filter((note, place) => notes.findIndex((other) => isEqual(other, note)) === place)
          .map((note) => (
            <li key={translate(note)}>
              <Said>{translate(note)}</Said>
            </li>
          ))}
      </ul>
      {children}
      <Button does="redraft" onClick={redraft}>
        {t`Draft again`}
      </Button>
    </div>
  );
}

/** What the plan is called at first: as it is, as what it is copied from, or after what it trains. */
function called({ inHand, copied }: Start): CoursePlanChoice {
  if (inHand) {
    const { ownName, occasion, untilMs } = inHand.coursePlan;
    return { name: ownName, occasion, untilMs };
  }
  return copied?.called ?? { name: null, occasion: { kind: 'any-day' }, untilMs: null };
}
