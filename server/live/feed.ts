import type { FeedMessage } from '#contract/feed';

type Listener = (message: FeedMessage) => void;

/** What happens in the practice, sent to every device that follows (one stream a browser, whatever it shows). */
export class Feed {
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
