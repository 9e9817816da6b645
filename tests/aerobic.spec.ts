import { holdClock, passUntil } from './held-clock';
import {
  checkOnTheDayIfAsked,
  choose,
  chooseLink,
  expect,
  openPerson,
  pick,
  pressKey,
  test,
} from './nervato';

test('a cyclist goes by heart rate: a strap is worn, compared with the zone, and minute 5 is noted by itself', async ({
  page,
}) => {
  await page.goto('/');
  await test.step('prescribed by heart rate', async () => {
    await openPerson(page, 'Odalys Ferrant');
    await chooseLink(page, 'Prescribe');
    await pick(page.getByLabel('Plan', { exact: true }), 'A new plan');
    await choose(page, 'Goal', 'Aerobic');
    await choose(page, 'Intensity', 'by heart rate');
    await page.getByLabel('From', { exact: true }).fill('130');
    await expect(
      page.getByText('Fill in every figure, within its range, and the strip comes back.'),
    ).toBeVisible();
    await page.getByLabel('From', { exact: true }).fill('95');
    await page.getByLabel('To', { exact: true }).fill('105');
    await expect(page.getByRole('list', { name: 'Exercises in order' })).toContainText(
      '95–105 beats a minute',
    );
    await page.getByLabel('Set 1, minutes').fill('6');
    await page.getByRole('button', { name: /^Sign as/ }).click();
  });
  await test.step('ridden with a strap', async () => {
    await checkOnTheDayIfAsked(page);
    await page.getByRole('button', { name: 'Open the session' }).click();
    await holdClock(page);
    await passUntil(page, page.getByRole('heading', { name: /^Inflate/ }));
    await page.getByRole('button', { name: 'Simulated' }).click();
    await pressKey(page, 'Space');
    await passUntil(page, page.getByRole('button', { name: /^Start set 1/ }));
    await pressKey(page, 'Space');
    await passUntil(
      page,
      page.getByText('95–105 beats a minute. Heart rate at minute 5, at 15 and at the end.'),
    );
    const strap = page.getByRole('region', { name: 'Heart-rate strap' });
    await passUntil(page, strap.getByText(/is above the 95–105 of the plan: ease off\./), 200_000);
    await passUntil(page, page.getByText(/^1\d\d at minute 5$/), 300_000);
    const pulse = page.getByLabel(/^Heart rate/);
    await pulse.fill('19');
    await pulse.press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: 'At least 30.' })).toBeVisible();
    await pulse.fill('121');
    await pulse.press('Enter');
    await expect(page.getByText(/^121 at minute/)).toBeVisible();
    await expect(pulse).toHaveValue('');
  });
});
