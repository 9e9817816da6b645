import { randomUUID } from 'node:crypto';
import type { PumpState, SimulatedLimb } from '#core/simulation';
import { SimulatedDevice } from './simulated-device';

const MOST_DEVICES = 32;

/** The simulated devices of one server, newest last; the oldest goes when there are too many. */
export class DeviceHub {
  private readonly devices = new Map<string, SimulatedDevice>();

  add(limb: SimulatedLimb, kind: PumpState['kind'], seed: number, nowMs: number): SimulatedDevice {
    const device = new SimulatedDevice(randomUUID(), limb, kind, seed, nowMs);
    this.devices.set(device.id, device);
    const [oldest] = this.devices.keys();
    if (oldest && this.devices.size > MOST_DEVICES) this.devices.delete(oldest);
    return device;
  }

  find(id: string): SimulatedDevice | undefined {
    return this.devices.get(id);
  }
}
