import type { Page } from '@playwright/test';
import {
  checkOnTheDayIfAsked,
  chooseLink,
  expect,
  openPerson,
  openSession,
  otherDevice,
  pick,
  pressKey,
  test,
  withOwnServer,
} from './nervato';
import { patientMs } from './patience';

const dock = (page: Page) => page.getByRole('region', { name: 'Cuff dock' });
const saved = (page: Page) => page.getByText('All saved on the server');

test('a session open on two devices stays the same on both, and both may act', async ({
  page,
  browser,
  nervato,
}) => {
  await page.goto('/');
  await openSession(page, 'Odalys Ferrant');
  const other = await otherDevice(browser, nervato.address);
  await other.goto('/');
  await expect(dock(other).getByText('No cuff is inflated.')).toBeVisible();
  await pressKey(page, 'Space');
  await expect(dock(other).getByRole('link', { name: 'Odalys Ferrant, left thigh' })).toBeVisible();
  await dock(other).getByRole('button', { name: 'Release left thigh' }).click();
  await expect(dock(page).getByText('No cuff is inflated.')).toBeVisible();
  await other.context().close();
});

test('ten tabs share one stream: all open, all hear, and one that goes is followed by the next', async ({
  page,
  browser,
  nervato,
}) => {
  await page.goto('/');
  const tabs = [page];
  for (let tab = 1; tab < 10; tab += 1) {
    const next = await page.context().newPage();
    await next.goto(nervato.address);
    await expect(dock(next).getByText('No cuff is inflated.')).toBeVisible();
    tabs.push(next);
  }
  // The first tab read for all; now another one has to.
  const [first, second, ...others] = tabs;
  if (!first || !second) throw new Error('There are ten tabs.');
  await first.close();
  const elsewhere = await otherDevice(browser, nervato.address);
  await elsewhere.goto('/');
  await openSession(elsewhere, 'Odalys Ferrant');
  await pressKey(elsewhere, 'Space');
  for (const tab of [second, ...others]) {
    await expect(dock(tab).getByRole('link', { name: 'Odalys Ferrant, left thigh' })).toBeVisible();
  }
  await elsewhere.context().close();
});

