/**
 * How often something is tried: as `npm run attack` says, else what a run of all tests can afford.
 * @param everyDay for `npm test`
 */
export const attackRuns = (everyDay: number): number => Number(process.env.NERVATO_ATTACK_RUNS ?? everyDay);
