import { t } from '@lingui/core/macro';
import { heartRateOf } from '#core/kit';
import { nextHeartRate, seededRandom, seedOf } from '#core/simulation';

/** Where heart rate comes from: a strap by Bluetooth, or a simulated one. Nothing else in the interface knows which. */
export type HeartRateSource = {
  /** Beats a minute as they come; `null` while the strap says nothing. Returns how to stop. */
  subscribe: (listener: (beatsPerMinute: number | null) => void) => () => void;
  close: () => void;
};

const EVERY_S = 1;

/** A simulated strap, which follows work and rest. */
export function simulatedStrap(seed: string, isWorking: () => boolean): HeartRateSource {
  const random = seededRandom(seedOf(seed));
  const listeners = new Set<(beatsPerMinute: number | null) => void>();
  let rate: number | null = null;
  const timer = window.setInterval(() => {
    rate = nextHeartRate(rate, isWorking(), EVERY_S, random);
    for (const listener of listeners) listener(Math.round(rate));
  }, EVERY_S * 1000);
  return {
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    close: () => window.clearInterval(timer),
  };
}

// As much of Web Bluetooth as is used here; TypeScript's own library does not have it.
type Characteristic = EventTarget & { value?: DataView; startNotifications: () => Promise<Characteristic> };
type BluetoothDevice = EventTarget & {
  gatt: {
    connect: () => Promise<{
      getPrimaryService: (service: string) => Promise<{
        getCharacteristic: (characteristic: string) => Promise<Characteristic>;
      }>;
    }>;
    disconnect: () => void;
  };
};
type Bluetooth = { requestDevice: (what: { filters: { services: string[] }[] }) => Promise<BluetoothDevice> };

const bluetooth = (): Bluetooth | undefined => (navigator as { bluetooth?: Bluetooth }).bluetooth;

/** Whether this browser can be given a strap. */
export const hasBluetooth = (): boolean => bluetooth() !== undefined;

/** Asks for a strap of the standard Heart Rate service. @throws as the browser does, when none is chosen or it is out of reach */
export async function bluetoothStrap(): Promise<HeartRateSource> {
  const device = await bluetooth()?.requestDevice({ filters: [{ services: ['heart_rate'] }] });
  if (!device) throw new Error(t`This browser has no Bluetooth.`);
  const server = await device.gatt.connect();
  const service = await server.getPrimaryService('heart_rate');
  const measurement = await service.getCharacteristic('heart_rate_measurement');
  await measurement.startNotifications();
  return {
    subscribe: (listener) => {
      const heard = () => {
        const { value } = measurement;
        listener(value ? heartRateOf(new Uint8Array(value.buffer)) : null);
      };
      const lost = () => listener(null);
      measurement.addEventListener('characteristicvaluechanged', heard);
      device.addEventListener('gattserverdisconnected', lost);
      return () => {
        measurement.removeEventListener('characteristicvaluechanged', heard);
        device.removeEventListener('gattserverdisconnected', lost);
      };
    },
    close: () => device.gatt.disconnect(),
  };
}
