import { t } from '@lingui/core/macro';
import { Dumbbell, Gauge, LayoutList, type LucideIcon, ShieldCheck, UserPlus, Wrench } from 'lucide-react';
import type { LinkId } from '#core/record';

/** A bench of a person that a key goes to: a link of the chain, or what is next to it. */
type BenchId = LinkId | 'outcomes' | 'log';

/** A place that can be opened from everywhere. */
export type Place = {
  to: string;
  /** What it is called, beneath the people and in a search. */
  label: string;
  /** What it is for, and other words people have for it. */
  words: string;
  /** The letter after G that goes there; none where it is only found by its words. */
  letter?: string;
  /** Its icon, where it is beneath the people. */
  Icon?: LucideIcon;
};

/** The one table of where one can go: the rail, the keys, their list and the search read it. */
export const PLACES: readonly Place[] = [
  { to: '/floor', label: t`Floor`, words: t`all running sessions`, letter: 'o', Icon: LayoutList },
  {
    to: '/people/new',
    label: t`Add a person`,
    words: t`new client, patient, athlete`,
    letter: 'a',
    Icon: UserPlus,
  },
  {
    to: '/exercises',
    label: t`Exercises`,
    words: t`the library, drawn and taught`,
    letter: 'x',
    Icon: Dumbbell,
  },
  {
    to: '/kit',
    label: t`Kit and practice`,
    words: t`cuffs, pumps, straps, wraps, weights, places, gym, travelling, home, units, settings`,
    letter: 'k',
    Icon: Wrench,
  },
  {
    to: '/practise',
    label: t`Practise measuring`,
    words: t`learn on a simulated limb or session, probe, fingers, oximeter, pump that misreads, agreement`,
    letter: 'e',
    Icon: Gauge,
  },
  {
    to: '/week',
    label: t`The practice`,
    words: t`the week, safety, who responds`,
    letter: 'y',
    Icon: ShieldCheck,
  },
  { to: '/measures', label: t`Measures`, words: t`measures and their errors` },
  {
    to: '/import-export',
    label: t`Import and export`,
    words: t`import or export tables, CSV, a spreadsheet, an archive, a backup, one person`,
  },
  { to: '/archived', label: t`Archived people`, words: t`taken off the list, put back` },
  {
    to: '/accounts',
    label: t`Accounts`,
    words: t`who may sign in, roles, certificates, a forgotten passphrase`,
  },
  { to: '/audit', label: t`Audit log`, words: t`who did what, who looked at a record` },
  { to: '/account', label: t`Your account`, words: t`passphrase, PIN, codes of a second device` },
  { to: '/guide', label: t`Guide`, words: t`how it is done, help, manual` },
];

/** The letter after G for each bench of the person whose page is open. */
export const BENCH_LETTERS: Readonly<Record<BenchId, string>> = {
  screen: 's',
  fit: 'f',
  measure: 'm',
  load: 'l',
  prescribe: 'p',
  run: 'r',
  outcomes: 'c',
  log: 'h',
};

/** "G O", as a key is written on what it does. */
export const keyWords = (letter: string): string => `G ${letter.toUpperCase()}`;
