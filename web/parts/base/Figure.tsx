import { t } from '@lingui/core/macro';
import { Popover } from 'radix-ui';
import type { Derived } from '#core/derivation';
import { RULES } from '#core/rules';
import { translate } from '../../language/translate';
import { plain } from '../../words/format';
import { useUnits } from '../../words/units';

/** A number with its working: the figure is a button that opens how it came about and the rules behind it. */
export function Figure({
  label,
  derived,
  suffix,
  size = 'text-3xl',
  words,
}: {
  label: string;
  derived: Derived;
  /** Words after the number instead of its unit. */
  suffix?: string;
  size?: string;
  /** A few words instead of a large figure, where one beside it is the answer. */
  words?: string;
}) {
  const { mass, length } = useUnits();
  const measure = { kg: mass, cm: length }[derived.unit as 'kg' | 'cm'];
  const figure = (value: number) => (measure ? measure.show(value) : plain(value));
  const unit = measure?.unit ?? derived.unit;
  const range = derived.interval;
  return (
    <Popover.Root>
      <Popover.Trigger className="group flex flex-col items-start text-left">
        <span className={words ? 'sr-only' : 'text-[13px] text-quiet'}>
          {label}
          <span className="sr-only">: </span>
        </span>
        <span className="border-b border-dotted border-quiet group-hover:border-solid group-hover:border-plum">
          {words ? (
            <span className="text-[13px] text-quiet">{words}</span>
          ) : (
            <>
              <span className={`figures ${size} leading-tight`}>{figure(derived.value)}</span>{' '}
              <span className="text-base">{suffix ?? unit}</span>
            </>
          )}
        </span>
        {range && !suffix && !words && (
          <span className="figures text-[13px] text-quiet">
            {figure(range.low)}–{figure(range.high)}
          </span>
        )}
        <span className="sr-only">{t`, show working`}</span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={12}
          aria-label={t`${label}: working`}
          className="z-40 max-h-[70vh] w-96 max-w-[90vw] overflow-auto rounded-sm border border-ink/40 bg-paper p-4 text-[15px]"
        >
          <p className="mb-2 font-semibold">{t`${label}: working`}</p>
          <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1">
            {derived.working.map((step) => (
              <div key={`${translate(step.label)} ${translate(step.detail)}`} className="contents">
                <dt className="text-quiet">{translate(step.label)}</dt>
                <dd className="figures text-[14px]">{translate(step.detail)}</dd>
              </div>
            ))}
          </dl>
          {derived.rules.map((id) => (
            <p key={id} className="mt-3 border-t border-rule pt-2 text-[14px]">
              <strong>
                {id} {translate(RULES[id].title)}.
              </strong>{' '}
              {translate(RULES[id].text)} <span className="text-quiet">{translate(RULES[id].source)}.</span>
            </p>
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
