import { useState } from 'react';
import { type RoundItem, roundOf } from '#core/occlusion-pressure/round';
import { LIMB_LABELS, type Limb, POSITIONS, type Position } from '#core/quantity/limb';
import { Button } from '../../parts/Button';
import { Ticks } from '../../parts/Ticks';

/** Several limbs and positions one after the other: choose them once, then only measure. */
export function RoundPlanner({
  fitted,
  round,
  current,
  setRound,
}: {
  /** Limbs with a cuff. */
  fitted: readonly Limb[];
  round: readonly RoundItem[];
  current: RoundItem;
  setRound: (round: RoundItem[]) => void;
}) {
  const [limbs, setLimbs] = useState<Limb[]>([...fitted]);
  const [positions, setPositions] = useState<Position[]>(['lying', 'sitting']);
  if (round.length > 0) {
    return (
      <section aria-label="Round">
        <h3 className="text-[15px] font-semibold">
          Round: {round.length} {round.length === 1 ? 'pressure' : 'pressures'} to go
        </h3>
        <ol className="mt-1 border-t border-rule text-[15px]">
          {round.map((item) => (
            <li
              key={`${item.limb} ${item.position}`}
              aria-current={
                item.limb === current.limb && item.position === current.position ? 'step' : undefined
              }
              className="border-b border-rule px-2 py-1 aria-[current=step]:bg-tint aria-[current=step]:font-semibold"
            >
              {LIMB_LABELS[item.limb]}, {item.position}
            </li>
          ))}
        </ol>
        <button
          type="button"
          className="min-h-11 text-[14px] underline underline-offset-4"
          onClick={() => setRound([])}
        >
          End the round
        </button>
      </section>
    );
  }
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 text-[15px] font-semibold">
        Several limbs in a round
      </summary>
      <Ticks
        label="Limbs with a cuff"
        options={fitted.map((value) => ({ value, label: LIMB_LABELS[value] }))}
        chosen={limbs}
        onChange={setLimbs}
      />
      <Ticks
        label="Positions"
        options={POSITIONS.map((value) => ({ value, label: value }))}
        chosen={positions}
        onChange={setPositions}
      />
      <Button
        disabled={limbs.length === 0 || positions.length === 0}
        onClick={() =>
          setRound(
            roundOf(
              limbs,
              POSITIONS.filter((position) => positions.includes(position)),
            ),
          )
        }
      >
        Start the round
      </Button>
    </details>
  );
}
