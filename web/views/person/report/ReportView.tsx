import { t } from '@lingui/core/macro';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { v4 as newId } from 'uuid';
import type { ClientRecord } from '#contract/client';
import type { LogView, OutcomesView } from '#contract/outcomes';
import type { PracticeView } from '#contract/practice';
import {
  addUp,
  byPeriod,
  counts,
  type LogPeriod,
  measureBook,
  type Report,
  type ReportBasis,
  reportSections,
  SECTION_TITLES,
  type SectionId,
  sectionIdSchema,
  seriesOf,
  USUAL_SECTIONS,
} from '#core/outcomes';
import { libraryOf } from '#core/protocol';
import { courseInReport, healthInReport } from '#core/record';
import { failureWords } from '../../../data/api';
import { useIssueReport, useLog, useOutcomes, useReportPdf, useReports } from '../../../data/outcomes';
import { useClient, usePractice, usePractitioner } from '../../../data/queries';
import { useVisitNotes } from '../../../data/visit-notes';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Only } from '../../../parts/base/Only';
import { Reading } from '../../../parts/base/Reading';
import { Choice } from '../../../parts/fields/Choice';
import { FieldError } from '../../../parts/fields/Field';
import { LongField } from '../../../parts/fields/LongField';
import { Picker } from '../../../parts/fields/Picker';
import { Ticks } from '../../../parts/fields/Ticks';
import { ForPaper } from '../../../parts/paper/ForPaper';
import { PAPERS, type Paper } from '../../../parts/paper/papers';
import { day } from '../../../words/format';
import { isoDay, noonOf } from '../../../words/noon';
import { ReportPage } from './ReportPage';

const SECTIONS = sectionIdSchema.options.map((value) => ({ value, label: translate(SECTION_TITLES[value]) }));
const NOW = 'now';

/** One or two pages for the client or the referrer: chosen, written, issued as it stands, printed. */
export function ReportView() {
  const { clientId = '' } = useParams();
  const { data: client, error } = useClient(clientId);
  const { data: practice } = usePractice();
  const { data: log } = useLog(clientId);
  const { data: outcomes } = useOutcomes(clientId);
  if (error) return <FieldError>{failureWords(error)}</FieldError>;
  if (!client || !practice || !log || !outcomes) return <Reading inFrame>{t`Reading the record…`}</Reading>;
  return <Writing client={client} practice={practice} log={log} outcomes={outcomes} />;
}

