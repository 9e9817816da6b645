import { spawn } from 'node:child_process';
import { build, installChromium, installPackages, ROOT } from './set-up.mjs';

// `npm run test:days`: whatever depends on the date, on other days than the fixed one: fourteen in a row, over both changes of
// clocks and a month's end, then over a year's end; at night, in the morning and before midnight; in two time zones. It takes
// most of an hour. `-- 2026-10-25 2026-12-31` runs these days.
const DAYS = [
  ...Array.from({ length: 14 }, (_, day) => new Date(Date.UTC(2026, 9, 20 + day)).toISOString().slice(0, 10)),
  '2026-12-31',
  '2027-01-01',
];
const TIMES = ['00:10', '09:00', '23:50'];
const ZONES = ['Europe/Berlin', 'America/New_York'];

/** Unit and API tests that look at a clock, or at the demo practice, which is loaded as of a day. */
const DATED = [
  'demo/load.test.ts',
  'server/db/old-databases.test.ts',
  'server/interchange/archive/archive.test.ts',
  'server/interchange/clinical',
  'server/routes/blocks.test.ts',
  'server/routes/calendar.test.ts',
  'server/routes/clock.test.ts',
  'server/trouble.test.ts',
  'web/views/person/block',
];

installPackages();
installChromium();
build();
const asked = process.argv.slice(2);
const days = DAYS.map((day, place) => ({ day, place })).filter(
  ({ day }) => asked.length === 0 || asked.includes(day),
);
const failed = [];
let runs = 0;

function passes(moment, zone, command) {
  runs += 1;
  const child = spawn('npx', command, {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
    // It takes an hour, beside whatever else the machine does: nothing is to fail by time.
    env: {
      NERVATO_TESTS_SLOWNESS: '20',
      ...process.env,
      NERVATO_TEST_NOW: `${moment}:00`,
      NERVATO_TEST_ZONE: zone,
    },
  });
  return new Promise((done) => {
    child.once('exit', (status) => {
      if (status !== 0) failed.push(`${moment} in ${zone}: ${command.slice(0, 2).join(' ')}`);
      done();
    });
  });
}

for (const { day, place } of days) {
  // Each loads the demo practice as of its moment, which keeps one core busy: two of them side by side.
  for (const time of TIMES)
    await Promise.all(
      ZONES.map((zone) => passes(`${day}T${time}`, zone, ['vitest', 'run', '--maxWorkers=1', ...DATED])),
    );
  // The journeys take longer: each day they have another time and zone.
  const [time, zone] = [TIMES[place % TIMES.length], ZONES[place % ZONES.length]];
  await passes(`${day}T${time}`, zone, ['playwright', 'test', '--grep', '@days', '--reporter=line']);
  console.log(`${day}: ${failed.length} of ${runs} runs failed so far`);
}
for (const one of failed) console.error(`failed: ${one}`);
console.log(`${runs - failed.length} passed, ${failed.length} failed`);
process.exit(failed.length > 0 ? 1 : 0);
