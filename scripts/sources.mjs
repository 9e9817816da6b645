import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

// Runs before anything is installed, so it uses nothing but Node.js.

export const ROOT = fileURLToPath(new URL('..', import.meta.url));

/**
 * A digest of what something is made from: any change of the sources changes it.
 * @param {string[]} folders whose files count, all but tests
 * @param {string[]} more single files, or words
 * @returns {string}
 */
export function digestOf(folders, more = []) {
  const digest = createHash('sha256');
  for (const file of folders.flatMap(filesIn))
    digest
      .update(file)
      .update('\0')
      .update(readFileSync(`${ROOT}${file}`));
  for (const word of more) digest.update('\0').update(word);
  return digest.digest('hex');
}

/** @param {string} folder */
const filesIn = (folder) =>
  readdirSync(`${ROOT}${folder}`, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && !/\.(test|fixture)\.tsx?$/.test(entry.name))
    .map((entry) => `${entry.parentPath}/${entry.name}`.replace(ROOT, ''))
    .sort();
