import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { MemoryRouter } from 'react-router';
import { InLanguage } from '../language/InLanguage';
import { Button } from '../parts/base/Button';
import { applyTheme, toggleTheme } from '../theme/theme';
import { SAMPLES } from './samples';

// Every part in its states, for who builds with them and for their tests; there is no server behind it.
const root = document.getElementById('root');
if (!root) throw new Error('The page has no #root.');
applyTheme();
createRoot(root).render(
  <StrictMode>
    <InLanguage>
      <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { enabled: false } } })}>
        <MemoryRouter>
          {/* The page itself scrolls in the app's frame only. */}
          <main className="h-full space-y-8 overflow-y-auto p-6">
            <div className="flex items-center justify-between">
              <h1 className="text-3xl font-semibold">Parts</h1>
              <Button onClick={toggleTheme}>The other theme</Button>
            </div>
            {SAMPLES.map(({ name, Sample }) => (
              <section key={name} aria-label={name} className="space-y-3 border-t border-ink/40 pt-3">
                <h2 className="text-xl font-semibold">{name}</h2>
                <Sample />
              </section>
            ))}
          </main>
        </MemoryRouter>
      </QueryClientProvider>
    </InLanguage>
  </StrictMode>,
);
