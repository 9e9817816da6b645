import { WEEKDAY_LABELS } from '#core/course/days';
import { firstMonth } from '#core/course/programme';
import { GOALS, goalIdSchema } from '#core/plan/goals';
import { SCHOOLS, schoolIdSchema } from '#core/protocol/schools';
import { LIMB_LABELS, LIMBS } from '#core/quantity/limb';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { NumberField } from '../../parts/NumberField';
import { Picker } from '../../parts/Picker';
import { Ticks } from '../../parts/Ticks';
import type { BlockState } from './use-block';

const WEEKDAYS = WEEKDAY_LABELS.map((label, value) => ({ value: String(value), label }));

/** What the block is wished to be; the days follow at once. */
export function BlockWishForm({ block: { wish, change } }: { block: BlockState }) {
  return (
    <div className="space-y-4">
      <Picker
        label="Goal"
        value={wish.goal}
        onChange={(goal) => change({ goal })}
        options={goalIdSchema.options.map((value) => ({ value, label: GOALS[value].label }))}
      />
      <p className="text-[14px] text-quiet">
        {GOALS[wish.goal].word} ({GOALS[wish.goal].rule})
      </p>
      <Picker
        label="School"
        value={wish.schoolId}
        onChange={(schoolId) => change({ schoolId })}
        options={schoolIdSchema.options.map((value) => ({ value, label: SCHOOLS[value].label }))}
      />
      <Picker
        label="Limb of the ramp"
        value={wish.limb}
        onChange={(limb) => change({ limb })}
        options={LIMBS.map((value) => ({ value, label: LIMB_LABELS[value] }))}
      />
      <div className="grid grid-cols-2 gap-4">
        <Field
          className="col-span-2"
          label="Starts on"
          type="date"
          value={wish.startsOn}
          onChange={(event) => change({ startsOn: event.target.value })}
        />
        <Field
          className="col-span-2"
          label="At"
          type="time"
          value={wish.atTime}
          onChange={(event) => change({ atTime: event.target.value })}
        />
        <NumberField label="Weeks" value={wish.weeks} onValue={(weeks) => change({ weeks })} />
        <NumberField
          label="Sessions a week"
          value={wish.perWeek}
          onValue={(perWeek) => change({ perWeek })}
        />
      </div>
      <Button onClick={() => change(firstMonth(wish))}>As a first month (PRO-6)</Button>
      <Ticks
        label="Can come on"
        options={WEEKDAYS}
        chosen={wish.available.map(String)}
        onChange={(days) => change({ available: days.map(Number).sort() })}
      />
      <Ticks
        label="Heavy training on"
        options={WEEKDAYS}
        chosen={wish.heavy.map(String)}
        onChange={(days) => change({ heavy: days.map(Number).sort() })}
      />
      {wish.heavy.length > 0 && (
        <Choice
          label="Beside heavy days"
          value={wish.besideHeavy}
          onChange={(besideHeavy) => change({ besideHeavy })}
          options={[
            { value: 'apart', label: 'on other days' },
            { value: 'finisher', label: 'as a finisher' },
          ]}
        />
      )}
      <Picker
        label="Deload"
        value={String(wish.deloadEvery ?? '')}
        onChange={(every) => change({ deloadEvery: every === '' ? null : Number(every) })}
        options={[
          { value: '', label: 'none' },
          ...[3, 4, 5, 6].map((every) => ({ value: String(every), label: `every ${every} weeks` })),
        ]}
      />
      <DaysOff daysOff={wish.daysOff} onChange={(daysOff) => change({ daysOff })} />
    </div>
  );
}

function DaysOff({ daysOff, onChange }: { daysOff: string[]; onChange: (daysOff: string[]) => void }) {
  return (
    <div>
      <Field
        label="Add a day off"
        type="date"
        value=""
        onChange={(event) => {
          const day = event.target.value;
          if (day && !daysOff.includes(day)) onChange([...daysOff, day].sort());
        }}
      />
      <ul className="flex flex-wrap gap-x-3">
        {daysOff.map((day) => (
          <li key={day}>
            <button
              type="button"
              className="figures min-h-9 underline underline-offset-4"
              onClick={() => onChange(daysOff.filter((other) => other !== day))}
            >
              {day}
              <span className="sr-only">, take away this day off</span> ×
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
