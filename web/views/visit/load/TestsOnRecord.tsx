import { t } from '@lingui/core/macro';
import { lazy, Suspense, useState } from 'react';
import type { ClientRecord } from '#contract/client';
import { errorInUnit, MEASURES } from '#core/outcomes';
import { newest } from '#core/quantity';
import { ageWords } from '#core/record';
import { RULES } from '#core/rules';
import { type StrengthFact, strengthTestIsDue } from '#core/strength';
import { useOneRepMaxesLike } from '../../../data/history';
import { translate } from '../../../language/translate';
import { exerciseAndSide } from '../../../words/exercise-and-side';
import { useUnits } from '../../../words/units';
import { sameTest } from './same-test';

const HistoryChart = lazy(() =>
  import('../../../parts/drawing/HistoryChart').then(({ HistoryChart }) => ({ default: HistoryChart })),
);
/** What a 1RM has to change by to be real, as a share of it (rule OUT-2). */
const REAL_SHARE = RULES['OUT-2'].figures.z95 * Math.SQRT2 * errorInUnit(MEASURES['one-rep-max'].error, 1);

/** The newest 1RM of each exercise and side, whether it still holds, and how it came along. */
export function TestsOnRecord({ client }: { client: ClientRecord }) {
  const { mass } = useUnits();
  const [openId, setOpenId] = useState<string | null>(null);
  const tests = client.facts.strengthTests;
  const rows = tests
    .filter((fact) => newest(tests.filter((other) => sameTest(fact, other)))?.id === fact.id)
    .sort((a, b) => b.atMs - a.atMs);
  const open = rows.find(({ id }) => id === openId);
  if (rows.length === 0) return null;
  return (
    <section className="mt-8">
      <h3 className="font-semibold">{t`Tests on record`}</h3>
      <ul className="mt-1 border-t border-rule">
        {rows.map((fact) => {
          const due = strengthTestIsDue(fact, client.judgedAtMs);
          return (
            <li key={fact.id} className="border-b border-rule">
              <button
                type="button"
                aria-expanded={fact.id === openId}
                onClick={() => setOpenId(fact.id === openId ? null : fact.id)}
                className="flex min-h-11 w-full flex-wrap items-center gap-x-6 text-left hover:bg-tint"
              >
                <span className="w-56">{exerciseAndSide(client.facts, fact)}</span>
                <span className="figures text-lg">{mass.words(fact.oneRepMax.value)}</span>
                <span className={due ? 'notched text-ochre' : 'text-quiet'}>
                  {translate(ageWords(fact.atMs, client.judgedAtMs))}
                  {due && t`: test again, it holds 6 weeks`}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
      {open && (
        <div className="mt-3">
          <TestHistory client={client} fact={open} />
        </div>
      )}
    </section>
  );
}

/** How the 1RM of an exercise and side came along. */
function TestHistory({ client, fact }: { client: ClientRecord; fact: StrengthFact }) {
  const { mass } = useUnits();
  const tests = useOneRepMaxesLike(client.id, fact);
  const drawing = <p className="text-quiet">{t`Drawing…`}</p>;
  if (!tests) return drawing;
  return (
    <Suspense fallback={drawing}>
      <HistoryChart
        caption={t`${exerciseAndSide(client.facts, fact)}: 1RM in ${mass.unit}, with ±${Math.round(100 * REAL_SHARE)} % about the newest: less is noise`}
        unit={mass.unit}
        within={mass.inUnit(fact.oneRepMax.value) * REAL_SHARE}
        points={tests.map(({ atMs, value }) => ({ atMs, value: mass.inUnit(value) }))}
      />
    </Suspense>
  );
}
