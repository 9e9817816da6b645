import { type DeviceCommand, type DeviceFrame, deviceFrameSchema } from '#contract/device';
import { CUFF_DOWN_MMHG } from '#core/kit';
import { messageOf } from '#core/message';
import { inEnglish } from '#language/render';

/** How a device is reached: frames as they come, and a command with the status and body of its answer. */
export type DeviceLink = {
  nextFrame: () => Promise<unknown>;
  command: (command: unknown) => Promise<{ status: number; body: unknown }>;
};

export type Checked = { name: string; failed: string | null };

/** Frames looked at where something takes its time: half a minute at twenty a second. */
const MOST_FRAMES = 600;
/** docs/device-protocol.md: no device goes above it on command. */
const MOST_MMHG = 300;
/** A gauge reads a little beside what is asked. */
const NEAR_MMHG = 6;

class Failed extends Error {}
const demand = (holds: boolean, words: string): void => {
  if (!holds) throw new Failed(words);
};

/** A device under test, by what the protocol says of it. */
function speak(link: DeviceLink) {
  const frame = async (): Promise<DeviceFrame> => {
    const read = deviceFrameSchema.safeParse(await link.nextFrame());
    if (read.success) return read.data;
    const [issue] = read.error.issues;
    throw new Failed(
      `a frame does not fit the schema: ${issue?.path.join('.')}: ${issue ? inEnglish(messageOf(issue)) : ''}`,
    );
  };
  return {
    frame,
    tell: async (command: DeviceCommand): Promise<DeviceFrame> => {
      const { status, body } = await link.command(command);
      demand(status === 200, `“${command.do}” was answered by ${status}; it is answered by the next frame`);
      const read = deviceFrameSchema.safeParse(body);
      demand(read.success, `the answer to “${command.do}” is no frame`);
      return read.data as DeviceFrame;
    },
    until: async (holds: (frame: DeviceFrame) => boolean, words: string): Promise<DeviceFrame> => {
      for (let looked = 0; looked < MOST_FRAMES; looked += 1) {
        const now = await frame();
        if (holds(now)) return now;
      }
      throw new Failed(words);
    },
    refuses: async (command: unknown, words: string): Promise<void> => {
      const { status } = await link.command(command);
      demand(status === 400, `${words}: answered by ${status}, not by 400`);
    },
  };
}

type Device = ReturnType<typeof speak>;

const isDown = ({ pressureMmHg }: DeviceFrame) => pressureMmHg < CUFF_DOWN_MMHG;
const letDown = async (device: Device) => {
  await device.tell({ do: 'release' });
  await device.until(isDown, `the cuff is not down half a minute after a release`);
};
/** Pressure by whichever of the two ways the device knows. */
const pumpTo = async (device: Device, pressureMmHg: number) => {
  await device.tell({ do: 'squeeze', byMmHg: pressureMmHg });
  await device.tell({ do: 'inflate-to', pressureMmHg });
};

/** What a device has to do, in the order it is asked. */
const CHECKS: { name: string; run: (device: Device) => Promise<void> }[] = [
  {
    name: 'frames fit the schema, count up by one, and never go back in time',
    run: async (device) => {
      let before = await device.frame();
      for (let looked = 0; looked < 20; looked += 1) {
        const now = await device.frame();
        demand(now.seq > before.seq, `the count went from ${before.seq} to ${now.seq}`);
        demand(now.atMs >= before.atMs, `time went back by ${before.atMs - now.atMs} ms`);
        demand(now.deviceId === before.deviceId, 'another device answers on the same stream');
        before = now;
      }
    },
  },
  {
    name: 'a release empties the cuff',
    run: async (device) => {
      const answer = await device.tell({ do: 'release' });
      demand(isDown(answer) || answer.valve === 'open', 'the valve is not open in the answer to a release');
      await letDown(device);
    },
  },
  {
    name: 'pressure goes up on command',
    run: async (device) => {
      await letDown(device);
      await pumpTo(device, 60);
      await device.until(
        ({ pressureMmHg }) => Math.abs(pressureMmHg - 60) <= NEAR_MMHG,
        'sent to 60 mmHg, it is not near there half a minute after',
      );
    },
  },
  {
    name: 'a release is obeyed in the midst of inflating',
    run: async (device) => {
      await letDown(device);
      await pumpTo(device, 150);
      await letDown(device);
      for (let looked = 0; looked < 20; looked += 1)
        demand(isDown(await device.frame()), 'it inflated again by itself after a release');
    },
  },
  {
    name: `it never goes above ${MOST_MMHG} mmHg on command`,
    run: async (device) => {
      await letDown(device);
      for (let press = 0; press < 3; press += 1) await pumpTo(device, 390);
      for (let looked = 0; looked < 400; looked += 1) {
        const { pressureMmHg } = await device.frame();
        demand(pressureMmHg <= MOST_MMHG + NEAR_MMHG, `it went to ${pressureMmHg} mmHg`);
      }
      await letDown(device);
    },
  },
  {
    name: 'what is no command is refused, and changes nothing',
    run: async (device) => {
      await letDown(device);
      await device.refuses({ do: 'explode' }, 'an unknown command');
      await device.refuses({ do: 'inflate-to', pressureMmHg: 4_000 }, 'a pressure of 4000 mmHg');
      await device.refuses({ do: 'inflate-to', pressureMmHg: -5 }, 'a pressure below nothing');
      await device.refuses({ do: 'squeeze' }, 'a squeeze of nothing');
      for (let looked = 0; looked < 10; looked += 1)
        demand(isDown(await device.frame()), 'a refused command moved the pressure');
    },
  },
];

/** Asks a device all that the protocol promises, and lets the cuff down at the end whatever came of it. */
export async function checkDevice(link: DeviceLink): Promise<Checked[]> {
  const device = speak(link);
  const checked: Checked[] = [];
  for (const { name, run } of CHECKS) {
    try {
      await run(device);
      checked.push({ name, failed: null });
    } catch (error) {
      checked.push({ name, failed: error instanceof Error ? error.message : String(error) });
    }
  }
  await link.command({ do: 'release' });
  return checked;
}
