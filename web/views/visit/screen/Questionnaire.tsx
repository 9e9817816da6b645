import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { LIMB_LABELS, LIMBS, type Limb } from '#core/quantity';
import { ITEM_IDS, type ItemId, levelOf, SCREEN_ITEMS, type Stricter } from '#core/screening';
import { translate } from '../../../language/translate';
import { ItsKey } from '../../../parts/base/Button';
import { Ticks } from '../../../parts/fields/Ticks';
import { YesNo } from '../../../parts/fields/YesNo';
import { useAction } from '../../../parts/keys/use-action';

export type Places = Partial<Record<ItemId, Limb[]>>;
export type Answers = Partial<Record<ItemId, boolean>>;

const LEVEL_WORDS = { stop: 'stop', clear: t`needs clearance`, note: 'noted' } as const;

/** The questions one after the other: N and Y answer the one in hand and move on, arrows move between them. */
export function Questionnaire({
  asked,
  answers,
  onRecord,
  stricter,
  places,
  onChange,
  onPlaces,
}: {
  /** Those that a birth date does not answer. */
  asked: readonly ItemId[];
  answers: Answers;
  /** What they have by their record: a no does not end it (rule SCR-1). */
  onRecord: readonly ItemId[];
  stricter: Stricter;
  /** In which limbs what is there is. */
  places: Places;
  onChange: (answers: Answers) => void;
  onPlaces: (places: Places) => void;
}) {
  const [current, setCurrent] = useState(0);
  const move = (by: number) => setCurrent((old) => Math.min(asked.length - 1, Math.max(0, old + by)));
  const answer = (yes: boolean) => {
    const id = asked[current];
    if (id) onChange({ ...answers, [id]: yes });
    move(1);
  };
  const restNo = () => onChange({ ...Object.fromEntries(asked.map((id) => [id, false])), ...answers });
  useAction('yes', () => answer(true));
  useAction('no', () => answer(false));
  useAction('rest-no', restNo);
  useAction('question-before', () => move(-1));
  useAction('question-after', () => move(1));
  return (
    <div>
      <ol className="border-t border-ink/40">
        {asked.map((id, place) => (
          <li
            key={id}
            className={`grid grid-cols-[1fr_auto] items-center gap-3 border-b border-rule px-2 py-1 ${place === current ? 'bg-tint' : ''}`}
          >
            <span className="flex items-baseline gap-2">
              {/* The number it has on paper. */}
              <span className="figures w-5 shrink-0 text-right text-[13px] text-quiet">
                {ITEM_IDS.indexOf(id) + 1}
              </span>
              <span>
                {translate(SCREEN_ITEMS[id].label)}
                <span className="ml-2 text-[13px] text-quiet">
                  {answers[id] && LEVEL_WORDS[levelOf(id, stricter)]}
                  {onRecord.includes(id) &&
                    !answers[id] &&
                    (answers[id] === false ? t`stays on record` : t`on record`)}
                </span>
              </span>
            </span>
            <YesNo
              question={translate(SCREEN_ITEMS[id].label)}
              answer={answers[id]}
              onAnswer={(yes) => {
                onChange({ ...answers, [id]: yes });
                setCurrent(Math.min(place + 1, asked.length - 1));
              }}
            />
            {answers[id] && SCREEN_ITEMS[id].inLimb && (
              <div className="col-span-2 pb-1 pl-7">
                <Ticks
                  label={t`In which limb`}
                  options={LIMBS.map((value) => ({ value, label: translate(LIMB_LABELS[value]) }))}
                  chosen={places[id] ?? []}
                  onChange={(limbs) => onPlaces({ ...places, [id]: limbs })}
                />
              </div>
            )}
          </li>
        ))}
      </ol>
      <p className="mt-2 flex flex-wrap items-center gap-3 text-[14px] text-quiet">
        <span className="flex items-center gap-1">
          <ItsKey of="no" /> {t`no`} <ItsKey of="yes" /> {t`yes, for the shaded line`}
        </span>
        <button
          type="button"
          onClick={restNo}
          className="flex min-h-11 items-center gap-2 font-semibold text-ink underline underline-offset-4"
        >
          {t`All the rest: no`} <ItsKey of="rest-no" />
        </button>
      </p>
    </div>
  );
}
