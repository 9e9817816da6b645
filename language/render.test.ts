import { setupI18n } from '@lingui/core';
import { describe, expect, it } from 'vitest';
import { capital, length, list, mass, msg, only, sentences } from '#core/message';
import { compileOnce, ENGLISH, inEnglish, render, type Speaker } from './render';

const german = setupI18n({
  locale: 'de',
  messages: {
    de: {
      'Set {percent} % or lower.': '{percent} % oder weniger einstellen.',
      '{name} is on {load}.': '{load} ist die Last von {name}.',
      '{n, plural, one {# set} other {# sets}}': '{n, plural, one {# Satz} other {# Sätze}}',
      'left arm': 'linker Arm',
      Wide: 'Groß',
    },
  },
}).setMessagesCompiler(compileOnce);
const GERMAN: Speaker = {
  translate: (template, values) => german._(template, values, { message: template }),
  locale: 'de',
  units: { mass: 'lb', length: 'in' },
  day: (isoDay) => isoDay.split('-').reverse().join('.'),
};

describe('a message as text', () => {
  it('puts figures in with the decimal mark of the language', () => {
    const set = msg('Set {percent} % or lower.', { percent: 32.5 });
    expect(inEnglish(set)).toBe('Set 32.5 % or lower.');
    expect(render(set, GERMAN)).toBe('32,5 % oder weniger einstellen.');
  });

  it('chooses the unit of mass and of length when it is rendered', () => {
    const load = msg('{name} is on {load}.', { name: 'Wide', load: mass(10) });
    expect(inEnglish(load)).toBe('Wide is on 10 kg.');
    expect(render(load, GERMAN)).toBe('22,05 lb ist die Last von Wide.');
    expect(render(only(length(2.54)), GERMAN)).toBe('1 in');
  });

  it('translates a message that is put in, and never a name that was typed', () => {
    expect(render(msg('{name} is on {load}.', { name: msg('Wide'), load: 'Wide' }), GERMAN)).toBe(
      'Wide ist die Last von Groß.',
    );
    expect(render('Wide', GERMAN)).toBe('Wide');
  });

  it('chooses a plural by a whole number', () => {
    const sets = (n: number) => msg('{n, plural, one {# set} other {# sets}}', { n });
    expect([1, 2].map((n) => inEnglish(sets(n)))).toEqual(['1 set', '2 sets']);
    expect([1, 2].map((n) => render(sets(n), GERMAN))).toEqual(['1 Satz', '2 Sätze']);
  });

  it('joins a list in the language, and begins a heading with a capital', () => {
    expect(inEnglish(list(['a', 'b', 'c'], 'and'))).toBe('a, b and c');
    expect(render(list(['a', 'b'], 'or'), GERMAN)).toBe('a oder b');
    expect(render(capital(msg('left arm')), GERMAN)).toBe('Linker Arm');
    expect(inEnglish(sentences(msg('Lie down.'), null, 'As typed.'))).toBe('Lie down. As typed.');
  });

  it('leaves a brace in a typed name alone', () => {
    expect(inEnglish(msg('{name} is worn.', { name: '{percent}' }))).toBe('{percent} is worn.');
  });

  it('writes a calendar day as the practice does', () => {
    expect(render(only({ isoDay: '2026-05-04' }), GERMAN)).toBe('04.05.2026');
    expect(render(only({ isoDay: '2026-05-04' }), ENGLISH)).toBe('2026-05-04');
  });
});
