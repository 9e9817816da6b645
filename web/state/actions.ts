import { t } from '@lingui/core/macro';

/** Where an action works, as a heading of the list of keys. */
export const WHERE = {
  everywhere: t`Everywhere`,
  session: t`In a session`,
  floor: t`On the floor`,
  measure: t`Measuring and practising`,
  screen: t`Screening`,
  before: t`Before a session`,
  plan: t`Prescribing and reviewing`,
  page: t`On a page to read or print`,
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
  find: { keys: 'mod+k', written: t`Ctrl K`, words: t`Find people and actions`, where: 'everywhere' },
  keys: { keys: '?', written: '?', words: t`Show all keys`, where: 'everywhere' },
  guide: {
    keys: 'f1',
    is: 'place',
    written: 'F1',
    words: t`The guide, at the page of what is open`,
    where: 'everywhere',
  },
  lock: {
    keys: 'g>q',
    written: 'G Q',
    words: t`Lock this device, hand it on, sign out`,
    where: 'everywhere',
  },
  theme: {
    keys: 'g>d',
    written: 'G D',
    words: t`Change between paper and dark floor theme`,
    where: 'everywhere',
  },
  leave: {
    keys: 'esc',
    is: 'place',
    written: t`Esc`,
    words: t`Leave what is open as it was: a form, a list, a question`,
    where: 'everywhere',
  },
  accept: { keys: 'enter', is: 'place', written: 'Enter', words: t`Accept`, where: 'everywhere' },
  next: {
    keys: 'space',
    is: 'place',
    written: t`Space`,
    words: t`The next expected thing: open, start set, end set, pulse gone, pulse back`,
    where: 'everywhere',
  },

  release: { keys: 'r', written: 'R', words: t`Release`, where: 'session' },
  loosen: {
    keys: 'l',
    written: 'L',
    words: t`Loosen by 10 mmHg, or what is worn by feel by one step`,
    where: 'session',
  },
  tighten: {
    keys: 'p',
    written: 'P',
    words: t`Take a loosening back; one step tighter by feel, before a set`,
    where: 'session',
  },
  'top-up': { keys: 't', written: 'T', words: t`Top up to the target before a set`, where: 'session' },
  sign: {
    keys: '.',
    written: '.',
    words: t`A symptom noted: then 1 to 0 for one that stops, A to G for one that is expected`,
    where: 'session',
  },
  stop: { keys: 'esc', is: 'place', written: t`Esc Esc`, words: t`Stop now`, where: 'session' },
  fewer: {
    keys: '-',
    written: '−',
    words: t`A repetition fewer, or less pressure while measuring`,
    where: 'session',
  },
  more: {
    keys: '+ =',
    written: '+',
    words: t`A repetition more, or more pressure while measuring`,
    where: 'session',
  },
  effort: {
    keys: figures(0, 9),
    is: 'place',
    written: '0–9',
    words: t`Effort of a set, or repetitions left`,
    where: 'session',
  },
  pain: {
    keys: figures(0, 9, 'shift+'),
    is: 'place',
    written: t`Shift 0–9`,
    words: t`Joint pain of a set`,
    where: 'session',
  },
  hard: { keys: 'h', written: 'H', words: t`It became hard, in a set`, where: 'session' },
  watched: {
    keys: 'k',
    written: 'K',
    words: t`The repetitions were watched: right as counted`,
    where: 'session',
  },
  'good-look': { keys: 'c', written: 'C', words: t`Colour and feeling good after a set`, where: 'session' },
  'take-back': {
    keys: 'b',
    written: 'B',
    words: t`Take back the end of a set or a stop, within 10 s`,
    where: 'session',
  },
  undo: { keys: 'u', written: 'U', words: t`Undo the last correction or note`, where: 'session' },
  take: { keys: 'y', written: 'Y', words: t`Take the change the bench offers`, where: 'session' },
  'keep-on': { keys: 'n', written: 'N', words: t`Keep on without it`, where: 'session' },
  're-fit': { keys: 'm', written: 'M', words: t`It pinches: re-fit the cuff`, where: 'session' },
  'run-here': { keys: 'o', written: 'O', words: t`Run the session from this device`, where: 'session' },
  'full-screen': { keys: 'f', written: 'F', words: t`Full screen`, where: 'session' },

  lane: {
    keys: figures(1, 9),
    is: 'place',
    written: '1–9',
    words: t`Take a lane in hand: the keys of a session then work for it`,
    where: 'floor',
  },
  'open-lane': {
    keys: 'enter',
    is: 'place',
    written: 'Enter',
    words: t`Open the lane in hand`,
    where: 'floor',
  },
  'open-several': { keys: 'n', written: 'N', words: t`Check and open several people`, where: 'floor' },
  together: { keys: 'c', written: 'C', words: t`Start all that are ready together`, where: 'floor' },

  higher: { keys: 'arrowup', is: 'place', written: '↑', words: t`More pressure`, where: 'measure' },
  lower: { keys: 'arrowdown', is: 'place', written: '↓', words: t`Less pressure`, where: 'measure' },
  deflate: {
    keys: 'esc',
    is: 'place',
    written: t`Esc`,
    words: t`Let a simulated cuff down`,
    where: 'measure',
  },
  ask: { keys: 'a', written: 'A', words: t`Ask a simulated person how it feels`, where: 'measure' },

  yes: { keys: 'y', written: 'Y', words: t`Yes to the question in hand`, where: 'screen' },
  no: { keys: 'n', written: 'N', words: t`No to the question in hand`, where: 'screen' },
  'rest-no': { keys: 'shift+n', written: t`Shift N`, words: t`All the rest: no`, where: 'screen' },
  'question-before': {
    keys: 'arrowup',
    is: 'place',
    written: '↑',
    words: t`The question before`,
    where: 'screen',
  },
  'question-after': {
    keys: 'arrowdown',
    is: 'place',
    written: '↓',
    words: t`The question after`,
    where: 'screen',
  },

  agree: { keys: 'a', written: 'A', words: t`They agree to the training`, where: 'before' },
  'all-well': { keys: 'w', written: 'W', words: t`All well, on the day`, where: 'before' },
  'pain-now': {
    keys: figures(0, 9),
    is: 'place',
    written: '0–9',
    words: t`Pain now; soreness, the day after`,
    where: 'before',
  },
  'as-last-time': { keys: 'k', written: 'K', words: t`As last time: nothing rises today`, where: 'before' },
  lighter: { keys: 'l', written: 'L', words: t`Lighter today`, where: 'before' },
  retarget: { keys: 't', written: 'T', words: t`Sign the plan again on the newest figures`, where: 'before' },
  'other-plan': { keys: 'n', written: 'N', words: t`The next of several plans`, where: 'before' },

  'sign-plan': { keys: 'mod+enter', is: 'place', written: t`Ctrl ↵`, words: t`Sign the plan`, where: 'plan' },
  redraft: { keys: 'd', written: 'D', words: t`Draft the plan again`, where: 'plan' },
  'draft-next-block': { keys: 'n', written: 'N', words: t`Draft the block that is proposed`, where: 'plan' },
  fix: {
    keys: figures(1, 9, 'alt+'),
    is: 'place',
    written: t`Alt 1–9`,
    words: t`Apply what a rule suggests, by its figure`,
    where: 'plan',
  },
  'accept-reviews': { keys: 'a', written: 'A', words: t`Accept the reviews`, where: 'plan' },

  print: { keys: 'p', written: 'P', words: t`Print`, where: 'page' },
  names: { keys: 'n', written: 'N', words: t`Names, or figures alone`, where: 'page' },
  'answer-figure': {
    keys: figures(0, 9),
    is: 'place',
    written: '0–9',
    words: t`The answer, on a screen handed over`,
    where: 'page',
  },
} as const satisfies Record<string, Action>;

export type ActionId = keyof typeof EVERY_ACTION;

/** The one table of what keys do: the bindings, the list of keys, the search and what is drawn on buttons read it. */
export const ACTIONS: Readonly<Record<ActionId, Action>> = EVERY_ACTION;
export const ACTION_IDS = Object.keys(ACTIONS) as ActionId[];
