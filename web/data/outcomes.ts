import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type {
  IssuedReport,
  LogView,
  NewAdverseEvent,
  NewComparison,
  NewOutcome,
  NewReport,
  OutcomesView,
  RespondersView,
  SurveillanceView,
  WeekView,
} from '#contract/outcomes';
import type { MeasureId } from '#core/outcomes';
import { language } from '../language/language';
import { api, read } from './api';
import { KEYS } from './keys';
import { saveFile } from './save-file';

/** Every finished session of a person in one line each, the newest first. */
export const useLog = (id: string) =>
  useQuery({
    queryKey: KEYS.log(id),
    queryFn: () => read<LogView>(api.clients[':id'].log.$get({ param: { id } })),
  });

export const useOutcomes = (id: string) =>
  useQuery({
    queryKey: KEYS.outcomes(id),
    queryFn: () => read<OutcomesView>(api.clients[':id'].outcomes.$get({ param: { id } })),
  });

/** Signs and next-day answers of the whole practice. */
export const useSurveillance = () =>
  useQuery({
    queryKey: KEYS.surveillance,
    queryFn: () => read<SurveillanceView>(api.practice.surveillance.$get()),
  });

/** What the week asks of the practice. */
export const useWeek = () =>
  useQuery({ queryKey: KEYS.week, queryFn: () => read<WeekView>(api.practice.week.$get()) });

/** Responders by one measure. */
export const useResponders = (measureId: MeasureId) =>
  useQuery({
    queryKey: KEYS.responders(measureId),
    queryFn: () => read<RespondersView>(api.practice.responders.$get({ query: { measureId } })),
  });

/** Reports that were issued of a person, the newest first. */
export const useReports = (id: string) =>
  useQuery({
    queryKey: KEYS.reports(id),
    queryFn: () => read<IssuedReport[]>(api.clients[':id'].reports.$get({ param: { id } })),
  });

export function useIssueReport(id: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (json: NewReport) =>
      read<IssuedReport>(api.clients[':id'].reports.$post({ param: { id }, json })),
    onSuccess: (issued) =>
      queries.setQueryData<IssuedReport[]>(KEYS.reports(id), (old = []) => [issued, ...old]),
  });
}

/** An issued report as PDF, made by the server and saved by the browser. */
export const useReportPdf = (id: string) =>
  useMutation({
    mutationFn: async ({
      report,
      paper,
      fileName,
    }: {
      report: IssuedReport;
      paper: 'A4' | 'Letter';
      fileName: string;
    }) => {
      const answer = await api.clients[':id'].reports[':reportId'].pdf.$post({
        param: { id, reportId: report.id },
        json: { paper, language: language.get() },
      });
      if (!answer.ok) return read(Promise.resolve(answer));
      saveFile(await answer.blob(), fileName);
    },
  });

/** A write whose answer is everything measured of a person as it is now. */
function useOutcomesWrite<Body>(id: string, write: (body: Body) => Promise<OutcomesView>) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: write,
    onSuccess: (view) => {
      queries.setQueryData(KEYS.outcomes(id), view);
      // What is due is of the record.
      void queries.invalidateQueries({ queryKey: KEYS.client(id), exact: true });
    },
  });
}

export const useKeepOutcome = (id: string) =>
  useOutcomesWrite(id, (json: NewOutcome) =>
    read<OutcomesView>(api.clients[':id'].outcomes.$post({ param: { id }, json })),
  );

export const useWithdrawOutcome = (id: string) =>
  useOutcomesWrite(id, ({ outcomeId, reason }: { outcomeId: string; reason: string }) =>
    read<OutcomesView>(
      api.clients[':id'].outcomes[':outcomeId'].withdrawal.$post({
        param: { id, outcomeId },
        json: { reason },
      }),
    ),
  );

export const useBeginComparison = (id: string) =>
  useOutcomesWrite(id, (json: NewComparison) =>
    read<OutcomesView>(api.clients[':id'].comparisons.$post({ param: { id }, json })),
  );

export const useEndComparison = (id: string) =>
  useOutcomesWrite(id, ({ comparisonId, why }: { comparisonId: string; why: string }) =>
    read<OutcomesView>(
      api.clients[':id'].comparisons[':comparisonId'].end.$post({
        param: { id, comparisonId },
        json: { why },
      }),
    ),
  );

export const useKeepAdverseEvent = (id: string) =>
  useOutcomesWrite(id, (json: NewAdverseEvent) =>
    read<OutcomesView>(api.clients[':id']['adverse-events'].$post({ param: { id }, json })),
  );
