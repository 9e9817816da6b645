import { newVersion } from '../state/new-version';
import { onceLoaded } from './once-loaded';

/**
 * Keeps the whole app on the device once the page has come whole, so that the first view is not held up, and says when a newer
 * one waits. It is taken on request, never during work: then the page is reloaded. (The package's own
 * registration would be 6 kB of every first view.)
 */
export function keepApp(): void {
  onceLoaded(() => void register());
}

async function register(): Promise<void> {
  // Only where the page came over a safe line; in development there is none.
  if (!('serviceWorker' in navigator) || !import.meta.env.PROD) return;
  const registration = await navigator.serviceWorker.register('/sw.js');
  const tell = (worker: ServiceWorker | null) => {
    // The first of all has nothing older to take the place of.
    if (worker?.state !== 'installed' || !navigator.serviceWorker.controller) return;
    newVersion.set(() => {
      navigator.serviceWorker.addEventListener('controllerchange', () => window.location.reload(), {
        once: true,
      });
      worker.postMessage({ type: 'SKIP_WAITING' });
    });
  };
  tell(registration.waiting);
  registration.addEventListener('updatefound', () => {
    const { installing } = registration;
    installing?.addEventListener('statechange', () => tell(installing));
  });
}
