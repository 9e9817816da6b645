import type { OwnPlace } from '#core/quantity';
import { usePractice } from './queries';

const NONE: readonly OwnPlace[] = [];

/** Places of this practice. */
export const useOwnPlaces = (): readonly OwnPlace[] => usePractice().data?.settings.places ?? NONE;
