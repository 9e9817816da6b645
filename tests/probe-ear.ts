import type { Page } from '@playwright/test';

/** Longer than a breath, which moves the pressure that stops flow. */
const LISTEN_MS = 4_300;

/**
 * An operator who listens to the probe: follows the device stream the page has opened, and says whether there is a pulse.
 * The pressure itself they read from the page, as anyone does.
 */
export class ProbeEar {
  private strength = 1;
  private constructor(private readonly abort: AbortController) {}

  /** Starts listening; `connect` is what makes the page open its stream. */
  static async of(page: Page, connect: () => Promise<unknown>): Promise<ProbeEar> {
    const [request] = await Promise.all([page.waitForRequest(/\/stream$/), connect()]);
    const abort = new AbortController();
    const ear = new ProbeEar(abort);
    const kept = await page.context().cookies();
    void ear.follow(request.url(), kept.map(({ name, value }) => `${name}=${value}`).join('; '));
    return ear;
  }

  /** Whether a pulse is heard within one breath. */
  async hears(): Promise<boolean> {
    const untilMs = Date.now() + LISTEN_MS;
    await pause(250);
    while (Date.now() < untilMs) {
      if (this.strength > 0) return true;
      await pause(50);
    }
    return false;
  }

  stop(): void {
    this.abort.abort();
  }

  private async follow(url: string, cookie: string): Promise<void> {
    try {
      const answer = await fetch(url, { signal: this.abort.signal, headers: { cookie } });
      for await (const part of answer.body ?? []) {
        const last = new TextDecoder()
          .decode(part)
          .match(/"strength":([\d.e-]+)/g)
          ?.at(-1);
        if (last) this.strength = Number(last.split(':')[1]);
      }
    } catch {
      // The stream ends with the test.
    }
  }
}

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));
