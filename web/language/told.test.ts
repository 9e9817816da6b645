import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { amidst, type Pair, speakEnglish, speakWith, told } from './told';

const PAIRS: Pair[] = [
  ['left thigh', 'linker Oberschenkel'],
  ['Knee extension', 'Kniestreckung'],
  ['Numb or tingling', 'Taubheit oder Kribbeln'],
  ['both arms', 'beide Arme'],
  ['on hold', 'gesperrt'],
  ['Set {0} % or lower.', '{0} % oder weniger einstellen.'],
  ['{0} of {1}', '{0} von {1}'],
  [
    '{0} % is above the {1} % that the ramp allows this week.',
    '{0} % liegen über den {1} %, die die Steigerung erlaubt.',
  ],
  ['{0}, {1}: felt right at {2}', '{0}, {1}: richtig gefühlt bei {2}'],
  ['Fits {0}.', 'Passt für {0}.'],
  ['Ask first: {0}.', 'Zuerst fragen: {0}.'],
];

beforeAll(() =>
  speakWith(PAIRS, {
    joints: { ' and ': ' und ' },
    decimals: (figure) => figure.replace(/[.,]/g, (mark) => (mark === '.' ? ',' : '.')),
  }),
);
afterAll(speakEnglish);

describe('what the core says in another language', () => {
  it('is found again by what stands still in it, whatever was put in', () => {
    expect(told('62.5 % is above the 60 % that the ramp allows this week.')).toBe(
      '62,5 % liegen über den 60 %, die die Steigerung erlaubt.',
    );
    expect(told('Knee extension, left thigh: felt right at 7')).toBe(
      'Kniestreckung, linker Oberschenkel: richtig gefühlt bei 7',
    );
  });

  it('is told of labels in any case, also where they begin a sentence or end one', () => {
    expect(told('knee extension')).toBe('Kniestreckung');
    expect(told('Both arms')).toBe('Beide Arme');
    expect(told('Knee extension.')).toBe('Kniestreckung.');
  });

  it('is told sentence by sentence, and list by list', () => {
    expect(told('Fits left thigh. Set 35 % or lower.')).toBe(
      'Passt für linker Oberschenkel. 35 % oder weniger einstellen.',
    );
    expect(told('Knee extension and both arms; on hold')).toBe('Kniestreckung und beide Arme; gesperrt');
  });

  it('has figures as the language writes them, with their unit', () => {
    expect(['1.5', '54.5 cm', '1,200', '−0.6 cm', '17:30', '2.10.2026'].map((words) => told(words))).toEqual([
      '1,5',
      '54,5 cm',
      '1.200',
      '−0,6 cm',
      '17:30',
      '2.10.2026',
    ]);
  });

  it('leaves what somebody wrote as it is: a name, a story, a name that looks like a sentence', () => {
    for (const words of ['Odalys Ferrant', 'Isle of Man', 'Ferry deckhand, eight weeks after a repair'])
      expect(told(words)).toBe(words);
  });

  it('never fails and always says something, whatever it is given', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (words) => {
        expect(typeof told(words)).toBe('string');
        expect(told(words) === '').toBe(words === '');
      }),
    );
    expect([told(undefined), told(null), told(7)]).toEqual([undefined, null, 7]);
  });
});

describe('English', () => {
  beforeAll(speakEnglish);

  it('is as the core says it, figures too', () => {
    for (const [english] of PAIRS) expect(told(english)).toBe(english);
    expect(told('54.5 cm')).toBe('54.5 cm');
  });

  it('begins a heading small in the midst of a sentence', () => {
    expect(amidst('Ready now')).toBe('ready now');
  });
});
