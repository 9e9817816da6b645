import type { Locator, Page } from '@playwright/test';
import { untilItStands } from './go-to';
import { holdClock, passUntil } from './held-clock';
import { expect, Nervato, newDevice, test } from './nervato';

/** A hand on a page, which counts what it does. */
class Hand {
  keys = 0;
  clicks = 0;
  constructor(private readonly page: Page) {}

  async type(text: string): Promise<void> {
    this.keys += text.length;
    await this.page.keyboard.type(text);
  }

  async press(...keys: string[]): Promise<void> {
    for (const key of keys) {
      this.keys += 1;
      await untilItStands(this.page);
      await this.page.keyboard.press(key);
    }
  }

  async click(where: Locator): Promise<void> {
    this.clicks += 1;
    await where.click();
  }
}

test('a new practice is at the first repetition of its first person within 30 clicks and 100 keys, and has its first record', {
  tag: '@days',
}, async ({ browser }) => {
  const nervato = await Nervato.start('none');
  try {
    await expect(() => expect(nervato.said).toMatch(/first start: \w+/)).toPass();
    const words = /first start: (.+)/.exec(nervato.said)?.[1] ?? '';
    const page = await (await newDevice(browser, { baseURL: nervato.address })).newPage();
    const hand = new Hand(page);
    const button = (name: string | RegExp) => page.getByRole('button', { name });
    await page.goto('/');
    await expect(page.getByLabel('The four words')).toBeFocused();

    await test.step('the practice, in one form', async () => {
      await hand.type(words);
      for (const text of ['Quay', 'Petra S']) {
        await hand.press('Tab');
        await hand.type(text);
      }
      await hand.press('Tab', 'Tab');
      await hand.type('kettles on a');
      await hand.press('Enter');
    });

    await test.step('the first person, screened', async () => {
      await hand.click(page.getByLabel('Name', { exact: true }).first());
      await hand.type('Quill S');
      await hand.press('Enter');
      await expect(page.getByRole('heading', { name: 'Screen' })).toBeVisible();
      await hand.press('n', 'Shift+N');
      await hand.click(page.getByLabel('First, upper'));
      for (const [place, reading] of ['124', '78', '124', '78'].entries()) {
        if (place > 0) await hand.press('Tab');
        await hand.type(reading);
      }
      await hand.click(button('Record the screening'));
      await expect(page.getByText(/Screenings on record/)).toBeVisible();
    });

    await test.step('fitted and measured twice', async () => {
      const chain = page.getByRole('navigation', { name: 'Chain' });
      await hand.click(chain.getByRole('link', { name: /Fit/ }));
      await hand.click(page.locator('label').filter({ hasText: 'Left thigh' }).first());
      await hand.click(page.getByLabel('Girth of the left thigh'));
      await hand.type('54');
      await expect(page.getByRole('radio', { name: /Thigh cuff, medium/ })).toBeChecked();
      await hand.click(button(/^Record the fit|^Record/));
      for (const trial of [1, 2]) {
        if (trial > 1) await hand.click(button('It has been 60 s already'));
        await hand.click(page.getByLabel('Gauge reading in mmHg'));
        await hand.type('150');
        await hand.click(button(/Pulse gone/));
        for (let step = 0; step < 2; step += 1) await hand.click(button(/^−4/));
        await hand.click(button(/Pulse back/));
      }
      await hand.click(button(/^Record 144/));
      await expect(chain).toContainText('144');
    });

    await test.step('the draft that is there is signed, and the session open', async () => {
      await hand.click(
        page.getByRole('navigation', { name: 'Chain' }).getByRole('link', { name: /Prescribe/ }),
      );
      await hand.click(button(/^Sign as/));
      await expect(page.getByRole('region', { name: 'Check on the day' })).toBeVisible();
      await hand.press('w', '1', 'Enter');
      await hand.click(button('Read with them: they agree'));
      await button('Open the session').waitFor();
      await holdClock(page);
    });

    await test.step('primed, inflated, and at the first repetition', async () => {
      // What Space does now, where something is to be done: open, inflate, deflate, and begin the first set.
      const asked = page.getByRole('main').locator('button:enabled').filter({ hasText: 'Space' });
      for (let isBegun = false; !isBegun; ) {
        await passUntil(page, asked);
        isBegun = (await asked.textContent())?.startsWith('Start set 1') ?? false;
        await hand.press('Space');
        await page.clock.runFor(2_000);
      }
      await passUntil(page, page.getByTestId('reps').filter({ hasText: /^[1-9]\d* \/ 30$/ }));
      expect(hand.clicks).toBeLessThanOrEqual(30);
      expect(hand.keys).toBeLessThanOrEqual(100);
    });

    await test.step('stopped, deflated, and on record', async () => {
      await hand.press('Escape', 'Escape');
      await expect(page.getByText('Emergency number:')).toBeVisible();
      await hand.press('r');
      await passUntil(page, page.getByText('No cuff is inflated.'));
      await hand.press('Space');
      await passUntil(page, page.getByRole('columnheader', { name: 'Joint pain' }));
      await passUntil(page, page.getByText('All saved on the server'));
    });
  } finally {
    await nervato.end();
  }
});
