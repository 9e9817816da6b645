import { ROOT } from '../scripts/sources.mjs';
import { moveDate } from './move-date.mjs';

/**
 * Tests take their now from a fixed day, in a fixed time zone: what is green today is green on any day. Runner, servers and pages
 * are moved by the same span, so their clocks agree and go on as clocks do.
 */
const FIXED_NOW = '2026-05-06T10:00:00';
const FIXED_ZONE = 'Europe/Berlin';

/** How far the clocks of this run are from the machine's, in ms; whatever this process starts inherits it. */
export const AHEAD_MS = 'NERVATO_TESTS_AHEAD_MS';

/** What a program of Node.js is started with so that its clock is ahead by what `AHEAD_MS` says. */
export const ON_THE_FIXED_DAY = `--import=${ROOT}tests/fixed-day.preload.mjs`;

const fixedNow = (): string => process.env.NERVATO_TEST_NOW ?? FIXED_NOW;

/** The day and time at which a run of tests begins, on the clock of its zone, and the zone. */
export const momentOfTests = (): string => `${fixedNow()} ${process.env.TZ}`;

/** Moves this process, and what it starts, to the day of the tests. Once a run, before anything looks at a clock. */
export function liveOnTheFixedDay(): void {
  if (process.env[AHEAD_MS] === undefined) {
    process.env.TZ = process.env.NERVATO_TEST_ZONE ?? FIXED_ZONE;
    process.env[AHEAD_MS] = String(aheadOfNowMs());
  }
  moveDate(testsAheadMs());
}

/** How far the clocks of this run are from the machine's, in ms; 0 outside of a run. */
export const testsAheadMs = (): number => Number(process.env[AHEAD_MS] ?? 0);

/** How far the moment at which a run begins is from the clock of this process, in ms. */
export function aheadOfNowMs(): number {
  const fixedMs = new Date(fixedNow()).getTime();
  if (Number.isNaN(fixedMs))
    throw new Error(`NERVATO_TEST_NOW is ${fixedNow()}. Write it like ${FIXED_NOW}, without a zone.`);
  return fixedMs - Date.now();
}
