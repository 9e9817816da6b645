import type { MeasureId } from '#core/outcomes';
import type { GoalId } from '#core/plan';
import type { Limb } from '#core/quantity';
import type { SignId } from '#core/session';

/**
 * Months of training of one person, played day by day by the trainee model: who they are, what they train, and how they take it.
 * Every person is invented.
 */
export type Course = {
  name: string;
  story: string;
  /** 65 or older. */
  from65?: true;
  limbs: Limb[];
  goal: GoalId;
  exerciseId: string;
  girthCm: number;
  /** Of the limb that is measured first, in mmHg at the first measurement. */
  lopMmHg: number;
  /** Of eight repetitions to failure, in kg; null for work without weights. */
  eightRepsKg: number | null;
  weeks: number;
  perWeek: 2 | 3;
  /** Gained a week: strength and endurance in %, size in cm; 0 for those who do not respond. */
  gains: { strength: number; endurance: number; sizeCm: number };
  /** Pain on the provoking test at the start, and what it comes down by in a week. */
  pain: { start: number; fallsBy: number } | null;
  /** The share of sessions that are missed. */
  misses: number;
  /** A sign on one day, with the place of the session from 0. */
  sign?: {
    session: number;
    sign: SignId;
    adverse?: { what: string; done: string; outcome: string; notified: string };
  };
  /** Notes of visits, with the place of the session from 0. */
  notes?: { session: number; words: string }[];
  /** A marked strap in the place of a cuff, with the mark that feels right. */
  strap?: { strapId: string; mark: number };
  /** An operation of the first limb, so many days before the course begins: it climbs the ladder, rung by rung. */
  operated?: { what: string; daysBefore: number };
  /** One measure of their own beside girth and pain, with its first value and what it gains in a week. */
  own: { measureId: MeasureId; first: number; perWeek: number; setting: string; perLimb?: true } | null;
  /** Compared with the other limb from the start: which one has the cuff is drawn. */
  compared?: { weeks: number };
};

const STEADY = { strength: 1.2, endurance: 1.5, sizeCm: 0.12 };
const NONE = { strength: 0.1, endurance: 0.1, sizeCm: 0 };
const leg = { limbs: ['left-thigh'] as Limb[], exerciseId: 'knee-extension', goal: 'size' as const };
const arm = { limbs: ['right-arm'] as Limb[], exerciseId: 'elbow-flexion', goal: 'size' as const };
const USUAL = { weeks: 9, perWeek: 2 as const, misses: 0.08, pain: null, own: null, gains: STEADY };
const sitToStand = { measureId: 'sit-to-stand-30' as const, setting: '' };

