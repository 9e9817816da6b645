import 'fake-indexeddb/auto';
import { beforeEach, expect, it, vi } from 'vitest';

const KEY = btoa('0123456789abcdef0123456789abcdef');
const OTHER = btoa('fedcba9876543210fedcba9876543210');
const page = async () => {
  vi.resetModules();
  return import('./sealed');
};
beforeEach(async () => {
  await (await page()).dropKeys();
});

it('seals what lies on the device, and opens it for its person on another page too', async () => {
  const here = await page();
  await here.takeKey('ines', KEY);
  const sealed = await here.seal('ines', { name: 'Wilmot Saltash' });
  expect(new TextDecoder().decode((sealed as { data: ArrayBuffer }).data)).not.toContain('Saltash');
  const later = await page();
  expect(await later.unseal('ines', sealed)).toEqual({ name: 'Wilmot Saltash' });
});

it('opens nothing once the device was locked, until the key is there again, and never for another', async () => {
  const here = await page();
  await here.takeKey('ines', KEY);
  const sealed = await here.seal('ines', 'a record');
  await here.dropKeys();
  const later = await page();
  expect(await later.unseal('ines', sealed)).toBeUndefined();
  await later.takeKey('tobias', OTHER);
  expect(await later.unseal('tobias', sealed)).toBeUndefined();
  await later.takeKey('ines', KEY);
  expect(await later.unseal('ines', sealed)).toBe('a record');
});

it('goes on sealing for who was in while the page lives: a cuff may be up when a screen is locked', async () => {
  const here = await page();
  await here.takeKey('ines', KEY);
  await here.dropKeys();
  expect(await here.seal('ines', 'an event')).toHaveProperty('data');
});
