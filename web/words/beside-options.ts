import { BESIDE_IDS, BESIDE_LABELS } from '#core/protocol/beside';
import { told } from '../language/told';

/** What can be done beside the cuff, as words of a sentence. */
export const BESIDE_OPTIONS = BESIDE_IDS.map((value) => ({
  value,
  label: told(BESIDE_LABELS[value].toLowerCase()),
}));
