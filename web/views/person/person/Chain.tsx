import { t } from '@lingui/core/macro';
import { Link } from 'react-router';
import type { ClientRecord } from '#contract/client';
import { LINK_LABELS, type LinkId, measuresDue } from '#core/record';
import { figure, translate } from '../../../language/translate';
import { Pip } from '../../../parts/base/Pip';
import { Tip } from '../../../parts/base/Tip';
import { usePlanSearch } from '../../../parts/plan/use-plan-in-hand';

const OUTSIDE = {
  outcomes: { label: t`Outcomes`, words: t`: did it help` },
  log: { label: t`Log`, words: t`: all that was done` },
  record: { label: t`Record`, words: t`: what is on it, and corrections` },
} as const;

/** In one line, where the bench beneath needs the height: what does not hold is still said. */
export type Low = 'always' | 'on-a-phone' | 'never';
const WHERE_LOW: Record<Low, { figure: string; reason: string; inTheWay: string; words: string }> = {
  always: { figure: 'sr-only', reason: 'hidden', inTheWay: '', words: 'hidden' },
  'on-a-phone': { figure: 'max-sm:sr-only', reason: 'max-sm:hidden', inTheWay: 'sm:hidden', words: '' },
  never: { figure: '', reason: '', inTheWay: '', words: '' },
};

const startsWithDigit = (words: string): boolean => /^\d/.test(words);

/** The six links left to right, each with its one number and, where it does not hold, why. */
export function Chain({
  client,
  chosen,
  outside,
  low,
}: {
  client: ClientRecord;
  chosen: LinkId | null;
  /** What is open beside the chain; null where a link is. */
  outside: keyof typeof OUTSIDE | null;
  low: Low;
}) {
  const search = usePlanSearch();
  const gives = WHERE_LOW[low];
  const due = measuresDue(client.facts, client.judgedAtMs).length;
  return (
    <nav
      aria-label={t`Chain`}
      className={`mt-3 px-6 print:hidden ${low === 'always' ? 'xl:grid xl:grid-cols-[1fr_auto] xl:items-stretch xl:gap-x-6' : ''}`}
    >
      <ol
        className={`grid grid-cols-3 border-y border-ink/40 lg:grid-cols-6 ${low === 'always' ? 'md:grid-cols-6' : ''}`}
      >
        {client.chain.map((link) => (
          <li key={link.id} className="border-rule not-last:border-r">
            <Tip words={translate(link.reason)}>
              <Link
                to={`/people/${client.id}/${link.id}${search}`}
                aria-current={link.id === chosen ? 'step' : undefined}
                className="block h-full border-b-4 border-transparent px-3 py-2 hover:bg-tint aria-[current=step]:border-plum aria-[current=step]:bg-tint"
              >
                <span className="flex items-center gap-2 text-[15px]">
                  <Pip state={link.state} /> {translate(LINK_LABELS[link.id])}
                </span>
                <span
                  className={`mt-1 block text-base leading-tight ${startsWithDigit(translate(link.figure)) ? 'figures' : ''} ${gives.figure}`}
                >
                  {translate(link.figure)}
                </span>
                {link.state !== 'good' && link.state !== 'missing' && (
                  <span className={`mt-1 block text-[13px] leading-snug text-ochre notched ${gives.reason}`}>
                    {translate(link.reason)}
                  </span>
                )}
              </Link>
            </Tip>
          </li>
        ))}
      </ol>
      <ul className="flex justify-end gap-x-6 text-[15px]">
        {(['outcomes', 'log', 'record'] as const).map((id) => (
          <li key={id}>
            <Link
              to={`/people/${client.id}/${id}${search}`}
              aria-current={id === outside ? 'page' : undefined}
              className="inline-flex min-h-9 items-center border-b-4 border-transparent underline-offset-4 hover:underline aria-[current=page]:border-plum"
            >
              {OUTSIDE[id].label}
              {id === 'outcomes' && due > 0 && (
                <span className="notched ml-2 text-ochre">{t`${figure(due)} due`}</span>
              )}
              <span className={`max-md:hidden ${gives.words}`}>{OUTSIDE[id].words}</span>
            </Link>
          </li>
        ))}
      </ul>
      {low !== 'never' && (
        <div className={`xl:col-span-2 ${gives.inTheWay}`}>
          <InTheWay chain={client.chain} />
        </div>
      )}
    </nav>
  );
}

/** In one line beneath what does not hold, where the links have no room for it. */
function InTheWay({ chain }: Pick<ClientRecord, 'chain'>) {
  const reasons = chain.filter(({ state }) => state !== 'good' && state !== 'missing');
  if (reasons.length === 0) return null;
  return (
    <p className="notched mt-1 py-1 text-[14px] text-ochre">
      {reasons.map(({ id, reason }) => `${translate(LINK_LABELS[id])}: ${translate(reason)}`).join(' ')}
    </p>
  );
}
