import { t } from '@lingui/core/macro';
import type { ClientRecord } from '#contract/client';
import type { PracticeView } from '#contract/practice';
import { occasionWords } from '#core/course';
import { markWords } from '#core/cuff';
import { isArbitrary, isCuffed, type Plan, plannedKg } from '#core/plan';
import { chainOf, type LinkState, type PlanInForce } from '#core/record';
import { translate } from '../../language/translate';
import { shareOfMax } from '../../words/share-of-max';
import { type Measure, useUnits } from '../../words/units';
import { ItsKey } from '../base/Button';
import { Pip } from '../base/Pip';
import { useAction } from '../keys/use-action';
import { planToday } from './plan-today';

/** The plans of a person, the next one first, each with why it is its turn; one is in hand, and is shown in full elsewhere. */
export function PlanLines({
  client,
  practice,
  plans,
  inHand,
  choose,
}: {
  client: ClientRecord;
  practice: PracticeView;
  plans: readonly PlanInForce[];
  inHand: PlanInForce | undefined;
  choose: (coursePlanId: string) => void;
}) {
  const { mass } = useUnits();
  const at = plans.findIndex(({ coursePlan }) => coursePlan.id === inHand?.coursePlan.id);
  const following = plans[(at + 1) % plans.length]?.coursePlan.id;
  useAction('other-plan', () => following !== undefined && choose(following), { enabled: plans.length > 1 });
  return (
    <ul aria-label={t`Plans`} className="max-w-4xl border-t border-ink/40">
      {plans.map(({ coursePlan, prescription, turn }) => (
        <li key={coursePlan.id} className="border-b border-rule">
          <button
            type="button"
            aria-pressed={coursePlan.id === inHand?.coursePlan.id}
            onClick={() => choose(coursePlan.id)}
            className="grid min-h-12 w-full grid-cols-[auto_1fr_auto] items-center gap-x-4 gap-y-0.5 border-l-4 border-transparent py-2 pl-3 text-left hover:bg-tint aria-pressed:border-plum aria-pressed:bg-tint"
          >
            <Pip state={worst(chainOf(client.facts, practice, client.judgedAtMs, prescription))} />
            <span>
              <span className="text-lg font-semibold">{translate(coursePlan.name)}</span>{' '}
              <span className="text-[15px] text-quiet">
                {coursePlan.occasion.kind !== 'any-day' &&
                  `${translate(occasionWords(coursePlan.occasion))}. `}
                {translate(turn.why)}
              </span>
            </span>
            {plans.length > 1 && coursePlan.id === following ? <ItsKey of="other-plan" /> : <span />}
            {coursePlan.id !== inHand?.coursePlan.id && (
              <span className="col-span-2 col-start-2 text-[15px]">
                {figuresOf(planToday(prescription, client, practice), mass)}
              </span>
            )}
          </button>
        </li>
      ))}
    </ul>
  );
}

const WORST_FIRST: readonly LinkState[] = ['held', 'missing', 'due', 'good'];

/** The state of the links before Run: that of the worst. */
const worst = (chain: ReturnType<typeof chainOf>): LinkState =>
  WORST_FIRST.find((state) => chain.some((link) => link.id !== 'run' && link.state === state)) ?? 'good';

/** Each exercise with its pressures and its load. */
const figuresOf = ({ exercises }: Plan, mass: Measure): string =>
  exercises
    .map(({ label, limbs, load }) => {
      const pressures = limbs.map((target) =>
        isCuffed(target) ? `${target.pressure.value}` : translate(markWords(target)),
      );
      const unit = limbs.some(isCuffed) ? ` mmHg${isArbitrary({ limbs }) ? t`, arbitrary` : ''}` : '';
      const kg = plannedKg(load);
      return `${translate(label)} ${pressures.join('/')}${unit}${kg === null ? '' : `, ${mass.words(kg)}${shareOfMax(load, kg)}`}`;
    })
    .join(' · ');
