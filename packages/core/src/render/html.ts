/** Elements that have no content and no end tag (HTML, section 13.1.2). */
const VOID = new Set(['img', 'hr', 'br', 'input', 'link', 'meta', 'source']);

export interface HtmlElement {
  tag: string;
  attrs: Readonly<Record<string, string | number | true | null | undefined>>;
  children: readonly HtmlNode[];
}
/** A string is text, and is escaped here and nowhere else. */
export type HtmlNode = HtmlElement | string;

const ESCAPES: Record<string, string> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
};
export const escapeHtml = (text: string): string => text.replace(/[&<>"']/g, c => ESCAPES[c] ?? c);

const NAME = /^[a-z][a-z0-9-]*$/;
/** SVG has capitals in some of its names, such as `viewBox`. */
const ATTRIBUTE = /^[a-z][a-zA-Z0-9-]*$/;

function printAttrs(attrs: HtmlElement['attrs']): string {
  let text = '';
  for (const [name, value] of Object.entries(attrs)) {
    if (value === null || value === undefined) continue;
    if (!ATTRIBUTE.test(name)) throw new Error(`no attribute ${name}`);
    text += value === true ? ` ${name}` : ` ${name}="${escapeHtml(String(value))}"`;
  }
  return text;
}

export function printHtml(node: HtmlNode): string {
  if (typeof node === 'string') return escapeHtml(node);
  const { tag, attrs, children } = node;
  if (!NAME.test(tag)) throw new Error(`no tag ${tag}`);
  const open = `<${tag}${printAttrs(attrs)}>`;
  return VOID.has(tag) ? open : `${open}${children.map(printHtml).join('')}</${tag}>`;
}
