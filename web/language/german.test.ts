import { setDefaultOptions } from 'date-fns';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { RULES } from '#core/rules/catalogue';
import { SCREEN_ITEMS } from '#core/screening/items';
import { SIGNS } from '#core/session/signs';
import { amidst, speakEnglish, told } from './told';

// Reading it makes `told` speak German.
beforeAll(() => import('./german'));
afterAll(() => {
  speakEnglish();
  // biome-ignore lint/suspicious/noExplicitAny: none is what it was before
  setDefaultOptions({ locale: undefined as any });
});

describe('German', () => {
  it.each([
    [
      'Knee extension: 98 mmHg, 7.5 kg, Standard 75, signed 11 days ago.',
      'Kniestreckung: 98 mmHg, 7,5 kg, Standard 75, unterschrieben vor 11 Tagen.',
    ],
    [
      'Knee extension, left thigh: signed on an LOP of 183 for 108 mmHg; in force is 175, which makes 104 mmHg.',
      'Kniestreckung, linker Oberschenkel: auf einer LOP von 183 für 108 mmHg unterschrieben; es gilt 175, das ergibt 104 mmHg.',
    ],
    [
      'Knee extension: hold. 73 of 75, in sets two and later: on target.',
      'Kniestreckung: halten. 73 von 75, ab dem zweiten Satz: im Ziel.',
    ],
    [
      'Only a clinician or a coach may sign a plan, a block, an answer to a review or a report.',
      'Nur eine klinische Fachkraft oder ein Coach darf einen Plan, einen Block, eine Antwort auf eine Auswertung oder einen Bericht unterschreiben.',
    ],
    [
      'Fitted to 24 logged sets of the left thigh.',
      'Angepasst an 24 festgehaltene Sätze (linker Oberschenkel).',
    ],
    [
      '68 sets, at 40 to 59 % of the pressure that stops its flow',
      '68 Sätze, bei 40 bis 59 % des Drucks, der den Fluss anhält',
    ],
    [
      'Elbow flexion: hold. 61 of 75, in sets two and later: on target. (REV-2) Accepted.',
      'Ellbogenbeugung: halten. 61 von 75, ab dem zweiten Satz: im Ziel. (REV-2) Angenommen.',
    ],
    ['Walks at home is paused.', 'Walks at home ist ausgesetzt.'],
    ['3 times a day', '3 Mal am Tag'],
    [
      'Quadriceps: once in seven days; two or three work.',
      'Quadrizeps: einmal in sieben Tagen; zwei oder drei wirken.',
    ],
  ])('%s', (english, german) => expect(told(english)).toBe(german));

  it('has every rule, sign and question of the screening', () => {
    const words = [
      ...Object.values(RULES).flatMap(({ title, text }) => [title, text]),
      ...Object.values(SIGNS).map(({ label }) => label),
      ...Object.values(SCREEN_ITEMS).map(({ label }) => label),
    ];
    expect(words.filter((english) => told(english) === english && !/^Diabetes$/.test(english))).toEqual([]);
  });

  it('keeps the numbers of a rule: none is lost or changed but for its decimal mark', () => {
    const figuresOf = (words: string) =>
      (words.replace(/(\d),(\d)/g, '$1.$2').match(/\d+(\.\d+)?/g) ?? []).sort();
    for (const { text } of Object.values(RULES)) expect(figuresOf(told(text)), text).toEqual(figuresOf(text));
  });

  it('leaves a heading as it is in the midst of a sentence', () => {
    expect(amidst('Jetzt bereit')).toBe('Jetzt bereit');
  });

  // Every part of a list may be asked for by every sentence with something put in: once each, or a long note stops the page.
  it.each([
    ['a list', Array.from({ length: 300 }, (_, i) => `w${i}`).join(', ')],
    ['what is joined', Array.from({ length: 200 }, (_, i) => `word${i} ${i}`).join(' and ')],
    ['one word over and over', 'the set at '.repeat(200)],
    [
      'a long note',
      'Pain was 2 of 10 at first, then 4 of 10 after set 3: at 60 % of LOP, with 12 kg, and the rest was 45 s; as before. '.repeat(
        8,
      ),
    ],
  ])('takes little to leave what is not the core’s as it is: %s', (_, words) => {
    const looks = vi.spyOn(RegExp.prototype, 'exec');
    told(words);
    expect(looks.mock.calls.length).toBeLessThan(250_000);
    looks.mockRestore();
  });
});
