import type { OwnMeasure, PracticeSettings, Practitioner } from '#contract/practice';
import type { Cuff } from '#core/cuff';
import type { Pump, Strap } from '#core/kit';
import type { WeightKit } from '#core/load';

// Tidewater Lane is an invented practice in an invented harbour town. No person in it exists.

export const PRACTICE = {
  id: 'practice',
  name: 'Tidewater Lane',
  schoolId: 'research-consensus',
  massUnit: 'kg',
  lengthUnit: 'cm',
  keepYears: null,
  emergencyPhone: '112',
  phone: '555 0142',
  letterhead: 'Boathouse yard 3, by the tide gate\nMonday to Friday, 8 to 19',
  publicAddress: '',
  stricter: [],
  rungSessions: {},
  places: [
    {
      id: 'tidewater-lane',
      kind: 'clinic',
      name: 'Tidewater Lane',
      hours: 'Mon–Fri 8–19',
      emergencyPhone: '',
    },
    {
      id: 'harbour-hall',
      kind: 'gym',
      name: 'Harbour hall',
      hours: 'Mon–Sat 6–22',
      emergencyPhone: '144',
    },
  ],
  effortIn: 'of-ten',
  dateOrder: 'day-month-year',
  arbitraryUpToMmHg: 170,
  stopAboveSystolicMmHg: 220,
  stopAboveDiastolicMmHg: 105,
} satisfies PracticeSettings & { id: string };

/** Who owns it: programs that play a practitioner sign in as her. */
export const DEMO_OWNER = { name: 'ines', passphrase: 'lanterns over low water' };

export const PRACTITIONERS: (Omit<Practitioner, 'elsewhere'> & {
  account: { name: string; passphrase: string; certifiedForDays: number };
})[] = [
  {
    id: 'ines',
    name: 'Ines Marrable',
    role: 'clinician',
    isOwner: true,
    account: { ...DEMO_OWNER, certifiedForDays: 410 },
  },
  {
    id: 'tobias',
    name: 'Tobias Quillfeather',
    role: 'coach',
    isOwner: false,
    account: { name: 'tobias', passphrase: 'seven ropes on the quay', certifiedForDays: 32 },
  },
  {
    id: 'hana',
    name: 'Hana Verdigris',
    role: 'clinician',
    isOwner: false,
    account: { name: 'hana', passphrase: 'green paint by the slipway', certifiedForDays: 640 },
  },
  {
    id: 'oswin',
    name: 'Oswin Tarrant',
    role: 'assistant',
    isOwner: false,
    account: { name: 'oswin', passphrase: 'buckets before breakfast', certifiedForDays: -5 },
  },
];

/** Who may sign in to the demonstration, as its sign-in page and the README say. */
export const DEMO_ACCOUNTS = PRACTITIONERS.map(({ role, account: { name, passphrase } }) => ({
  name,
  passphrase,
  role,
}));

const cuff = (
  spec: Pick<Cuff, 'id' | 'label' | 'limbKind' | 'widthCm' | 'girthLowCm' | 'girthHighCm' | 'howMany'>,
): Cuff => ({
  ...spec,
  shape: spec.limbKind === 'leg' ? 'contoured' : 'straight',
  bladder: 'single',
  canOcclude: true,
  maxPressureMmHg: 300,
});

export const CUFFS: Cuff[] = [
  cuff({
    id: 'arm-s',
    label: 'Arm small',
    limbKind: 'arm',
    widthCm: 7,
    girthLowCm: 20,
    girthHighCm: 29,
    howMany: 2,
  }),
  cuff({
    id: 'arm-m',
    label: 'Arm medium',
    limbKind: 'arm',
    widthCm: 8.5,
    girthLowCm: 27,
    girthHighCm: 38,
    howMany: 4,
  }),
  cuff({
    id: 'arm-l',
    label: 'Arm large',
    limbKind: 'arm',
    widthCm: 10,
    girthLowCm: 36,
    girthHighCm: 48,
    howMany: 2,
  }),
  cuff({
    id: 'thigh-m',
    label: 'Thigh medium',
    limbKind: 'leg',
    widthCm: 10,
    girthLowCm: 40,
    girthHighCm: 56,
    howMany: 12,
  }),
  cuff({
    id: 'thigh-l',
    label: 'Thigh large',
    limbKind: 'leg',
    widthCm: 11.5,
    girthLowCm: 52,
    girthHighCm: 72,
    howMany: 12,
  }),
];

export const PUMPS: Pump[] = [
  { id: 'hand-pump', label: 'Hand pump with dial', kind: 'by-hand', divisionMmHg: 2, keepsPressure: true },
  {
    id: 'old-pump',
    label: 'Old hand pump, coarse dial',
    kind: 'by-hand',
    divisionMmHg: 5,
    keepsPressure: false,
  },
  {
    id: 'bench-pump',
    label: 'Regulated bench pump',
    places: ['clinic'],
    kind: 'regulated',
    divisionMmHg: 1,
    keepsPressure: true,
  },
];

/** What this practice measures beside the usual. */
export const MEASURES: OwnMeasure[] = [
  {
    id: 'own-minutes-of-playing',
    measure: {
      label: 'Minutes of playing without an ache',
      unit: 'min',
      better: 'higher',
      of: 'person',
      cue: 'The same piece, at the same tempo, until the ache is there.',
      repeats: 1,
      take: 'best',
      lowest: 0,
      highest: 180,
      decimals: 0,
      error: { kind: 'absolute', value: 4 },
      setting: 'The piece',
    },
  },
];

export const STRAPS: Strap[] = [
  {
    id: 'strap-thigh',
    label: 'Marked thigh strap',
    limbKind: 'leg',
    widthCm: 7.5,
    counts: 'marks',
    firstMark: 1,
    lastMark: 15,
  },
  {
    id: 'strap-arm',
    label: 'Marked arm strap',
    limbKind: 'arm',
    widthCm: 5,
    counts: 'marks',
    firstMark: 1,
    lastMark: 12,
  },
  {
    id: 'wrap-arm',
    label: 'Elastic arm wrap',
    limbKind: 'arm',
    widthCm: 7.5,
    counts: 'turns',
    firstMark: 2,
    lastMark: 6,
  },
];

export const WEIGHT_KITS: WeightKit[] = [
  {
    kind: 'stack',
    id: 'leg-stack',
    label: 'Leg machine stack',
    lightestKg: 2.5,
    stepKg: 2.5,
    heaviestKg: 90,
    places: ['clinic', 'gym'],
  },
  {
    kind: 'single-masses',
    id: 'dumbbells',
    label: 'Dumbbells',
    massesKg: [0.5, 1, 1.5, 2, 3, 4, 5, 6, 8, 10, 12],
    places: ['clinic', 'gym', 'home'],
  },
  {
    kind: 'single-masses',
    id: 'ankle-weights',
    label: 'Ankle weights',
    massesKg: [0.5, 1, 1.5, 2, 2.5, 3, 4, 5],
    places: ['clinic', 'home', 'travelling'],
  },
  {
    kind: 'bar-and-plates',
    id: 'bar',
    label: 'Bar and plates',
    barKg: 10,
    places: ['gym'],
    pairs: [
      { plateKg: 1.25, pairs: 1 },
      { plateKg: 2.5, pairs: 2 },
      { plateKg: 5, pairs: 2 },
      { plateKg: 10, pairs: 2 },
    ],
  },
  { kind: 'bands', id: 'bands', label: 'Bands', names: ['sand', 'moss', 'slate'] },
];
