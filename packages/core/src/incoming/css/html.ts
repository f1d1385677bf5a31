/** Entities that stand in the attributes of pages. */
const ENTITIES: Readonly<Record<string, string>> = {
  '&quot;': '"',
  '&#39;': "'",
  '&apos;': "'",
  '&amp;': '&',
};
const unescaped = (text: string): string =>
  text.replace(/&(?:quot|#39|apos|amp);/g, it => ENTITIES[it] ?? it);

const lineBreaks = (text: string): string => text.replace(/[^\n]+/g, '');

/**
 * The styles of a page as a style sheet: those of its `style` elements, and those of its elements in rules of their own.
 * Each stands on the line it has in the page. Nothing of the page is run or built.
 */
export function stylesOfHtml(html: string): string {
  const lower = html.toLowerCase();
  let sheet = '';
  let at = 0;
  const pattern = /<!--|<style\b[^<>]*>|\sstyle\s*=\s*(?:"([^"]*)"|'([^']*)')/gi;
  for (let match = pattern.exec(html); match; match = pattern.exec(html)) {
    sheet += lineBreaks(html.slice(at, match.index));
    at = match.index;
    const [whole, double, single] = match;
    if (whole === '<!--') {
      const end = html.indexOf('-->', at);
      at = end < 0 ? html.length : end;
      sheet += lineBreaks(html.slice(match.index, at));
    } else if (whole.startsWith('<')) {
      const from = at + whole.length;
      const end = lower.indexOf('</style', from);
      at = end < 0 ? html.length : end;
      sheet += `${lineBreaks(whole)}${html.slice(from, at)}`;
    } else {
      const text = unescaped(double ?? single ?? '');
      // On the line on which its text begins.
      const before = lineBreaks(whole.slice(0, whole.length - (double ?? single ?? '').length - 1));
      sheet += `${before}[style]{${text.replace(/[{}]/g, '')}}`;
      at += whole.length;
    }
    pattern.lastIndex = at;
  }
  return sheet;
}
