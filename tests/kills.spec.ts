import { killWhileWriting } from './kill-while-writing';
import { expect, withOwnServer as test } from './nervato';

// The short form of `npm run prove:kills`, which `npm run attack` runs too.
test('a server that is ended in the middle of writing has lost nothing it had acknowledged', async ({
  nervato,
}) => {
  const { acknowledged, lost } = await killWhileWriting(nervato, 2, '33333333-3333-4333-8333-333333333333');
  expect(acknowledged).toBeGreaterThanOrEqual(2);
  expect(lost).toBe(0);
});
