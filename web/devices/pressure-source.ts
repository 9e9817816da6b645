import type { DeviceCommand, DeviceFrame } from '#contract/device';

/**
 * Where cuff pressure comes from: typed by hand, a simulated device of the server, or one of this page. Nothing else
 * in the interface knows which.
 */
export type PressureSource = {
  /** `typed` is read by eye and entered; the others read themselves. */
  kind: 'typed' | 'by-hand' | 'regulated';
  /** The newest frame at once, then each one that follows; `null` while the stream is lost. Returns how to stop. */
  subscribe: (listener: (frame: DeviceFrame | null) => void) => () => void;
  command: (command: DeviceCommand) => void;
  close: () => void;
};

/** Listeners of a source, with the newest frame for those who come late. */
export class FrameHub {
  private latest: DeviceFrame | null = null;
  private readonly listeners = new Set<(frame: DeviceFrame | null) => void>();

  publish(frame: DeviceFrame | null): void {
    this.latest = frame;
    for (const listener of this.listeners) listener(frame);
  }

  subscribe(listener: (frame: DeviceFrame | null) => void): () => void {
    this.listeners.add(listener);
    listener(this.latest);
    return () => this.listeners.delete(listener);
  }
}
