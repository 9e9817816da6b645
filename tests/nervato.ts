import { type ChildProcess, type ChildProcessByStdio, spawn } from 'node:child_process';
import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Readable, Writable } from 'node:stream';
import {
  type Browser,
  type BrowserContext,
  type BrowserContextOptions,
  test as base,
  expect,
  type Locator,
  type Page,
} from '@playwright/test';
import getPort from 'get-port';
import { PRACTITIONERS } from '#demo/practice';
import { JOURNEY_SERVER } from './build-journey-server';
import { demoFile } from './demo-file';
import { ON_THE_FIXED_DAY, testsAheadMs } from './fixed-day';
import { untilItStands } from './go-to';
import { moveDate } from './move-date.mjs';

/** The settings of every server of a journey. */
const serverEnvironment = (port: number) => ({
  ...process.env,
  NODE_ENV: 'production',
  NERVATO_WEB_ROOT: './dist/web',
  NERVATO_PORT: String(port),
  NERVATO_LOG_LEVEL: 'warn',
  // Journeys hold the page's clock and let it run ahead.
  NERVATO_CLOCK_AHEAD_MS: String(24 * 3_600_000),
});

/** The production server in a process of its own, on a database of its own; it can be killed and started again there. */
export class Nervato {
  private child: ChildProcess | undefined;
  private constructor(
    private readonly folder: string,
    private readonly port: number,
  ) {}

  /** What the server has said since it was started. */
  said = '';

  /** @param data the demonstration's, or none: a practice before its first start */
  static async start(data: 'demonstration' | 'none' = 'demonstration'): Promise<Nervato> {
    const nervato = new Nervato(newFolder(), await getPort());
    if (data === 'demonstration') copyFileSync(demoFile(), nervato.database);
    await nervato.startServer();
    return nervato;
  }

  private get database(): string {
    return join(this.folder, 'journey.sqlite');
  }

  get address(): string {
    return `http://localhost:${this.port}`;
  }

