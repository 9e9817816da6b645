import { NOTHING_KNOWN } from '#contract/client';
import { USUAL_SHELF_LIFE } from '#core/occlusion-pressure';
import type { Prepare } from '../../db/dialect/connection';
import { clientRecord } from '../client';
import { keepRow } from '../write';

/** Keeps a new client with an empty record. */
export function keepClient(
  prepare: Prepare,
  { id, name, story, addedAtMs }: { id: string; name: string; story: string; addedAtMs: number },
): void {
  keepRow(prepare, clientRecord, {
    id,
    name,
    story,
    about: NOTHING_KNOWN,
    shelfLife: USUAL_SHELF_LIFE,
    limbShelfLives: [],
    addedAtMs,
    archivedAtMs: null,
    mergedInto: null,
  });
}
