import { useInsertionEffect } from 'react';

/** Gives the program's own document a style sheet for as long as something asks for it; the same text is kept once. */
const sheets = new Map<string, { sheet: CSSStyleSheet; users: number }>();

export function useStyleText(css: string): void {
  useInsertionEffect(() => {
    if (css === '') return;
    const entry = sheets.get(css) ?? { sheet: new CSSStyleSheet(), users: 0 };
    if (entry.users === 0) {
      entry.sheet.replaceSync(css);
      document.adoptedStyleSheets = [...document.adoptedStyleSheets, entry.sheet];
    }
    entry.users++;
    sheets.set(css, entry);
    return () => {
      entry.users--;
      if (entry.users > 0) return;
      sheets.delete(css);
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter(it => it !== entry.sheet);
    };
  }, [css]);
}
