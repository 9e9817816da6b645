import type { EffortIn } from '#core/session';
import { usePractice } from './queries';

/** How this practice says effort. */
export const useEffortIn = (): EffortIn => usePractice().data?.settings.effortIn ?? 'of-ten';
