import { chooseLink, draftWith, expect, inDemonstration, openPerson, pick, test } from './nervato';
import { Weeks } from './weeks';

test('a draft says why it is the best, another way is taken and taken back, and a warm-up goes by its lift', async ({
  page,
}) => {
  await page.goto('/');
  await openPerson(page, 'Rufus Tarnholm');
  await chooseLink(page, 'Prescribe');
  await pick(page.getByLabel('Plan', { exact: true }), 'A new plan');
  const drafts = page.getByRole('region', { name: 'Drafts' });
  const order = page.getByRole('list', { name: 'Exercises in order' });

  await test.step('both thighs, by size: the best, and why', async () => {
    await draftWith(page, 'Limbs', 'both thighs');
    await expect(drafts.getByRole('button', { name: /^Best \d+ of 100/ })).toHaveAttribute(
      'aria-pressed',
      'true',
    );
    await drafts.getByText('Why this one').click();
    await expect(drafts.getByRole('row', { name: /^Makes the load asked for/ })).toContainText(
      '25 % of 1RM asked for',
    );
    await expect(drafts.getByRole('row', { name: /^Together/ })).toContainText('of 100');
    await expect(order.getByRole('listitem').filter({ hasText: 'Knee extension' })).not.toHaveCount(0);
  });

  await test.step('a shorter one, and back', async () => {
    const before = await order.getByRole('listitem').count();
    await drafts.getByRole('button', { name: /^Shorter/ }).click();
    await expect.poll(() => order.getByRole('listitem').count()).toBeLessThan(before);
    await drafts.getByRole('button', { name: /^Best/ }).click();
    await expect.poll(() => order.getByRole('listitem').count()).toBe(before);
  });

  await test.step('a warm-up before deadlifts: hips, both at once, the lift in the sitting', async () => {
    await draftWith(page, 'Goal', 'Warm-up');
    await draftWith(page, 'Lift', 'deadlift');
    await expect(order).toContainText('Hip hinge');
    await expect(order).toContainText('both, standing');
    await expect(page.getByText(/Deadlift/).first()).toBeVisible();
  });

  await test.step('at home nothing is drafted that only the gym has', async () => {
    await draftWith(page, 'Goal', 'Aerobic');
    await draftWith(page, 'Where', 'at home');
    await expect(order).toContainText('Walking');
  });
});

test('what a draft lacks leads on, and a cuff that is missing is added without losing the girth', async ({
  page,
}) => {
  await page.goto('/');
  await openPerson(page, 'Maren Holdwick');

  await test.step('work above the rung offers the rung', async () => {
    await chooseLink(page, 'Prescribe');
    await draftWith(page, 'Goal', 'Size');
    await expect(page.getByText(/^No draft: .*the right thigh is on isometric/)).toBeVisible();
    await page.getByRole('button', { name: 'Draft the rung isometric' }).click();
    await expect(page.getByRole('list', { name: 'Exercises in order' })).toContainText('Quad set');
  });

  await test.step('no cuff fits: the kit’s form has the range, and the girth is still there', async () => {
    await chooseLink(page, 'Fit');
    await page.getByRole('radio', { name: /^Left thigh/ }).check({ force: true });
    await page.getByLabel('Girth of the left thigh').fill('90');
    await page.getByRole('link', { name: 'Add such a cuff' }).click();
    await expect(page.getByLabel('Girth from')).toHaveValue('82');
    await expect(page.getByLabel('Girth to')).toHaveValue('98');
    await page.getByLabel('Name', { exact: true }).fill('Thigh extra');
    await page.getByLabel('Bladder width').fill('13');
    await pick(page.getByLabel('Shape', { exact: true }), 'contoured');
    await pick(page.getByLabel('Bladder', { exact: true }), 'single');
    await pick(page.getByLabel('Can fully occlude', { exact: true }), 'yes');
    await page.getByLabel('Highest pressure, mmHg').fill('300');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByLabel('Girth of the left thigh')).toHaveValue('90');
    await expect(page.getByRole('radio', { name: /^Thigh extra/ })).toBeChecked();
  });
});

test('where the search for a draft cannot be read, that is said, and it is done once it can', async ({
  page,
}) => {
  await page.route(/planning\.worker/, (route) => route.abort());
  await page.goto('/');
  await openPerson(page, 'Rufus Tarnholm');
  await chooseLink(page, 'Prescribe');
  await pick(page.getByLabel('Plan', { exact: true }), 'A new plan');
  await expect(page.getByText(/^The server cannot be reached/)).toBeVisible();
  await page.unroute(/planning\.worker/);
  await page.getByRole('button', { name: 'Draft again' }).click();
  await expect(page.getByRole('list', { name: 'Exercises in order' })).toBeVisible();
});

inDemonstration(
  'a painful knee: the provoking test before and after, and a flare-up that the review answers',
  async ({ page }) => {
    await page.goto('/');
    const name = 'Eskil Rowanwood';
    const weeks = await Weeks.of(page, name);

    await inDemonstration.step('pain relief plans the provoking test around the work', async () => {
      await openPerson(page, name);
      await chooseLink(page, 'Prescribe');
      await pick(page.getByLabel('Plan', { exact: true }), 'A new plan');
      await draftWith(page, 'Goal', 'Pain relief');
      await expect(page.getByText(/provoking test/i).first()).toBeVisible();
      await page.getByRole('button', { name: /^Sign as/ }).click();
      await expect(page.getByRole('list', { name: 'Plans' })).toBeVisible();
    });

    await inDemonstration.step(
      'calm, then the joint hurts: the review takes load away, and says why',
      async () => {
        await weeks.live(2, async () => ({ comes: true, effort: 6, jointPain: 1 }));
        await weeks.live(1, async () => ({ comes: true, effort: 6, jointPain: 7 }));
        await openPerson(page, name);
        await chooseLink(page, 'Run');
        await expect(page.getByText(/% 1RM → .* % 1RM: Joint pain reached 7 of 10/).first()).toBeVisible();
      },
    );
  },
);
