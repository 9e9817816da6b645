import { i18n } from '@lingui/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { METHODS } from '#core/occlusion-pressure';
import { LIMB_LABELS, POSITION_NAMES, SIDE_NAMES } from '#core/quantity';
import { fromConstant, type Mapping, readRow } from '#core/table';
import { translate } from '../../../language/translate';

const NOTHING_KNOWN = { exercise: new Map(), measure: new Map(), cuff: new Map() };
const BY = { units: { mass: 'kg', length: 'cm' }, today: '2026-12-01' } as const;

/** Whether a word for all rows is read. */
const isRead = (kind: Mapping['kind'], field: string, word: string): boolean => {
  const [read] = readRow(
    [],
    { kind, fields: { [field]: fromConstant(word) }, wide: null },
    NOTHING_KNOWN,
    BY,
  );
  return read?.ok === false && !read.bad.some((bad) => bad.field === field);
};

const OFFERED = [
  ['limb', 'fits', Object.values(LIMB_LABELS)],
  ['side', 'strength-tests', Object.values(SIDE_NAMES)],
  ['position', 'pressures', Object.values(POSITION_NAMES)],
  ['method', 'pressures', Object.values(METHODS).map(({ label }) => label)],
] as const;

const readsAll = () =>
  it.each(OFFERED)('every %s is read', (field, kind, labels) => {
    const words = labels.map((label) => translate(label));
    expect(words.filter((word) => !isRead(kind, field, word))).toEqual([]);
  });

describe('what is offered for all rows, in English', () => {
  readsAll();
});
describe('what is offered for all rows, in German', () => {
  beforeAll(async () => {
    const { messages } = await import('../../../language/german');
    i18n.loadAndActivate({ locale: 'de', messages });
  });
  afterAll(() => i18n.loadAndActivate({ locale: 'en', messages: {} }));
  readsAll();
});
