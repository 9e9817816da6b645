const SLOWNESS = 'NERVATO_TESTS_SLOWNESS';
/** How long the work below takes on the machine that the limits were set on, with nothing else to do. */
const USUAL_MS = 40;
/** One that is slower than this is not slow but stuck. */
const MOST = 20;

/**
 * How many times slower this machine is now than the one that the limits of the tests were set on; measured once a run, whatever
 * this process starts inherits it. Nothing fails because a machine is slow or has much else to do.
 */
export function slowness(): number {
  process.env[SLOWNESS] ??= Math.min(MOST, Math.max(1, medianMs() / USUAL_MS)).toFixed(3);
  return Number(process.env[SLOWNESS]);
}

/** A limit in ms, as this machine needs it. @param usualMs many times what is needed where there is nothing else to do */
export const patientMs = (usualMs: number): number => Math.round(usualMs * slowness());

function medianMs(): number {
  const times = Array.from({ length: 5 }, () => {
    const beganMs = performance.now();
    work();
    return performance.now() - beganMs;
  });
  return times.sort((a, b) => a - b)[2] ?? USUAL_MS;
}

/** Some work of the kind that tests do: objects made, sorted and read again. */
function work(): void {
  const rows = Array.from({ length: 20_000 }, (_, row) => ({
    id: (row * 7_919) % 20_011,
    text: `row ${row}`,
  }));
  const text = JSON.stringify(rows.sort((a, b) => a.id - b.id));
  if (JSON.parse(text).length !== rows.length) throw new Error('Work was lost.');
}
