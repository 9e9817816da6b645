import { RELEASE } from '#contract/release';

/** Saves a file where the browser saves what is downloaded; its name says which release wrote it. @example 'fits.csv' is saved as 'fits-nervato-0.2.0.csv' */
export function saveFile(content: Blob, fileName: string): void {
  const url = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = url;
  link.download = fileName.replace(/(\.\w+)*$/, (end) => `-nervato-${RELEASE}${end}`);
  link.click();
  URL.revokeObjectURL(url);
}

/** A person's name as the name of a file. @example fileStem('Odalys Ferrant') //=> 'odalys-ferrant' */
export const fileStem = (name: string): string => name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-');
