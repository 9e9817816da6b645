import { i18n, type Messages } from '@lingui/core';
import { followed } from '../state/store';

/** Every language the interface speaks, in its own words. */
export const LANGUAGES = { en: 'English', de: 'Deutsch' } as const;
export type Language = keyof typeof LANGUAGES;

const KEY = 'nervato-language';
const isLanguage = (id: string | null | undefined): id is Language => id != null && id in LANGUAGES;

/** The browser's first language that is spoken here; English where it has none of them. */
const asTheBrowser = (): Language =>
  navigator.languages.map((tag) => tag.split('-')[0]).find(isLanguage) ?? 'en';

/** The language is the browser's until somebody chooses one on this device. */
export const language = followed<Language>(
  () => {
    const chosen = localStorage.getItem(KEY);
    return isLanguage(chosen) ? chosen : asTheBrowser();
  },
  (chosen) => {
    localStorage.setItem(KEY, chosen);
    // Tables of words are read once, so the page is read anew.
    window.location.reload();
  },
);

/** What is not English comes when it is asked for; it may also set how dates are written. */
const OTHERS: Record<Exclude<Language, 'en'>, () => Promise<{ messages: Messages }>> = {
  de: () => import('./german'),
};

/**
 * Makes the interface speak; call before anything with words in it is imported.
 * @param asked the language a page for print is asked for in, whose browser has none of its own
 */
export async function speak(asked?: string | null): Promise<void> {
  const spoken = isLanguage(asked) ? asked : language.get();
  document.documentElement.lang = spoken;
  // English stands in the code, and the build has taken apart what has something put in.
  i18n.setMessagesCompiler((message) => [message]);
  i18n.loadAndActivate({
    locale: spoken,
    messages: spoken === 'en' ? {} : (await OTHERS[spoken]()).messages,
  });
}
