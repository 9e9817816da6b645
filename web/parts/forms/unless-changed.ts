import type { Text } from '#core/message';
import { translate } from '../../language/translate';

/** What is kept of a name in a form: the known one where it was left as it was, so that it stays the same in every language. */
export const unlessChanged = (known: Text | undefined, typed: string): Text =>
  known !== undefined && translate(known) === typed.trim() ? known : typed;
