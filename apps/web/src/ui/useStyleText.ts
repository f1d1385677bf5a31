import { useInsertionEffect } from 'react';

/** Gives the program's own document a style sheet for as long as something asks for it. */
export function useStyleText(css: string): void {
  useInsertionEffect(() => {
    if (css === '') return;
    const sheet = new CSSStyleSheet();
    sheet.replaceSync(css);
    document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
    return () => {
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter(it => it !== sheet);
    };
  }, [css]);
}
