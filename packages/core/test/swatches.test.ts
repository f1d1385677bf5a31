import { describe, expect, it } from '@jest/globals';
import {
  addRamp,
  addToken,
  describeGroup,
  duplicateToken,
  isGroupUsed,
  moveToken,
  removeGroup,
  removeToken,
  replaceTokens,
} from '../src/commands/index.ts';
import { nearSwatches } from '../src/measure/index.ts';
import { mentionsOf, usersOf } from '../src/reach/index.ts';
import { must } from '../src/result/index.ts';
import { allRecords, applyChange, byOrder, type Edit, type Site } from '../src/site/index.ts';
import {
  literalOf,
  NO_REBINDS,
  parseTokenValue,
  pasteSwatches,
  toDesignTokens,
  tokenPath,
} from '../src/tokens/index.ts';
import { demoSite } from './support/demo.ts';
import { pastedInto, takenFrom } from './support/incoming.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const hexOf = (site: Site, id: string) => {
  const end = literalOf(site.kinds.token, NO_REBINDS, { type: 'token', token: id });
  return end?.type === 'color' ? end.value.coords.map(n => Number(n.toFixed(3))) : null;
};
const pasted = (text: string) => must(pasteSwatches(text));
const group = (site: Site, name: string) =>
  [...site.kinds.token.values()].filter(it => it.group === name).sort(byOrder);

describe('a pasted list of colours', () => {
  it('is read one a line, with and without names', () => {
    const { swatches, unread } = pasted('Hull #2a3a5f\n#ffffff\noklch(0.84 0.155 88) Lamp');
    expect(unread).toEqual([]);
    expect(swatches.map(it => it.name)).toEqual(['Hull', 'White', 'Lamp']);
  });
  it('is read as the custom properties of a style sheet, those that follow another one too', () => {
    const css =
      ':root {\n  /* sea */\n  --brand-hull: #2a3a5f;\n  --link: var(--brand-hull);\n  --gap: 2rem;\n}';
    const { swatches, unread } = pasted(css);
    expect(swatches.map(it => [it.name, it.follows, it.line])).toEqual([
      ['Brand hull', null, 3],
      ['Link', 0, 4],
    ]);
    expect(unread).toEqual([{ line: 5, text: 'gap: 2rem' }].map(it => ({ ...it, text: '--gap: 2rem' })));
  });
  it('tells which lines hold no colour', () => {
    expect(pasted('#123\nseaweed soup\n#abc').unread).toEqual([{ line: 2, text: 'seaweed soup' }]);
  });
  it('does not run in a circle', () => {
    expect(pasted('--a: var(--b); --b: var(--a)').swatches).toEqual([]);
  });
  it('gives equal names a number', () => {
    expect(pasted('#000\n#000').swatches.map(it => it.name)).toEqual(['Black', 'Black 2']);
  });
  it('becomes swatches of a group, in order', () => {
    const { edits } = pastedInto(demo, '--a: #123456;--b: var(--a)', 'Pasted');
    const site = after(demo, edits);
    expect(group(site, 'Pasted').map(it => it.name)).toEqual(['A', 'B']);
    const [a, b] = group(site, 'Pasted');
    expect(b?.value).toEqual({ type: 'token', token: a?.id });
  });
});

describe('a token', () => {
  it('is added last, under a name of its own', () => {
    const value = must(parseTokenValue('#123456', 'color', demo.kinds.token));
    const { edits, id } = addToken(demo, { type: 'color', group: 'Brand', name: 'Hull', value });
    const site = after(demo, edits);
    expect(site.kinds.token.get(id)?.name).toBe('Hull 2');
    expect(group(site, 'Brand').at(-1)?.id).toBe(id);
  });
  it('is duplicated right behind itself', () => {
    const { edits, id } = must(duplicateToken(demo, 'hull'));
    const names = group(after(demo, edits), 'Brand').map(it => it.id);
    expect(names[names.indexOf('hull') + 1]).toBe(id);
  });
  it('is moved within its group and to another', () => {
    const moved = after(demo, moveToken(demo, 'rope', 'Brand', 0));
    expect(group(moved, 'Brand')[0]?.id).toBe('rope');
    const elsewhere = after(demo, moveToken(demo, 'rope', 'Neutral', 2));
    expect(group(elsewhere, 'Neutral')[2]?.id).toBe('rope');
    expect(group(elsewhere, 'Brand').some(it => it.id === 'rope')).toBe(false);
    expect(moveToken(demo, 'hull', 'Brand', 0)).toEqual([]);
  });
});

describe('a ramp of swatches', () => {
  const { edits, ids } = must(addRamp(demo, 'hull', 9));
  const site = after(demo, edits);
  it('follows the swatch it was made from, which keeps its colour at its own step', () => {
    expect(ids).toHaveLength(9);
    expect(ids.filter(id => String(hexOf(site, id)) === String(hexOf(site, 'hull')))).toHaveLength(1);
    const changed = after(site, [
      { op: 'set', id: 'hull', path: ['value'], value: must(parseTokenValue('#7a1f1f', 'color', new Map())) },
    ]);
    expect(hexOf(changed, ids[0] ?? '')).not.toEqual(hexOf(site, ids[0] ?? ''));
  });
});

