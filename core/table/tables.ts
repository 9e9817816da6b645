import { type Message, msg } from '../message/message';

/** How a field of a table is read. */
export type Reading =
  | { as: 'text'; most: number }
  | { as: 'day' }
  | { as: 'time' }
  | { as: 'figure'; unit: 'mass' | 'length' | 'none'; least: number; most: number; whole?: true }
  | { as: 'figures'; least: number; most: number; mostOf: number }
  | { as: 'word'; of: 'limb' | 'side' | 'position' | 'method' }
  | { as: 'name'; of: 'exercise' | 'measure' | 'cuff' };

/** A field of a table: what it is called on screen, and by what its column is known. */
export type TableField = { label: Message; known: readonly string[]; reading: Reading; optional?: true };

const person: TableField = {
  label: msg('Person'),
  known: ['name', 'person', 'client', 'patient', 'athlete', 'full name'],
  reading: { as: 'text', most: 80 },
};
const day: TableField = {
  label: msg('Day'),
  known: ['date', 'day', 'on', 'measured', 'measured on', 'tested', 'tested on'],
  reading: { as: 'day' },
};
const limb: TableField = {
  label: msg('Limb'),
  known: ['limb', 'side and limb', 'leg'],
  reading: { as: 'word', of: 'limb' },
};
const cuff: TableField = {
  label: msg('Cuff'),
  known: ['cuff', 'cuff size', 'worn'],
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
    fields: { person, story: note(msg('Story'), ['story', 'notes', 'note', 'about', 'history'], 400) },
  },
  fits: {
    label: msg('Girths and cuffs'),
    fields: {
      person,
      day,
      limb,
      girthCm: {
        label: msg('Girth'),
        known: ['girth', 'circumference', 'limb girth', 'tape'],
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
        known: ['position', 'posture'],
        reading: { as: 'word', of: 'position' },
      },
      cuffId: cuff,
      method: {
        label: msg('Pulse found by'),
        known: ['method', 'by', 'probe', 'found by', 'pulse found by'],
        reading: { as: 'word', of: 'method' },
      },
      pressureMmHg: {
        label: msg('Pressure'),
        known: ['lop', 'aop', 'limb occlusion pressure', 'occlusion pressure', 'pressure'],
        reading: { as: 'figure', unit: 'none', least: 20, most: 300 },
      },
      stepMmHg: {
        label: msg('In steps of'),
        known: ['step', 'steps', 'step size', 'in steps of'],
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
        known: ['exercise', 'lift', 'movement', 'test'],
        reading: { as: 'name', of: 'exercise' },
      },
      side: { label: msg('Side'), known: ['side', 'limb'], reading: { as: 'word', of: 'side' } },
      loadKg: {
        label: msg('Load'),
        known: ['load', 'weight', 'lifted'],
        reading: { as: 'figure', unit: 'mass', least: 0.5, most: 500 },
      },
      reps: {
        label: msg('Repetitions'),
        known: ['reps', 'repetitions', 'rm'],
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
        known: ['measure', 'test', 'outcome', 'what'],
        reading: { as: 'name', of: 'measure' },
      },
      limb: { ...limb, optional: true },
      values: {
        label: msg('Figures'),
        known: ['value', 'values', 'figure', 'figures', 'result', 'score'],
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
        known: ['time', 'began', 'start', 'at'],
        reading: { as: 'time' },
        optional: true,
      },
      plan: note(msg('Plan'), ['plan', 'block', 'program', 'session'], 60),
      reps: {
        label: msg('Repetitions by set'),
        known: ['reps', 'repetitions', 'sets', 'repetitions by set', 'done'],
        reading: { as: 'figures', least: 0, most: 500, mostOf: 100 },
      },
      effort: {
        label: msg('Effort of 10'),
        known: ['effort', 'rpe', 'effort of 10'],
        reading: { as: 'figure', unit: 'none', least: 0, most: 10, whole: true },
        optional: true,
      },
      jointPain: {
        label: msg('Joint pain of 10'),
        known: ['pain', 'joint pain', 'pain of 10', 'joint pain of 10'],
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
