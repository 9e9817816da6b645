/** English with `{0}` … where something is put in, and what it is in the language that is spoken. */
export type Pair = readonly [english: string, other: string];

type Sentence = {
  finds: RegExp;
  holes: number[];
  /** How many letters of its own it has: the more, the surer it is the one. */
  letters: number;
  /** Whether it is told from every other by them, whatever is put in. */
  isSure: boolean;
  longest: string;
  into: string;
};
type Tongue = {
  label: Map<string, string>;
  sentences: Sentence[];
  joints: Record<string, string>;
  decimals: (figure: string) => string;
  known: Map<string, boolean>;
};

let tongue: Tongue | undefined;
const remembered = new Map<string, unknown>();
const MOST_REMEMBERED = 5_000;

/** What a sentence may be put together from, the coarsest first. */
const JOINTS = [
  // The rule that a sentence rests on.
  /( ?\([A-Z]{2,}-\d+\)\.? ?)/,
  /((?<=[.!?])\s+)/,
  /(: )/,
  /(; )/,
  /( · )/,
  /(, | and | or )/,
];

/**
 * Makes `told` speak another language than English.
 * @param pairs of every sentence and label the core makes
 * @param joints what stands between the parts of a list, such as " and "
 * @param decimals writes a figure in the manner of the language
 */
export function speakWith(
  pairs: readonly Pair[],
  { joints, decimals }: { joints: Record<string, string>; decimals: (figure: string) => string },
): void {
  const whole = pairs.filter(([english]) => !/\{\d+\}/.test(english));
  const holed = pairs.filter(([english]) => /\{\d+\}/.test(english));
  tongue = {
    label: new Map(
      whole.flatMap(([english, other]) => [
        [english.toLowerCase(), other],
        [english, other],
      ]),
    ),
    sentences: holed.map(sentenceOf).sort((a, b) => b.letters - a.letters),
    joints,
    decimals,
    known: new Map(),
  };
  remembered.clear();
}

/** Makes `told` say everything as the core does. */
export function speakEnglish(): void {
  tongue = undefined;
  remembered.clear();
}

/**
 * Words of the core in the language of the interface. The core makes its sentences in English; here each is found again by
 * what stands still in it, and what was put in is told likewise. What is not the core's, such as a name, stays as it is.
 * @example told('Set 35 % or lower.') //=> 'Set 35 % or lower.', in German '35 % oder weniger einstellen.'
 */
export function told<T>(words: T): T {
  if (tongue === undefined || typeof words !== 'string') return words;
  const known = remembered.get(words);
  if (known !== undefined) return known as T;
  const said = say(words, tongue) ?? words;
  remember(remembered, words, said);
  return said as T;
}

function remember<V>(memory: Map<string, V>, words: string, what: V): void {
  if (memory.size > MOST_REMEMBERED) memory.clear();
  memory.set(words, what);
}

/** A heading in the midst of a sentence: English begins it small there, German does not. */
export const amidst = (heading: string): string => (tongue ? heading : heading.toLowerCase());

/** The words in the other language; undefined where nothing in them is known. From what is surest to what is least so. */
function say(words: string, spoken: Tongue): string | undefined {
  const bare = words.trim();
  if (!/[A-Za-z\d]/.test(bare)) return undefined;
  const inner =
    ofLabel(bare, spoken) ??
    ofFigure(bare, spoken) ??
    ofSentence(bare, spoken, 'one sentence') ??
    withoutStop(bare, spoken) ??
    ofParts(bare, spoken) ??
    ofSentence(bare, spoken, 'several sentences');
  return inner === undefined ? undefined : words.replace(bare, () => inner);
}

/** What the core ends with a stop only where it stands by itself. */
function withoutStop(words: string, spoken: Tongue): string | undefined {
  if (!words.endsWith('.')) return undefined;
  const known = words.slice(0, -1);
  const said = ofLabel(known, spoken) ?? ofFigure(known, spoken) ?? ofSentence(known, spoken, 'one sentence');
  return said && `${said}.`;
}

function ofLabel(words: string, { label }: Tongue): string | undefined {
  const exact = label.get(words);
  if (exact !== undefined) return exact;
  const found = label.get(words.toLowerCase());
  // "Both arms" of "both arms": what was made to begin a sentence begins one.
  return found !== undefined && /^[A-Z]/.test(words) ? found.charAt(0).toUpperCase() + found.slice(1) : found;
}

