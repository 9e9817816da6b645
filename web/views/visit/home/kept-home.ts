import type { HomeSheet, ReportFromHome } from '#contract/home';
import type { Text } from '#core/message';
import type { SessionEvent } from '#core/session';

/** A session under way on this phone: its plan as it was when it began, and its log so far. */
export type RunningAtHome = {
  id: string;
  prescriptionId: string;
  plan: HomeSheet['plan'];
  events: SessionEvent[];
};

/** What this phone keeps of one link, so that it needs no network. */
export type KeptHome = {
  sheet: HomeSheet | null;
  /** When the check of the day was made here, in ms; null before. */
  checkedAtMs: number | null;
  running: RunningAtHome | null;
  /** What the practice has not taken yet, the oldest first. */
  unsent: ReportFromHome[];
  /** Why it refused what it refused. */
  refused: Text[];
};

const NOTHING: KeptHome = { sheet: null, checkedAtMs: null, running: null, unsent: [], refused: [] };

// The secret itself is in the address; its beginning distinguishes links on one phone.
const nameOf = (secret: string): string => `nervato-home ${secret.slice(0, 8)}`;

export function readKept(secret: string): KeptHome {
  const text = localStorage.getItem(nameOf(secret));
  return text ? { ...NOTHING, ...(JSON.parse(text) as KeptHome) } : NOTHING;
}

export const keepHome = (secret: string, kept: KeptHome): void =>
  localStorage.setItem(nameOf(secret), JSON.stringify(kept));
