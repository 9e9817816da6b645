import { t } from '@lingui/core/macro';
import { type Attention, compareAttention, inHand, nextStep } from '#core/session';
import type { LiveSession } from '../../../data/live-session';
import { stepWords } from '../../../words/step-words';

/** A lane that is below what is in view. */
export type LaneBelow = { number: number; session: LiveSession; attention: Attention };

const CALLS: readonly Attention['need'][] = ['limit', 'stopped', 'limit-near', 'act'];

/** How many lanes are below, and which of them needs something first; it leads there. */
export function BelowLine({
  below,
  nowMs,
  show,
}: {
  below: readonly LaneBelow[];
  nowMs: number;
  show: (number: number) => void;
}) {
  const [first] = below.toSorted((a, b) => compareAttention(a.attention, b.attention));
  if (!first) return null;
  const calls = CALLS.includes(first.attention.need);
  const { number, session } = first;
  const { plan, state, view } = session;
  const words = stepWords(plan, nextStep(plan, state, nowMs), inHand(plan, state)?.limbs);
  const isUrgent = first.attention.need === 'limit' || first.attention.need === 'stopped';
  return (
    <button
      type="button"
      className={`sticky bottom-0 flex min-h-11 w-full flex-wrap items-center gap-x-3 border-t border-ink/40 bg-paper px-3 text-left ${isUrgent ? 'font-bold text-vermilion' : ''}`}
      onClick={() => show(number)}
    >
      <span className="font-semibold underline underline-offset-4">{t`${below.length} below`}</span>
      <span>
        {calls ? t`${number} ${view.clientName}: ${words.now}` : t`none of them needs anything now`}
      </span>
    </button>
  );
}
