import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { BLOCK_STARTS, type BlockLine, type BlockStartId } from '#core/course';
import { WEEKDAY_LABELS } from '#core/quantity';
import { translate } from '../../../language/translate';
import { Choice } from '../../../parts/fields/Choice';
import { DateField } from '../../../parts/fields/DateField';
import { NumberField } from '../../../parts/fields/NumberField';
import { Picker } from '../../../parts/fields/Picker';
import { Ticks } from '../../../parts/fields/Ticks';
import { TimeField } from '../../../parts/fields/TimeField';
import { CalendarImport } from './CalendarImport';
import { SeasonDays } from './SeasonDays';
import { SeasonForTeam } from './SeasonForTeam';
import type { BlockState } from './use-block';

const WEEKDAYS = WEEKDAY_LABELS.map((label, value) => ({ value: String(value), label: translate(label) }));
const STARTS = Object.keys(BLOCK_STARTS) as BlockStartId[];
const USUAL_DELOAD = { everyWeeks: 4, setsPercent: 50 };

/** What the block is wished to be; the days follow at once. */
export function BlockWishForm({ clientId, block }: { clientId: string; block: BlockState }) {
  const { wish, change, plans, startFrom } = block;
  const changeLine = (at: number, part: Partial<BlockLine>) =>
    change({ lines: wish.lines.map((line, place) => (place === at ? { ...line, ...part } : line)) });
  const unused = plans.filter(({ id }) => !wish.lines.some(({ coursePlanId }) => coursePlanId === id));
  return (
    <div className="space-y-4">
      <Picker
        label={t`Start from`}
        value={STARTS.find((id) => id === wish.start) ?? ''}
        onChange={(id) => id !== '' && startFrom(id)}
        options={[
          ...(wish.start ? [] : [{ value: '' as BlockStartId | '', label: t`choose…` }]),
          ...STARTS.map((value) => ({ value, label: translate(BLOCK_STARTS[value].label) })),
        ]}
      />
      {wish.lines.map((line, place) => (
        <LineForm
          key={line.coursePlanId}
          block={block}
          line={line}
          change={(part) => changeLine(place, part)}
          takeAway={
            wish.lines.length > 1
              ? () => change({ lines: wish.lines.filter((other) => other !== line) })
              : undefined
          }
        />
      ))}
      {unused.length > 0 && (
        <Picker
          label={t`Add a plan`}
          value=""
          onChange={(coursePlanId) =>
            coursePlanId !== '' &&
            change({
              lines: [
                ...wish.lines,
                { coursePlanId, perWeek: 2, timesADay: 1, available: [0, 1, 2, 3, 4], onHeavyDays: 'apart' },
              ],
            })
          }
          options={[
            { value: '', label: t`choose…` },
            ...unused.map(({ id, name }) => ({ value: id, label: translate(name) })),
          ]}
        />
      )}
      <div className="grid grid-cols-2 gap-4">
        <DateField
          className="col-span-2"
          label={t`Starts on`}
          value={wish.startsOn}
          onChange={(startsOn) => change({ startsOn })}
        />
        <NumberField label={t`Weeks`} value={wish.weeks} onValue={(weeks) => change({ weeks })} />
        <TimeField label={t`At`} value={wish.atTime} onChange={(atTime) => change({ atTime })} />
      </div>
      <Ticks
        label={t`Heavy training on`}
        options={WEEKDAYS}
        chosen={wish.heavy.map(String)}
        onChange={(days) => change({ heavy: days.map(Number).sort() })}
      />
      <Picker
        label={t`Deload`}
        value={String(wish.deload?.everyWeeks ?? '')}
        onChange={(every) =>
          change({
            deload: every === '' ? null : { ...(wish.deload ?? USUAL_DELOAD), everyWeeks: Number(every) },
          })
        }
        options={[
          { value: '', label: t`none` },
          ...[3, 4, 5, 6].map((every) => ({ value: String(every), label: t`every ${every} weeks` })),
        ]}
      />
      {wish.deload && (
        <NumberField
          label={t`Share of the sets in it`}
          unit="%"
          value={wish.deload.setsPercent}
          onValue={(setsPercent) => change({ deload: { ...(wish.deload ?? USUAL_DELOAD), setsPercent } })}
        />
      )}
      <SeasonDays season={wish.season} onChange={(season) => change({ season })} />
      <SeasonForTeam clientId={clientId} season={wish.season} />
      <CalendarImport wish={wish} change={change} />
    </div>
  );
}

/** One plan of the block: how often, on which days, and beside heavy work. */
function LineForm({
  block: { plans, wish },
  line,
  change,
  takeAway,
}: {
  block: BlockState;
  line: BlockLine;
  change: (part: Partial<BlockLine>) => void;
  takeAway: (() => void) | undefined;
}) {
  const plan = plans.find(({ id }) => id === line.coursePlanId);
  const name = translate(plan?.name ?? t`A plan that has ended`);
  return (
    <fieldset className="space-y-2 border-l-4 border-plum pl-3">
      <legend className="sr-only">{name}</legend>
      <p className="flex flex-wrap items-baseline justify-between gap-x-3">
        <span className="text-lg font-semibold">{name}</span>
        {takeAway && (
          <button
            type="button"
            className="min-h-9 text-[15px] underline underline-offset-4"
            onClick={takeAway}
          >
            <Trans>
              Leave out<span className="sr-only"> {name}</span>
            </Trans>
          </button>
        )}
      </p>
      <div className="grid grid-cols-2 gap-3">
        <NumberField label={t`Days a week`} value={line.perWeek} onValue={(perWeek) => change({ perWeek })} />
        {plan?.kinds.length === 0 && (
          <NumberField
            label={t`Times a day`}
            value={line.timesADay}
            onValue={(timesADay) => change({ timesADay })}
          />
        )}
      </div>
      <Ticks
        label={t`Can come on`}
        options={WEEKDAYS}
        chosen={line.available.map(String)}
        onChange={(days) => change({ available: days.map(Number).sort() })}
      />
      {wish.heavy.length > 0 && (
        <Choice
          label={t`On heavy days`}
          value={line.onHeavyDays}
          onChange={(onHeavyDays) => change({ onHeavyDays })}
          options={[
            { value: 'apart', label: t`other days` },
            { value: 'finisher', label: t`finisher` },
            { value: 'either', label: t`either` },
          ]}
        />
      )}
    </fieldset>
  );
}