const FIGURE = /^\d{1,3}(,\d{3})*(\.\d+)?$|^\d+\.\d+$/;
const UNITS = /\b(mmHg|kg|lb|cm|in|s|min|h|W|km|LOP|1RM|ml)\b/g;

/** Figures with what is written alike in every language: their units, signs and operators. */
function ofFigure(words: string, { decimals }: Tongue): string | undefined {
  if (!/\d/.test(words) || /[A-Za-z]/.test(words.replace(UNITS, ''))) return undefined;
  return words.replace(/\d[\d.,]*\d|\d/g, (figure) => (FIGURE.test(figure) ? decimals(figure) : figure));
}

function ofSentence(
  words: string,
  spoken: Tongue,
  holds: 'one sentence' | 'several sentences',
): string | undefined {
  for (const { finds, holes, isSure, longest, into } of spoken.sentences) {
    if (!words.includes(longest)) continue;
    const found = finds.exec(words);
    if (!found) continue;
    const put = new Map(holes.map((hole, i) => [hole, found[i + 1] ?? '']));
    const unknown = [...put.values()].filter((part) => !isKnown(part, spoken));
    // What is not known may be a name; it is not half of another sentence.
    if (unknown.length > 0 && !isSure) continue;
    if (holds === 'one sentence' && unknown.some((part) => /[.!?:;]\s/.test(part))) continue;
    return into.replace(/\{(\d+)\}/g, (_, hole) => told(put.get(Number(hole)) ?? ''));
  }
  return undefined;
}

/** Whether what was put in is known; remembered, since the same part is asked for by every sentence that may hold it. */
function isKnown(part: string, spoken: Tongue): boolean {
  if (!/[A-Za-z]/.test(part)) return true;
  const before = spoken.known.get(part);
  if (before !== undefined) return before;
  const known =
    (ofLabel(part, spoken) ?? ofFigure(part, spoken) ?? ofSentence(part, spoken, 'one sentence')) !==
    undefined;
  remember(spoken.known, part, known);
  return known;
}

/** Several sentences, or a list: each part on its own, if any of them is known. */
function ofParts(words: string, spoken: Tongue): string | undefined {
  for (const joint of JOINTS) {
    const parts = words.split(joint);
    if (parts.length === 1) continue;
    const said = parts.map((part, i) => (i % 2 === 1 ? (spoken.joints[part] ?? part) : say(part, spoken)));
    if (said.some((part, i) => i % 2 === 0 && part !== undefined))
      return said.map((part, i) => part ?? parts[i]).join('');
  }
  return undefined;
}

/** How much it counts that a sentence begins with words of its own, in letters. */
const BEGINS = 8;

/** How many letters it takes to be sure of a sentence, by how it begins: with its own words, with what is put in, or amid a word. */
function leastOf([start = '', next = '']: readonly string[]): number {
  if (start !== '') return 7;
  if (/^[A-Za-z]/.test(next)) return 20;
  return next.startsWith(' ') ? 8 : 5;
}

/** Two holes side by side cannot be told apart: what is in both is one. */
const joined = (words: string): string => words.replace(/(\{\d+\})(\{\d+\})+/g, '$1');

function sentenceOf([whole, other]: Pair): Sentence {
  const english = joined(whole);
  const kept: readonly string[] = english.match(/\{\d+\}/g) ?? [];
  const into = joined(other).replace(/\{\d+\}/g, (hole) => (kept.includes(hole) ? hole : ''));
  const still = english.split(/\{\d+\}/);
  const letters = still.join('').replace(/[^A-Za-z]/g, '').length;
  const escaped = english
    .split(/(\{\d+\})/)
    .map((part) => (/^\{\d+\}$/.test(part) ? '(.*?)' : part.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')))
    .join('');
  return {
    finds: new RegExp(`^${escaped}$`, 's'),
    holes: [...english.matchAll(/\{(\d+)\}/g)].map(([, hole]) => Number(hole)),
    // What begins with words of its own is told from others by them.
    letters: letters + (still[0] === '' ? 0 : BEGINS),
    isSure: letters >= leastOf(still),
    longest: still.reduce((a, b) => (b.length > a.length ? b : a), '').trim(),
    into,
  };
}
