import { t } from '@lingui/core/macro';
import { useMutation } from '@tanstack/react-query';
import { format } from 'date-fns';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import type { OnDay, Rehearsal as Rehearsed, RehearsedCourse, RehearsedSession, Spread } from '#core/course';
import { type Day, dayOf } from '#core/quantity';
import { type CourseBar, courseRecordOf, versionInForce } from '#core/record';
import { useLastReview } from '../../../data/use-last-review';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { CourseStrip } from '../../../parts/drawing/CourseStrip';
import { plain } from '../../../words/format';
import { noonOf } from '../../../words/noon';
import { type Measure, useUnits } from '../../../words/units';
import { rehearseInWorkers } from '../../../workers/planning';
import type { BlockState } from './use-block';

const HIDDEN_ON_PHONES = [t`Week`, t`Minutes`];
const RUNS = 200;
const SEED = 1;

/** The block run forward before it is kept: likely pressures and loads, and where it would probably stall. It informs. */
export function Rehearsal({
  client,
  practice,
  block,
}: {
  client: ClientRecord;
  practice: PracticeView;
  block: BlockState;
}) {
  const seen = useLastReview(client.id)?.seen;
  const sessions: OnDay[] = block.entries
    .filter(({ state }) => state === 'to-come')
    .map(({ day, coursePlanId }) => ({ day, coursePlanId }));
  const rehearsal = useMutation({
    mutationFn: () =>
      rehearseInWorkers({
        sessions,
        courses: coursesOf(client, practice, block),
        seen: seen ?? [],
        runs: RUNS,
        seed: SEED,
      }),
  });
  return (
    <section aria-label={t`Rehearsal`} className="space-y-3">
      <Button
        disabled={!seen || rehearsal.isPending || sessions.length === 0}
        onClick={() => rehearsal.mutate()}
      >
        {rehearsal.isPending ? t`Rehearsing…` : t`Rehearse the block`}
      </Button>
      {rehearsal.data && <Outcome rehearsed={rehearsal.data} block={block} />}
    </section>
  );
}

/** The plans of the block as they are folded from now, with the deload weeks that are wished for. */
function coursesOf({ facts, judgedAtMs }: ClientRecord, practice: PracticeView, { wish }: BlockState) {
  return wish.lines.flatMap(({ coursePlanId }): RehearsedCourse[] => {
    const prescription = versionInForce(facts, coursePlanId);
    if (!prescription) return [];
    const { record } = courseRecordOf(prescription, facts, practice, judgedAtMs);
    return [{ id: coursePlanId, plan: prescription.plan, record: { ...record, deload: wish.deload } }];
  });
}

function Outcome({
  rehearsed: { sessions, stall, stepBack, runs },
  block,
}: {
  rehearsed: Rehearsed;
  block: BlockState;
}) {
  const { mass } = useUnits();
  const [first] = sessions;
  const last = sessions.at(-1);
  if (!first || !last) return null;
  const nameOf = (id: string) => translate(block.plans.find((plan) => plan.id === id)?.name ?? '');
  const startDay = dayOf(block.wish.startsOn);
  const bars = sessions.map(
    ({ day, coursePlanId, percentLop, minutes }): CourseBar => ({
      day,
      name: nameOf(coursePlanId),
      state: 'to-come',
      percentLop: percentLop?.likely ?? null,
      minutes: minutes.likely,
    }),
  );
  return (
    <>
      <p>
        {stall
          ? t`It will probably stall on ${dayWords(stall.day)}, in week ${weekOf(stall.day, startDay)}: more than half of the runs fall short of 80 % in ${nameOf(stall.coursePlanId)}.`
          : t`No session is likely to fall short of 80 %.`}{' '}
        {stepBack &&
          t`It will probably step back before ${dayWords(stepBack.day)}, in ${nameOf(stepBack.coursePlanId)}.`}{' '}
        <span className="text-quiet">
          {t`${runs} runs of the effort forecast, each reviewed by the rules; where the review asks, the plan holds. Pressure and load are those of the first exercise. The person stays as they are now; it informs, and sets nothing.`}
        </span>
      </p>
      <CourseStrip
        course={{
          fromDay: first.day - 1,
          toDay: last.day + 1,
          today: first.day - 1,
          bars,
          heavyDays: [],
          ceiling: [],
          holds: [],
          tests: [],
          ladders: [],
        }}
      />
      <table className="text-[15px]">
        <thead>
          <tr className="border-b border-ink/40 text-left">
            {[t`Session`, t`Week`, t`% of LOP`, t`Load`, t`Minutes`, t`Falls short`].map((label) => (
              <th
                key={label}
                scope="col"
                className={`py-1 pr-6 font-semibold ${HIDDEN_ON_PHONES.includes(label) ? 'max-sm:hidden' : ''}`}
              >
                {label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sessions.map((session, place) => (
            <Row
              // biome-ignore lint/suspicious/noArrayIndexKey: a plan may be listed twice on a day
              key={place}
              session={session}
              name={nameOf(session.coursePlanId)}
              week={weekOf(session.day, startDay)}
              mass={mass}
            />
          ))}
        </tbody>
      </table>
    </>
  );
}

function Row({
  session: { day, percentLop, loadKg, minutes, short },
  name,
  week,
  mass,
}: {
  session: RehearsedSession;
  name: string;
  week: number;
  mass: Measure;
}) {
  return (
    <tr className={`border-b border-rule ${short > 0.5 ? 'text-ochre' : ''}`}>
      <th scope="row" className="py-1 pr-6 text-left font-normal">
        {dayWords(day)}, {name}
      </th>
      <td className="figures pr-6 max-sm:hidden">{week}</td>
      <td className="figures pr-6">
        {percentLop ? spreadWords(percentLop, (value) => plain(value, 0)) : '–'}
      </td>
      <td className="figures pr-6">{loadKg ? `${spreadWords(loadKg, mass.show)} ${mass.unit}` : '–'}</td>
      <td className="figures pr-6 max-sm:hidden">{plain(minutes.likely, 1)}</td>
      <td className="figures pr-6">{plain(100 * short, 0)} %</td>
    </tr>
  );
}

const dayWords = (day: Day): string => format(noonOf(day), t`EEE d MMM`);
const weekOf = (day: Day, startDay: Day): number => Math.floor((day - startDay) / 7) + 1;

/** "12.5 (10–15)", or the figure alone where eight of ten runs agree. */
const spreadWords = ({ likely, low, high }: Spread, words: (value: number) => string): string =>
  low === high ? words(likely) : `${words(likely)} (${words(low)}–${words(high)})`;
