import type { Cue } from '#core/protocol';

/** Tones are handed to the sound card a little ahead, so that a busy page keeps the beat. */
const AHEAD_MS = 300;
/** A set that was just begun, or a tick that came late: its tone still sounds, at once. */
const LATE_MS = 200;

/**
 * Which tones are to be sounded now: each once, however often it is asked, and none left out because what it belongs to was
 * not known a moment ago.
 */
export class CueBook {
  private readonly sounded = new Map<string, number>();

  /**
   * @param id of what plays
   * @param cuesIn the tones of a stretch of time
   */
  due(id: string, nowMs: number, cuesIn: (fromMs: number, toMs: number) => readonly Cue[]): Cue[] {
    for (const [key, atMs] of this.sounded) if (atMs < nowMs - LATE_MS) this.sounded.delete(key);
    return cuesIn(nowMs - LATE_MS, nowMs + AHEAD_MS).filter(({ atMs, tone }) => {
      const key = `${id} ${atMs} ${tone}`;
      if (this.sounded.has(key)) return false;
      this.sounded.set(key, atMs);
      return true;
    });
  }
}
