import { ADJUNCT_IDS, ADJUNCT_NAMES } from '#core/protocol';
import { translate } from '../language/translate';

/** Adjuncts, as words of a sentence. */
export const ADJUNCT_OPTIONS = ADJUNCT_IDS.map((value) => ({
  value,
  label: translate(ADJUNCT_NAMES[value]),
}));
