// Codes of public code systems stand here only where they are certain; all else is said in words.
const LOINC = 'http://loinc.org';
export const UCUM = 'http://unitsofmeasure.org';

/** Observations that have a LOINC code, with the words of the code system. */
export const LOINC_CODES = {
  'blood-pressure': { code: '85354-9', display: 'Blood pressure panel with all children optional' },
  systolic: { code: '8480-6', display: 'Systolic blood pressure' },
  diastolic: { code: '8462-4', display: 'Diastolic blood pressure' },
  'heart-rate': { code: '8867-4', display: 'Heart rate' },
  'body-mass': { code: '29463-7', display: 'Body weight' },
} as const;

/** A concept by its LOINC code. */
export const loinc = (id: keyof typeof LOINC_CODES) => ({
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
