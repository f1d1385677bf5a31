import { describe, expect, it } from '@jest/globals';
import { parse } from 'css-tree';
import { escapeHtml } from '../src/render/html.ts';
import { printSpecimen, specimenNeeds } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, editOf } from '../src/site/index.ts';
import { tokenPath } from '../src/tokens/index.ts';
import { demoSite } from './support/demo.ts';

const site = demoSite();
const html = printSpecimen(site, {
  font: it => `data:font/woff2;base64,${it.file.replace(/[^a-z]/gi, '')}`,
  picture: it => (it.startsWith('data:') ? it : `data:image/webp;base64,${it.replace(/[^a-z]/gi, '')}`),
});

describe('the specimen as one file', () => {
  it('shows every token by name, path and value, every scheme, and every element in each scheme', () => {
    for (const { id, name } of site.kinds.token.values()) {
      expect(html).toContain(`<code>${tokenPath(site.kinds.token, id)}</code>`);
      expect(html).toContain(`<b>${escapeHtml(name)}</b>`);
    }
    for (const { name } of site.kinds.scheme.values()) expect(html).toContain(`<h3>${escapeHtml(name)}</h3>`);
    const rows = html.split('<div class="sg-row">').length - 1;
    const cells = html.split('class="cell ').length - 1;
    expect(rows).toBeGreaterThan(60);
    expect(cells).toBe(rows * site.kinds.scheme.size);
  });

  it('stands alone: no scripts, and every address is a place in it or holds what it is of', () => {
    expect(html).not.toMatch(/<script|\son\w+=/i);
    for (const [, address = ''] of html.matchAll(/\s(?:src|srcset|href|poster)="([^"]*)"/g))
      expect(address).toMatch(/^(?:#|data:|$)/);
    const css = /<style>([\s\S]*?)<\/style>/.exec(html)?.[1] ?? '';
    const urls = Array.from(css.matchAll(/url\(\s*["']?([^"')]*)/g), it => it[1] ?? '');
    expect(urls.length).toBeGreaterThan(3);
    expect(urls.filter(it => !it.startsWith('data:') && !it.startsWith('#'))).toEqual([]);
    const wrong: string[] = [];
    parse(css, { onParseError: error => wrong.push(error.message) });
    expect(wrong).toEqual([]);
  });

  it('says what it needs before it is made', () => {
    const { fonts, pictures } = specimenNeeds(site);
    expect(fonts.map(it => it.file).join()).toMatch(/literata/i);
    expect(new Set(fonts.map(it => it.file)).size).toBe(fonts.length);
    expect(pictures.length).toBeGreaterThan(0);
  });

  it('shows names as they are written, whatever they hold', () => {
    const [first] = site.kinds.token.values();
    if (!first) throw new Error('no token');
    const odd = must(
      applyChange(site, { edits: [editOf(first).set('name', '<img src=x onerror=alert(1)>')] }),
    ).site;
    expect(printSpecimen(odd, { font: () => '', picture: () => '' })).not.toContain('<img src=x');
  });
});
