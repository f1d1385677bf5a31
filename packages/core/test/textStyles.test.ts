import { describe, expect, it } from '@jest/globals';
import {
  addTextStyle,
  duplicateTextStyle,
  moveTextStyle,
  removeTextStyle,
  setSlot,
} from '../src/commands/index.ts';
import { usersOf } from '../src/reach/index.ts';
import { publishSite } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, byOrder, type Edit, getRecord, type Site } from '../src/site/index.ts';
import { demoSite } from './support/demo.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const names = (site: Site) => [...site.kinds.textStyle.values()].sort(byOrder).map(it => it.name);
const styleOf = (site: Site, id: string, slot: string) => {
  const record = getRecord(site, id);
  const value = record && 'styles' in record ? record.styles[slot] : undefined;
  return value?.type === 'textStyle' ? value.style : null;
};

describe('text styles', () => {
  it('come last, leave all as it is around them, and have names of their own', () => {
    const one = addTextStyle(demo, 'Lead');
    const site = after(demo, one.edits);
    expect(names(site).at(-1)).toBe('Lead 2');
    expect(site.kinds.textStyle.get(one.id)?.styles).toEqual({});
    expect(names(after(site, addTextStyle(site, '  ').edits)).at(-1)).toBe('Text style');
  });

  it('are copied right behind, and nothing wears the copy', () => {
    const { edits, id } = must(duplicateTextStyle(demo, 'style-h2'));
    const site = after(demo, edits);
    expect(names(site).slice(1, 3)).toEqual(['Heading 2', 'Heading 2 2']);
    expect(usersOf(site, id)).toEqual([]);
    expect(duplicateTextStyle(demo, 'nobody')).toMatchObject({ ok: false });
  });

  it('move in the list', () => {
    const site = after(demo, moveTextStyle(demo, 'style-h2', 0));
    expect(names(site).slice(0, 2)).toEqual(['Heading 2', 'Heading 1']);
    expect(moveTextStyle(demo, 'nobody', 0)).toEqual([]);
  });

  it('go, and what wore them wears another, wherever that was said', () => {
    const slots = ['text/textStyle', 'text@narrow/textStyle'];
    const site = slots.reduce(
      (at, slot) =>
        after(
          at,
          setSlot(at, { type: 'record', id: 'before-title' }, slot, {
            type: 'textStyle',
            style: 'style-h2',
          }),
        ),
      demo,
    );
    const users = usersOf(site, 'style-h2');
    expect(users).toEqual(expect.arrayContaining(['look-h2', 'default-heading', 'before-title']));
    const done = after(site, must(removeTextStyle(site, 'style-h2', 'style-h3')));
    expect(done.kinds.textStyle.has('style-h2')).toBe(false);
    expect(styleOf(done, 'look-h2', 'text/textStyle')).toBe('style-h3');
    expect(styleOf(done, 'before-title', 'text@narrow/textStyle')).toBe('style-h3');
    expect(publishSite(done).files.size).toBeGreaterThan(0);
  });

  it('go, and what wore them follows what is around it', () => {
    const site = after(demo, must(removeTextStyle(demo, 'style-h2', null)));
    expect(styleOf(site, 'look-h2', 'text/textStyle')).toBeNull();
    expect(usersOf(site, 'style-h2')).toEqual([]);
  });

  it('are replaced by none that is gone, and never by themselves', () => {
    expect(removeTextStyle(demo, 'style-h2', 'style-h2')).toMatchObject({ ok: false });
    expect(removeTextStyle(demo, 'style-h2', 'nobody')).toMatchObject({ ok: false });
    expect(removeTextStyle(demo, 'nobody', null)).toMatchObject({ ok: false });
  });
});
