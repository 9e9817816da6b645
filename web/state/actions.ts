/** Where an action works, as a heading of the list of keys. */
export const WHERE = {
  everywhere: 'Everywhere',
  session: 'In a session',
  floor: 'On the floor',
  measure: 'Measuring and practising',
  screen: 'Screening',
  before: 'Before a session',
  plan: 'Prescribing and reviewing',
  page: 'On a page to read or print',
} as const;
export type Where = keyof typeof WHERE;

/**
 * What a key does: the key as it is bound, as it is drawn on a button, what it does in words, and where. It goes by the
 * character it makes, wherever that is on a keyboard; by its place only where it makes none, or where, as for figures, some
 * keyboards need Shift for it.
 */
export type Action = {
  keys: string;
  is?: 'place';
  written: string;
  words: string;
  where: Where;
};

const figures = (from: number, to: number, modifier = ''): string =>
  Array.from({ length: to - from + 1 }, (_, i) => `${modifier}${from + i}`).join();

const EVERY_ACTION = {
  find: { keys: 'mod+k', written: 'Ctrl K', words: 'Find people and actions', where: 'everywhere' },
  keys: { keys: '?', written: '?', words: 'Show all keys', where: 'everywhere' },
  guide: {
    keys: 'f1',
    is: 'place',
    written: 'F1',
    words: 'The guide, at the page of what is open',
    where: 'everywhere',
  },
  lock: {
    keys: 'g>q',
    written: 'G Q',
    words: 'Lock this device, hand it on, sign out',
    where: 'everywhere',
  },
  theme: {
    keys: 'g>d',
    written: 'G D',
    words: 'Change between paper and dark floor theme',
    where: 'everywhere',
  },
  leave: {
    keys: 'esc',
    is: 'place',
    written: 'Esc',
    words: 'Leave what is open as it was: a form, a list, a question, the tour',
    where: 'everywhere',
  },
  accept: { keys: 'enter', is: 'place', written: 'Enter', words: 'Accept', where: 'everywhere' },
  next: {
    keys: 'space',
    is: 'place',
    written: 'Space',
    words: 'The next expected thing: open, start set, end set, pulse gone, pulse back',
    where: 'everywhere',
  },

  release: { keys: 'r', written: 'R', words: 'Release', where: 'session' },
  loosen: {
    keys: 'l',
    written: 'L',
    words: 'Loosen by 10 mmHg, or what is worn by feel by one step',
    where: 'session',
  },
  tighten: {
    keys: 'p',
    written: 'P',
    words: 'Take a loosening back; one step tighter by feel, before a set',
    where: 'session',
  },
  'top-up': { keys: 't', written: 'T', words: 'Top up to the target before a set', where: 'session' },
  sign: {
    keys: '.',
    written: '.',
    words: 'A sign noted: then 1 to 0 for one that stops, A to G for one that is expected',
    where: 'session',
  },
  stop: { keys: 'esc', is: 'place', written: 'Esc Esc', words: 'Stop now', where: 'session' },
  fewer: {
    keys: '-',
    written: '−',
    words: 'A repetition fewer, or less pressure while measuring',
    where: 'session',
  },
  more: {
    keys: '+ =',
    written: '+',
    words: 'A repetition more, or more pressure while measuring',
    where: 'session',
  },
  effort: {
    keys: figures(0, 9),
    is: 'place',
    written: '0–9',
    words: 'Effort of a set, or repetitions left',
    where: 'session',
  },
  pain: {
    keys: figures(0, 9, 'shift+'),
    is: 'place',
    written: 'Shift 0–9',
    words: 'Joint pain of a set',
    where: 'session',
  },
  hard: { keys: 'h', written: 'H', words: 'It became hard, in a set', where: 'session' },
  watched: {
    keys: 'k',
    written: 'K',
    words: 'The repetitions were watched: right as counted',
    where: 'session',
  },
  'good-look': { keys: 'c', written: 'C', words: 'Colour and feeling good after a set', where: 'session' },
  'take-back': {
    keys: 'b',
    written: 'B',
    words: 'Take back the end of a set, within 10 s',
    where: 'session',
  },
  undo: { keys: 'u', written: 'U', words: 'Undo the last correction or note', where: 'session' },
  take: { keys: 'y', written: 'Y', words: 'Take the change the bench offers', where: 'session' },
  'keep-on': { keys: 'n', written: 'N', words: 'Keep on without it', where: 'session' },
  're-fit': { keys: 'm', written: 'M', words: 'It pinches: re-fit the cuff', where: 'session' },
  'run-here': { keys: 'o', written: 'O', words: 'Run the session from this device', where: 'session' },
  'full-screen': { keys: 'f', written: 'F', words: 'Full screen', where: 'session' },

  lane: {
    keys: figures(1, 9),
    is: 'place',
    written: '1–9',
    words: 'Take a lane in hand: the keys of a session then work for it',
    where: 'floor',
  },
  'open-lane': {
    keys: 'enter',
    is: 'place',
    written: 'Enter',
    words: 'Open the lane in hand',
    where: 'floor',
  },
  together: { keys: 'c', written: 'C', words: 'Start all that are ready together', where: 'floor' },

  higher: { keys: 'arrowup', is: 'place', written: '↑', words: 'More pressure', where: 'measure' },
  lower: { keys: 'arrowdown', is: 'place', written: '↓', words: 'Less pressure', where: 'measure' },
  'let-down': {
    keys: 'esc',
    is: 'place',
    written: 'Esc',
    words: 'Let a simulated cuff down',
    where: 'measure',
  },
  ask: { keys: 'a', written: 'A', words: 'Ask a simulated person how it feels', where: 'measure' },

  yes: { keys: 'y', written: 'Y', words: 'Yes to the question in hand', where: 'screen' },
  no: { keys: 'n', written: 'N', words: 'No to the question in hand', where: 'screen' },
  'rest-no': { keys: 'shift+n', written: 'Shift N', words: 'All the rest: no', where: 'screen' },
  'question-before': {
    keys: 'arrowup',
    is: 'place',
    written: '↑',
    words: 'The question before',
    where: 'screen',
  },
  'question-after': {
    keys: 'arrowdown',
    is: 'place',
    written: '↓',
    words: 'The question after',
    where: 'screen',
  },

  agree: { keys: 'a', written: 'A', words: 'They agree to the training', where: 'before' },
  'all-well': { keys: 'w', written: 'W', words: 'All well, on the day', where: 'before' },
  'pain-now': {
    keys: figures(0, 9),
    is: 'place',
    written: '0–9',
    words: 'Pain now; soreness, the day after',
    where: 'before',
  },
  lighter: { keys: 'l', written: 'L', words: 'Lighter today', where: 'before' },
  retarget: { keys: 't', written: 'T', words: 'Sign the plan again on the newest figures', where: 'before' },
  'other-plan': { keys: 'n', written: 'N', words: 'The next of several plans', where: 'before' },

  'sign-plan': { keys: 'mod+enter', is: 'place', written: 'Ctrl ↵', words: 'Sign the plan', where: 'plan' },
  'draft-anew': { keys: 'd', written: 'D', words: 'Draft the plan anew', where: 'plan' },
  mend: {
    keys: figures(1, 9, 'alt+'),
    is: 'place',
    written: 'Alt 1–9',
    words: 'Mend what a rule found, by its figure',
    where: 'plan',
  },
  'accept-reviews': { keys: 'a', written: 'A', words: 'Accept the reviews', where: 'plan' },

  print: { keys: 'p', written: 'P', words: 'Print', where: 'page' },
  names: { keys: 'n', written: 'N', words: 'Names, or figures alone', where: 'page' },
  'answer-figure': {
    keys: figures(0, 9),
    is: 'place',
    written: '0–9',
    words: 'The answer, on a screen handed over',
    where: 'page',
  },
} as const satisfies Record<string, Action>;

export type ActionId = keyof typeof EVERY_ACTION;

/** The one table of what keys do: the bindings, the list of keys, the search and what is drawn on buttons read it. */
export const ACTIONS: Readonly<Record<ActionId, Action>> = EVERY_ACTION;
export const ACTION_IDS = Object.keys(ACTIONS) as ActionId[];
