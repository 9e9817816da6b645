import { CHROMIUM } from '../scripts/set-up.mjs';

/** How Debian's Chromium is started, headless and without reaching for the network by itself. */
export const CHROMIUM_LAUNCH = {
  executablePath: CHROMIUM,
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};
