import { expect, it } from 'vitest';
import { sessionLoad } from './session-load';

const of = (effort: number | null, minutes: number | null) =>
  sessionLoad({ effort, startedAtMs: 0, finishedAtMs: minutes === null ? null : minutes * 60_000 });

it('is effort times minutes, and unknown without either', () => {
  expect(of(6, 24)?.value).toBe(144);
  expect(of(6.5, 20.4)?.value).toBe(130);
  expect(of(0, 24)?.value).toBe(0);
  expect(of(null, 24)).toBeNull();
  expect(of(6, null)).toBeNull();
});
