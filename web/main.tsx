import './no-eval';
import './theme/theme.css';
import { HOME_PATH } from '#contract/home-path';
import { PRINT_PATH } from '#contract/print';
import { speak, speakOf } from './language/language';

// Words are made as modules are read, so nothing with words in it is read before the language is there.
const { pathname, search } = window.location;
await speak(pathname === PRINT_PATH ? new URLSearchParams(search).get('language') : undefined);

// A page for the server's own print follows no feed and keeps nothing, so that it is soon at rest.
if (pathname === PRINT_PATH) {
  await speakOf('report');
  await import('./print');
}
// Who trains at home has no account: a page of its own, which keeps itself for when there is no network.
else if (pathname === HOME_PATH) {
  await speakOf('home');
  await import('./home');
} else {
  await speakOf('today');
  await import('./app');
}