function Writing({
  client,
  practice,
  log,
  outcomes,
}: {
  client: ClientRecord;
  practice: PracticeView;
  log: LogView;
  outcomes: OutcomesView;
}) {
  const by = usePractitioner()?.name ?? '';
  const { data: issued = [] } = useReports(client.id);
  const issue = useIssueReport(client.id);
  const pdf = useReportPdf(client.id);
  const [sections, setSections] = useState<SectionId[]>([...USUAL_SECTIONS]);
  const [letter, setLetter] = useState('');
  const [paper, setPaper] = useState<Paper>('A4');
  const [shownId, setShownId] = useState(NOW);
  const { data: pages } = useVisitNotes(client.id, '');
  const notes = useMemo(
    () =>
      (pages?.pages ?? [])
        .flatMap((page) => page.notes)
        .filter(({ retracted }) => retracted === null)
        .map(({ atMs, words, by: writer }) => ({ onDay: isoDay(atMs), words, by: writer })),
    [pages],
  );
  const draft = useMemo(
    () => draftReport(client, practice, log, outcomes, { sections, letter, by, notes }),
    [client, practice, log, outcomes, sections, letter, by, notes],
  );
  const shown = issued.find(({ id }) => id === shownId);
  return (
    <div className="h-full overflow-auto print:h-auto print:overflow-visible">
      <nav className="space-y-3 border-b border-rule p-4 print:hidden">
        <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
          <Link to={`/people/${client.id}/outcomes`} className="min-h-11 py-2 underline underline-offset-4">
            {t`Back to ${client.name}`}
          </Link>
          <div className="w-64">
            <Picker
              label={t`Report`}
              value={shownId}
              onChange={setShownId}
              options={[
                { value: NOW, label: t`as things are now` },
                ...issued.map(({ id, atMs }) => ({ value: id, label: t`issued ${day(atMs)}` })),
              ]}
            />
          </div>
          <Choice
            label={t`Paper`}
            value={paper}
            onChange={setPaper}
            options={(Object.keys(PAPERS) as Paper[]).map((value) => ({ value, label: value }))}
          />
          {!shown && (
            <Only permission="sign">
              {' '}
              <Button
                kind="main"
                disabled={sections.length === 0 || issue.isPending}
                onClick={() =>
                  issue.mutate({ id: newId(), content: draft }, { onSuccess: ({ id }) => setShownId(id) })
                }
              >
                {t`Issue it as it is`}
              </Button>
            </Only>
          )}
          {shown && practice.canPrint && (
            <Button
              kind="main"
              disabled={pdf.isPending}
              onClick={() =>
                pdf.mutate({ report: shown, paper, fileName: `${client.name}, ${day(shown.atMs)}.pdf` })
              }
            >
              {pdf.isPending ? t`Making the PDF…` : t`Save as PDF`}
            </Button>
          )}
          <Button
            {...(shown && !practice.canPrint ? { kind: 'main' as const } : {})}
            onClick={() => window.print()}
          >
            {practice.canPrint ? t`Print` : t`Print, or keep as PDF`}
          </Button>
          {issue.error && <FieldError>{failureWords(issue.error)}</FieldError>}
          {pdf.error && <FieldError>{failureWords(pdf.error)}</FieldError>}
        </div>
        {!shown && (
          <div className="flex flex-wrap items-start gap-x-8 gap-y-2">
            <Ticks label={t`Sections`} options={SECTIONS} chosen={sections} onChange={setSections} />
            <LongField
              className="min-w-64 flex-1"
              label={t`Your own words, and the recipient`}
              value={letter}
              maxLength={2000}
              rows={2}
              onChange={(event) => setLetter(event.target.value)}
            />
          </div>
        )}
      </nav>
      <ForPaper paper={paper}>
        <ReportPage report={shown?.content ?? draft} atMs={shown?.atMs ?? null} />
      </ForPaper>
    </div>
  );
}

/** Every week from the first to the last, also those without a session. */
function weeksOf(periods: readonly LogPeriod[]): Report['weeks'] {
  const days = periods.map(({ fromDay }) => fromDay);
  const [first, last] = [Math.min(...days), Math.max(...days)];
  if (periods.length === 0) return [];
  return Array.from({ length: (last - first) / 7 + 1 }, (_, place) => {
    const week = periods.find(({ fromDay }) => fromDay === first + 7 * place);
    return {
      fromMs: noonOf(first + 7 * place).getTime(),
      minutes: (week?.totals.occludedMs ?? 0) / 60_000,
    };
  });
}

function draftReport(
  client: ClientRecord,
  practice: PracticeView,
  { sessions }: LogView,
  measured: OutcomesView,
  {
    sections,
    letter,
    by,
    notes,
  }: Pick<ReportBasis, 'notes'> & {
    sections: readonly SectionId[];
    letter: string;
    by: string;
  },
): Report {
  const library = libraryOf(client.facts.ownExercises);
  const { zoneOffsetMs } = client.facts;
  const weeks = weeksOf(byPeriod(sessions, 'week', library, zoneOffsetMs));
  const basis: ReportBasis = {
    sessions,
    weeks: weeks.length,
    totals: addUp(sessions, library, zoneOffsetMs),
    series: seriesOf(measured, { library, book: measureBook(client.facts.ownMeasures) }),
    ...courseInReport(client.facts, practice, client.judgedAtMs),
    health: healthInReport(client.facts, client.judgedAtMs),
    notes,
  };
  const times = [
    ...sessions.map(({ startedAtMs }) => startedAtMs),
    ...measured.taken.filter(counts).map(({ atMs }) => atMs),
  ];
  return {
    clientName: client.name,
    practiceName: practice.settings.name,
    phone: practice.settings.phone,
    letterhead: practice.settings.letterhead,
    by,
    fromMs: times.length > 0 ? Math.min(...times) : client.judgedAtMs,
    toMs: client.judgedAtMs,
    letter: letter.trim(),
    sections: reportSections(sections, basis),
    weeks,
  };
}
