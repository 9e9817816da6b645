import type { Printed } from '#contract/audit';
import { api } from './api';

/**
 * What is printed while this address is shown.
 * @example printedAt('/people/p1/sheet/operator') //=> { subject: 'p1', view: 'sheet' }
 * @example printedAt('/kit') //=> null
 */
export function printedAt(path: string): Printed | null {
  const [place, first, second] = path.split('/').slice(1);
  if (!first) return null;
  if (place === 'people' && first !== 'new') return { subject: first, view: second ?? 'person' };
  if (place === 'sessions') return { subject: first, view: 'session' };
  if (place === 'papers' && second) return { subject: second, view: first };
  return null;
}

/** Reports to the server what of a person is printed, for the record of who did what. Without it a print is only not written down. */
export function tellOfPrints(): void {
  window.addEventListener('beforeprint', () => {
    const printed = printedAt(window.location.pathname);
    if (printed) void api.audit.printed.$post({ json: printed }).catch(() => undefined);
  });
}
