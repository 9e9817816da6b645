import { useMemo } from 'react';
import { type OwnPlace, type Place, placesOf } from '#core/quantity';
import { usePractice } from './queries';

const NONE: readonly OwnPlace[] = [];

/** Places of this practice. */
export const useOwnPlaces = (): readonly OwnPlace[] => usePractice().data?.settings.places ?? NONE;

/** Where this practice trains people. */
export function usePlaces(): Place[] {
  const own = useOwnPlaces();
  return useMemo(() => placesOf(own), [own]);
}
