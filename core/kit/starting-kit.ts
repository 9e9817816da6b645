import type { Cuff } from '../cuff/cuff';
import type { WeightKit } from '../load/weight-kit';
import { type Message, msg } from '../message/message';
import type { Pump } from './pump';

/** A piece of kit without its name, and what to call it in the language of the person who sets the practice up. */
type Listed =
  | { list: 'cuffs'; label: Message; item: Omit<Cuff, 'label'> }
  | { list: 'pumps'; label: Message; item: Unnamed<Pump> }
  | { list: 'weightKits'; label: Message; item: Unnamed<WeightKit> };
type Unnamed<T> = T extends unknown ? Omit<T, 'label'> : never;

const cuff = (
  id: string,
  label: Message,
  limbKind: Cuff['limbKind'],
  widthCm: number,
  [girthLowCm, girthHighCm]: readonly [number, number],
): Listed => ({
  list: 'cuffs',
  label,
  item: {
    id,
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
  cuff('arm-small', msg('Arm cuff, small'), 'arm', 8, [20, 32]),
  cuff('arm-large', msg('Arm cuff, large'), 'arm', 10, [30, 45]),
  cuff('thigh-medium', msg('Thigh cuff, medium'), 'leg', 11.5, [45, 60]),
  cuff('thigh-large', msg('Thigh cuff, large'), 'leg', 13, [58, 80]),
  {
    list: 'pumps',
    label: msg('Hand pump with gauge'),
    item: {
      id: 'hand-pump',
      kind: 'by-hand',
      divisionMmHg: 2,
      keepsPressure: true,
    },
  },
  {
    list: 'weightKits',
    label: msg('Weight stack, 5 kg plates'),
    item: {
      kind: 'stack',
      id: 'stack',
      lightestKg: 5,
      stepKg: 5,
      heaviestKg: 100,
    },
  },
  {
    list: 'weightKits',
    label: msg('Dumbbells, 1 to 10 kg'),
    item: { kind: 'single-masses', id: 'dumbbells', massesKg: [1, 2, 3, 4, 5, 6, 7, 8, 9, 10] },
  },
  {
    list: 'weightKits',
    label: msg('Ankle weights, 0.5 to 5 kg'),
    item: { kind: 'single-masses', id: 'ankle-weights', massesKg: [0.5, 1, 1.5, 2, 2.5, 3, 4, 5] },
  },
  {
    list: 'weightKits',
    label: msg('Bands'),
    item: { kind: 'bands', id: 'bands', names: ['light', 'middle', 'strong'] },
  },
];
