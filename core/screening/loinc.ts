/** The code system LOINC, and the few codes of it that are certain; all else is said in words. */
export const LOINC = 'http://loinc.org';

export const LOINC_CODES = {
  'blood-pressure': { code: '85354-9', display: 'Blood pressure panel with all children optional' },
  systolic: { code: '8480-6', display: 'Systolic blood pressure' },
  diastolic: { code: '8462-4', display: 'Diastolic blood pressure' },
  'heart-rate': { code: '8867-4', display: 'Heart rate' },
  'body-mass': { code: '29463-7', display: 'Body weight' },
} as const;
export type LoincId = keyof typeof LOINC_CODES;
