import { describe, expect, it } from '@jest/globals';
import { richText } from '../src/content/index.ts';
import { publishSite } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, keysBetween, type Site } from '../src/site/index.ts';
import { ELEMENTS, type ElementType, elementNamed, isItem } from '../src/widgets/index.ts';
import { demoSite } from './support/demo.ts';
import { withoutCss } from './support/published.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const LOOK = { variants: {}, wears: {}, styles: {} } as const;
const put = (id: string, widget: string, parent: string, order: string, content: object): Edit => ({
  op: 'put',
  record: { id, kind: 'widget', widget, at: { parent, order }, content, ...LOOK } as never,
});

/** A holder with so many items in the last section of the home page, each saying its own number. */
function holding(element: ElementType, item: ElementType, count: number, words: (n: number) => string): Site {
  const section = [...demo.kinds.section.values()].find(it => it.at.parent === 'home')?.id ?? '';
  const text = Object.entries(item.content).find(([, it]) => it.type === 'plain' || it.type === 'rich');
  const keys = keysBetween(null, null, count);
  const items = Array.from({ length: count }, (_, n) => {
    const said = text && { [text[0]]: text[1].type === 'rich' ? richText(words(n)) : words(n) };
    return put(`many${n}`, item.name, 'many', keys[n] ?? 'V', { ...item.begins, ...said });
  });
  return after(demo, [put('many', element.name, section, 'z', element.begins), ...items]);
}

/** Holders that stand by themselves; rows of tables and choices of fields are tried where those are. */
const HOLDERS = ELEMENTS.filter(it => !isItem(it) && !['table', 'field'].includes(it.name)).flatMap(
  (element): [string, string][] =>
    (element.accepts ?? []).filter(it => isItem(elementNamed(it))).map(it => [element.name, it]),
);

describe('many items', () => {
  it.each(HOLDERS)(
    '%s publishes a hundred of %s, also in words that are written leftward',
    (holder, item) => {
      const site = holding(elementNamed(holder), elementNamed(item), 100, n => `قارب ${n} صغير`);
      const published = publishSite(site);
      expect(published.problems).toEqual([]);
      const html = published.files.get('index.html') ?? '';
      const first = Object.keys(elementNamed(item).parts)[0] ?? '';
      expect(html.split(`${item}-${first}`).length - 1).toBeGreaterThanOrEqual(100);
      expect(html).toContain('قارب 99 صغير');
    },
  );

  it('a list of 10,000 entries is published whole, and an edit of one draws what it is about', () => {
    const site = holding(elementNamed('list'), elementNamed('listItem'), 10_000, n => `Entry ${n}`);
    const html = withoutCss(publishSite(site).files.get('index.html') ?? '');
    expect(html.split('listItem-item').length - 1).toBe(10_000);
    expect(html).toContain('Entry 9999');
    const edited = after(site, [
      { op: 'set', id: 'many7', path: ['content', 'text'], value: richText('Another entry') },
    ]);
    expect(publishSite(edited).files.get('index.html')).toContain('Another entry');
  });

  it('5,000 words in a tab are published as they are, and escaped', () => {
    const words = Array.from({ length: 5000 }, (_, n) =>
      n === 4999 ? '<script>alert(1)</script>' : `word${n}`,
    );
    const [tabs, tab, text] = ['tabs', 'tab', 'text'].map(elementNamed);
    if (!tabs || !tab || !text) throw new Error('no tabs');
    const site = after(
      holding(tabs, tab, 2, n => `Tab ${n}`),
      [put('long', 'text', 'many0', 'V', { ...text.begins, text: richText(words.join(' ')) })],
    );
    const published = publishSite(site);
    const html = published.files.get('index.html') ?? '';
    expect(published.problems).toEqual([]);
    expect(html).toContain('word4998 &lt;script&gt;alert(1)&lt;/script&gt;');
  });
});
