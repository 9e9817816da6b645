import type { Cuff } from '../cuff/cuff';
import type { WeightKit } from '../load/weight-kit';
import type { Pump } from './pump';

type Listed =
  | { list: 'cuffs'; item: Cuff }
  | { list: 'pumps'; item: Pump }
  | { list: 'weightKits'; item: WeightKit };

const cuff = (
  id: string,
  label: string,
  limbKind: Cuff['limbKind'],
  widthCm: number,
  [girthLowCm, girthHighCm]: readonly [number, number],
): Listed => ({
  list: 'cuffs',
  item: {
    id,
    label,
    limbKind,
    widthCm,
    girthLowCm,
    girthHighCm,
    shape: 'straight',
    bladder: 'single',
    canOcclude: true,
    maxPressureMmHg: 300,
  },
});

/** Kit that a practice may begin with: common sizes without a maker. What it says is to be checked against what is in the hand. */
export const STARTING_KIT: readonly Listed[] = [
  cuff('arm-small', 'Arm cuff, small', 'arm', 8, [20, 32]),
  cuff('arm-large', 'Arm cuff, large', 'arm', 10, [30, 45]),
  cuff('thigh-medium', 'Thigh cuff, medium', 'leg', 11.5, [45, 60]),
  cuff('thigh-large', 'Thigh cuff, large', 'leg', 13, [58, 80]),
  {
    list: 'pumps',
    item: {
      id: 'hand-pump',
      label: 'Hand pump with gauge',
      kind: 'by-hand',
      divisionMmHg: 2,
      keepsPressure: true,
    },
  },
  {
    list: 'weightKits',
    item: {
      kind: 'stack',
      id: 'stack',
      label: 'Weight stack, 5 kg plates',
      lightestKg: 5,
      stepKg: 5,
      heaviestKg: 100,
    },
  },
  {
    list: 'weightKits',
    item: { kind: 'bands', id: 'bands', label: 'Bands', names: ['light', 'middle', 'strong'] },
  },
];
