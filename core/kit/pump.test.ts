import { describe, expect, it } from 'vitest';
import { inEnglish } from '#language/render';
import { dayOf } from '../quantity/days';
import { checkGauge, pumpSchema } from './pump';

const pump = {
  id: 'hand',
  label: 'Hand pump',
  kind: 'by-hand',
  divisionMmHg: 2,
  keepsPressure: true,
} as const;

describe('the check of a gauge (FIT-2)', () => {
  it('is both, when it was and what it found, or none', () => {
    const paths = (changes: object) =>
      pumpSchema.safeParse({ ...pump, ...changes }).error?.issues.map(({ path }) => path.join('.')) ?? [];
    expect(paths({})).toEqual([]);
    expect(paths({ checkedOn: '2026-01-05', errorMmHg: 0 })).toEqual([]);
    expect(paths({ checkedOn: '2026-01-05' })).toEqual(['errorMmHg']);
    expect(paths({ errorMmHg: 3 })).toEqual(['checkedOn']);
    expect(paths({ checkedOn: '2026-02-30', errorMmHg: 21 })).toEqual(['checkedOn', 'errorMmHg']);
  });

  it('is due after a year, with what is assumed until then', () => {
    const said = (today: string, changes: object = { checkedOn: '2025-05-06', errorMmHg: 3 }) =>
      checkGauge({ ...pump, ...changes }, dayOf(today)).map(
        ({ level, message }) => `${level}: ${inEnglish(message)}`,
      );
    expect(said('2026-05-06')).toEqual([]);
    expect(said('2026-05-07')).toEqual([
      'note: Hand pump was last checked on 2025-05-06, over twelve months ago; its error of 3 mmHg is assumed until then.',
    ]);
    expect(said('2026-05-07', {})).toEqual([]);
  });
});
