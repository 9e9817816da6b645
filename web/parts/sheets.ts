import { useLayoutEffect } from 'react';

/** Styles that are known only at run time, without an inline style element, which the page's policy refuses. */
function addSheet(css: string): () => void {
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(css);
  document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
  return () => {
    document.adoptedStyleSheets = document.adoptedStyleSheets.filter((kept) => kept !== sheet);
  };
}

/** Adds styles as long as the component that asks for them is shown. */
export function useSheet(css: string): void {
  useLayoutEffect(() => addSheet(css), [css]);
}
