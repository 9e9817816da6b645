import { serverNow } from '../../data/clock';

type Ticked = (nowMs: number) => void;
type Follower = { everyMs: number; tick: Ticked; lastMs: number };

// One timer for the page: followers of the same length are called in the same task, so that what they show changes
// together and is drawn once.
const followers = new Set<Follower>();
let timer: ReturnType<typeof setTimeout> | undefined;

/** The last whole multiple of a length that the server's clock has passed. */
const alignedNow = (everyMs: number): number => Math.floor(serverNow() / everyMs) * everyMs;

/**
 * Calls at every whole multiple of `everyMs` of the server's clock, with that moment. A page that was held up is called once
 * for all it missed.
 * @returns how to stop
 */
export function onTick(everyMs: number, tick: Ticked): () => void {
  const follower = { everyMs, tick, lastMs: alignedNow(everyMs) };
  followers.add(follower);
  wait();
  return () => {
    followers.delete(follower);
    wait();
  };
}

function wait(): void {
  clearTimeout(timer);
  if (followers.size === 0) return;
  const shortestMs = Math.min(...[...followers].map(({ everyMs }) => everyMs));
  const nowMs = serverNow();
  timer = setTimeout(run, shortestMs - (nowMs % shortestMs));
}

function run(): void {
  for (const follower of followers) {
    const nowMs = alignedNow(follower.everyMs);
    if (nowMs === follower.lastMs) continue;
    follower.lastMs = nowMs;
    follower.tick(nowMs);
  }
  wait();
}