test('the floor has a lane for each session, takes one in hand by a figure, and does the next thing in one touch', async ({
  page,
}) => {
  await page.goto('/');
  await openSession(page, 'Odalys Ferrant');
  await pressKey(page, 'Space');
  await openSession(page, 'Rufus Tarnholm');
  await pressKey(page, 'g');
  await pressKey(page, 'o');
  const lane = (name: string) =>
    page.getByRole('main').getByRole('listitem').filter({ hasText: name }).first();
  await expect(lane('Odalys Ferrant')).toContainText('Left thigh');
  await expect(lane('Rufus Tarnholm')).toContainText('cuff down');
  await page.getByRole('button', { name: 'Inflated for Rufus Tarnholm' }).click();
  await expect(lane('Rufus Tarnholm')).toContainText('Right thigh');
  await page.getByRole('button', { name: 'Start set 1 for Odalys Ferrant' }).click();
  await expect(lane('Odalys Ferrant')).toContainText('of 30');
  const dock = page.getByRole('region', { name: 'Cuff dock' });
  await expect(dock).toContainText(/\d cuffs up, the longest/);
  await expect(dock.getByRole('button')).toHaveCount(0);
  // A figure takes a lane in hand; the keys of a live session then work for it.
  await pressKey(page, '2');
  const inHand = page.locator('li[aria-current="true"]');
  await expect(inHand).toHaveCount(1);
  await pressKey(page, 'r');
  await expect(inHand).toContainText('cuff down');
  await pressKey(page, 'Enter');
  await expect(page).toHaveURL(/\/sessions\//);
});

test.describe('without a server', () => {
  withOwnServer.use({ serviceWorkers: 'allow' });

  withOwnServer(
    'with the server gone, a session survives a reload, is finished, and arrives whole',
    async ({ page, nervato }) => {
      await page.goto('/');
      // The interface and what it reads are kept on the device from the first visit that it controls.
      await page.evaluate(async () => {
        await navigator.serviceWorker.ready;
      });
      await openSession(page, 'Odalys Ferrant');
      await pressKey(page, 'Space');
      await expect(page.getByRole('heading', { name: 'Next: set 1' })).toBeVisible();
      await pressKey(page, 'Space');
      await expect(page.getByTestId('reps')).toBeVisible();
      await expect(saved(page)).toBeVisible();
      await page.reload();
      await expect(page.getByTestId('reps')).toBeVisible();

      await nervato.kill();
      await pressKey(page, '-');
      await expect(page.getByText(/kept on this device, not yet on the server/)).toBeVisible();
      await page.reload();
      await expect(page.getByTestId('reps')).toBeVisible();
      await pressKey(page, 'Space');
      await expect(page.getByRole('button', { name: /Release/ }).first()).toBeVisible();
      // Twice within a moment, which a slow machine may not manage at once.
      await expect(async () => {
        await pressKey(page, 'Escape');
        await pressKey(page, 'Escape');
        await expect(page.getByRole('button', { name: 'Released' })).toBeVisible({
          timeout: patientMs(2_000),
        });
      }).toPass();
      await page.getByRole('button', { name: 'Released' }).click();
      await page.getByRole('button', { name: 'Finish and keep the record' }).click();
      await expect(page.getByRole('columnheader', { name: 'Joint pain' })).toBeVisible();

      await nervato.startServer();
      await expect(saved(page)).toBeVisible();
      const other = await page.context().newPage();
      await other.goto(page.url());
      await expect(other.getByText(/Stopped: Stopped by the operator/)).toBeVisible();
      await expect(other.getByText(/corrected -1|corrected −1/)).toBeVisible();
    },
  );
});

test('the bench offers a change after a short set, corrections are undone, and the review is answered', async ({
  page,
}) => {
  await page.goto('/');
  await openSession(page, 'Odalys Ferrant');
  await pressKey(page, 'Space');
  await expect(page.getByRole('heading', { name: 'Next: set 1' })).toBeVisible();
  await pressKey(page, 'Space');
  await expect(page.getByTestId('reps')).toContainText('1 / 30');
  await pressKey(page, 'Space');
  await expect(page.getByText(/Set one ended at .* of 30/)).toBeVisible();
  await pressKey(page, 'n');
  await expect(page.getByText(/Set one ended at/)).toHaveCount(0);
  await pressKey(page, '+');
  await pressKey(page, 'c');
  await expect(page.getByRole('button', { name: 'Undo the colour' })).toBeVisible();
  await pressKey(page, 'u');
  await pressKey(page, 'u');
  await expect(page.getByRole('button', { name: /^Undo/ })).toHaveCount(0);
  await pressKey(page, 'Escape');
  await pressKey(page, 'Escape');
  await page.getByRole('button', { name: 'Released' }).click();
  await page.getByRole('button', { name: 'Finish and keep the record' }).click();
  await expect(page.getByText('0 corrections, 2 taken back.')).toBeVisible();
  await expect(page.getByText(/set 1: .* left\./)).toBeVisible();

  await test.step('an edit past a limit is refused, a declined review needs a reason', async () => {
    await page.getByRole('button', { name: 'Edit for Knee extension' }).click();
    await page.getByLabel('Pressure', { exact: true }).fill('40');
    await expect(page.getByText(/90 % of LOP is above 80 %\. why: Pressure limits\(PRS-3\)/)).toBeVisible();
    await page.getByRole('button', { name: 'Decline for Knee extension' }).click();
    await expect(page.getByRole('button', { name: 'Decline', exact: true })).toBeDisabled();
    await page.getByLabel('Reason').fill('a bad day, same again');
    await page.getByRole('button', { name: 'Decline', exact: true }).click();
    await expect(page.getByText('Declined: a bad day, same again.')).toBeVisible();
  });

  await test.step('the day after is noted, and numbness holds the next session', async () => {
    const after = page.getByRole('region', { name: 'The day after' });
    await after.getByRole('radiogroup', { name: 'Numbness' }).getByRole('radio', { name: 'Yes' }).click();
    await after.getByRole('button', { name: 'Note' }).click();
    await expect(after.getByText(/Asked: soreness 0 of 10.*numbness/)).toBeVisible();
    await openPerson(page, 'Odalys Ferrant');
    await chooseLink(page, 'Run');
    await expect(page.getByText(/^Numbness, after the last session: until/).first()).toBeVisible();
  });

  await test.step('the next draft goes by the answer', async () => {
    await chooseLink(page, 'Prescribe');
    await expect(page.getByText(/Declined: a bad day, same again/)).toBeVisible();
    await expect(page.getByLabel('Pressure', { exact: true })).toHaveValue('50');
  });
});

withOwnServer(
  'a regulated pump inflates, holds, reports and releases; its loss is said, and hands go on',
  async ({ page, nervato }) => {
    await page.goto('/');
    await openSession(page, 'Odalys Ferrant');
    await page.getByText('Pump', { exact: true }).first().click();
    await pick(page.getByLabel('Pump'), 'simulated regulated pump');
    await expect(page.getByText('It reports')).toBeVisible();
    await pressKey(page, 'Space');
    await expect(dock(page).getByRole('link', { name: 'Odalys Ferrant, left thigh' })).toBeVisible();
    // 50 % of 175.3 mmHg, down to the gauge's division.
    await expect(dock(page).getByText('86 mmHg')).toBeVisible();
    await pressKey(page, 'r');
    await expect(dock(page).getByText('No cuff is inflated.')).toBeVisible();
    await expect(page.getByText('It reports 0 mmHg')).toBeVisible();
    await pressKey(page, 'Space');
    await expect(dock(page).getByRole('link', { name: 'Odalys Ferrant, left thigh' })).toBeVisible();
    await nervato.kill();
    await expect(
      page.getByText('The pump’s stream is lost: read the gauge and go on by hand.'),
    ).toBeVisible();
    await pressKey(page, 'r');
    await expect(dock(page).getByText('No cuff is inflated.')).toBeVisible();
  },
);

test('a strap by feel is tightened to its mark, and looked at after every set', async ({ page }) => {
  await page.goto('/');
  await openPerson(page, 'Leocadia Brandt');
  await chooseLink(page, 'Prescribe');
  await expect(
    page.getByText('By feel: people misjudge it, and the pressure is not known.').first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Sign as Ines Marrable' }).click();
  await checkOnTheDayIfAsked(page);
  await page.getByRole('button', { name: 'Open the session' }).click();
  await expect(page.getByRole('heading', { name: 'Tighten left thigh to mark 6' })).toBeVisible();
  await pressKey(page, 'Space');
  await expect(dock(page).getByText('by feel')).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Next: .* set 1/ })).toBeVisible();
  await pressKey(page, 'Space');
  await expect(page.getByTestId('reps')).toBeVisible();
  await pressKey(page, 'Space');
  await expect(page.getByRole('heading', { name: 'Look: colour good, no tingling?' })).toBeVisible();
  await page.getByRole('button', { name: 'Not', exact: true }).click();
  const decision = page.getByRole('alertdialog', { name: 'Colour or feeling is not good' });
  await expect(decision).toContainText('Left thigh at mark 6.');
  await decision.getByRole('button', { name: 'Loosen' }).click();
  await expect(decision).toHaveCount(0);
  await expect(page.getByText(/^By feel, at mark 5/)).toBeVisible();
  await page.getByRole('button', { name: 'Loosen by one mark or turn' }).click();
  await expect(page.getByText(/^By feel, at mark 4/)).toBeVisible();
});
