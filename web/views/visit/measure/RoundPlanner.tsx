import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { type Place, samePlace } from '#core/measuring';
import { roundOf } from '#core/occlusion-pressure';
import { LIMB_LABELS, type Limb, POSITION_NAMES, POSITIONS, type Position } from '#core/quantity';
import type { ToMeasure } from '#core/record';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Ticks } from '../../../parts/fields/Ticks';

/** Several limbs and positions one after the other: choose them once, then only measure. */
export function RoundPlanner({
  fitted,
  due,
  round,
  current,
  go,
  setRound,
}: {
  /** Limbs with a cuff. */
  fitted: readonly Limb[];
  /** What the plan needs, or a first one will. */
  due: readonly ToMeasure[];
  round: readonly Place[];
  current: Place;
  go: (place: Place) => void;
  setRound: (round: Place[]) => void;
}) {
  if (round.length > 0) {
    return (
      <section aria-label={t`Round`}>
        <h3 className="text-[15px] font-semibold">
          {t`Round: ${round.length} ${round.length === 1 ? t`pressure` : t`pressures`} to go`}
        </h3>
        <ol className="mt-1 border-t border-rule text-[15px]">
          {round.map((item) => (
            <li
              key={`${item.limb} ${item.position}`}
              aria-current={samePlace(item, current) ? 'step' : undefined}
              className="border-b border-rule px-2 py-1 aria-[current=step]:bg-tint aria-[current=step]:font-semibold"
            >
              {translate(LIMB_LABELS[item.limb])}, {translate(POSITION_NAMES[item.position])}
            </li>
          ))}
        </ol>
        <button
          type="button"
          className="min-h-11 text-[14px] underline underline-offset-4"
          onClick={() => setRound([])}
        >
          {t`End the round`}
        </button>
      </section>
    );
  }
  return (
    <section aria-label={t`To measure`}>
      {due.length > 0 && (
        <>
          <h3 className="text-[15px] font-semibold">{t`To measure`}</h3>
          <ol className="mt-1 border-t border-rule text-[15px]">
            {due.map(({ why, ...place }) => (
              <li key={`${place.limb} ${place.position}`} className="border-b border-rule">
                <button
                  type="button"
                  className="min-h-11 w-full px-2 py-1 text-left aria-[current=true]:bg-tint"
                  aria-current={samePlace(place, current)}
                  onClick={() => go(place)}
                >
                  {translate(LIMB_LABELS[place.limb])}, {translate(POSITION_NAMES[place.position])}{' '}
                  <span className="text-[14px] text-quiet">{translate(why)}</span>
                </button>
              </li>
            ))}
          </ol>
          {due.length > 1 && (
            <Button
              className="mt-2 w-full"
              onClick={() => setRound(due.map(({ limb, position }) => ({ limb, position })))}
            >
              {t`Measure these ${due.length} in a round`}
            </Button>
          )}
        </>
      )}
      <ChosenRound fitted={fitted} setRound={setRound} />
    </section>
  );
}

/** A round of whatever chosen limbs and positions. */
function ChosenRound({ fitted, setRound }: { fitted: readonly Limb[]; setRound: (round: Place[]) => void }) {
  const [limbs, setLimbs] = useState<Limb[]>([...fitted]);
  const [positions, setPositions] = useState<Position[]>(['lying', 'sitting']);
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 text-[15px] font-semibold">
        {t`Several limbs in a round`}
      </summary>
      <Ticks
        label={t`Limbs with a cuff`}
        options={fitted.map((value) => ({ value, label: translate(LIMB_LABELS[value]) }))}
        chosen={limbs}
        onChange={setLimbs}
      />
      <Ticks
        label={t`Positions`}
        options={POSITIONS.map((value) => ({ value, label: translate(POSITION_NAMES[value]) }))}
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
        {t`Start the round`}
      </Button>
    </details>
  );
}
