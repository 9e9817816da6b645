import { useLayoutEffect } from 'react';
import type { Paper } from './papers';

/** Styles that are known only at run time, without an inline style element, which the page's policy refuses. */
function addSheet(css: string): () => void {
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(css);
  document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
  return () => {
    document.adoptedStyleSheets = document.adoptedStyleSheets.filter((kept) => kept !== sheet);
  };
}

/** Sets the page for paper as long as the component that asks for it is shown; nothing on it scrolls. `auto` is the printer's own. */
export const usePage = (paper: Paper | 'auto', marginMm: number): void =>
  useSheet(
    `@page { size: ${paper}; margin: ${marginMm}mm; } @media print { html, body, #root { height: auto; } }`,
  );

/** Adds styles as long as the component that asks for them is shown. */
export function useSheet(css: string): void {
  useLayoutEffect(() => addSheet(css), [css]);
}
