import { BESIDE_IDS, BESIDE_NAMES } from '#core/protocol/beside';
import { translate } from '../language/translate';

/** What can be done beside the cuff, as words of a sentence. */
export const BESIDE_OPTIONS = BESIDE_IDS.map((value) => ({
  value,
  label: translate(BESIDE_NAMES[value]),
}));
