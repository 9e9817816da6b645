import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { type DeviceFrame, deviceCommandSchema, deviceJsonSchema } from '#contract/device';
import { makeLimb } from '#core/simulation';
import { replayBridge } from './bridge';
import { checkDevice, type DeviceLink } from './device-check';
import { linkTo } from './http-link';
import { pressureAt, ReplayDevice } from './replay-device';
import { SimulatedDevice } from './simulated-device';

const limb = makeLimb({
  limb: 'left-thigh',
  position: 'sitting',
  girthCm: 55,
  widthCm: 11.5,
  systolicMmHg: 124,
  seed: 7,
});
const TRACE = [
  { afterMs: 0, pressureMmHg: 0 },
  { afterMs: 1_000, pressureMmHg: 100 },
  { afterMs: 3_000, pressureMmHg: 0 },
];
type Device = Pick<ReplayDevice, 'command' | 'frame'>;

/** A device in this process, twenty frames a second of a time of its own; `spoil` makes it break a promise. */
function inHand(device: Device, spoil: (frame: DeviceFrame) => unknown = (frame) => frame): DeviceLink {
  let nowMs = 1_000_000;
  return {
    nextFrame: async () => {
      nowMs += 50;
      return spoil(device.frame(nowMs));
    },
    command: async (json) => {
      const command = deviceCommandSchema.safeParse(json);
      if (!command.success) return { status: 400, body: null };
      device.command(command.data, nowMs);
      return { status: 200, body: device.frame(nowMs) };
    },
  };
}
const failuresOf = async (link: DeviceLink) =>
  (await checkDevice(link)).flatMap(({ name, failed }) => (failed === null ? [] : [`${name}: ${failed}`]));

describe('the check of a device', () => {
  it('finds nothing wrong with the devices that speak the protocol here', async () => {
    for (const kind of ['by-hand', 'regulated'] as const)
      expect(await failuresOf(inHand(new SimulatedDevice('d', limb, kind, 7, 1_000_000)))).toEqual([]);
    expect(await failuresOf(inHand(new ReplayDevice(TRACE, 1_000_000)))).toEqual([]);
  });

  const broken: [string, () => DeviceLink, RegExp][] = [
    [
      'does not obey a release',
      () => {
        const device = new ReplayDevice([{ afterMs: 0, pressureMmHg: 90 }], 0);
        return inHand({
          frame: (nowMs) => device.frame(nowMs),
          command: (command, nowMs) => command.do !== 'release' && device.command(command, nowMs),
        });
      },
      /a release empties the cuff: the valve is not open/,
    ],
    [
      'goes above 300',
      () =>
        inHand(new ReplayDevice(TRACE, 0), (frame) => ({ ...frame, pressureMmHg: frame.pressureMmHg * 1.3 })),
      /never goes above 300 mmHg on command: it went to 3\d\d/,
    ],
    [
      'counts wrongly',
      () => inHand(new ReplayDevice(TRACE, 0), (frame) => ({ ...frame, seq: 5 })),
      /the count went from 5 to 5/,
    ],
    [
      'goes back in time',
      () => inHand(new ReplayDevice(TRACE, 0), (frame) => ({ ...frame, atMs: 9_000_000 - frame.atMs })),
      /time went back by 50 ms/,
    ],
    [
      'says more than fits',
      () => inHand(new ReplayDevice(TRACE, 0), (frame) => ({ ...frame, pressureMmHg: 'high' })),
      /does not fit the schema: pressureMmHg/,
    ],
    [
      'takes any command',
      () => {
        const link = inHand(new ReplayDevice(TRACE, 0));
        return { ...link, command: async (json) => ({ ...(await link.command(json)), status: 200 }) };
      },
      /an unknown command: answered by 200, not by 400/,
    ],
    [
      'does not move',
      () =>
        inHand({
          command: () => {},
          frame: (nowMs) => ({ ...new ReplayDevice([], 0).frame(nowMs), valve: 'open' }),
        }),
      /pressure goes up on command: sent to 60 mmHg/,
    ],
  ];
  it.each(broken)('finds one that %s', async (_, link, words) => {
    expect((await failuresOf(link())).join('\n')).toMatch(words);
  });

  it('reaches a bridge over HTTP', async () => {
    let nowMs = 1_000_000;
    const now = () => {
      nowMs += 50;
      return nowMs;
    };
    const app = replayBridge(TRACE, now, 0);
    const link = await linkTo('http://bridge', { ask: (url, init) => app.request(url, init) });
    expect(await failuresOf(link)).toEqual([]);
    await link.leave();
    await expect(
      linkTo('http://bridge/none', { ask: (url, init) => app.request(url, init) }),
    ).rejects.toThrow(/404/);
  });
});

describe('a trace', () => {
  it('goes straight from point to point, over and over', () => {
    expect([0, 500, 1_000, 2_000, 3_000, 3_500].map((afterMs) => pressureAt(TRACE, afterMs))).toEqual([
      0, 50, 100, 50, 0, 50,
    ]);
    expect(pressureAt([], 100)).toBe(0);
    expect(pressureAt([{ afterMs: 0, pressureMmHg: 70 }], 100)).toBe(70);
  });
});

describe('the JSON Schema of the protocol', () => {
  it('is in docs as it is spoken', () => {
    const written = readFileSync(join(import.meta.dirname, '../../docs/device.schema.json'), 'utf8');
    expect(JSON.parse(written)).toEqual(JSON.parse(JSON.stringify(deviceJsonSchema())));
  });
});
