import { holdClock } from './held-clock';
import { expect, test } from './nervato';

test('a phone: its theme is the system’s until one is chosen, and people are one touch away', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.emulateMedia({ colorScheme: 'dark' });
  await page.goto('/');
  const root = page.locator('html');
  await expect(root).toHaveAttribute('data-theme', 'floor');
  await page.emulateMedia({ colorScheme: 'light' });
  await expect(root).toHaveAttribute('data-theme', 'paper');
  await page.getByRole('button', { name: 'Dark floor theme' }).click();
  await page.emulateMedia({ colorScheme: 'dark' });
  await page.emulateMedia({ colorScheme: 'light' });
  await expect(root).toHaveAttribute('data-theme', 'floor');

  const people = page.getByRole('navigation', { name: 'People' });
  await expect(people).toHaveCount(0);
  await page.getByRole('button', { name: 'Show people' }).click();
  await people.getByRole('link', { name: 'Birgitta Somerhall' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Birgitta Somerhall' })).toBeVisible();
  await expect(people).toHaveCount(0);
});

test('a key is its character, wherever it is on a keyboard', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  // As it is typed in Germany: ? with Shift and the key beside 0.
  await page.evaluate(() =>
    document.dispatchEvent(
      new KeyboardEvent('keydown', { key: '?', code: 'Minus', shiftKey: true, bubbles: true }),
    ),
  );
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
});

test('keys pressed before a view is shown are meant for it, and do not block leaving', async ({ page }) => {
  const slow: (() => void)[] = [];
  await page.route('**/assets/KitView-*.js', async (route) => {
    await new Promise<void>((go) => slow.push(go));
    await route.continue();
  });
  await page.goto('/');
  await expect(page.getByText('Who can train now')).toBeVisible();
  await page.getByRole('link', { name: 'Kit and practice' }).click();
  await expect(page).toHaveURL(/\/kit$/);
  // A person who does not wait; a slow machine is to add no time between the two, or before the view stands.
  await holdClock(page);
  await page.evaluate(() => {
    for (const key of ['g', 'x']) {
      const code = `Key${key.toUpperCase()}`;
      document.activeElement?.dispatchEvent(new KeyboardEvent('keydown', { key, code, bubbles: true }));
      document.activeElement?.dispatchEvent(new KeyboardEvent('keyup', { key, code, bubbles: true }));
    }
  });
  await expect.poll(() => slow.length).toBe(1);
  slow[0]?.();
  await expect(page.getByRole('heading', { level: 1, name: 'Exercises' })).toBeVisible();
});
