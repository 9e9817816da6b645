import type { Plugin } from 'vite';

/**
 * What pages begin with. A language is read before anything with words in it; the sign-in page is shown before the app until it is known who
 * is in; the sheet of a person is among them, since every page of the app asks for it as soon as it is idle.
 */
const BEGINNINGS = [
  'web/main.tsx',
  'web/language/german.ts',
  'web/app.tsx',
  'web/views/access/sign-in/SignInPage.tsx',
  'web/home.tsx',
  'web/print.tsx',
  'web/routes/PersonSheet.tsx',
];

const SEPARATOR = '-';
/** A view is read after what it says (web/language/lazy-view.ts), so it is in no file with what others are read for. */
const OF_A_VIEW = /\/web\/(views|routes)\//;
const shortName = (file: string): string => file.replace(/^.*\/|\.tsx?$/g, '').toLowerCase();

/**
 * Puts what is read together into one file: modules that the same entry points load, instead of a file for each set of lazy
 * views that share them. A page asks for some twenty files, not for a hundred and sixty, and for nothing that it does not read.
 */
export function fewFiles() {
  /** By the id of a module, the entry points that load it, as the name of its file. */
  const fileOf = new Map<string, string>();
  const plugin: Plugin = {
    name: 'few-files',
    apply: 'build',
    buildEnd(error) {
      if (error) return;
      const ids = [...this.getModuleIds()];
      const begins = BEGINNINGS.map((file) => {
        const id = ids.find((one) => one.endsWith(`/${file}`));
        if (!id)
          throw new Error(`${file} is where a page begins, and is not there: see scripts/few-files.ts.`);
        return id;
      });
      for (const beginning of begins) {
        const seen = new Set<string>();
        const open = [beginning];
        for (let id = open.pop(); id !== undefined; id = open.pop()) {
          if (seen.has(id)) continue;
          seen.add(id);
          fileOf.set(id, [fileOf.get(id), shortName(beginning)].filter(Boolean).join(SEPARATOR));
          open.push(...(this.getModuleInfo(id)?.importedIds ?? []));
        }
      }
      // A beginning stays a file of its own: the first awaits the language, and nothing may load it.
      for (const id of begins) fileOf.delete(id);
    },
  };
  const groups = subsets(BEGINNINGS.map(shortName)).flatMap((set) => {
    const name = set.join(SEPARATOR);
    const isInFile = (id: string) => fileOf.get(id) === name;
    // What more entry points load goes first: a group includes what its modules load, but for what is in one already.
    return [
      { name, priority: set.length, test: (id: string) => isInFile(id) && !OF_A_VIEW.test(id) },
      {
        name: `${name}${SEPARATOR}views`,
        priority: set.length,
        test: (id: string) => isInFile(id) && OF_A_VIEW.test(id),
      },
    ];
  });
  return { plugin, groups };
}

/** Every choice of one or more, each in the order given. @example subsets([1, 2]) //=> [[1], [2], [1, 2]] */
const subsets = <T>(all: readonly T[]): T[][] =>
  Array.from({ length: 2 ** all.length - 1 }, (_, before) =>
    all.filter((_one, place) => ((before + 1) >> place) % 2 === 1),
  );
