import { describe, expect, it } from '@jest/globals';
import { copyThings, pasteThings } from '../src/commands/index.ts';
import { publishSite } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, filesOf, picturesOf, readRecord, type Site } from '../src/site/index.ts';
import { demoSite } from './support/demo.ts';
import { publishedCss } from './support/published.ts';
import { tiny } from './support/tiny.ts';

const demo = demoSite();
const after = (site: Site, ...edits: Edit[]): Site => must(applyChange(site, { edits })).site;
const file = {
  id: 'fares-sheet',
  kind: 'asset',
  name: 'Fares.pdf',
  alt: '',
  file: 'abcdef0123456789.pdf',
  mime: 'application/pdf',
  width: 0,
  height: 0,
} as const;
const linked = after(
  demo,
  { op: 'put', record: file },
  { op: 'set', id: 'book', path: ['content', 'link'], value: { type: 'file', asset: file.id } },
);
const home = (site: Site): string => publishSite(site).files.get('index.html') ?? '';

describe('a file that is linked to', () => {
  it('is published beside the pictures, and taken home rather than opened', () => {
    expect(home(linked)).toMatch(
      /<a class="button-box[^>]*href="assets\/abcdef0123456789\.pdf"[^>]* download/,
    );
    expect(publishSite(linked).assets.map(it => it.id)).toContain(file.id);
    expect(publishSite(after(demo, { op: 'put', record: file })).assets.map(it => it.id)).not.toContain(
      file.id,
    );
  });
  it('is no picture: none is offered where one is asked for, and none is shown where its id stands', () => {
    expect(filesOf(linked).map(it => it.id)).toEqual([...filesOf(demo).map(it => it.id), file.id]);
    expect(picturesOf(linked)).toEqual(picturesOf(demo));
    const shown = after(linked, {
      op: 'set',
      id: 'welcome-picture',
      path: ['content', 'asset'],
      value: file.id,
    });
    expect(home(shown)).not.toMatch(/<img[^>]*\.pdf/);
    const ground = after(linked, {
      op: 'set',
      id: 'crossing',
      path: ['styles', 'box/backgroundImage'],
      value: { type: 'picture', asset: file.id, tint: null },
    });
    expect(publishedCss(ground)).not.toContain('.pdf');
  });
  it('cannot go while a link leads to it', () => {
    expect(applyChange(linked, { edits: [{ op: 'remove', id: file.id }] })).toMatchObject({
      ok: false,
      problem: { code: 'in-use', record: 'book' },
    });
  });
  it('is left out, and told, where it is pasted into a site without it', () => {
    const site = tiny();
    const pasted = must(pasteThings(site, copyThings(linked, ['book']), 'one', 0));
    expect(pasted.left).toContain('a file');
    expect(after(site, ...pasted.edits).kinds.widget.get(pasted.ids[0] ?? '')?.content.link).toEqual({
      type: 'page',
      page: 'home',
    });
  });
  it.each([
    ['a page of markup', { file: 'abcdef0123456789.html', mime: 'text/html' }],
    ['a script', { file: 'abcdef0123456789.js', mime: 'text/javascript' }],
    ['a way out of its folder', { file: '../abcdef0123456789.pdf' }],
  ])('cannot be %s', (_, other) => {
    expect(readRecord({ ...file, ...other }).ok).toBe(false);
  });
});
