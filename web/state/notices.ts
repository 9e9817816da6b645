import { store } from './store';

/** Words to be shown in passing, until they are taken up. */
export const notices = store<readonly string[]>([]);

/** Says something in passing. */
export const notify = (words: string): void => notices.set([...notices.get(), words]);
