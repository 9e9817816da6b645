import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it, onTestFinished } from 'vitest';
import { readPeople } from '#server/db/client-facts';
import { openDatabase } from '#server/db/database';
import { Lines } from '#server/live/lines';
import { loadDemo } from './load';

it('loads one person ready to run, one with a pressure out of date and one on hold, and only once', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'nervato-demo-'));
  const orm = await openDatabase(join(folder, 'demo.sqlite'));
  onTestFinished(async () => {
    await orm.close();
    rmSync(folder, { recursive: true });
  });
  const nowMs = Date.UTC(2026, 4, 4, 12);
  expect(await loadDemo(orm, nowMs)).toBe(true);
  expect(await loadDemo(orm, nowMs)).toBe(false);
  const { people } = await readPeople(orm.em.fork(), { search: '', page: 0 }, new Lines(), nowMs);
  const states = (name: string) =>
    people.find((person) => person.name === name)?.chain.map(({ state }) => state);
  expect(states('Odalys Ferrant')).toEqual(Array(6).fill('good'));
  expect(states('Brisa Okonvale')?.[2]).toBe('due');
  expect(states('Cassian Wetherhold')?.[0]).toBe('held');
});
