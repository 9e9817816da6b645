/** Saves a file where the browser saves what is downloaded. */
export function saveFile(content: Blob, fileName: string): void {
  const url = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = url;
  link.download = fileName;
  link.click();
  URL.revokeObjectURL(url);
}

/** A person's name as the name of a file. @example fileStem('Odalys Ferrant') //=> 'odalys-ferrant' */
export const fileStem = (name: string): string => name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '-');
