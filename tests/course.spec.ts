import type { Page } from '@playwright/test';
import {
  choose,
  chooseLink,
  daysPass,
  expect,
  inDemonstration,
  openPerson,
  pick,
  pressKey,
  test,
} from './nervato';

/** "2026-11-27T10:30" in the page's own time, some minutes before now by the demonstration's clock. */
const minutesAgo = (page: Page, minutes: number): Promise<string> =>
  page.evaluate(async (ago) => {
    const { nowMs } = await (await fetch('/api/clock')).json();
    const at = new Date(nowMs - ago * 60_000);
    const two = (figure: number) => String(figure).padStart(2, '0');
    return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}T${two(at.getHours())}:${two(at.getMinutes())}`;
  }, minutes);

async function enterSession(page: Page, sign?: string): Promise<void> {
  await chooseLink(page, 'Run');
  await page.getByRole('button', { name: /^Enter a session of/ }).click();
  const [day = '', time = ''] = (await minutesAgo(page, 30)).split('T');
  await page.getByLabel('It began on', { exact: true }).fill(day);
  await page.getByLabel('At', { exact: true }).fill(time);
  if (sign) {
    await page.getByText('Anything felt or seen').click();
    await page.getByLabel(sign).check();
  }
  await page.getByRole('button', { name: 'All as planned' }).click();
  const effort = page.getByLabel('Effort, set 2');
  await effort.first().fill('25');
  await page.getByRole('button', { name: 'Enter it' }).click();
  await expect(page.getByText('From 0 to 10.')).toBeVisible();
  await effort.first().fill('7');
  await page.getByRole('button', { name: 'Enter it' }).click();
  await expect(page.getByText(/Entered later/)).toBeVisible();
}

inDemonstration(
  'a block is lived through: a day missed, one done late, the review answered, and a red sign',
  { tag: '@days' },
  async ({ page }) => {
    await page.goto('/');
    await openPerson(page, 'Odalys Ferrant');
    const turn = (words: RegExp) => expect(page.getByRole('list', { name: 'Plans' })).toContainText(words);

    await inDemonstration.step('a block of the plan that is signed, from today', async () => {
      await chooseLink(page, 'Prescribe');
      await page.getByRole('radio', { name: 'A block of weeks' }).click();
      await pick(page.getByLabel('Start from'), 'In season');
      for (const day of ['Sat', 'Sun']) {
        await page.getByRole('group', { name: 'Can come on' }).getByLabel(day).check();
      }
      await expect(page.getByText('24 sessions in 12 weeks')).toBeVisible();
      await page.getByRole('button', { name: 'Keep the block' }).click();
      await expect(page.getByRole('button', { name: 'Kept' })).toBeVisible();
      await chooseLink(page, 'Run');
      await turn(/In the block today\./);
    });

    await inDemonstration.step('it is missed, and made up the day after', async () => {
      await daysPass(page, 1);
      await openPerson(page, 'Odalys Ferrant');
      await chooseLink(page, 'Run');
      await turn(/A missed session, made up today\./);
    });

    await inDemonstration.step(
      'done late on paper: it fills the missed one, and its review is answered by one key',
      async () => {
        await enterSession(page);
        await page.getByRole('button', { name: /^Accept/ }).click();
        await expect(page.getByText('Accepted.')).toBeVisible();
        await openPerson(page, 'Odalys Ferrant');
        await chooseLink(page, 'Run');
        await turn(/In the block on /);
        await chooseLink(page, 'Prescribe');
        await page.getByRole('radio', { name: 'A block of weeks' }).click();
        await expect(page.getByText(/24 sessions in 12 weeks: 1 done, 0 missed, 23 to come/)).toBeVisible();
      },
    );

    await inDemonstration.step('the next is missed; one with a red sign holds her', async () => {
      await daysPass(page, 3);
      await openPerson(page, 'Odalys Ferrant');
      await chooseLink(page, 'Prescribe');
      await page.getByRole('radio', { name: 'A block of weeks' }).click();
      await expect(page.getByText(/1 done, 1 missed/)).toBeVisible();
      await enterSession(page, 'Dizzy');
      await openPerson(page, 'Odalys Ferrant');
      await expect(page.getByRole('navigation', { name: 'Chain' })).toContainText('Dizzy');
      await expect(page.getByRole('list', { name: 'Course' })).toContainText(/Left thigh, done/);
    });
  },
);

test('a known person is at a signed version from a template in five touches, and a second plan is kept with the first', async ({
  page,
}) => {
  await page.goto('/');
  await openPerson(page, 'Rufus Tarnholm');
  await chooseLink(page, 'Prescribe');
  await page.getByRole('button', { name: 'Keep as a template' }).click();
  await page.getByLabel('Name of the template').fill('Thighs, both');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByLabel('Name of the template')).toHaveCount(0);

  let touches = 0;
  const touch = async (what: Promise<unknown>) => {
    touches += 1;
    await what;
  };
  await touch(openPerson(page, 'Odalys Ferrant'));
  await touch(chooseLink(page, 'Prescribe'));
  await touch(pick(page.getByLabel('Plan', { exact: true }), 'A new plan'));
  await touch(choose(page, 'Template', 'Thighs, both'));
  await expect(page.getByText('A new plan: Left thigh, any day')).toBeVisible();
  await touch(page.getByRole('button', { name: /^Sign as/ }).click());
  const plans = page.getByRole('list', { name: 'Plans' });
  await expect(plans.getByRole('listitem')).toHaveCount(2);
  expect(touches).toBeLessThanOrEqual(5);
  // Both are offered; the one that was signed now is in hand, and a key goes on to the other.
  await expect(plans.getByRole('button', { pressed: true })).toContainText('Not begun yet');
  await pressKey(page, 'n');
  await expect(plans.getByRole('button', { pressed: true })).toContainText('Last done');
});

test('heavy work in one line makes it the turn of the plan that comes after it', async ({ page }) => {
  await page.goto('/');
  await openPerson(page, 'Rufus Tarnholm');
  await chooseLink(page, 'Run');
  const finisher = page
    .getByRole('list', { name: 'Plans' })
    .getByRole('listitem')
    .filter({ hasText: 'Arms, to finish with' });
  await expect(finisher).toContainText('after heavy work. None today.');
  await chooseLink(page, 'Load');
  const heavy = page.getByRole('region', { name: 'Heavy work' });
  await heavy.getByRole('button', { name: 'As then, today' }).click();
  await expect(heavy.getByRole('listitem')).toHaveCount(2);
  // What was typed wrong is said at its field, and nothing is kept without it.
  await heavy.getByRole('button', { name: 'Note heavy work' }).click();
  await heavy.getByLabel('Effort 0–10').fill('hard');
  await heavy.getByRole('button', { name: 'Save' }).click();
  await expect(heavy.getByText('Choose an exercise.')).toBeVisible();
  await expect(heavy.getByText('Enter the load.')).toBeVisible();
  await expect(heavy.getByText('Enter a number.')).toBeVisible();
  await chooseLink(page, 'Run');
  await expect(finisher).toContainText('Heavy work was done today.');
  // The week's account counts it beside the sets under the cuff.
  await chooseLink(page, 'Prescribe');
  const quadriceps = page.getByRole('row', { name: /^Quadriceps, left thigh/i });
  await expect(quadriceps.getByRole('cell').nth(4)).toHaveText('6');
});

test('a heavy lift of the sitting is kept as heavy work, with the figures of last time offered', async ({
  page,
}) => {
  await page.goto('/');
  await openPerson(page, 'Rufus Tarnholm');
  const clientId = /people\/([^/]+)/.exec(page.url())?.[1];
  const { facts } = await (await page.request.get(`/api/clients/${clientId}`)).json();
  await page.goto(`/sessions/${facts.sessions[0].id}`);
  await page.getByText('Adjuncts', { exact: true }).click();
  await page.getByRole('button', { name: 'Adjuncts: mobility' }).click();
  await page.getByRole('menuitemradio', { name: 'a heavy lift' }).click();
  await page.getByRole('button', { name: 'Note it' }).click();
  const lift = page.getByRole('region', { name: 'Heavy lift' });
  await expect(lift.getByLabel('Load')).toHaveValue('140');
  await lift.getByLabel('Load').fill('142.5');
  await lift.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('A heavy lift: Leg press 3 × 5 × 142.5 kg')).toBeVisible();
  await page.goto(`/people/${clientId}/load`);
  await expect(page.getByRole('region', { name: 'Heavy work' })).toContainText('Leg press 3 × 5 × 142.5 kg');
});

inDemonstration(
  'a knee climbs a rung: two tolerated sessions, the questions, and its work opens without a signature',
  async ({ page }) => {
    const next = async (touch: () => Promise<void>) => {
      await openPerson(page, 'Maren Holdwick');
      await touch();
    };
    await page.goto('/');
    await next(async () => {
      await chooseLink(page, 'Prescribe');
      await expect(page.getByText(/Stay: isometric\. 0 of 2 sessions/)).toBeVisible();
      await page.getByRole('button', { name: /^Sign as/ }).click();
      await expect(page.getByRole('list', { name: 'Plans' })).toContainText('Right thigh');
    });
    for (const session of [1, 2]) {
      await inDemonstration.step(`session ${session}`, async () => {
        await daysPass(page, 2);
        await next(async () => {
          await enterSession(page);
          // The rung has more than one exercise: all of them are accepted at once.
          await page
            .getByRole('button', { name: /^Accept/ })
            .first()
            .click();
          await expect(page.getByText('Accepted.').first()).toBeVisible();
        });
      });
    }
    await inDemonstration.step(
      'up: what is asked is answered, and the unloaded work that was signed is what opens',
      async () => {
        await next(async () => {
          await chooseLink(page, 'Prescribe');
          await expect(page.getByText(/Up: unloaded\. 2 sessions tolerated on this rung\./)).toBeVisible();
          const asked = page.getByRole('group', { name: 'Pain at rest or in daily life' });
          await asked.getByRole('button', { name: '1', exact: true }).click();
          await page.getByLabel('Swelling is going down').check();
          await page.getByLabel('The clinician agrees').check();
          await page.getByRole('button', { name: 'Enter unloaded' }).click();
          await expect(page.getByText(/Stay: unloaded\. 0 of 2 sessions/)).toBeVisible();
          await expect(page.getByRole('list', { name: 'Exercises in order' })).toContainText('Heel slide');
          await chooseLink(page, 'Run');
          await expect(page.getByText('Right thigh: isometric → unloaded, as it was checked.')).toBeVisible();
          await expect(page.getByText('Heel slide').first()).toBeVisible();
        });
      },
    );
  },
);
