import type { EffortIn } from '#core/session/effort';
import { usePractice } from './queries';

/** How this practice says effort. */
export const useEffortIn = (): EffortIn => usePractice().data?.settings.effortIn ?? 'of-ten';
