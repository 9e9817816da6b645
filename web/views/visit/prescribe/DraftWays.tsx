import { t } from '@lingui/core/macro';
import { useMemo } from 'react';
import { ALTERNATIVES, composeSession, cuffUpMinutes, type Judged } from '#core/plan';
import { translate } from '../../../language/translate';
import type { Drafted } from './state/drafting';
import type { ComposerState } from './state/use-composer';

/** The best session that was found and the other ways, to choose from; and what its points are made of. */
export function DraftWays({ composer }: { composer: ComposerState }) {
  const { ways, takenWay, takeWay, basis } = composer;
  const minutes = useMemo(
    () => ways.map(({ session }) => cuffUpMinutes(composeSession(session, basis).plan)),
    [ways, basis],
  );
  if (ways.length === 0) return null;
  return (
    <section aria-label={t`Drafts`} className="space-y-1">
      <div className="flex flex-wrap gap-2">
        {ways.map((way, place) => (
          <button
            key={way.id}
            type="button"
            aria-pressed={way === takenWay}
            onClick={() => takeWay(way)}
            className="min-h-11 rounded-sm border border-ink/40 px-3 py-1 text-left text-[15px] hover:bg-tint aria-pressed:border-plum aria-pressed:bg-tint"
          >
            <span className="font-semibold">{labelOf(way)}</span>{' '}
            <span className="text-quiet">
              {t`${way.judged.points} of 100`}
              <span className="max-sm:sr-only">, {t`cuff up ${minutes[place] ?? 0} min`}</span>
            </span>
          </button>
        ))}
      </div>
      {takenWay && <WhyThis judged={takenWay.judged} />}
    </section>
  );
}

const labelOf = ({ id }: Drafted): string => (id === 'best' ? t`Best` : translate(ALTERNATIVES[id].label));

/** What was asked about the session, what was found, and the points it has for it; where points are lost stands first. */
function WhyThis({ judged: { points, aspects } }: { judged: Judged }) {
  const lost = aspects.filter((aspect) => aspect.points < aspect.most);
  const sorted = [...aspects].sort((a, b) => b.most - b.points - (a.most - a.points));
  return (
    <details>
      <summary className="min-h-9 cursor-pointer py-1 text-[15px]">
        {t`Why this one`}
        {lost.length > 0 && <span className="text-quiet">: {t`what it lacks, and what it has`}</span>}
      </summary>
      <table className="text-[15px]">
        <thead className="sr-only">
          <tr>
            <th scope="col">{t`Judged by`}</th>
            <th scope="col">{t`Points`}</th>
            <th scope="col">{t`Found`}</th>
          </tr>
        </thead>
        <tbody>
          {sorted.map((aspect) => (
            <tr key={aspect.id} className="border-b border-rule align-baseline">
              <th scope="row" className="py-1 pr-4 text-left font-normal">
                {translate(aspect.label)}
              </th>
              <td className="figures py-1 pr-4 whitespace-nowrap">{t`${aspect.points} of ${aspect.most}`}</td>
              <td className="py-1 text-quiet">{translate(aspect.words)}</td>
            </tr>
          ))}
          <tr>
            <th scope="row" className="py-1 pr-4 text-left">{t`Together`}</th>
            <td className="figures py-1 pr-4 font-semibold whitespace-nowrap">{t`${points} of 100`}</td>
            <td />
          </tr>
        </tbody>
      </table>
    </details>
  );
}
