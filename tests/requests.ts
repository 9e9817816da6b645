import { setTimeout as pause } from 'node:timers/promises';
import type { BrowserContext, Request } from '@playwright/test';
import { patientMs } from './patience';

/** How long an answer is waited for in real time before it is given up. */
const answerWithinMs = patientMs(30_000);

/** What the pages of a context have asked for and not been given yet; what the server goes on sending counts as given. */
const onTheirWay = new WeakMap<BrowserContext, Set<Request>>();

/** Follows what the pages of a context ask for from now on. */
export function watchRequests(context: BrowserContext): void {
  if (onTheirWay.has(context)) return;
  const asked = new Set<Request>();
  context.on('request', (request) => {
    if (request.resourceType() !== 'eventsource') asked.add(request);
  });
  context.on('requestfinished', (request) => asked.delete(request));
  context.on('requestfailed', (request) => asked.delete(request));
  onTheirWay.set(context, asked);
}

/** Whether nothing that was asked for since `watchRequests` is on its way. */
export const isAnswered = (context: BrowserContext): boolean => (onTheirWay.get(context)?.size ?? 0) === 0;

/** Waits until nothing that was asked for since `watchRequests` is on its way. */
export async function untilAnswered(context: BrowserContext): Promise<void> {
  const giveUpAt = performance.now() + answerWithinMs;
  while (!isAnswered(context) && performance.now() < giveUpAt) await pause(10);
}
