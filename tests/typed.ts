import type { Page } from '@playwright/test';
import { isMessage } from '#core/message';

/** Follows what people typed, as it comes to a page in answers of the server: every text that is no template of a message. */
export function followTyped(page: Page): () => Promise<ReadonlySet<string>> {
  const typed = new Set<string>();
  const reading: Promise<void>[] = [];
  page.on('response', (answer) => {
    if (answer.headers()['content-type']?.includes('json'))
      reading.push(
        answer.json().then(
          (body) => textsIn(body, typed),
          // The page has gone on, and the answer with it.
          () => undefined,
        ),
      );
  });
  return () => Promise.all(reading).then(() => typed);
}

function textsIn(value: unknown, into: Set<string>): void {
  if (typeof value === 'string') into.add(value);
  else if (Array.isArray(value)) for (const one of value) textsIn(one, into);
  else if (isMessage(value)) textsIn(value.values, into);
  else if (typeof value === 'object' && value !== null)
    for (const one of Object.values(value)) textsIn(one, into);
}
