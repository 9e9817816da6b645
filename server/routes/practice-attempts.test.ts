import { expect, it } from 'vitest';
import type { PracticeBench } from '#contract/practice-attempt';
import type { Message } from '#core/message';
import { englishOf } from '#language/english-of.fixture';
import { inEnglish } from '#language/render';
import { startApi, type Who } from '../api.fixture';

const attempt = { seed: 4, statedMmHg: 150, highestMmHg: 180, elapsedMs: 90_000, noticed: [] };

it('scores attempts at the practice bench on the server, for each practitioner alone', async () => {
  const api = await startApi();
  const score = await api.post<{ points: number }>('/practice-attempts', attempt);
  expect(score.points).toBeLessThanOrEqual(100);
  expect(await api.get('/practice-attempts')).toMatchObject({
    attempts: [{ points: score.points, method: 'doppler' }],
    toShare: [],
    agreement: null,
  });
  expect((await api.call('GET', '/practice-attempts', undefined, 'colin')).body).toMatchObject({
    attempts: [],
  });
  const { problem } = await api.refused('/practice-attempts', { ...attempt, statedMmHg: 5 });
  expect(problem.errors[0]?.path).toBe('statedMmHg');
});

it('lets a colleague measure the same limbs, and says how far apart the two were at first', async () => {
  const api = await startApi();
  const bench = async (who: Who) =>
    (await api.call('GET', '/practice-attempts', undefined, who)).body as PracticeBench;
  for (const [seed, statedMmHg] of [
    [4, 150],
    [5, 160],
    [6, 170],
  ])
    await api.post('/practice-attempts', { ...attempt, seed, statedMmHg, method: 'palpation', limbs: 'leg' });
  const { toShare } = await bench('colin');
  expect(toShare.map(({ seed }) => seed)).toEqual([4, 5, 6]);
  for (const [place, apart] of [4, -2, 4].entries()) {
    const statedMmHg = [150, 160, 170][place] as number;
    const json = { ...attempt, ...toShare[place], statedMmHg: statedMmHg + apart };
    await api.call('POST', '/practice-attempts', json, 'colin');
  }
  // Knowing the truth makes it easy: only the first attempt counts.
  await api.call('POST', '/practice-attempts', { ...attempt, ...toShare[0], statedMmHg: 200 }, 'colin');
  // The same seed by another method is another limb.
  await api.call('POST', '/practice-attempts', { ...attempt, seed: 5, statedMmHg: 90 }, 'colin');
  const agreement = { cases: 3, meanMmHg: 2, limits: { lowMmHg: -4.8, highMmHg: 8.8 } };
  expect(await bench('colin')).toMatchObject({ toShare: [], agreement });
  expect((await bench('clara')).agreement).toMatchObject({ cases: 3, meanMmHg: -2 });
  expect(JSON.stringify(await bench('colin'))).not.toMatch(/clara/i);
});

it('plays a simulated session again from what was done, and scores that', async () => {
  const api = await startApi();
  const nothing = await api.post<{ points: number; lost: { words: Message }[] }>('/session-attempts', {
    seed: 3,
    endMs: 10_000,
    actions: [{ atMs: 1_000, do: 'squeeze' }],
  });
  expect(nothing.lost.map(({ words }) => inEnglish(words))).toContain('no set was done');
  expect(await api.get('/session-attempts')).toMatchObject([{ points: nothing.points }]);
  expect((await api.call('GET', '/session-attempts', undefined, 'colin')).body).toEqual([]);
  const { problem } = await api.refused('/session-attempts', {
    seed: 3,
    endMs: 10_000,
    actions: [
      { atMs: 900, do: 'squeeze' },
      { atMs: 200, do: 'release' },
    ],
  });
  expect(englishOf(problem.errors[0]?.message)).toMatch(/in the order/);
});
