import { t } from '@lingui/core/macro';
import { JOINT_NAMES, jointSchema, type RangeJoint } from '#core/protocol';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Choice } from '../../../parts/fields/Choice';
import { Field } from '../../../parts/fields/Field';
import { Tick } from '../../../parts/fields/Tick';

/** A range of a joint as it is typed. */
export type TypedRange = { joint: RangeJoint; fromDegrees: string; toDegrees: string; isOfLoaded: boolean };

const FIRST: TypedRange = { joint: 'knee', fromDegrees: '', toDegrees: '', isOfLoaded: true };

/** Ranges of joints that a letter forbids: which joint, from where to where, and whether with a load only (rule SCR-2). */
export function RangesField({
  ranges,
  onChange,
  problem,
}: {
  ranges: readonly TypedRange[];
  onChange: (ranges: TypedRange[]) => void;
  /** What is wrong with a figure of a range. */
  problem: (place: number, figure: 'fromDegrees' | 'toDegrees') => string | undefined;
}) {
  const change = (place: number, changes: Partial<TypedRange>) =>
    onChange(ranges.map((range, i) => (i === place ? { ...range, ...changes } : range)));
  return (
    <fieldset className="space-y-3">
      <legend className="text-[15px] font-semibold">{t`Ranges it forbids`}</legend>
      {ranges.map((range, place) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a range is known by its place alone
        <div key={place} className="space-y-2 border-l border-rule pl-3">
          <Choice
            label={t`Joint`}
            value={range.joint}
            options={jointSchema.options.map((value) => ({ value, label: translate(JOINT_NAMES[value]) }))}
            onChange={(joint) => change(place, { joint })}
          />
          <div className="grid grid-cols-2 gap-3">
            <Field
              label={t`Bent from`}
              unit="°"
              number="whole"
              value={range.fromDegrees}
              error={problem(place, 'fromDegrees')}
              onChange={({ target }) => change(place, { fromDegrees: target.value })}
            />
            <Field
              label={t`to`}
              unit="°"
              number="whole"
              value={range.toDegrees}
              error={problem(place, 'toDegrees')}
              onChange={({ target }) => change(place, { toDegrees: target.value })}
            />
          </div>
          <div className="flex flex-wrap items-center gap-3">
            <Tick
              checked={range.isOfLoaded}
              onChange={(isOfLoaded) => change(place, { isOfLoaded })}
            >{t`With a load only`}</Tick>
            <Button leaves onClick={() => onChange(ranges.filter((_, i) => i !== place))}>
              {t`Leave this range out`}
            </Button>
          </div>
        </div>
      ))}
      <Button onClick={() => onChange([...ranges, FIRST])}>{t`Add a range it forbids`}</Button>
    </fieldset>
  );
}
