import { createRoot } from 'react-dom/client';
import { keepApp } from './data/service-worker';
import { InLanguage } from './language/InLanguage';
import { applyTheme } from './theme/theme';
import { HomeView } from './views/visit/home/HomeView';

// The page of a home link alone: no account, no person's name, nothing of the practice but its telephone.
applyTheme();
keepApp();

const root = document.getElementById('root');
const secret = window.location.hash.slice(1);
if (root)
  createRoot(root).render(
    <InLanguage>
      <HomeView key={secret} secret={secret} />
    </InLanguage>,
  );
// Another link opened in the same tab changes nothing but what is behind the `#`.
window.addEventListener('hashchange', () => window.location.reload());
