import { t } from '@lingui/core/macro';
import { LANGUAGES, type Language, language } from '../../language/language';
import { WordMenu } from './WordMenu';

const OPTIONS = Object.entries(LANGUAGES).map(([value, label]) => ({ value: value as Language, label }));

/** The language of this device, as a word that opens the others; the page is reloaded in the one that is chosen. */
export const LanguageMenu = () => (
  <WordMenu
    label={t`Language`}
    value={language.use()}
    options={OPTIONS}
    onChange={(chosen) => language.set(chosen)}
  />
);
