/** One exchange with the server: when it was asked and answered by this device's clock, and what the server's said. */
export type ClockSample = { sentMs: number; receivedMs: number; serverMs: number };

/**
 * How far the server's clock is ahead of this device's, in ms: by the quickest exchange, since the true offset lies within
 * half its round trip (rule RUN-9).
 * @returns null while there is no exchange to go by
 * @example clockOffsetMs([{ sentMs: 1_000, receivedMs: 1_200, serverMs: 61_100 }]) //=> 60_000
 */
export function clockOffsetMs(samples: readonly ClockSample[]): number | null {
  const quickest = samples.reduce<ClockSample | null>(
    (best, sample) => (best && roundTripMs(best) <= roundTripMs(sample) ? best : sample),
    null,
  );
  return quickest && Math.round(quickest.serverMs - (quickest.sentMs + quickest.receivedMs) / 2);
}

const roundTripMs = ({ sentMs, receivedMs }: ClockSample): number => receivedMs - sentMs;
