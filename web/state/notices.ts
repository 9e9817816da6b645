import { store } from './store';

/** Words said in passing; `undo` takes back what they say was done. */
export type Notice = { words: string; undo?: () => void };

/** What is to be shown in passing, until it is taken up. */
export const notices = store<readonly Notice[]>([]);

/** Says something in passing. */
export const notify = (words: string): void => notices.set([...notices.get(), { words }]);

/** Says that something was done, and offers to take it back; only for what needs no question first. */
export const notifyDone = (words: string, undo: () => void): void =>
  notices.set([...notices.get(), { words, undo }]);
