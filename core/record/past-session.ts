import type { Reviewed } from '../review/reviewed';
import type { SessionFact } from './facts';

/** A finished session with what its log folds to, and pain before it, of 10, where it was said. */
export type PastSession = Reviewed & { fact: SessionFact; painBefore: number | null };