  async startServer(): Promise<void> {
    this.said = '';
    const child = spawn(process.execPath, [ON_THE_FIXED_DAY, 'dist/server/main.js'], {
      env: { ...serverEnvironment(this.port), NERVATO_DB: this.database },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.child = child;
    await new Promise((done, fail) => {
      child.stdout.on('data', (text) => {
        this.said += text;
        if (this.said.includes('Nervato is at')) done(null);
      });
      child.once('exit', () => fail(new Error('The server ended before it listened.')));
    });
  }

  /** Ends the server the hard way, in the middle of whatever it does. */
  async kill(): Promise<void> {
    const child = this.child;
    if (!child) return;
    this.child = undefined;
    await new Promise((done) => {
      child.removeAllListeners('exit').once('exit', done);
      child.kill('SIGKILL');
    });
  }

  async end(): Promise<void> {
    await this.kill();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

const newFolder = (): string => mkdtempSync(join(tmpdir(), 'nervato-journey-'));

/** The server of a worker: one process for all its journeys, each of which begins with the demo practice as it was loaded. */
class JourneyServer {
  private readonly folder = newFolder();
  private begun = 0;
  private constructor(
    private readonly child: ChildProcessByStdio<Writable, Readable, null>,
    readonly address: string,
  ) {}

  static async start(): Promise<JourneyServer> {
    const port = await getPort();
    const child = spawn(process.execPath, [ON_THE_FIXED_DAY, JOURNEY_SERVER], {
      env: serverEnvironment(port),
      stdio: ['pipe', 'pipe', 'inherit'],
    });
    return new JourneyServer(child, `http://localhost:${port}`);
  }

  /** A journey begins. @param isDemo whether its clock can be moved on */
  async begin(isDemo: boolean): Promise<void> {
    this.begun += 1;
    const file = join(this.folder, `${this.begun}.sqlite`);
    copyFileSync(demoFile(), file);
    const { child } = this;
    await new Promise((done, fail) => {
      child.stdout.once('data', done);
      child.once('exit', () => fail(new Error('The server of the journeys ended.')));
      child.stdin.write(`${JSON.stringify({ file, isDemo })}\n`);
    });
    child.removeAllListeners('exit');
  }

  async end(): Promise<void> {
    const ended = new Promise((done) => this.child.once('exit', done));
    this.child.stdin.end();
    await ended;
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/** Signs a practitioner of the demonstration in on the device a page is of; it is in on every page of that context from then on. */
export async function signIn(
  context: BrowserContext,
  address: string,
  practitionerId: (typeof PRACTITIONERS)[number]['id'] = 'ines',
): Promise<void> {
  const account = PRACTITIONERS.find(({ id }) => id === practitionerId)?.account;
  const answer = await context.request.post(`${address}/api/sign-in`, { data: account });
  if (!answer.ok()) throw new Error(`${practitionerId} was not let in: ${await answer.text()}`);
}

/** A device without a sign-in; its clock shows the day of the tests. */
export async function newDevice(browser: Browser, options: BrowserContextOptions): Promise<BrowserContext> {
  const context = await browser.newContext(options);
  await liveOnTheFixedDayToo(context);
  return context;
}

const liveOnTheFixedDayToo = (context: BrowserContext): Promise<unknown> =>
  context.addInitScript(moveDate, testsAheadMs());

/** Another device, with a page of its own, with its own sign-in. */
export async function otherDevice(
  browser: Browser,
  address: string,
  practitionerId: (typeof PRACTITIONERS)[number]['id'] = 'ines',
): Promise<Page> {
  const context = await newDevice(browser, { baseURL: address });
  await signIn(context, address, practitionerId);
  return context.newPage();
}

/** The device changes hands, as it does from one practitioner to the next. */
export async function workAs(
  page: Page,
  practitionerId: 'ines' | 'tobias' | 'hana' | 'oswin',
): Promise<void> {
  await page.getByRole('button', { name: /^Account of/ }).click();
  await page.getByRole('button', { name: /^Lock, or hand on/ }).click();
  await expect(page.getByRole('heading', { name: 'This device is locked' })).toBeVisible();
  const { account, name } = PRACTITIONERS.find(({ id }) => id === practitionerId) ?? {};
  await page.getByLabel('Name').fill(account?.name ?? '');
  await page.getByLabel('Passphrase').fill(account?.passphrase ?? '');
  await pressKey(page, 'Enter');
  await expect(page.getByRole('button', { name: new RegExp(`Account of ${name}`) })).toBeVisible();
}

/** Where the pages of a journey find their server. */
type Served = { nervato: { readonly address: string } };

/** A browser test on the demo practice as it was loaded; a clinician is signed in. */
export const test = base.extend<Served, { journeys: JourneyServer }>({
  context: async ({ context, nervato }, use) => {
    await liveOnTheFixedDayToo(context);
    await signIn(context, nervato.address);
    const refusals: string[] = [];
    context.on('console', (message) => {
      if (message.text().includes('Content Security Policy')) refusals.push(message.text());
    });
    await use(context);
    expect(refusals, 'nothing of the app asks for what the policy of its page refuses').toEqual([]);
  },
  journeys: [
    // biome-ignore lint/correctness/noEmptyPattern: Playwright reads the names of the fixtures from this pattern
    async ({}, use) => {
      const journeys = await JourneyServer.start();
      await use(journeys);
      await journeys.end();
    },
    { scope: 'worker' },
  ],
  nervato: async ({ journeys }, use) => {
    await journeys.begin(false);
    await use(journeys);
  },
  baseURL: async ({ nervato }, use) => use(nervato.address),
});

/** The same in a demonstration, whose clock can be moved on. */
export const inDemonstration = test.extend({
  nervato: async ({ journeys }, use) => {
    await journeys.begin(true);
    await use(journeys);
  },
});

/** The same with a server in a process of its own, which can be killed. */
export const withOwnServer = test.extend<{ nervato: Nervato }>({
  // biome-ignore lint/correctness/noEmptyPattern: Playwright reads the names of the fixtures from this pattern
  nervato: async ({}, use) => {
    const nervato = await Nervato.start();
    await use(nervato);
    await nervato.end();
  },
});

/** So many days pass in a demonstration. */
export async function daysPass(page: Page, days: number): Promise<void> {
  await page.getByRole('link', { name: 'Tidewater Lane' }).click();
  for (let day = 0; day < days; day += 1) {
    const said = page.getByRole('region', { name: 'Clock of the demonstration' }).locator('p').first();
    const before = await said.textContent();
    await page.getByRole('button', { name: 'One day on' }).click();
    await expect(said).not.toHaveText(before ?? '');
  }
}

/** Presses a key once the page listens: its view is shown and is not being read any more. */
export async function pressKey(page: Page, key: string): Promise<void> {
  await untilItStands(page);
  await page.keyboard.press(key);
}

/** Opens a person's sheet from the list of people, as a practitioner does. */
export async function openPerson(page: Page, name: string): Promise<void> {
  await page.getByRole('navigation', { name: 'People' }).getByRole('link', { name }).click();
  await expect(page.getByRole('main').getByRole('heading', { level: 1 })).toHaveText(name);
}

/** Chooses another word in a sentence whose words are the controls. */
export async function choose(page: Page, what: string, word: string): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^${what}: `) }).click();
  await page.getByRole('menuitemradio', { name: word, exact: true }).click();
}

/** Chooses another word of what a draft is asked for, and waits for that draft. */
export async function draftWith(page: Page, what: string, word: string): Promise<void> {
  await choose(page, what, word);
  await expect(page.getByRole('button', { name: `${what}: ${word}`, exact: true })).toBeVisible();
  await untilItStands(page);
}

/** Chooses a link of the chain. */
export const chooseLink = (page: Page, link: string): Promise<void> =>
  page
    .getByRole('navigation', { name: 'Chain' })
    .getByRole('link', { name: new RegExp(`^\\w+ ${link}`) })
    .click();

/** Chooses one of several from the list of a field. @param option the words it has in the list */
export async function pick(field: Locator, option: string): Promise<void> {
  await field.click();
  await field.page().getByRole('option', { name: option, exact: true }).click();
}

/** Screens a person with nothing else on record, and sees it there. */
export async function screenAsClear(page: Page): Promise<void> {
  await answerScreening(page);
  await expect(page.getByText(/Screenings on record/)).toBeVisible();
}

/** Answers every question with no by keyboard, takes two readings and records. */
export async function answerScreening(page: Page): Promise<void> {
  await expect(page.getByRole('heading', { name: 'Screen' })).toBeVisible();
  await pressKey(page, 'n');
  await pressKey(page, 'Shift+N');
  for (const reading of ['First', 'Second']) {
    await page.getByLabel(`${reading}, upper`).fill('124');
    await page.getByLabel(`${reading}, lower`).fill('78');
  }
  await expect(page.getByText('Clear to start', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Record the screening' }).click();
}

/** Reads the consent with a person who has not said anything yet: one key, once the check on the day is made. */
export async function agree(page: Page): Promise<void> {
  await expect(page.getByRole('button', { name: 'Read with them: they agree' })).toBeVisible();
  await pressKey(page, 'a');
  await expect(page.getByRole('region', { name: 'Consent' })).toHaveCount(0);
}

/** The check on the day by keyboard alone: all well, pain 1, record. */
export async function checkOnTheDay(page: Page): Promise<void> {
  await expect(page.getByRole('region', { name: 'Check on the day' })).toBeVisible();
  await pressKey(page, 'w');
  await pressKey(page, '1');
  await pressKey(page, 'Enter');
}

/** The review of the last session accepted by one key, where it waits for an answer (rule REV-10). */
export async function acceptReviewIfAsked(page: Page): Promise<void> {
  const review = page.getByRole('region', { name: 'Next time' });
  const after = page
    .getByRole('region', { name: 'Check on the day' })
    .or(page.getByRole('button', { name: 'Open the session' }))
    .or(page.getByRole('link', { name: 'Go on with the open session' }));
  // The review may come only once the record has been read again: what stood there before it gives way to it.
  await expect(async () => {
    if (await review.isVisible()) {
      await pressKey(page, 'a');
      await expect(review).toHaveCount(0);
    }
    expect([await after.isVisible(), await review.isVisible()]).toEqual([true, false]);
  }).toPass();
}

/** The same, for a person who may have been checked already. */
export async function checkOnTheDayIfAsked(page: Page): Promise<void> {
  await acceptReviewIfAsked(page);
  const form = page.getByRole('region', { name: 'Check on the day' });
  const ready = page.getByRole('button', { name: 'Open the session' });
  await expect(form.or(ready)).toBeVisible();
  if (await form.isVisible()) await checkOnTheDay(page);
  await expect(ready).toBeVisible();
}

/** From any page the session of a person who is ready, open, before the cuff goes up. */
export async function openSession(page: Page, person: string): Promise<void> {
  await openPerson(page, person);
  await chooseLink(page, 'Run');
  await checkOnTheDayIfAsked(page);
  await page.getByRole('button', { name: 'Open the session' }).click();
  await expect(page.getByRole('heading', { name: /^Inflate/ })).toBeVisible();
}

export { expect };
