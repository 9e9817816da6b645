/** Heart rate on a session's clock, at even steps; null where nothing was received. */
export type HeartRateTrace = { fromAtMs: number; everyMs: number; beatsPerMinute: (number | null)[] };
