import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { LIMB_LABELS, LIMBS, type Limb } from '#core/quantity/limb';
import { type ItemId, levelOf, SCREEN_ITEMS, type Stricter } from '#core/screening/items';
import { ITEM_IDS } from '#core/screening/screening';
import { KeyHint } from '../../parts/Button';
import { Ticks } from '../../parts/Ticks';

export type Places = Partial<Record<ItemId, Limb[]>>;
export type Answers = Partial<Record<ItemId, boolean>>;

const LEVEL_WORDS = { stop: 'stop', clear: 'needs clearance', note: 'noted' } as const;

/** The questions one after the other: N and Y answer the one in hand and move on, arrows move between them. */
export function Questionnaire({
  answers,
  lastTime,
  stricter,
  places,
  onChange,
  onPlaces,
}: {
  answers: Answers;
  /** What was answered yes last time; null when there was none. */
  lastTime: readonly ItemId[] | null;
  stricter: Stricter;
  /** In which limbs what is there is. */
  places: Places;
  onChange: (answers: Answers) => void;
  onPlaces: (places: Places) => void;
}) {
  const [current, setCurrent] = useState(0);
  const move = (by: number) => setCurrent((old) => Math.min(ITEM_IDS.length - 1, Math.max(0, old + by)));
  const answer = (yes: boolean) => {
    const id = ITEM_IDS[current];
    if (id) onChange({ ...answers, [id]: yes });
    move(1);
  };
  const restNo = () => onChange({ ...Object.fromEntries(ITEM_IDS.map((id) => [id, false])), ...answers });
  useHotkeys('y', () => answer(true));
  useHotkeys('n', () => answer(false));
  useHotkeys('shift+n', restNo);
  useHotkeys('up', () => move(-1), { preventDefault: true });
  useHotkeys('down', () => move(1), { preventDefault: true });
  return (
    <div>
      <ol className="border-t border-ink/40">
        {ITEM_IDS.map((id, place) => (
          <li
            key={id}
            className={`grid grid-cols-[1fr_auto] items-center gap-3 border-b border-rule px-2 py-1 ${place === current ? 'bg-tint' : ''}`}
          >
            <span className="flex items-baseline gap-2">
              {/* The number it has on paper. */}
              <span className="figures w-5 shrink-0 text-right text-[13px] text-quiet">{place + 1}</span>
              <span>
                {SCREEN_ITEMS[id].label}
                <span className="ml-2 text-[13px] text-quiet">
                  {answers[id] && LEVEL_WORDS[levelOf(id, stricter)]}
                  {lastTime?.includes(id) && !answers[id] && 'yes last time'}
                </span>
              </span>
            </span>
            <fieldset className="flex gap-1">
              <legend className="sr-only">{SCREEN_ITEMS[id].label}</legend>
              {[false, true].map((yes) => (
                <button
                  key={String(yes)}
                  type="button"
                  aria-pressed={answers[id] === yes}
                  onClick={() => {
                    onChange({ ...answers, [id]: yes });
                    setCurrent(Math.min(place + 1, ITEM_IDS.length - 1));
                  }}
                  className={`min-h-9 min-w-12 rounded-sm border border-ink/40 px-2 text-[15px] aria-pressed:font-semibold ${yes ? 'aria-pressed:border-plum aria-pressed:bg-plum aria-pressed:text-on-plum' : 'aria-pressed:border-ink aria-pressed:bg-tint'}`}
                >
                  {yes ? 'Yes' : 'No'}
                </button>
              ))}
            </fieldset>
            {answers[id] && SCREEN_ITEMS[id].inLimb && (
              <div className="col-span-2 pb-1 pl-7">
                <Ticks
                  label="In which limb"
                  options={LIMBS.map((value) => ({ value, label: LIMB_LABELS[value] }))}
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
          <KeyHint>N</KeyHint> no <KeyHint>Y</KeyHint> yes, for the shaded line
        </span>
        <button
          type="button"
          onClick={restNo}
          className="flex min-h-11 items-center gap-2 font-semibold text-ink underline underline-offset-4"
        >
          All the rest: no <KeyHint>Shift N</KeyHint>
        </button>
      </p>
    </div>
  );
}
