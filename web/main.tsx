import './theme/theme.css';
import { registerSW } from 'virtual:pwa-register';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { z } from 'zod';
import { ApiProblem } from './data/api';
import { followServerClock } from './data/clock';
import { followOtherDevices, listenToOtherTabs } from './data/live-session';
import { sendOutbox } from './data/outbox';
import { Frame } from './shell/Frame';
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

const router = createBrowserRouter([
  {
    path: 'people/:clientId/sheet/:reader',
    lazy: () => import('./views/sheet/SheetView').then(({ SheetView }) => ({ Component: SheetView })),
  },
  {
    Component: Frame,
    children: [
      { index: true, Component: Today },
      {
        path: 'people/new',
        lazy: () =>
          import('./views/add-person/AddPerson').then(({ AddPerson }) => ({ Component: AddPerson })),
      },
      {
        path: 'people/:clientId/:bench?',
        lazy: () => import('./routes/PersonSheet').then(({ PersonSheet }) => ({ Component: PersonSheet })),
      },
      {
        path: 'floor',
        lazy: () => import('./views/floor/FloorView').then(({ FloorView }) => ({ Component: FloorView })),
      },
      {
        path: 'exercises',
        lazy: () =>
          import('./views/exercises/ExercisesView').then(({ ExercisesView }) => ({
            Component: ExercisesView,
          })),
      },
      {
        path: 'kit',
        lazy: () => import('./views/kit/KitView').then(({ KitView }) => ({ Component: KitView })),
      },
      {
        path: 'practise',
        lazy: () =>
          import('./views/practise/PractiseView').then(({ PractiseView }) => ({ Component: PractiseView })),
      },
      {
        path: 'sessions/:sessionId',
        lazy: () => import('./routes/SessionSheet').then(({ SessionSheet }) => ({ Component: SessionSheet })),
      },
      {
        path: '*',
        lazy: () => import('./views/today/NotFound').then(({ NotFound }) => ({ Component: NotFound })),
      },
    ],
  },
]);

// The content policy forbids code made from text, which zod would otherwise try for speed.
z.config({ jitless: true });
applyTheme();
followServerClock();
listenToOtherTabs(queries);
followOtherDevices(queries);
void sendOutbox();

registerSW({ immediate: true });

const root = document.getElementById('root');
if (!root) throw new Error('The page has no root element.');
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <RouterProvider router={router} />
    </QueryClientProvider>
  </StrictMode>,
);
