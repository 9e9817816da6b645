import { t } from '@lingui/core/macro';
import { type ComponentType, Suspense, useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import type { ClientRecord } from '#contract/client';
import { dayAt } from '#core/quantity';
import { chainOf, comparisonWords, courseStrip, LINK_IDS, type LinkId } from '#core/record';
import type { RuleId } from '#core/rules';
import { failureWords } from '../data/api';
import { useClient, usePractice } from '../data/queries';
import { lazyView } from '../language/lazy-view';
import { translate } from '../language/translate';
import { Reading, ReadingSilently } from '../parts/base/Reading';
import { CourseStrip } from '../parts/drawing/CourseStrip';
import { FieldError } from '../parts/fields/Field';
import { useAfterG } from '../parts/keys/use-after-g';
import { usePlanInHand, usePlanSearch } from '../parts/plan/use-plan-in-hand';
import { BENCH_LETTERS } from '../state/places';
import { Chain } from '../views/person/person/Chain';
import { FirstStep } from '../views/person/person/FirstStep';
import { PersonSide } from '../views/person/person/PersonSide';
import { FitBench } from '../views/visit/fit/FitBench';
import { LoadBench } from '../views/visit/load/LoadBench';
import { MeasureBench } from '../views/visit/measure/MeasureBench';
import { RunBench } from '../views/visit/run/RunBench';
import { ScreenBench } from '../views/visit/screen/ScreenBench';
import { day } from '../words/format';
import { noonOf } from '../words/noon';
import { PrescribeBench } from './PrescribeBench';

/** What is next to the chain: whether it helped, and all that was done. */
const OUTSIDE = {
  outcomes: lazyView(() => import('../views/person/outcomes/OutcomesBench'), 'OutcomesBench', 'outcomes'),
  log: lazyView(() => import('../views/person/log/LogBench'), 'LogBench', 'log'),
  record: lazyView(() => import('../views/person/corrections/RecordBench'), 'RecordBench', 'corrections'),
};

const BENCHES: Record<LinkId, ComponentType<{ client: ClientRecord }>> = {
  screen: ScreenBench,
  fit: FitBench,
  measure: MeasureBench,
  load: LoadBench,
  prescribe: PrescribeBench,
  run: RunBench,
};
const BENCH_OF = new Map(Object.entries(BENCH_LETTERS).map(([bench, letter]) => [letter, bench]));
const LETTERS = [...BENCH_OF.keys()];

/** One person: the chain, and beneath it the bench of the chosen link. */
export function PersonSheet() {
  const { clientId = '', bench } = useParams();
  const { data: client, error } = useClient(clientId);
  const navigate = useNavigate();
  const search = usePlanSearch();
  useAfterG(LETTERS, (letter) => {
    const bench = BENCH_OF.get(letter);
    if (bench) navigate(`/people/${clientId}/${bench}${search}`);
  });
  if (error)
    return (
      <div className="p-6">
        <FieldError>{failureWords(error)}</FieldError>
      </div>
    );
  if (!client) return <Reading inFrame>{t`Reading the record…`}</Reading>;
  return <Sheet key={client.id} client={client} bench={bench} />;
}

/** The sheet, judged for the plan in hand. */
function Sheet({ client: known, bench }: { client: ClientRecord; bench: string | undefined }) {
  const { data: practice } = usePractice();
  const { inHand, plans } = usePlanInHand(known);
  const isNext = inHand === undefined || inHand === plans[0];
  const client =
    isNext || !practice
      ? known
      : { ...known, chain: chainOf(known.facts, practice, known.judgedAtMs, inHand.prescription) };
  const course = useMemo(
    () => (practice ? courseStrip(known.facts, practice, known.judgedAtMs) : null),
    [known, practice],
  );
  const outside = bench === 'outcomes' || bench === 'log' || bench === 'record' ? bench : null;
  const link = LINK_IDS.find((id) => id === bench) ?? nextLink(client);
  const chosen = outside ?? link;
  // What is prescribed is to be seen at once, with the strip, and so is the column that a trial is done by: what is above
  // gives way. So does it on a phone to any bench that was opened.
  const low =
    chosen === 'prescribe' || chosen === 'measure' ? 'always' : bench === undefined ? 'never' : 'on-a-phone';
  const givesWay = low === 'never' ? '' : 'max-sm:hidden';
  const Bench = outside ? OUTSIDE[outside] : BENCHES[link];
  return (
    <>
      <div className="grid items-end gap-x-10 gap-y-2 px-6 pt-4 lg:grid-cols-[minmax(14rem,22rem)_1fr]">
        <div>
          <h1 className="text-3xl font-semibold">{client.name}</h1>
          <div className={givesWay}>
            <PersonSide client={client} />
          </div>
          <ComparisonNow client={known} />
        </div>
        {course && course.bars.length > 0 && (
          <div className={`min-w-0 ${givesWay}`}>
            <CourseStrip course={course} />
          </div>
        )}
      </div>
      <Chain client={client} chosen={outside ? null : link} outside={outside} low={low} />
      {!outside && <FirstStep client={client} step={link} />}
      <div className={low === 'always' ? 'px-6 pt-3' : 'p-6 max-sm:pt-3'}>
        <Suspense fallback={<ReadingSilently />}>
          <Bench key={`${client.id} ${chosen}`} client={client} />
        </Suspense>
      </div>
    </>
  );
}

/** What a comparison asks of today: the trainer has to know. */
function ComparisonNow({ client: { facts, judgedAtMs } }: { client: ClientRecord }) {
  const now = comparisonWords(facts, dayAt(judgedAtMs, facts.zoneOffsetMs));
  if (!now) return null;
  return <p>{t`Compared: ${translate(now.words)}, until ${day(noonOf(now.toDay).getTime())}.`}</p>;
}

/** What Run itself answers by one key: a plan to re-target, a review to answer. */
const ANSWERED_IN_RUN: readonly RuleId[] = ['PRS-8', 'REV-10'];

/** The first link that does not hold, where it is corrected. */
function nextLink(client: ClientRecord): LinkId {
  const link = client.chain.find(({ state }) => state !== 'good');
  const [rule] = link?.rules ?? [];
  return link && !(rule && ANSWERED_IN_RUN.includes(rule)) ? link.id : 'run';
}
