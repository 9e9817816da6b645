import type { FeedMessage } from '#contract/session';

type Listener = (message: FeedMessage) => void;

/** What happens in any session, told to every device that follows (one stream a device, whatever the number of sessions). */
export class SessionFeed {
  private readonly listeners = new Set<Listener>();

  /** @returns how to stop */
  subscribe(listener: Listener): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  publish(message: FeedMessage): void {
    for (const listener of this.listeners) listener(message);
  }
}
