import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode, Suspense, useEffect } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Outlet, Route, Routes, useLocation } from 'react-router';
import { ApiProblem } from './data/api';
import { listenToOtherTabs } from './data/follow';
import { followLockState } from './data/lock';
import { onceIdle } from './data/once-idle';
import { lockState } from './data/practitioner';
import { keepApp } from './data/service-worker';
import { startWorking } from './data/start-working';
import { writeAsThePractice } from './data/write-as-the-practice';
import { InLanguage } from './language/InLanguage';
import { speakOf } from './language/language';
import { lazyView } from './language/lazy-view';
import { ReadingSilently } from './parts/base/Reading';
import { keepKeys } from './parts/keys/keep-keys';
import { Frame } from './shell/Frame';
import { Gated } from './shell/Gated';
import { viewShownAt } from './state/view-awaited';
import { applyTheme } from './theme/theme';
import { Today } from './views/practice/today/Today';

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

const SheetView = lazyView(() => import('./views/person/sheet/SheetView'), 'SheetView', 'sheet');
const ExplainView = lazyView(() => import('./views/person/explain/ExplainView'), 'ExplainView', 'explain');
const AddPerson = lazyView(() => import('./views/person/add-person/AddPerson'), 'AddPerson', 'add-person');
/** Views that are built into one file, and so are read together. */
const OF_A_PERSON = ['person', 'screen', 'fit', 'measure', 'load', 'prescribe', 'block', 'run'] as const;
const fetchPersonSheet = async () => {
  await speakOf(...OF_A_PERSON);
  return import('./routes/PersonSheet');
};
const PersonSheet = lazyView(fetchPersonSheet, 'PersonSheet');
const FloorView = lazyView(() => import('./views/visit/floor/FloorView'), 'FloorView', 'floor');
const ExercisesView = lazyView(
  () => import('./views/practice/exercises/ExercisesView'),
  'ExercisesView',
  'exercises',
);
const KitView = lazyView(() => import('./views/practice/kit/KitView'), 'KitView', 'kit');
const SafetyView = lazyView(() => import('./views/practice/safety/SafetyView'), 'SafetyView', 'safety');
const ReportView = lazyView(() => import('./views/person/report/ReportView'), 'ReportView', 'report');
const WeekView = lazyView(() => import('./views/practice/safety/WeekView'), 'WeekView', 'safety');
const RespondersView = lazyView(
  () => import('./views/practice/safety/RespondersView'),
  'RespondersView',
  'safety',
);
const MeasuresView = lazyView(
  () => import('./views/practice/measures/MeasuresView'),
  'MeasuresView',
  'measures',
);
const PapersView = lazyView(() => import('./views/practice/papers/PapersView'), 'PapersView', 'papers');
const ImportExportView = lazyView(
  () => import('./views/practice/import-export/ImportExportView'),
  'ImportExportView',
  'import-export',
);
const AccountView = lazyView(() => import('./views/access/account/AccountView'), 'AccountView', 'account');
const AccountsView = lazyView(() => import('./views/access/account/AccountsView'), 'AccountsView', 'account');
const ArchivedView = lazyView(
  () => import('./views/practice/archived/ArchivedView'),
  'ArchivedView',
  'archived',
);
const GuideView = lazyView(() => import('./views/learn/guide/GuideView'), 'GuideView', 'guide');
const AuditView = lazyView(() => import('./views/practice/audit/AuditView'), 'AuditView', 'audit');
const PractiseView = lazyView(
  () => import('./views/learn/practise/PractiseView'),
  'PractiseView',
  'practise',
);
const SessionSheet = lazyView(
  () => import('./routes/SessionSheet'),
  'SessionSheet',
  'record',
  ...OF_A_PERSON,
);
const SignInPage = lazyView(() => import('./views/access/sign-in/SignInPage'), 'SignInPage', 'sign-in');
const NotFound = lazyView(() => import('./views/practice/today/NotFound'), 'NotFound', 'today');

/** Says which view is shown: where the code of another is still being fetched, the address is ahead of it. */
function ViewShown(): null {
  const { pathname } = useLocation();
  useEffect(() => viewShownAt(pathname), [pathname]);
  return null;
}

function startApp(): void {
  applyTheme();
  keepKeys();
  listenToOtherTabs(queries);
  writeAsThePractice(queries);
  followLockState(queries);
  if (lockState.get() === 'unlocked') startWorking(queries);
  keepApp();
  // A person is opened next, so their sheet is read before: when idle, or as soon as the pointer is on them.
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
            <ViewShown />
            <Suspense fallback={<ReadingSilently />}>
              <Routes>
                <Route
                  element={
                    <Gated signIn={<SignInPage />}>
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
                <Route element={<Frame signIn={<SignInPage />} />}>
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
                  <Route path="import-export" element={<ImportExportView />} />
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
