import { type Message, msg } from '../message/message';

/** How a field of a table is read. */
export type Reading =
  | { as: 'text'; most: number }
  /** `isBirth`: two figures of a year are of the last century where they would be of a day to come. */
  | { as: 'day'; isBirth?: true }
  | { as: 'time' }
  | { as: 'figure'; unit: 'mass' | 'length' | 'none'; least: number; most: number; whole?: true }
  | { as: 'figures'; least: number; most: number; mostOf: number }
  | { as: 'word'; of: 'limb' | 'side' | 'position' | 'method' }
  | { as: 'name'; of: 'exercise' | 'measure' | 'cuff' };

/** A field of a table: what it is called on screen, and by what its column is known. */
export type TableField = {
  label: Message;
  known: readonly string[];
  reading: Reading;
  optional?: true;
  /** Columns that make it together where none is known by itself: first and last name. */
  parts?: readonly (readonly string[])[];
  /** What is between the cells of several columns; a space where it is not said. */
  joinedBy?: string;
};

const person: TableField = {
  label: msg('Person'),
  known: [
    ...[
      'name',
      'person',
      'client',
      'patient',
      'athlete',
      'full name',
      'last name first name',
      'surname forename',
    ],
    ...['klient', 'patientin', 'nachname vorname', 'name vorname', 'vorname nachname', 'vor und nachname'],
  ],
  parts: [
    ['first name', 'given name', 'forename', 'vorname'],
    ['last name', 'family name', 'surname', 'nachname', 'familienname'],
  ],
  reading: { as: 'text', most: 80 },
};
const day: TableField = {
  label: msg('Day'),
  known: [
    ...['date', 'day', 'on', 'measured', 'measured on', 'tested', 'tested on'],
    ...['datum', 'tag', 'gemessen am', 'getestet am'],
  ],
  reading: { as: 'day' },
};
const limb: TableField = {
  label: msg('Limb'),
  known: ['limb', 'side and limb', 'leg', 'gliedmasse', 'extremitat', 'bein'],
  reading: { as: 'word', of: 'limb' },
};
const cuff: TableField = {
  label: msg('Cuff'),
  known: ['cuff', 'cuff size', 'worn', 'manschette', 'manschettengrosse'],
  reading: { as: 'name', of: 'cuff' },
};
const note = (label: Message, known: readonly string[], most: number): TableField => ({
  label,
  known,
  reading: { as: 'text', most },
  optional: true,
});

