import { t } from '@lingui/core/macro';
import { useMemo } from 'react';
import type { ClientRecord } from '#contract/client';
import { daysAhead, type Occasion, usualDays } from '#core/course';
import { type Deload, type Movement, movementOf, type Plan, type SessionChoice } from '#core/plan';
import { SCHOOLS } from '#core/protocol';
import { limbKind } from '#core/quantity';
import { blockAsItStands, recordOfDraft } from '#core/record';
import { WordMenu } from '../../../parts/base/WordMenu';
import type { ComposerState } from './state/use-composer';
import { WeeksStrip } from './WeeksStrip';

const WEEKS = 8;
const NO_DELOAD = 'none';
const DELOADS: readonly Deload[] = [3, 4, 5, 6].flatMap((everyWeeks) =>
  [50, 60].map((setsPercent) => ({ everyWeeks, setsPercent })),
);
const keyOf = ({ everyWeeks, setsPercent }: Deload): string => `${everyWeeks} ${setsPercent}`;

/** What a signature comes to over the weeks, if every session is tolerated: a day opens exactly what is shown (rule CRS-2). */
export function CourseAhead({
  client,
  composer,
  session,
  plan,
  coursePlanId,
  occasion,
}: {
  client: ClientRecord;
  composer: ComposerState;
  session: SessionChoice;
  plan: Plan;
  /** Null for a plan that is only being made. */
  coursePlanId: string | null;
  occasion: Occasion;
}) {
  const { basis, selected, change, changeExercise } = composer;
  const rows = useMemo(() => {
    const standing = blockAsItStands(client.facts, client.judgedAtMs);
    const placed = standing?.entries.filter(
      (entry) => entry.coursePlanId === coursePlanId && entry.state === 'to-come',
    );
    const days =
      placed && placed.length > 0
        ? placed.map(({ day }) => day)
        : usualDays(plan, occasion, { fromDay: basis.today, weeks: WEEKS });
    return daysAhead(plan, recordOfDraft(coursePlanId, client.facts, basis), days);
  }, [client, coursePlanId, occasion, plan, basis]);
  const choice = session.exercises[selected];
  const [worn] = choice?.limbs ?? [];
  if (!choice || !worn) return null;
  const movement = movementOf(choice, 'pressure');
  const setBound = (to: number) =>
    changeExercise(selected, {
      ...choice,
      movements: (choice.movements ?? []).map((one) => (one === movement ? { ...one, to } : one)),
    });
  const shares: Movement | undefined = movement?.figure === 'percent-lop' ? movement : undefined;
  return (
    <section aria-label={t`What that comes to`} className="space-y-1">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h3 className="font-semibold">{t`What that comes to`}</h3>
        <span className="text-[14px] text-quiet">{t`if every session is tolerated`}</span>
        <span className="text-[14px] [&_button]:text-ink">
          <WordMenu
            isSmall
            label={t`Deload weeks`}
            value={session.deload ? keyOf(session.deload) : NO_DELOAD}
            onChange={(key) => {
              const { deload: _, ...none } = session;
              const deload = DELOADS.find((one) => keyOf(one) === key);
              change(deload ? { ...none, deload } : none);
            }}
            options={[
              { value: NO_DELOAD, label: t`no deload week` },
              ...DELOADS.map((one) => ({
                value: keyOf(one),
                label: t`${one.setsPercent} % of the sets in every ${one.everyWeeks}th week trained`,
              })),
            ]}
          />
        </span>
      </div>
      <WeeksStrip
        rows={rows}
        place={selected}
        top={worn.kind === 'measured' ? SCHOOLS[session.schoolId].percentLop[limbKind(worn.limb)].top : null}
        bound={shares}
        onBound={setBound}
      />
    </section>
  );
}
