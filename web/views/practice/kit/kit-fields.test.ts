import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { kitItemSchema } from '#contract/practice';
import { UNITS } from '../../../words/units';
import { fromTyped, isOfKind, KINDS, KIT_KINDS, type KitField, type KitKind, toTyped } from './kit-fields';

const METRIC = { mass: UNITS.mass.kg, length: UNITS.length.cm };
const IMPERIAL = { mass: UNITS.mass.lb, length: UNITS.length.in };

const PIECES: Record<KitKind, Record<string, unknown>> = {
  cuff: {
    label: 'L',
    limbKind: 'leg',
    widthCm: 11.5,
    girthLowCm: 50,
    girthHighCm: 70,
    shape: 'contoured',
    bladder: 'single',
    canOcclude: true,
    maxPressureMmHg: 300,
  },
  pump: { label: 'P', kind: 'regulated', divisionMmHg: 2, keepsPressure: false },
  masses: { label: 'D', massesKg: [1, 2.5, 4] },
  bar: { label: 'B', barKg: 10, pairs: [{ plateKg: 1.25, pairs: 1 }] },
  stack: { label: 'S', lightestKg: 5, stepKg: 2.5, heaviestKg: 60 },
  bands: { label: 'R', names: ['sand', 'moss'] },
  strap: { label: 'T', limbKind: 'arm', widthCm: 5, firstMark: 1, lastMark: 12 },
  squeezed: { label: 'Q', limbKind: 'leg', widthCm: 10, firstMark: 4, lastMark: 30 },
  wrap: { label: 'W', limbKind: 'arm', widthCm: 7.5, firstMark: 2, lastMark: 6 },
};

/** What the form sends for a piece: every field shown and read back. */
const throughTheForm = (kind: KitKind, piece: Record<string, unknown>, units: typeof METRIC) => ({
  list: KINDS[kind].list,
  item: {
    id: 'x',
    ...KINDS[kind].fixed,
    ...Object.fromEntries(
      KINDS[kind].fields.map((field: KitField) => [
        field.key,
        fromTyped(field, toTyped(field, piece[field.key], units), units),
      ]),
    ),
  },
});

describe('the kit form', () => {
  it.each(KIT_KINDS)('gives back a %s as it was, in kilograms and centimetres', (kind) => {
    const sent = throughTheForm(kind, PIECES[kind], METRIC);
    expect(kitItemSchema.parse(sent).item).toEqual({ id: 'x', ...KINDS[kind].fixed, ...PIECES[kind] });
  });

  it.each(KIT_KINDS)('gives back a %s within what pounds and inches can show', (kind) => {
    const sent = throughTheForm(kind, PIECES[kind], IMPERIAL);
    expect(kitItemSchema.safeParse(sent).success).toBe(true);
  });

  it.each(KIT_KINDS)('is refused with a path at each field of a %s left empty', (kind) => {
    const empty = throughTheForm(kind, {}, METRIC);
    const paths = kitItemSchema.safeParse(empty).error?.issues.map(({ path }) => path.at(-1));
    expect(paths).toContain('label');
  });

  it('reads plates written with any cross', () => {
    const field = KINDS.bar.fields[2] as KitField;
    expect(fromTyped(field, '1.25x1 2,5×2 5*2', METRIC)).toEqual([
      { plateKg: 1.25, pairs: 1 },
      { plateKg: 2.5, pairs: 2 },
      { plateKg: 5, pairs: 2 },
    ]);
  });

  it('sorts weights into their kinds', () => {
    for (const kind of ['masses', 'bar', 'stack', 'bands'] as const) {
      const item = kitItemSchema.parse(throughTheForm(kind, PIECES[kind], METRIC)).item;
      expect(
        KIT_KINDS.filter((other) => KINDS[other].list === 'weightKits' && isOfKind(other, item)),
      ).toEqual([kind]);
    }
  });
});

describe('units', () => {
  it('show and read back the core’s figure to a hundredth', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 500, noNaN: true }), (kg) => {
        for (const measure of [UNITS.mass.kg, UNITS.mass.lb, UNITS.length.cm, UNITS.length.in]) {
          expect(Math.abs(measure.parse(measure.show(kg)) - kg)).toBeLessThan(0.02);
        }
      }),
    );
  });

  it('read a comma as a point, and nothing as no number', () => {
    expect(UNITS.length.cm.parse('54,5')).toBe(54.5);
    expect(UNITS.length.in.parse('10')).toBe(25.4);
    expect(UNITS.mass.lb.words(10)).toBe('22.05 lb');
    expect(UNITS.mass.kg.words(1.25)).toBe('1.25 kg');
    for (const typed of ['', ' ', 'ten']) expect(UNITS.mass.kg.parse(typed)).toBeNaN();
  });
});

it('reads plates marked in another unit, and shows them as they are marked', () => {
  const field = KINDS.bar.fields.find(({ key }) => key === 'pairs') as KitField;
  const pairs = fromTyped(field, '2.5×2 10lb×1 5KG x 1'.replace(' x ', 'x'), METRIC);
  expect(pairs).toEqual([
    { plateKg: 2.5, pairs: 2 },
    { plateKg: expect.closeTo(4.536, 3), pairs: 1, markedIn: 'lb' },
    { plateKg: 5, pairs: 1, markedIn: 'kg' },
  ]);
  expect(toTyped(field, pairs, METRIC)).toBe('2.5×2 10lb×1 5kg×1');
});
