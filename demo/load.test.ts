import { expect, it } from 'vitest';
import { readPeople } from '#server/db/client-facts';
import { demoDatabase } from '#server/demo.fixture';
import { Lines } from '#server/live/lines';
import { loadDemo } from './load';

it('has one person ready to run, one with a pressure out of date and one on hold, and is loaded only once', async () => {
  const { orm } = await demoDatabase();
  const nowMs = Date.now();
  expect(await loadDemo(orm, nowMs)).toBe(false);
  const { people } = await readPeople(orm.em.fork(), { search: '', page: 0 }, new Lines(), nowMs);
  const states = (name: string) =>
    people.find((person) => person.name === name)?.chain.map(({ state }) => state);
  expect(states('Odalys Ferrant')).toEqual(Array(6).fill('good'));
  expect(states('Brisa Okonvale')?.[2]).toBe('due');
  expect(states('Cassian Wetherhold')?.[0]).toBe('held');
});
