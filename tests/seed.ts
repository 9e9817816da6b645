const SEED = 'NERVATO_TEST_SEED';
/** CI judges every change by the same draws; elsewhere each run draws again, and sees more. */
const OF_CI = 1;

/** The seed of all property tests of a run; whatever this process starts inherits it. */
export function testSeed(): number {
  process.env[SEED] ??= String(process.env.CI ? OF_CI : Math.floor(Math.random() * 2 ** 31));
  return Number(process.env[SEED]);
}
