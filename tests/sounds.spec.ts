import type { Page } from '@playwright/test';
import { holdClock, passUntil } from './held-clock';
import { chooseLink, expect, openPerson, pressKey, test } from './nervato';

/** A note as it is heard: when it begins and how long it is, in s; its pitch; and how loud it is at its loudest, 0–1. */
type Note = { atS: number; lengthS: number; hz: number; peak: number };

const LISTENS_S = 900;

/** Whatever the page plays is rendered instead of sounded, at the time of the page's own clock. */
const listen = (seconds: number): void => {
  const RATE = 8_000;
  const beganMs = performance.now();
  class Heard extends OfflineAudioContext {
    constructor() {
      super(1, seconds * RATE, RATE);
      Object.assign(window, { heard: this });
    }
    override get currentTime(): number {
      return (performance.now() - beganMs) / 1_000;
    }
    override resume(): Promise<void> {
      return Promise.resolve();
    }
  }
  Object.assign(window, { AudioContext: Heard });
};

/** What was played, note by note. A note ends where it falls silent. */
const notesOf = (page: Page): Promise<Note[]> =>
  page.evaluate(async () => {
    const { heard } = window as unknown as { heard: OfflineAudioContext };
    const buffer = await heard.startRendering();
    const samples = buffer.getChannelData(0);
    const rate = buffer.sampleRate;
    const SILENT = 0.002;
    const GAP = rate * 0.004;
    const notes: { from: number; to: number }[] = [];
    for (let at = 0; at < samples.length; at += 1) {
      if (Math.abs(samples[at] ?? 0) < SILENT) continue;
      const last = notes.at(-1);
      if (last && at - last.to < GAP) last.to = at;
      else notes.push({ from: at, to: at });
    }
    return notes.map(({ from, to }) => {
      const crossings: number[] = [];
      let peak = 0;
      for (let at = from + 1; at <= to; at += 1) {
        const [before, now] = [samples[at - 1] ?? 0, samples[at] ?? 0];
        peak = Math.max(peak, Math.abs(now));
        if (before < 0 && now >= 0) crossings.push(at - 1 + before / (before - now));
      }
      const cycles = crossings.length - 1;
      const hz = cycles > 0 ? (cycles * rate) / ((crossings.at(-1) ?? 0) - (crossings[0] ?? 0)) : 0;
      return { atS: from / rate, lengthS: (to - from) / rate, hz, peak };
    });
  });

const near = (hz: number) => (note: Note) => Math.abs(note.hz - hz) < 15;

test('the sounds of a session: pace, turn, ticks, the limit near, and an alarm above them all', async ({
  page,
}) => {
  await page.addInitScript(listen, LISTENS_S);
  await page.goto('/');
  await openPerson(page, 'Odalys Ferrant');
  await chooseLink(page, 'Run');
  await page.getByRole('button', { name: 'Open the session' }).waitFor();
  await holdClock(page);
  for (const next of [/^Inflate left thigh/, 'Next: set 1']) {
    await pressKey(page, 'Space');
    await passUntil(page, page.getByRole('heading', { name: next }));
  }
  await pressKey(page, 'Space');
  await passUntil(page, page.getByTestId('reps'));
  // Nothing more is pressed: the sets and rests run by themselves, and the cuff stays up past its limit.
  const late = page.getByText('Deflate now: the limit is reached').first();
  for (let minute = 0; minute < 12 && !(await late.isVisible()); minute += 1) await page.clock.runFor(60_000);
  await expect(late).toBeVisible();
  await page.clock.runFor(5_000);

  const notes = await notesOf(page);
  const [reps, turns, ticks] = [880, 587, 440].map((hz) => notes.filter(near(hz)));
  if (!reps || !turns || !ticks) throw new Error('Nothing was heard.');

  await test.step('the pace is two notes in turn, the lower at the turn', () => {
    expect(reps.length).toBeGreaterThan(60);
    expect(Math.abs(reps.length - turns.length)).toBeLessThan(5);
    for (const { lengthS } of [...reps, ...turns]) expect(lengthS).toBeLessThan(0.1);
    const [first, second] = reps;
    const turn = turns[0]?.atS ?? 0;
    expect([first?.atS ?? 0, turn, second?.atS ?? 0]).toEqual(
      [first?.atS ?? 0, turn, second?.atS ?? 0].sort((a, b) => a - b),
    );
  });

  await test.step('five soft ticks come before each later set, a second apart', () => {
    expect(ticks).toHaveLength(15);
    const [one, two] = ticks;
    expect((two?.atS ?? 0) - (one?.atS ?? 0)).toBeCloseTo(1, 1);
    expect(Math.max(...ticks.map(({ peak }) => peak))).toBeLessThan(
      Math.min(...reps.map(({ peak }) => peak)),
    );
  });

  await test.step('the alarm is two notes, longer and louder than everything else, and nothing clips', () => {
    const high = notes.filter(near(988));
    expect(high.length).toBeGreaterThan(0);
    const [alarm] = high;
    const low = notes.find((note) => near(740)(note) && note.atS > (alarm?.atS ?? 0));
    expect((low?.atS ?? 0) - (alarm?.atS ?? 0)).toBeCloseTo(0.25, 1);
    const others = notes.filter((note) => note.atS < (alarm?.atS ?? 0));
    expect(alarm?.peak).toBeGreaterThan(1.3 * Math.max(...others.map(({ peak }) => peak)));
    // Once before it, a single note says that the limit is near.
    expect(others.filter(near(740))).toHaveLength(1);
    expect(Math.max(...notes.map(({ peak }) => peak))).toBeLessThan(0.9);
  });
});
