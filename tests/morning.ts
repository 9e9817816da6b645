/**
 * The time zone in which it is mid-morning now. Journeys speak of today, of the hour before and of this evening; run around
 * midnight they would speak of two days. Server and browser take their zone from the environment.
 * @example zoneOfMorning(new Date('2026-05-04T23:30:00Z')) //=> 'Etc/GMT-11', where it is 10:30
 */
function zoneOfMorning(now: Date): string {
  const hoursAhead = ((MORNING_HOUR - now.getUTCHours() + 36) % 24) - 12;
  // The names of these zones count westwards.
  return hoursAhead < 0 ? `Etc/GMT+${-hoursAhead}` : `Etc/GMT-${hoursAhead}`;
}

const MORNING_HOUR = 10;

/** Lets this process, and what it starts, live in the morning. A worker, started in the midst of a run, keeps the run’s zone. */
export function liveInTheMorning(): void {
  if (process.env.TEST_WORKER_INDEX === undefined) process.env.TZ = zoneOfMorning(new Date());
}
