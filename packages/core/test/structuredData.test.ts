import { describe, expect, it } from '@jest/globals';
import { publishSite } from '../src/render/index.ts';
import { printStructuredData } from '../src/render/structuredData.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, SETTINGS, type Site } from '../src/site/index.ts';
import { tiny } from './support/tiny.ts';

const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const site = after(
  tiny(b => {
    b.page('isles', 'isles', 'Isles', '');
    b.page('hesk', 'hesk', 'Hesk & “north” </script><b>', '', { parent: 'isles' });
  }),
  [{ op: 'set', id: SETTINGS, path: ['address'], value: 'https://tolvane.example' }],
);
const scriptsOf = (text: string) =>
  [...text.matchAll(/<script type="application\/ld\+json">(.*?)<\/script>/g)].map(it => it[1] ?? '');
const dataOf = (path: string, it = site): unknown[] =>
  scriptsOf(publishSite(it).files.get(path) ?? '').map(text => JSON.parse(text));

describe('facts about a page for programs (schema.org, BreadcrumbList and WebSite)', () => {
  it('say the way down to a page, with addresses in full', () => {
    expect(dataOf('isles/hesk/index.html')).toEqual([
      {
        '@context': 'https://schema.org',
        '@type': 'BreadcrumbList',
        itemListElement: [
          { '@type': 'ListItem', position: 1, name: 'Isles', item: 'https://tolvane.example/isles/' },
          {
            '@type': 'ListItem',
            position: 2,
            name: 'Hesk & “north” </script><b>',
            item: 'https://tolvane.example/isles/hesk/',
          },
        ],
      },
    ]);
    expect(dataOf('isles/index.html')).toEqual([]);
  });
  it('say on the home page what the site is', () => {
    expect(dataOf('index.html')).toMatchObject([{ '@type': 'WebSite', url: 'https://tolvane.example/' }]);
  });
  it('follow the name of a page above', () => {
    const renamed = after(site, [{ op: 'set', id: 'isles', path: ['title'], value: 'Islands' }]);
    expect(dataOf('isles/hesk/index.html', renamed)).toMatchObject([
      { itemListElement: [{ name: 'Islands' }, {}] },
    ]);
  });
  it('are left out while nobody has said where the site is found', () => {
    const nowhere = after(site, [{ op: 'unset', id: SETTINGS, path: ['address'] }]);
    expect(dataOf('isles/hesk/index.html', nowhere)).toEqual([]);
  });
});

describe('what is printed into a script', () => {
  it.each([
    ['the end of the element', '</script><script>alert(1)</script>'],
    ['a comment, which changes how the rest is read (HTML, section 4.12.1.3)', '<!--<script>'],
    ['an entity', '&lt;&#60;'],
    ['line ends of JavaScript', 'a\u2028b\u2029c'],
    ['what JSON itself escapes', 'a"b\\c\n'],
  ])('keeps %s and cannot be broken out of', (_, nasty) => {
    const text = printStructuredData({ [nasty]: nasty });
    const inside = text.slice('<script type="application/ld+json">'.length, -'</script>'.length);
    expect(inside).not.toMatch(/[<>&\u2028\u2029]/);
    expect(JSON.parse(inside)).toEqual({ [nasty]: nasty });
  });
});
