import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { lazy, StrictMode, Suspense, useEffect } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Outlet, Route, Routes, useLocation } from 'react-router';
import { ApiProblem } from './data/api';
import { followDoor } from './data/door';
import { listenToOtherTabs } from './data/follow';
import { onceIdle } from './data/once-idle';
import { door } from './data/practitioner';
import { keepApp } from './data/service-worker';
import { startWorking } from './data/start-working';
import { InLanguage } from './language/InLanguage';
import { keepKeys } from './parts/keep-keys';
import { ReadingSilently } from './parts/Reading';
import { Frame } from './shell/Frame';
import { Gated } from './shell/Gated';
import { viewStandsAt } from './state/view-awaited';
import { applyTheme } from './theme/theme';
import { Today } from './views/today/Today';

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      // What the server refuses stays refused; what it did not hear is asked again.
      retry: (count, error) => !(error instanceof ApiProblem) && count < 3,
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
});

const SheetView = lazy(() =>
  import('./views/sheet/SheetView').then(({ SheetView }) => ({ default: SheetView })),
);
const ExplainView = lazy(() =>
  import('./views/explain/ExplainView').then(({ ExplainView }) => ({ default: ExplainView })),
);
const AddPerson = lazy(() =>
  import('./views/add-person/AddPerson').then(({ AddPerson }) => ({ default: AddPerson })),
);
const fetchPersonSheet = () => import('./routes/PersonSheet');
const PersonSheet = lazy(() => fetchPersonSheet().then(({ PersonSheet }) => ({ default: PersonSheet })));
const FloorView = lazy(() =>
  import('./views/floor/FloorView').then(({ FloorView }) => ({ default: FloorView })),
);
const ExercisesView = lazy(() =>
  import('./views/exercises/ExercisesView').then(({ ExercisesView }) => ({ default: ExercisesView })),
);
const KitView = lazy(() => import('./views/kit/KitView').then(({ KitView }) => ({ default: KitView })));
const SafetyView = lazy(() =>
  import('./views/safety/SafetyView').then(({ SafetyView }) => ({ default: SafetyView })),
);
const ReportView = lazy(() =>
  import('./views/report/ReportView').then(({ ReportView }) => ({ default: ReportView })),
);
const WeekView = lazy(() =>
  import('./views/safety/WeekView').then(({ WeekView }) => ({ default: WeekView })),
);
const RespondersView = lazy(() =>
  import('./views/safety/RespondersView').then(({ RespondersView }) => ({ default: RespondersView })),
);
const MeasuresView = lazy(() =>
  import('./views/measures/MeasuresView').then(({ MeasuresView }) => ({ default: MeasuresView })),
);
const PapersView = lazy(() =>
  import('./views/papers/PapersView').then(({ PapersView }) => ({ default: PapersView })),
);
const InAndOutView = lazy(() =>
  import('./views/in-and-out/InAndOutView').then(({ InAndOutView }) => ({ default: InAndOutView })),
);
const AccountView = lazy(() =>
  import('./views/account/AccountView').then(({ AccountView }) => ({ default: AccountView })),
);
const AccountsView = lazy(() =>
  import('./views/account/AccountsView').then(({ AccountsView }) => ({ default: AccountsView })),
);
const ArchivedView = lazy(() =>
  import('./views/archived/ArchivedView').then(({ ArchivedView }) => ({ default: ArchivedView })),
);
const GuideView = lazy(() =>
  import('./views/guide/GuideView').then(({ GuideView }) => ({ default: GuideView })),
);
const AuditView = lazy(() =>
  import('./views/audit/AuditView').then(({ AuditView }) => ({ default: AuditView })),
);
const PractiseView = lazy(() =>
  import('./views/practise/PractiseView').then(({ PractiseView }) => ({ default: PractiseView })),
);
const SessionSheet = lazy(() =>
  import('./routes/SessionSheet').then(({ SessionSheet }) => ({ default: SessionSheet })),
);
const NotFound = lazy(() => import('./views/today/NotFound').then(({ NotFound }) => ({ default: NotFound })));

/** Says which view stands: where the code of another is still being fetched, the address is ahead of it. */
function ViewStands(): null {
  const { pathname } = useLocation();
  useEffect(() => viewStandsAt(pathname), [pathname]);
  return null;
}

function startApp(): void {
  applyTheme();
  keepKeys();
  listenToOtherTabs(queries);
  followDoor(queries);
  if (door.get() === 'open') startWorking(queries);
  keepApp();
  // Somebody is opened next, so their sheet is read before: at leisure, or as soon as one points at them.
  onceIdle(() => void fetchPersonSheet());
  document.addEventListener('pointerover', ({ target }) => {
    if (target instanceof Element && target.closest('a[href^="/people/"]')) void fetchPersonSheet();
  });

  const root = document.getElementById('root');
  if (!root) throw new Error('The page has no root element.');
  createRoot(root).render(
    <StrictMode>
      <InLanguage>
        <QueryClientProvider client={queries}>
          <BrowserRouter>
            <ViewStands />
            <Suspense fallback={<ReadingSilently />}>
              <Routes>
                <Route
                  element={
                    <Gated>
                      <Outlet />
                    </Gated>
                  }
                >
                  <Route path="people/:clientId/sheet/:reader" element={<SheetView />} />
                  <Route path="papers/:form" element={<PapersView />} />
                  <Route path="papers/:form/:clientId" element={<PapersView />} />
                  <Route path="people/:clientId/explain" element={<ExplainView />} />
                  <Route path="people/:clientId/report" element={<ReportView />} />
                </Route>
                <Route element={<Frame />}>
                  <Route index element={<Today />} />
                  <Route path="people/new" element={<AddPerson />} />
                  <Route path="people/:clientId/:bench?" element={<PersonSheet />} />
                  <Route path="floor" element={<FloorView />} />
                  <Route path="exercises" element={<ExercisesView />} />
                  <Route path="kit" element={<KitView />} />
                  <Route path="guide/:page?" element={<GuideView />} />
                  <Route path="practise" element={<PractiseView />} />
                  <Route path="week" element={<WeekView />} />
                  <Route path="safety" element={<SafetyView />} />
                  <Route path="responders" element={<RespondersView />} />
                  <Route path="measures" element={<MeasuresView />} />
                  <Route path="archived" element={<ArchivedView />} />
                  <Route path="account" element={<AccountView />} />
                  <Route path="accounts" element={<AccountsView />} />
                  <Route path="audit" element={<AuditView />} />
                  <Route path="audit/:clientId" element={<AuditView />} />
                  <Route path="in-and-out" element={<InAndOutView />} />
                  <Route path="sessions/:sessionId" element={<SessionSheet />} />
                  <Route path="*" element={<NotFound />} />
                </Route>
              </Routes>
            </Suspense>
          </BrowserRouter>
        </QueryClientProvider>
      </InLanguage>
    </StrictMode>,
  );
}

startApp();
