import { i18n, type Messages } from '@lingui/core';
import { compileOnce } from '#language/render';
import { followed } from '../state/store';

/** Every language the interface speaks, in its own words. */
export const LANGUAGES = { en: 'English', de: 'Deutsch' } as const;
export type Language = keyof typeof LANGUAGES;

const KEY = 'nervato-language';
/** Is chosen by tests alone, and in no menu. */
const PSEUDO = 'pseudo';
const isLanguage = (id: string | null | undefined): id is Language => id != null && id in LANGUAGES;

/** The browser's first language that is spoken here; English where it has none of them. */
const asTheBrowser = (): Language =>
  navigator.languages.map((tag) => tag.split('-')[0]).find(isLanguage) ?? 'en';

/** The language is the browser's until one is chosen on this device. */
export const language = followed<Language>(
  () => {
    const chosen = localStorage.getItem(KEY);
    return isLanguage(chosen) ? chosen : asTheBrowser();
  },
  (chosen) => {
    localStorage.setItem(KEY, chosen);
    // Tables of words are read once, so the page is reloaded.
    window.location.reload();
  },
);

type Catalogues = { messages: Messages; ofViews: Record<string, () => Promise<Messages>> };

/** What is not English comes when it is asked for; it may also set how dates are written. */
const OTHERS: Record<Exclude<Language, 'en'>, () => Promise<Catalogues>> = {
  de: () => import('./german'),
};

/** The catalogues of the language that is spoken; null for English, which stands in the code. */
let catalogues: Catalogues | null = null;

/**
 * Makes the interface speak; call before anything with words in it is imported.
 * @param asked the language a page for print is asked for in, whose browser has none of its own
 */
export async function speak(asked?: string | null): Promise<void> {
  const spoken = isLanguage(asked) ? asked : language.get();
  document.documentElement.lang = spoken;
  i18n.setMessagesCompiler(
    localStorage.getItem(KEY) === PSEUDO ? (await import('./pseudo')).compilePseudo : compileOnce,
  );
  catalogues = spoken === 'en' ? null : await OTHERS[spoken]();
  i18n.loadAndActivate({ locale: spoken, messages: catalogues?.messages ?? {} });
}

/** A view, by its folder; each has a catalogue of its own. */
export type ViewFolder =
  | 'account'
  | 'add-person'
  | 'archived'
  | 'audit'
  | 'block'
  | 'corrections'
  | 'exercises'
  | 'explain'
  | 'fit'
  | 'floor'
  | 'guide'
  | 'home'
  | 'import-export'
  | 'kit'
  | 'load'
  | 'log'
  | 'measure'
  | 'measures'
  | 'outcomes'
  | 'papers'
  | 'person'
  | 'practise'
  | 'prescribe'
  | 'record'
  | 'report'
  | 'run'
  | 'safety'
  | 'screen'
  | 'sheet'
  | 'sign-in'
  | 'today';

const loaded = new Set<ViewFolder>();

/**
 * Loads what views say, once each; call before one is imported, since its tables are made of messages as it is read.
 */
export async function speakOf(...views: readonly ViewFolder[]): Promise<void> {
  const missing = views.filter((view) => !loaded.has(view));
  // A person is pointed at often: what is there already is not loaded, and the page not drawn, again.
  if (catalogues === null || missing.length === 0) return;
  const { ofViews } = catalogues;
  const messages = await Promise.all(
    missing.map((view) => {
      const load = ofViews[`../words/views/${view}/${i18n.locale}.po`];
      if (!load) throw new Error(`There is no catalogue of a view called ${view}: run npm run words.`);
      return load();
    }),
  );
  i18n.load(i18n.locale, Object.assign({}, ...messages));
  for (const view of missing) loaded.add(view);
}
