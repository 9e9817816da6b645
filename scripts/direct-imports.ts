import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Plugin } from 'vite';

const CORE = join(import.meta.dirname, '..', 'core');
const EXPORT = /export (?:type )?\{([^}]*)\} from '\.\/([^']+)';/g;
const IMPORT = /import (type )?\{([^}]*)\} from '#core\/([a-z-]+)';/g;

const namesOf = (list: string): string[] =>
  list
    .split(',')
    .map((name) => name.trim())
    .filter((name) => name !== '');
const bare = (name: string): string => name.replace(/^type /, '').replace(/ as .*$/, '');

/** Where each name of a face is from: `core/<folder>/index.ts`, read once. */
function readFaces(): Map<string, Map<string, string>> {
  const folders = readdirSync(CORE, { withFileTypes: true }).filter((entry) => entry.isDirectory());
  return new Map(
    folders.map(({ name: folder }) => [
      folder,
      new Map(
        [...readFileSync(join(CORE, folder, 'index.ts'), 'utf8').matchAll(EXPORT)].flatMap(
          ([, names = '', file = '']) =>
            namesOf(names).map((name) => [bare(name), join(CORE, folder, `${file}.ts`)] as const),
        ),
      ),
    ]),
  );
}

/**
 * Lets the interface import from the face of a core folder, and each page load only the files that it uses: an import from
 * `#core/plan` becomes one from each file that its names are in. Without it a page that needs one name would load the folder.
 * @throws Error for a name that the face does not export
 */
export function directImports(): Plugin {
  const faces = readFaces();
  return {
    name: 'direct-imports',
    enforce: 'pre',
    transform: {
      filter: { id: /\/(?:web|contract|language)\/.*\.tsx?$/ },
      handler: (code, id) =>
        code.replaceAll(IMPORT, (_, isType: string | undefined, list: string, folder: string) => {
          const files = new Map<string, string[]>();
          for (const name of namesOf(list)) {
            const file = faces.get(folder)?.get(bare(name));
            if (!file) throw new Error(`${id}: core/${folder}/index.ts exports no ${bare(name)}.`);
            files.set(file, [...(files.get(file) ?? []), name]);
          }
          return [...files]
            .map(([file, names]) => {
              // Types alone load nothing.
              const onlyTypes = isType || names.every((name) => name.startsWith('type '));
              const listed = onlyTypes ? names.map((name) => name.replace(/^type /, '')) : names;
              return `import ${onlyTypes ? 'type ' : ''}{ ${listed.join(', ')} } from '${file}';`;
            })
            .join(' ');
        }),
    },
  };
}
