/** Heart rate on a session's clock, at even steps, with the watts of the machine where they came along; null where nothing was received. */
export type HeartRateTrace = {
  fromAtMs: number;
  everyMs: number;
  beatsPerMinute: (number | null)[];
  watts?: (number | null)[] | undefined;
};
