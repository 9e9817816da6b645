import { LOINC, LOINC_CODES, type LoincId } from '#core/screening';

const UCUM = 'http://unitsofmeasure.org';

/** A concept by its LOINC code. */
export const loinc = (id: LoincId) => ({
  coding: [{ system: LOINC, ...LOINC_CODES[id] }],
  text: LOINC_CODES[id].display,
});

/** Units of the core in UCUM. */
const UCUM_CODES: Record<string, string> = {
  mmHg: 'mm[Hg]',
  kg: 'kg',
  cm: 'cm',
  '%': '%',
  s: 's',
  min: 'min',
  'beats/min': '/min',
};

/** A figure with its unit; one that UCUM does not have is said in words alone. */
export function quantity(value: number, unit: string) {
  const code = UCUM_CODES[unit];
  return code === undefined ? { value, unit } : { value, unit, system: UCUM, code };
}
