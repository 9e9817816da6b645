import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import type { ClientRecord } from '#contract/client';
import { byPeriod, type LoggedSession, type Period } from '#core/outcomes';
import { libraryOf } from '#core/protocol';
import { LIMB_NAMES, type Limb } from '#core/quantity';
import { failureWords } from '../../../data/api';
import { useLog } from '../../../data/outcomes';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { LongList } from '../../../parts/base/LongList';
import { Reading } from '../../../parts/base/Reading';
import { Choice } from '../../../parts/fields/Choice';
import { FieldError } from '../../../parts/fields/Field';
import { Picker } from '../../../parts/fields/Picker';
import { SearchField } from '../../../parts/fields/SearchField';
import { usePrinting } from '../../../parts/paper/use-printing';
import { ExportPerson } from './ExportPerson';
import { LogLine } from './LogLine';
import { LogTable } from './LogTable';
import { LogTotalsLine, PeriodHead } from './LogTotals';

type Order = 'newest' | 'oldest' | 'longest' | 'most' | 'hardest';
const ORDERS: Record<Order, { label: string; by: (a: LoggedSession, b: LoggedSession) => number }> = {
  newest: { label: t`newest first`, by: (a, b) => b.startedAtMs - a.startedAtMs },
  oldest: { label: t`oldest first`, by: (a, b) => a.startedAtMs - b.startedAtMs },
  longest: { label: t`longest occluded`, by: (a, b) => b.line.occludedMs - a.line.occludedMs },
  most: { label: t`most volume`, by: (a, b) => b.line.volumeKgReps - a.line.volumeKgReps },
  hardest: { label: t`hardest`, by: (a, b) => (b.line.effort ?? -1) - (a.line.effort ?? -1) },
};

type Row = { head: ReturnType<typeof byPeriod>[number] } | { session: LoggedSession };

/** Everything that was done, session by session, and what it adds up to: in all, by week, by day, by limb and muscle. */
export function LogBench({ client }: { client: ClientRecord }) {
  const { data, error } = useLog(client.id);
  const [period, setPeriod] = useState<Period>('week');
  const [limb, setLimb] = useState<Limb | ''>('');
  const [search, setSearch] = useState('');
  const [order, setOrder] = useState<Order>('newest');
  const library = useMemo(() => libraryOf(client.facts.ownExercises), [client.facts.ownExercises]);
  const { zoneOffsetMs } = client.facts;
  const isPrinting = usePrinting();
  const planName = (id: string) =>
    translate(client.facts.coursePlans.find((plan) => plan.id === id)?.name ?? t`a plan that has ended`);
  const sessions = useMemo(
    () => (data?.sessions ?? []).filter((session) => fits(session, limb, search)),
    [data, limb, search],
  );
  const [whole] = useMemo(
    () => byPeriod(sessions, 'all', library, zoneOffsetMs),
    [sessions, library, zoneOffsetMs],
  );
  const rows = useMemo((): Row[] => {
    if (order !== 'newest' || period === 'all')
      return [...sessions].sort(ORDERS[order].by).map((session) => ({ session }));
    return byPeriod(sessions, period, library, zoneOffsetMs).flatMap((head): Row[] => [
      { head },
      ...head.sessions.map((session) => ({ session })),
    ]);
  }, [sessions, order, period, library, zoneOffsetMs]);
  if (error) return <FieldError>{failureWords(error)}</FieldError>;
  if (!data) return <Reading>{t`Reading the log…`}</Reading>;
  if (data.sessions.length === 0) {
    return (
      <section aria-labelledby="log-title">
        <h2 id="log-title" className="text-2xl font-semibold">
          {t`Log`}
        </h2>
        <p className="mt-2 max-w-prose">
          <Trans>
            Nothing was finished yet. Every session that is run, or entered later, is listed here with its
            sets, rests, loads and minutes occluded, and adds up.{' '}
            <Link to={`/people/${client.id}/run`} className="font-semibold underline underline-offset-4">
              Go to Run
            </Link>
          </Trans>
        </p>
        <div className="mt-4">
          <ExportPerson client={client} />
        </div>
      </section>
    );
  }
  if (isPrinting) return <LogTable sessions={sessions} planName={planName} />;
  const limbs = [...new Set(data.sessions.flatMap(({ line }) => line.limbs.map((one) => one.limb)))];
  const copy = async () => {
    const { logCsv } = await import('./log-csv');
    await navigator.clipboard.writeText(logCsv(sessions, planName));
    toast(t`${sessions.length} sessions copied, a row for each set.`);
  };
  return (
    <section aria-labelledby="log-title" className="flex flex-col gap-4">
      <h2 id="log-title" className="sr-only">
        {t`Log`}
      </h2>
      {/* On a phone what it adds up to comes before how to look at it. */}
      <div className="max-md:order-1 print:hidden">
        <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
          <SearchField label={t`Exercise or plan`} value={search} onChange={setSearch} />
          {limbs.length > 1 && (
            <Picker
              label={t`Limb`}
              value={limb}
              onChange={setLimb}
              options={[
                { value: '' as const, label: t`every limb` },
                ...limbs.map((value) => ({ value, label: translate(LIMB_NAMES[value]) })),
              ]}
            />
          )}
          <Picker
            label={t`Order`}
            value={order}
            onChange={setOrder}
            options={(Object.keys(ORDERS) as Order[]).map((value) => ({
              value,
              label: ORDERS[value].label,
            }))}
          />
          <Choice
            label={t`Added up by`}
            value={period}
            onChange={setPeriod}
            options={[
              { value: 'day', label: t`day` },
              { value: 'week', label: t`week` },
              { value: 'all', label: t`in all` },
            ]}
          />
          <Button onClick={() => void copy()}>{t`Copy as CSV`}</Button>
          <Button onClick={() => window.print()}>{t`Print as a table`}</Button>
          <ExportPerson client={client} />
        </div>
      </div>
      {whole ? <LogTotalsLine totals={whole.totals} /> : <p>{t`No session fits.`}</p>}
      <div className="max-md:order-2">
        <LongList count={rows.length} lineHeightPx={62} className="border-t border-ink/40" onInView={nothing}>
          {(place) => {
            const row = rows[place];
            if (!row) return null;
            return 'head' in row ? (
              <PeriodHead period={row.head} isWeek={period === 'week'} />
            ) : (
              <LogLine session={row.session} planName={planName(row.session.coursePlanId)} />
            );
          }}
        </LongList>
      </div>
    </section>
  );
}

const nothing = () => {};

/** Whether a session is of a limb, and its exercises have what is searched for. */
function fits({ line }: LoggedSession, limb: Limb | '', search: string): boolean {
  const isOfLimb = limb === '' || line.limbs.some((one) => one.limb === limb);
  const words = search.trim().toLowerCase();
  return (
    isOfLimb &&
    (words === '' || line.exercises.some(({ label }) => translate(label).toLowerCase().includes(words)))
  );
}
