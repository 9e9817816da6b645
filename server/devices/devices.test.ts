import { describe, expect, it } from 'vitest';
import { deviceFrameSchema } from '#contract/device';
import { makeLimb } from '#core/simulation';
import { englishOf } from '#language/english-of.fixture';
import { measuredClient, startAfter } from '../api.fixture';
import { SimulatedDevice } from './simulated-device';

const limb = makeLimb({
  limb: 'left-thigh',
  position: 'sitting',
  girthCm: 55,
  widthCm: 11.5,
  systolicMmHg: 124,
  seed: 7,
});
const device = (kind: 'by-hand' | 'regulated') => new SimulatedDevice('d', limb, kind, 7, 0);

describe('a simulated device', () => {
  it('replays: the same commands at the same times give the same frames', () => {
    const run = () => {
      const pump = device('regulated');
      pump.command({ do: 'measure' }, 100);
      return Array.from({ length: 600 }, (_, i) => pump.frame(150 + 50 * i));
    };
    const frames = run();
    expect(run()).toEqual(frames);
    const measuredMmHg = frames.at(-1)?.measuredMmHg ?? 0;
    expect(Math.abs(measuredMmHg - limb.occlusionMmHg)).toBeLessThan(12);
    expect(frames.map(({ seq }) => seq)).toEqual(frames.map((_, i) => i + 1));
  });

  it('is the same however often it is looked at', () => {
    const often = device('by-hand');
    const seldom = device('by-hand');
    for (const pump of [often, seldom]) {
      pump.command({ do: 'squeeze', byMmHg: 120 }, 0);
      pump.command({ do: 'unplug' }, 1_000);
    }
    for (let atMs = 1_000; atMs < 21_000; atMs += 50) often.frame(atMs);
    expect(often.frame(21_000).pressureMmHg).toBeCloseTo(seldom.frame(21_000).pressureMmHg, 6);
  });

  it('lets the pulse through below occlusion and not above it', () => {
    const pump = device('by-hand');
    pump.command({ do: 'squeeze', byMmHg: 60 }, 0);
    expect(pump.frame(50).pulse?.strength).toBe(1);
    pump.command({ do: 'squeeze', byMmHg: 200 }, 100);
    expect(pump.frame(150).pulse?.strength).toBe(0);
  });
});

describe('devices over HTTP', () => {
  const wanted = { limb: 'left-thigh', position: 'sitting', kind: 'by-hand' };

  it('stream frames that the contract knows, and obey commands', async () => {
    const {
      api,
      made: { id: clientId },
    } = await startAfter(measuredClient);
    const { id } = await api.post<{ id: string }>('/devices', { clientId, ...wanted });
    const frame = await api.post(`/devices/${id}/commands`, { do: 'squeeze', byMmHg: 50 });
    expect(deviceFrameSchema.parse(frame).pressureMmHg).toBe(50);
    const streamed = await api.firstOfStream(`/devices/${id}/stream`);
    expect(deviceFrameSchema.parse(streamed)).toMatchObject({ pressureMmHg: 50, valve: 'closed' });
    expect(JSON.stringify(streamed)).not.toContain(String(limb.occlusionMmHg));
  });

  it('are refused on a limb without a cuff, and for unknown commands', async () => {
    const {
      api,
      made: { id: clientId },
    } = await startAfter(measuredClient);
    const bare = await api.refused('/devices', { clientId, ...wanted, limb: 'right-arm' });
    expect(englishOf(bare.problem.errors[0])).toMatchObject({ path: 'limb', rule: 'FIT-1' });
    const { id } = await api.post<{ id: string }>('/devices', { clientId, ...wanted });
    expect((await api.refused(`/devices/${id}/commands`, { do: 'explode' })).status).toBe(400);
    expect((await api.refused('/devices/none/commands', { do: 'release' })).status).toBe(404);
  });
});
