import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { automaticTrial } from '../occlusion-pressure/automatic';
import { estimateOcclusionPressure } from '../occlusion-pressure/estimate';
import { emptyRow, readRow, rowOf, withRoom } from './trial-rows';

const steps = { upMmHg: 10, downMmHg: 4 };
const row = (gone: string, back: string) => ({ gone, back, ...steps });

describe('a trial as it is typed', () => {
  it('is empty, then half done, then whole', () => {
    expect(readRow(emptyRow(steps)).state).toBe('empty');
    expect(readRow(row('180', '')).state).toBe('rising-done');
    expect(readRow(row('180', '172'))).toMatchObject({ state: 'whole', trial: { goneMmHg: 180, ...steps } });
  });

  it.each([
    ['160', '172', 'gone'],
    ['abc', '', 'gone'],
    ['180', 'x', 'back'],
    ['900', '', 'gone'],
    ['', '172', 'gone'],
  ])('says beside the field what is wrong with %s and %s', (gone, back, field) => {
    const read = readRow(row(gone, back));
    expect(read).toMatchObject({ state: 'wrong', field });
    expect(read.state === 'wrong' && read.words.length).toBeGreaterThan(10);
  });

  it('keeps the steps it was taken with when the set-up changes', () => {
    const rows = withRoom([row('180', '172')], { upMmHg: 50, downMmHg: 2 });
    expect(rows).toEqual([row('180', '172'), { gone: '', back: '', upMmHg: 50, downMmHg: 2 }]);
  });

  it('gives room for three trials and never for more', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 3 }), (taken) => {
        const rows = withRoom(
          Array.from({ length: taken }, () => row('180', '172')),
          steps,
        );
        expect(rows).toHaveLength(Math.min(3, taken + 1));
      }),
    );
    expect(withRoom([row('180', '')], steps)).toHaveLength(1);
  });

  it('takes an automatic pump’s figure as what it is, give or take six', () => {
    const read = readRow(rowOf(automaticTrial(170)));
    const trial = read.state === 'whole' ? read.trial : null;
    expect(trial && estimateOcclusionPressure([trial], { divisionMmHg: 1 })?.pressure.value).toBe(170);
  });
});
