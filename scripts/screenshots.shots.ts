import { expect, test } from '../tests/nervato';
import { VIEWS } from '../tests/views';

// The smaller views are left out: the README shows fewer than twenty pictures.
const NOT_PICTURED = [
  'entries',
  'accounts',
  'audit',
  'account',
  'add-person',
  'screened',
  'pressures',
  'by-feel',
  'at home',
  'explain',
  'guide',
  'import-export',
  'log',
  'measures',
  'paper',
  'practise',
  'responders',
  'safety',
  'week',
];

// One picture of each main view from the demo data, as the README shows them.
for (const { name, open } of VIEWS.filter((view) => !NOT_PICTURED.includes(view.name))) {
  test(`picture of ${name}`, async ({ page }) => {
    await page.goto('/');
    await open(page);
    await page.waitForTimeout(400);
    await page.screenshot({ path: `docs/screenshots/${name}.png` });
  });
}

test('picture of the live session on a phone, in the floor theme and in German', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('nervato-theme', 'floor'));
  await page.goto('/');
  await VIEWS.find(({ name }) => name === 'live')?.open(page);
  await page.evaluate(() => localStorage.setItem('nervato-language', 'de'));
  await page.setViewportSize({ width: 390, height: 844 });
  await page.reload();
  // A page that comes back to a cuff that was up asks for it first.
  await page.getByRole('button', { name: 'Noch aufgepumpt, weiter' }).click();
  await expect(page.getByText('Pause übrig', { exact: true }).or(page.getByTestId('reps'))).toBeVisible();
  await expect(page.getByRole('button', { name: 'Personen verbergen' })).toHaveCount(0);
  await page.screenshot({ path: 'docs/screenshots/live-phone.png' });
});

test('picture of the plan at home, on a phone', async ({ page }) => {
  await page.goto('/');
  await VIEWS.find(({ name }) => name === 'at home')?.open(page);
  await page.setViewportSize({ width: 390, height: 844 });
  for (const yes of await page.getByRole('radio', { name: 'Yes' }).all()) await yes.click();
  await page.getByRole('button', { name: '1', exact: true }).click();
  for (const next of ['That is how it is', 'Begin', 'Inflated', 'Start set 1'])
    await page.getByRole('button', { name: next }).click();
  await page.waitForTimeout(1_200);
  await page.screenshot({ path: 'docs/screenshots/home-phone.png' });
});

test('picture of measuring on a tablet', async ({ page }) => {
  await page.setViewportSize({ width: 820, height: 1180 });
  await page.goto('/');
  await page.getByRole('button', { name: 'Show people' }).click();
  await VIEWS.find(({ name }) => name === 'measure')?.open(page);
  await page.getByRole('button', { name: 'Hide people' }).click();
  await page.screenshot({ path: 'docs/screenshots/measure-tablet.png' });
});