export const COURSES: Course[] = [
  {
    ...USUAL,
    ...leg,
    name: 'Alvar Pendlebury',
    story: 'Harbour pilot, stairs are his work.',
    girthCm: 57,
    lopMmHg: 182,
    eightRepsKg: 34,
    own: { ...sitToStand, first: 15, perWeek: 0.4 },
  },
  {
    ...USUAL,
    ...leg,
    name: 'Birgitta Somerhall',
    story: 'Net mender, seventy-one and short of breath on the quay steps.',
    from65: true,
    girthCm: 50,
    lopMmHg: 168,
    eightRepsKg: 16,
    weeks: 11,
    gains: { ...STEADY, strength: 1.6 },
    own: { ...sitToStand, first: 9, perWeek: 0.35 },
  },
  {
    ...USUAL,
    ...leg,
    name: 'Caspian Thorneycroft',
    story: 'Rowing cox between seasons.',
    girthCm: 54,
    lopMmHg: 171,
    eightRepsKg: 38,
    perWeek: 3,
  },
  {
    ...USUAL,
    ...arm,
    name: 'Delphine Marlowe-Keats',
    story: 'Cellist, a wrist fracture healed in the spring.',
    girthCm: 30,
    lopMmHg: 128,
    eightRepsKg: 8,
    pain: { start: 5, fallsBy: 0.35 },
    own: { measureId: 'own-minutes-of-playing', first: 20, perWeek: 3.2, setting: 'The slow suite' },
  },
  {
    ...USUAL,
    ...leg,
    name: 'Eskil Rowanwood',
    story: 'Ropewalker, a sore kneecap going down ladders.',
    girthCm: 58,
    lopMmHg: 188,
    eightRepsKg: 40,
    pain: { start: 6, fallsBy: 0.4 },
    own: { measureId: 'step-downs', first: 8, perWeek: 0.6, setting: '15 cm', perLimb: true },
  },
  {
    ...USUAL,
    ...leg,
    name: 'Fenella Dunmoor',
    story: 'Beekeeper on the north slope. Nothing has moved yet.',
    girthCm: 53,
    lopMmHg: 165,
    eightRepsKg: 24,
    weeks: 9,
    gains: NONE,
  },
  {
    ...USUAL,
    ...leg,
    name: 'Gideon Ashgrove',
    story: 'Bell founder’s apprentice, wants thicker thighs.',
    girthCm: 55,
    lopMmHg: 176,
    eightRepsKg: 36,
    perWeek: 3,
    weeks: 8,
  },
  {
    ...USUAL,
    ...arm,
    name: 'Hesper Calloway',
    story: 'Sail cutter, an elbow that complains.',
    girthCm: 31,
    lopMmHg: 131,
    eightRepsKg: 9,
    pain: { start: 4, fallsBy: 0.3 },
    sign: { session: 6, sign: 'numb-or-tingling' },
  },
  {
    ...USUAL,
    ...leg,
    name: 'Ivo Brackenridge',
    story: 'Ferry cook, training through a heavy season.',
    girthCm: 59,
    lopMmHg: 190,
    eightRepsKg: 42,
    misses: 0.3,
  },
  {
    ...USUAL,
    ...leg,
    name: 'Jessamy Tolland',
    story: 'Choir mistress, thin after a long winter.',
    girthCm: 48,
    lopMmHg: 158,
    eightRepsKg: 14,
    weeks: 9,
    own: { ...sitToStand, first: 11, perWeek: 0.3 },
  },
  {
    ...USUAL,
    ...leg,
    name: 'Lavinia Oakhurst',
    story: 'Lock keeper, back on two feet for half a year.',
    girthCm: 52,
    lopMmHg: 170,
    eightRepsKg: 20,
    weeks: 11,
  },
  {
    ...USUAL,
    ...leg,
    name: 'Magnus Fairweather',
    story: 'Crane driver who sits all day. He comes, and nothing changes.',
    girthCm: 62,
    lopMmHg: 196,
    eightRepsKg: 44,
    weeks: 9,
    gains: NONE,
  },
  {
    ...USUAL,
    ...leg,
    name: 'Nerys Coldbrook',
    story: 'Tide-table clerk; a bruise once, and the cuff was moved.',
    girthCm: 54,
    lopMmHg: 172,
    eightRepsKg: 22,
    notes: [
      {
        session: 0,
        words:
          'Bruises easily, she says; her mother did too. No medicines. Cuff two fingers higher than usual.',
      },
      {
        session: 4,
        words:
          'Bruise of 6 cm on the inner thigh, not tender, no swelling. Photograph attached.\nAgreed: cuff moved up, skin covered, looked at before every session.',
      },
      { session: 9, words: 'Nothing left of the bruise. Climbs the tide-gate stairs without the rail.' },
    ],
    sign: {
      session: 4,
      sign: 'sharp-pain',
      adverse: {
        what: 'A bruise of 6 cm under the edge of the cuff',
        done: 'Released, cuff moved up, skin covered',
        outcome: 'Gone after nine days',
        notified: 'The client and Dr Imke Sallowby',
      },
    },
  },
  {
    ...USUAL,
    ...leg,
    name: 'Osric Penhallow',
    story: 'Stone carver, strong on the right and not on the left.',
    notes: [{ session: 2, words: 'Left heel lifts in the last set: foot on the wedge from now on.' }],
    girthCm: 56,
    lopMmHg: 180,
    eightRepsKg: 28,
    compared: { weeks: 8 },
  },
  {
    ...USUAL,
    ...leg,
    name: 'Petronella Vane',
    story: 'Island postwoman, eight hills a day.',
    girthCm: 55,
    lopMmHg: 175,
    eightRepsKg: 33,
    perWeek: 3,
    weeks: 8,
  },
  {
    ...USUAL,
    ...arm,
    name: 'Quillon Strand',
    story: 'Glass engraver, hands first and arms for their sake.',
    girthCm: 29,
    lopMmHg: 124,
    eightRepsKg: 7,
    weeks: 9,
  },
  {
    ...USUAL,
    ...leg,
    name: 'Sunniva Ellingham',
    story: 'Courier on two wheels, wants the hill to end sooner.',
    limbs: ['left-thigh', 'right-thigh'],
    exerciseId: 'cycling',
    goal: 'aerobic',
    girthCm: 56,
    lopMmHg: 174,
    eightRepsKg: null,
    perWeek: 3,
    weeks: 8,
    own: { measureId: 'vo2max', first: 38, perWeek: 0.45, setting: 'Ramp on the yard bicycle' },
  },
  {
    ...USUAL,
    ...leg,
    name: 'Tamsin Greywater',
    story: 'Lighthouse keeper, trains on the island with a strap and writes.',
    goal: 'recovery',
    girthCm: 52,
    lopMmHg: 170,
    eightRepsKg: null,
    strap: { strapId: 'strap-thigh', mark: 7 },
    own: { ...sitToStand, first: 13, perWeek: 0.3 },
  },
  {
    ...USUAL,
    ...leg,
    limbs: ['right-thigh'],
    goal: 'rehab',
    name: 'Ulric Marshbourne',
    story: 'Rigger, a kneecap tendon repaired: from lying still to the stairs.',
    girthCm: 53,
    lopMmHg: 168,
    eightRepsKg: null,
    weeks: 10,
    misses: 0,
    operated: { what: 'Repair of the kneecap tendon', daysBefore: 6 },
    pain: { start: 4, fallsBy: 0.35 },
    own: { measureId: 'range-of-motion', first: 70, perWeek: 6, setting: 'Knee, bending', perLimb: true },
  },
];
