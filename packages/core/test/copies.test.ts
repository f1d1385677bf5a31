import { describe, expect, it } from '@jest/globals';
import { computedStyles, nodeScope } from '../src/cascade/index.ts';
import {
  copyThings,
  duplicateNode,
  duplicatePage,
  keepShown,
  pasteThings,
  readClip,
  removeNodes,
  removePage,
  setAside,
  setSlot,
  showVersion,
} from '../src/commands/index.ts';
import { must } from '../src/result/index.ts';
import {
  applyChange,
  type Edit,
  elementOfNode,
  getRecord,
  type Id,
  isNode,
  nodesIn,
  type Place,
  type Site,
  stableText,
} from '../src/site/index.ts';
import { demoSite } from './support/demo.ts';
import { tiny } from './support/tiny.ts';

const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const number = (value: number) => ({ type: 'number', value }) as const;

/** The demo with rules that hold in one section, on one page and below it, of defaults and of a variant, and a colour bound anew. */
const ruled = (): Site => {
  let site = demoSite();
  const rule = (element: string, place: Place, slot: string, value: number) => {
    site = after(site, setSlot(site, { type: 'default', element, place }, slot, number(value)));
  };
  rule('heading', { type: 'section', section: 'before' }, 'text/opacity', 0.5);
  rule('feature', { type: 'section', section: 'before' }, 'title/opacity', 0.6);
  rule('heading', { type: 'page', page: 'home' }, 'text/fontWeight', 300);
  rule('text', { type: 'branch', page: 'home' }, 'paragraph/opacity', 0.7);
  const target = {
    type: 'variantRule',
    variant: 'feature-card',
    place: { type: 'section', section: 'before' },
  } as const;
  site = after(site, setSlot(site, target, 'box/opacity', number(0.8)));
  return after(site, [
    { op: 'set', id: 'before', path: ['rebind'], value: { mist: { type: 'token', token: 'lamp' } } },
  ]);
};

/** What every part of a thing and of all it holds wears, in order. */
const looks = (site: Site, page: Id, id: Id): string[] =>
  [id, ...nodesIn(site, id)].map(inner => {
    const node = getRecord(site, inner);
    const scope = nodeScope(site, page, inner);
    if (!isNode(node) || !scope) throw new Error(inner);
    return Object.keys(elementOfNode(node).parts)
      .map(part => JSON.stringify([...computedStyles(site, scope, part, ['rest'], 'wide')]))
      .join('\n');
  });

describe('a copy looks like what it was made from', () => {
  const site = ruled();
  const now = looks(site, 'home', 'before');

  it('where rules hold in the section, or a token is bound anew in it', () => {
    const bare = looks(demoSite(), 'home', 'before');
    expect(now).not.toEqual(bare);
    const { edits, id } = must(duplicateNode(site, 'before'));
    expect(looks(after(site, edits), 'home', id)).toEqual(now);
  });
  it('on a page that is copied with its rules', () => {
    const { edits, id } = must(duplicatePage(site, 'home'));
    const copied = after(site, edits);
    expect(looks(copied, id, beforeOn(copied, id))).toEqual(now);
  });
  it('carried over the clipboard, within its site', () => {
    const clip = readClip(JSON.stringify(copyThings(site, ['before'])));
    if (!clip) throw new Error('no clip');
    const { edits, ids, left } = must(pasteThings(site, clip, 'home', 0));
    expect(left).toEqual([]);
    expect(looks(after(site, edits), 'home', ids[0] ?? '')).toEqual(now);
  });
  it('set aside and shown again', () => {
    const made = must(setAside(site, 'before', 'Other'));
    const kept = after(site, made.edits);
    expect(looks(after(kept, must(showVersion(kept, made.id))), 'home', made.id)).toEqual(now);
  });
});

/** The copy of a section by its name. */
const beforeOn = (site: Site, page: Id): Id => {
  const name = site.kinds.section.get('before')?.name;
  const found = nodesIn(site, page).find(id => site.kinds.section.get(id)?.name === name);
  if (found === undefined) throw new Error('no copy');
  return found;
};

describe('what is carried to another site', () => {
  it('takes its rules along, and tells of those whose variant is not there', () => {
    const clip = copyThings(ruled(), ['before']);
    const other = tiny();
    const { edits, ids, left } = must(pasteThings(other, clip, 'home', 0, 'keep'));
    const there = after(other, edits);
    expect(left).toContain('rule for variant Card');
    const scope = nodeScope(
      there,
      'home',
      nodesIn(there, ids[0] ?? '').find(id => there.kinds.widget.get(id)?.widget === 'heading') ?? '',
    );
    expect(scope && computedStyles(there, scope, 'text', ['rest'], 'wide').get('opacity')).toBe('0.5');
  });
  it('is read with a clip that was kept before rules were', () => {
    const { rules: _, ...older } = copyThings(ruled(), ['before']);
    expect(readClip(JSON.stringify(older))?.rules).toEqual([]);
  });
});

describe('what is taken away', () => {
  const led = (): Site => {
    return after(ruled(), [
      {
        op: 'set',
        id: 'book',
        path: ['content', 'link'],
        value: { type: 'section', page: 'home', section: 'before' },
      },
    ]);
  };
  it('goes with the rules for it; links to it lead to its page, and undo brings all back', () => {
    const site = led();
    const { site: gone, inverse } = must(applyChange(site, { edits: removeNodes(site, ['before']) }));
    expect(gone.kinds.section.has('before')).toBe(false);
    expect([...gone.kinds.default.keys()].filter(id => id.includes('before'))).toEqual([]);
    expect(gone.kinds.variantRule.has('rule-feature-card-section-before')).toBe(false);
    expect(gone.kinds.widget.get('book')?.content.link).toEqual({ type: 'page', page: 'home' });
    expect(stableText(after(gone, inverse))).toBe(stableText(site));
  });
  it('with versions, each with rules of its own', () => {
    const site = led();
    const kept = after(site, must(setAside(site, 'before', 'Other')).edits);
    expect(after(kept, keepShown(kept, 'before')).kinds.default.size).toBe(site.kinds.default.size);
    expect(
      [...after(kept, removeNodes(kept, ['before'])).kinds.default.keys()].filter(id =>
        id.includes('section-'),
      ),
    ).toEqual([]);
  });
  it('as a page, with rules for the sections on it', () => {
    const site = ruled();
    const copy = must(duplicatePage(site, 'home'));
    const two = after(site, copy.edits);
    expect(two.kinds.default.size).toBe(site.kinds.default.size + 4);
    expect(after(two, must(removePage(two, copy.id))).kinds.default.size).toBe(site.kinds.default.size);
  });
});