describe('replacing a swatch', () => {
  it('leaves no mention of it anywhere, and alters nothing else', () => {
    const site = after(demo, must(replaceTokens(demo, ['mist'], 'fog')));
    expect(site.kinds.token.has('mist')).toBe(false);
    expect(mentionsOf(site, 'mist')).toEqual([]);
    expect(site.kinds.scheme.get('daymark')?.roles.line).toEqual({ type: 'token', token: 'fog' });
    expect(site.kinds.widget.get('feature-dogs')?.styles['box/backgroundColor']).toEqual({
      type: 'token',
      token: 'fog',
    });
    expect(site.kinds.widget.get('feature-cars')).toBe(demo.kinds.widget.get('feature-cars'));
  });
  it('follows it into derivations and shadows', () => {
    const site = after(demo, must(replaceTokens(demo, ['night'], 'hull')));
    expect(usersOf(site, 'hull')).toContain('lift');
    const slate = after(demo, must(replaceTokens(demo, ['fog'], 'foam'))).kinds.token.get('slate')?.value;
    expect(slate?.type === 'derived' && slate.derivation.from).toEqual(['hull', 'foam']);
  });
  it('lets a replacement go that followed what goes, with the colour it had', () => {
    const before = hexOf(demo, 'hull-deep');
    const site = after(demo, must(replaceTokens(demo, ['hull'], 'hull-deep')));
    expect(hexOf(site, 'hull-deep')).toEqual(before);
    expect(site.kinds.scheme.get('daymark')?.roles.heading).toEqual({ type: 'token', token: 'hull-deep' });
  });
  it('refuses a token of another type, and a removal that would leave a gap', () => {
    expect(replaceTokens(demo, ['hull'], 'ratio')).toMatchObject({ ok: false });
    expect(removeToken(demo, 'hull', null)).toMatchObject({ ok: false, problem: { code: 'in-use' } });
    expect(removeToken(demo, 'hull', 'rope')).toMatchObject({ ok: true });
  });
  it('can be undone to the same site', () => {
    const done = must(applyChange(demo, { edits: must(replaceTokens(demo, ['hull', 'rope'], 'heather')) }));
    const back = after(done.site, done.inverse);
    const sorted = (site: Site) => [...allRecords(site)].sort((a, b) => (a.id < b.id ? -1 : 1));
    expect(sorted(back)).toEqual(sorted(demo));
  });
});

describe('swatches that can hardly be told apart', () => {
  it('are found by CIEDE2000 below 2, aliases left out', () => {
    const { edits } = pastedInto(demo, 'Twin #2a3a60\nFar #2a7a5f', 'Brand');
    const site = after(demo, edits);
    const [pair, ...more] = nearSwatches(site);
    expect(more).toEqual([]);
    expect([pair?.a, pair?.b]).toContain('hull');
    expect(pair?.distance).toBeLessThan(2);
    expect(nearSwatches(demo)).toEqual([]);
  });
});

describe('taking over a token file', () => {
  const file = JSON.stringify(toDesignTokens(demo.kinds.token));
  it('of one’s own alters nothing', () => {
    expect(takenFrom(demo, file)).toMatchObject({
      added: 0,
      altered: 0,
      edits: [],
    });
  });
  it('gives tokens of the same path their new value, and adds the others', () => {
    const other = {
      color: {
        $type: 'color',
        brand: { hull: { $value: '#113355' }, buoy: { $value: '{color.brand.hull}' } },
      },
    };
    const imported = takenFrom(demo, JSON.stringify(other));
    expect(imported).toMatchObject({ added: 1, altered: 1 });
    const site = after(demo, imported.edits);
    expect(site.kinds.token.get('hull')?.value).toMatchObject({ type: 'color' });
    const buoy = [...site.kinds.token.values()].find(it => it.name === 'Buoy');
    expect(buoy?.value).toEqual({ type: 'token', token: 'hull' });
    expect(tokenPath(site.kinds.token, buoy?.id ?? '')).toBe('color.brand.buoy');
  });
});

describe('a group that goes', () => {
  it('leaves nothing that names its swatches: each is replaced by the nearest of the others', () => {
    const gone = group(demo, 'Status').map(it => it.id);
    expect(isGroupUsed(demo, 'color', 'Status')).toBe(true);
    const then = after(demo, must(removeGroup(demo, 'color', 'Status', 'nearest')));
    expect(group(then, 'Status')).toEqual([]);
    for (const id of gone) expect(mentionsOf(then, id)).toEqual([]);
    for (const scheme of then.kinds.scheme.values())
      for (const value of Object.values(scheme.roles))
        expect(value.type === 'token' && then.kinds.token.has(value.token)).toBe(true);
  });
  it('is replaced by one, if that is wanted', () => {
    const then = after(demo, must(removeGroup(demo, 'color', 'Status', 'hull')));
    expect(group(then, 'Status')).toEqual([]);
    expect(usersOf(then, 'hull').length).toBeGreaterThan(usersOf(demo, 'hull').length);
  });
  it('goes at once where nothing uses it, with what is said of it', () => {
    const made = pastedInto(demo, 'Moss #336640\nFern #557755', 'Green');
    const said = after(
      after(demo, made.edits),
      describeGroup(after(demo, made.edits), 'Green', { note: 'For the moor' }),
    );
    const then = after(said, must(removeGroup(said, 'color', 'Green', 'nearest')));
    expect(group(then, 'Green')).toEqual([]);
    expect(then.kinds.tokenGroup.size).toBe(demo.kinds.tokenGroup.size);
  });
  it('stays where it is used and there is nothing else', () => {
    const only =
      [...demo.kinds.token.values()].filter(it => it.type === 'shadow').map(it => it.group)[0] ?? '';
    const others = [...demo.kinds.token.values()].some(it => it.type === 'shadow' && it.group !== only);
    expect(others).toBe(false);
    expect(removeGroup(demo, 'shadow', only, 'nearest').ok).toBe(!isGroupUsed(demo, 'shadow', only));
  });
});