/** What can be brought in as a table, with its fields: read from left to right, each row is one record. Lengths in cm, loads in kg. */
export const TABLES = {
  people: {
    label: msg('People'),
    fields: {
      person,
      story: note(
        msg('Story'),
        ['story', 'reason', 'why', 'history', 'diagnosis', 'grund', 'anlass', 'diagnose'],
        400,
      ),
      bornOn: {
        label: msg('Birth date'),
        known: [
          'birth date',
          'date of birth',
          'born',
          'born on',
          'dob',
          'birthday',
          'geburtsdatum',
          'geboren',
          'geboren am',
        ],
        reading: { as: 'day', isBirth: true },
        optional: true,
      },
      contact: {
        ...note(
          msg('Contact'),
          [
            ...['contact', 'email', 'e mail', 'mail', 'phone', 'telephone', 'mobile', 'cell', 'address'],
            ...['kontakt', 'telefon', 'handy', 'mobil', 'adresse', 'anschrift'],
          ],
          200,
        ),
        joinedBy: ', ',
      },
      goals: note(msg('Goals'), ['goal', 'goals', 'aim', 'aims', 'ziel', 'ziele'], 400),
      notes: note(
        msg('Notes'),
        ['notes', 'note', 'about', 'remark', 'comment', 'notiz', 'notizen', 'bemerkung'],
        800,
      ),
    },
  },
  fits: {
    label: msg('Girths and cuffs'),
    fields: {
      person,
      day,
      limb,
      girthCm: {
        label: msg('Girth'),
        known: ['girth', 'circumference', 'limb girth', 'tape', 'umfang'],
        reading: { as: 'figure', unit: 'length', least: 15, most: 110 },
      },
      cuffId: cuff,
    },
  },
  pressures: {
    label: msg('Occlusion pressures'),
    fields: {
      person,
      day,
      limb,
      position: {
        label: msg('Position'),
        known: ['position', 'posture', 'haltung', 'lage'],
        reading: { as: 'word', of: 'position' },
      },
      cuffId: cuff,
      method: {
        label: msg('Pulse found by'),
        known: ['method', 'by', 'probe', 'found by', 'pulse found by', 'methode'],
        reading: { as: 'word', of: 'method' },
      },
      pressureMmHg: {
        label: msg('Pressure'),
        known: [
          'lop',
          'aop',
          'limb occlusion pressure',
          'occlusion pressure',
          'pressure',
          'druck',
          'okklusionsdruck',
        ],
        reading: { as: 'figure', unit: 'none', least: 20, most: 300 },
      },
      stepMmHg: {
        label: msg('In steps of'),
        known: ['step', 'steps', 'step size', 'in steps of', 'schritt', 'schritte'],
        reading: { as: 'figure', unit: 'none', least: 1, most: 100 },
        optional: true,
      },
    },
  },
  'strength-tests': {
    label: msg('Strength tests'),
    fields: {
      person,
      day,
      exerciseId: {
        label: msg('Exercise'),
        known: ['exercise', 'lift', 'movement', 'test', 'ubung'],
        reading: { as: 'name', of: 'exercise' },
      },
      side: { label: msg('Side'), known: ['side', 'limb', 'seite'], reading: { as: 'word', of: 'side' } },
      loadKg: {
        label: msg('Load'),
        known: ['load', 'weight', 'lifted', 'last', 'gewicht'],
        reading: { as: 'figure', unit: 'mass', least: 0.5, most: 500 },
      },
      reps: {
        label: msg('Repetitions'),
        known: ['reps', 'repetitions', 'rm', 'wdh', 'wiederholungen'],
        reading: { as: 'figure', unit: 'none', least: 1, most: 15, whole: true },
      },
    },
  },
  outcomes: {
    label: msg('Outcomes'),
    fields: {
      person,
      day,
      measureId: {
        label: msg('Measure'),
        known: ['measure', 'test', 'outcome', 'what', 'messgrosse'],
        reading: { as: 'name', of: 'measure' },
      },
      limb: { ...limb, optional: true },
      values: {
        label: msg('Figures'),
        known: ['value', 'values', 'figure', 'figures', 'result', 'score', 'wert', 'werte', 'ergebnis'],
        reading: { as: 'figures', least: -1_000, most: 100_000, mostOf: 10 },
      },
      setting: note(msg('Setting'), ['setting', 'distance', 'set up', 'activity'], 80),
      note: note(msg('Note'), ['note', 'notes', 'remark', 'comment'], 200),
    },
  },
  sessions: {
    label: msg('Sessions on paper'),
    fields: {
      person,
      day,
      time: {
        label: msg('Time'),
        known: ['time', 'began', 'start', 'at', 'zeit', 'uhrzeit', 'beginn'],
        reading: { as: 'time' },
        optional: true,
      },
      plan: note(msg('Plan'), ['plan', 'block', 'program', 'session'], 60),
      reps: {
        label: msg('Repetitions by set'),
        known: [
          'reps',
          'repetitions',
          'sets',
          'repetitions by set',
          'done',
          'wdh',
          'wiederholungen',
          'satze',
        ],
        reading: { as: 'figures', least: 0, most: 500, mostOf: 100 },
      },
      effort: {
        label: msg('Effort of 10'),
        known: ['effort', 'rpe', 'effort of 10', 'anstrengung'],
        reading: { as: 'figure', unit: 'none', least: 0, most: 10, whole: true },
        optional: true,
      },
      jointPain: {
        label: msg('Joint pain of 10'),
        known: ['pain', 'joint pain', 'pain of 10', 'joint pain of 10', 'schmerz', 'gelenkschmerz'],
        reading: { as: 'figure', unit: 'none', least: 0, most: 10, whole: true },
        optional: true,
      },
    },
  },
} as const satisfies Record<string, { label: Message; fields: Record<string, TableField> }>;

export type TableKind = keyof typeof TABLES;
export const TABLE_KINDS = Object.keys(TABLES) as TableKind[];

/** The fields of a kind, by their ids. */
export const fieldsOf = (kind: TableKind): [string, TableField][] => Object.entries(TABLES[kind].fields);
