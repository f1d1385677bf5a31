import { describe, expect, it } from '@jest/globals';
import { lexer, parse, walk } from 'css-tree';
import { resetNode, setTyped } from '../src/commands/index.ts';
import { readHref } from '../src/content/index.ts';
import { PROPERTIES, propertyByCss } from '../src/properties/index.ts';
import {
  escapeHtml,
  guideRules,
  pageStyles,
  pagesInOrder,
  printHtml,
  publishSite,
  renderPreview,
} from '../src/render/index.ts';
import { applyChange, type Edit, type Site } from '../src/site/index.ts';
import { parseDeclarations } from '../src/tokens/index.ts';
import { ELEMENTS } from '../src/widgets/index.ts';
import { demoSite } from './support/demo.ts';
import { cssIn, publishedCss, withoutCss } from './support/published.ts';
import { tiny } from './support/tiny.ts';

function edit(site: Site, ...edits: Edit[]): Site {
  const applied = applyChange(site, { edits });
  if (!applied.ok) throw new Error(applied.problem.message);
  return applied.value.site;
}
const published = publishSite(demoSite());
const pages = [...published.files].filter(([path]) => path.endsWith('.html'));
const css = pages.map(page => cssIn(new Map([page])));

describe('published CSS', () => {
  it('has no value that css-tree’s lexer finds invalid', () => {
    const bad: string[] = [];
    for (const text of css)
      walk(parse(text), function (node) {
        // Descriptors of a font face have a syntax of their own.
        if (
          node.type !== 'Declaration' ||
          node.property.startsWith('--') ||
          this.atrule?.name === 'font-face'
        )
          return;
        const { error } = lexer.matchProperty(node.property, node.value);
        // text-size-adjust is not in the tables of css-tree; values with var() are told as such.
        if (error && !/var\(|Unknown property/.test(error.message))
          bad.push(`${node.property}: ${error.message}`);
      });
    expect(bad).toEqual([]);
  });
  it.each(pages)(
    'holds only rules whose classes the page bears, and only custom properties that are used: %s',
    (path, html) => {
      const worn = new Set(
        [...html.matchAll(/class="([^"]*)"/g)].flatMap(match => (match[1] ?? '').split(' ')),
      );
      const all = cssIn(new Map([[path, html]]));
      // A field is in the state of whichever control it has, so it names both.
      const own = all.replace(/:has\(:is\([^)]*\)[^)]*\)/g, '');
      for (const match of own.matchAll(/\.([a-zA-Z][\w-]*)(?=[\s,:){[])/g))
        if (match[1] !== 'skip') expect(worn).toContain(match[1]);
      for (const match of all.matchAll(/(--[\w-]+):/g)) expect(all).toContain(`var(${match[1]})`);
    },
  );
  it.each(css)('declares every layer it uses, in the order of ranks', text => {
    const order = /@layer (base,[^;]*);/.exec(text)?.[1]?.split(',') ?? [];
    const used = new Set(Array.from(text.matchAll(/@layer ([\w-]+)\{/g), match => match[1] ?? ''));
    for (const layer of used) expect(order).toContain(layer);
    const ranks = order.slice(1).map(name => name.slice(1).split('-').map(Number));
    const sorted = [...ranks].sort(
      (a, b) => (a[0] ?? 0) - (b[0] ?? 0) || (a[1] ?? 0) - (b[1] ?? 0) || (a[2] ?? 0) - (b[2] ?? 0),
    );
    expect(ranks).toEqual(sorted);
  });
});

const MODULE = /<script type="module" src="[./]*behaviours\/\w+-\w+\.js"><\/script>/g;
describe('published HTML', () => {
  it('bears no marks, no script but the modules of its widgets, and one sheet', () => {
    for (const [path, text] of published.files)
      if (path.endsWith('.html')) {
        expect(text).not.toMatch(/data-(node|part|area)/);
        expect(text.match(/<style/g)).toHaveLength(1);
        expect(withoutCss(text).replaceAll(MODULE, '')).not.toMatch(/<script|<style| style=| on\w+=/);
      }
  });
  it('links pages by addresses that work from any folder', () => {
    expect(published.files.get('sailings/index.html')).toContain('href="../fares/"');
    expect(published.files.get('index.html')).toContain('href="fares/"');
  });
  it('names a section only where a link leads into it', () => {
    const link = { type: 'section', page: 'home', section: 'before' } as const;
    const files = publishSite(
      edit(
        demoSite(),
        { op: 'set', id: 'book', path: ['content', 'link'], value: link },
        { op: 'set', id: 'sailings-book', path: ['content', 'link'], value: link },
      ),
    ).files;
    expect(files.get('index.html')).toContain('href="#s-before"');
    expect(files.get('sailings/index.html')).toContain('href="../#s-before"');
    expect(files.get('index.html')?.match(/ id="s-[^"]*"/g)).toEqual([' id="s-before"']);
    expect(published.files.get('index.html')).not.toContain(' id="s-');
  });
  it('ships only the fonts in use', () => {
    expect(published.fonts).toEqual([
      'bricolage-grotesque-latin-wght-normal.woff2',
      'literata-latin-wght-normal.woff2',
      'literata-latin-wght-italic.woff2',
    ]);
  });
  it('gives pictures their dimensions', () => {
    for (const match of (published.files.get('islands/index.html') ?? '').matchAll(/<img [^>]*>/g))
      expect(match[0]).toMatch(/width="1200" height="750" alt="[^"]+"/);
  });
});

describe('what people type', () => {
  const nasty = `"><script>alert(1)</script><img src=x onerror=alert(1)> </style> {{}} \\27 & '`;
  it('reaches a page only as text', () => {
    const site = edit(
      demoSite(),
      { op: 'set', id: 'welcome-title', path: ['content', 'text'], value: nasty },
      { op: 'set', id: 'home', path: ['title'], value: nasty },
      { op: 'set', id: 'settings', path: ['name'], value: nasty },
      { op: 'set', id: 'welcome', path: ['name'], value: nasty },
    );
    for (const text of publishSite(site).files.values())
      expect(withoutCss(text).replaceAll(MODULE, '')).not.toMatch(/<script|<img src=x|<\/style>/);
    const page = site.kinds.page.get('home');
    if (page)
      expect(renderPreview(site, page, { fonts: '/', assets: '/' }).match(/<\/style>/g)).toHaveLength(1);
  });
  it('is escaped in text and attributes alike', () => {
    expect(escapeHtml(`<a b="c" d='e'>&`)).toBe('&lt;a b=&quot;c&quot; d=&#39;e&#39;&gt;&amp;');
    expect(printHtml({ tag: 'a', attrs: { title: '"><b>' }, children: ['<i>'] })).toBe(
      '<a title="&quot;&gt;&lt;b&gt;">&lt;i&gt;</a>',
    );
    expect(() => printHtml({ tag: 'a', attrs: { 'onclick="x"': 'y' }, children: [] })).toThrow();
  });
  it.each([
    'javascript:alert(1)',
    ' JaVaScRiPt:alert(1)',
    'data:text/html,x',
    'vbscript:x',
    '//evil.example',
    'https://a.example/"onclick=',
    'http://a b',
    'java\nscript:x',
    'https://a.example/<script>',
  ])('%j is no address', text => {
    expect(readHref(text)).toBeNull();
  });
  it.each([
    'color: red; } body { display: none',
    'color: red</style><script>',
    'background-color: url(https://evil.example/)',
    'color: expression(alert(1))',
    'behavior: url(x)',
    '-moz-binding: url(x)',
    'position: fixed',
    'color: \\72 ed',
    'padding-top: 1rem !important',
    'color: var(--x, url(y))',
    '@import url(x)',
  ])('own declarations such as %j are refused whole', source => {
    expect(parseDeclarations(source, demoSite().kinds.token, propertyByCss).ok).toBe(false);
  });
  it('own declarations that the table knows become slots', () => {
    const read = parseDeclarations(
      'padding-top: {size.space.one}; color: role.text;',
      demoSite().kinds.token,
      propertyByCss,
    );
    expect(read.ok && read.value.followed.map(([row, value]) => [row.name, value.type])).toEqual([
      ['paddingTop', 'token'],
      ['color', 'role'],
    ]);
  });
});

describe('declarations that are not followed', () => {
  const parse = (source: string) => parseDeclarations(source, demoSite().kinds.token, propertyByCss);
  const printed = publishedCss;

  it('are told from those that the table knows', () => {
    const read = parse('color: role.text; background-blend-mode: multiply; tab-size: calc(1 + 1)');
    expect(read.ok && read.value.followed.map(([row]) => row.name)).toEqual(['color']);
    expect(read.ok && read.value.unfollowed).toEqual([
      ['background-blend-mode', 'multiply'],
      ['tab-size', 'calc(1 + 1)'],
    ]);
  });
  it.each([
    'mask-image: url(x)',
    'shape-outside: image(red)',
    'margin-block: 0',
    'margin: 0',
    'all: unset',
    'counter-reset: a',
    '--gap: 1px',
    'clip-path: circle(4px',
    'clip-path: circle(4px))',
    'quotes: "a"',
    'background-blend-mode: multiply/* ',
  ])('%j is refused', source => {
    expect(parse(source).ok).toBe(false);
  });
  it('print with their part and state, and go with a reset', () => {
    const site = demoSite();
    const target = { type: 'record', id: 'book' } as const;
    const kept = edit(
      site,
      ...setTyped(
        site,
        target,
        { part: 'box', state: 'hover', width: 'wide' },
        { followed: [], unfollowed: [['background-blend-mode', 'multiply']] },
      ),
    );
    expect(printed(kept)).toMatch(/\.o-book[^{}]*:hover[^{}]*\{[^}]*background-blend-mode:\s*multiply/);
    expect(printed(edit(kept, ...resetNode(kept, 'book')))).not.toContain('background-blend-mode');
  });
  it('are held to the same when they come with a change', () => {
    const takes = (key: string, value: string) =>
      applyChange(demoSite(), { edits: [{ op: 'set', id: 'book', path: ['declarations', key], value }] }).ok;
    expect(takes('box/background-blend-mode', 'multiply')).toBe(true);
    expect(takes('box/color', 'red')).toBe(false);
    expect(takes('nowhere/background-blend-mode', 'multiply')).toBe(false);
    expect(takes('box/background-blend-mode', 'a}body{display:none')).toBe(false);
  });
});

describe('every element', () => {
  it('says something of boxes only once, by name of part', () => {
    expect(new Set(ELEMENTS.map(it => it.name)).size).toBe(ELEMENTS.length);
    expect(new Set(PROPERTIES.map(it => it.css)).size).toBe(PROPERTIES.length);
  });
});

describe('rules', () => {
  it('of a preset are written once for each position at which it is worn', () => {
    const site = tiny(b => {
      b.preset('mist', 'Mist', { 'box/opacity': 0.5 });
      b.preset('rain', 'Rain', { 'box/opacity': 0.4 });
      b.widget('a', 'one', 'button', { label: 'A' }, { wears: ['mist', 'rain'] });
      b.widget('b', 'one', 'button', { label: 'B' }, { wears: ['rain', 'mist'] });
    });
    const page = pagesInOrder(site)[0];
    if (!page) throw new Error('no page');
    const styles = pageStyles(
      site,
      page,
      { mode: 'published', assetUrl: () => '' },
      new Set(['p-mist-0-box', 'p-mist-1-box', 'p-rain-0-box', 'p-rain-1-box']),
    );
    for (const name of ['p-mist-0-box', 'p-mist-1-box', 'p-rain-0-box', 'p-rain-1-box'])
      expect(styles).toContain(`.${name}`);
    expect(guideRules(site, { mode: 'published', assetUrl: () => '' }, new Set()).length).toBe(0);
  });
});
