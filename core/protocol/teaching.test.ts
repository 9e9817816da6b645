import { describe, expect, it } from 'vitest';
import { englishOf } from '#language/english-of.fixture';
import { EXERCISES, type Library } from './exercises';
import { breathingOf, mayTestSingle, teachingOf } from './teaching';

const LIBRARY: Library = EXERCISES;

describe('how exercises are taught', () => {
  it.each(Object.keys(EXERCISES))('%s has its set-up, range and what goes wrong, each in one line', (id) => {
    const teaching = teachingOf(id);
    if (!teaching) throw new Error(`${id} is not taught.`);
    for (const words of [teaching.setUp, teaching.range, teaching.wrong])
      expect(englishOf(words)).toMatch(/^[A-Z][^\n]{5,110}\.$/);
    // What stands in while the limb carries only itself is lower on the ladder, for the same kind of limb.
    const { unloaded } = teaching;
    if (unloaded) {
      expect(EXERCISES[unloaded].limbKind).toBe(LIBRARY[id]?.limbKind);
      expect(['none', 'body-weight', 'bands']).toContain(EXERCISES[unloaded].equipment);
    }
  });

  it('breathes by the kind of work', () => {
    expect(englishOf(breathingOf(EXERCISES['quad-set']))).toContain('Keep breathing');
    expect(englishOf(breathingOf(EXERCISES.cycling))).toContain('talk');
    expect(englishOf(breathingOf(EXERCISES['leg-press']))).toContain('Out as you lift');
  });

  it('spares small joints a single heaviest repetition (LOAD-1), and asks nothing of an exercise of the practice’s own', () => {
    expect(mayTestSingle('wrist-extension', EXERCISES['wrist-extension'])).toBe(false);
    expect(mayTestSingle('leg-press', EXERCISES['leg-press'])).toBe(true);
    expect(mayTestSingle('our-own', EXERCISES['wrist-extension'])).toBe(true);
  });
});
