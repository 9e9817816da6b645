import { expect, openSession, pressKey, test } from './nervato';

test('a page that loads while a cuff is up leaves the room of the dock, and nothing moves once it is there', async ({
  page,
}) => {
  await page.goto('/');
  await openSession(page, 'Odalys Ferrant');
  await pressKey(page, 'Space');
  await expect(page.getByRole('region', { name: 'Cuff dock' }).getByText('86 mmHg')).toBeVisible();
  await expect(page.getByText('All saved on the server')).toBeVisible();
  const top = async () => (await page.getByRole('link', { name: 'Exercises', exact: true }).boundingBox())?.y;
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Cuff dock' }).getByText('86 mmHg')).toBeVisible();
  const there = await top();
  // What draws the dock is held back, so that the page is seen without it.
  await page.route('**/assets/LiveShell-*.js', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 1_500));
    await route.continue();
  });
  await page.reload();
  await expect(page.getByText('Training now')).toBeVisible();
  expect(Math.abs(((await top()) ?? 0) - (there ?? 0))).toBeLessThanOrEqual(1);
});
