import {
  applyChange,
  BUNDLES,
  bundleOf,
  type ChoiceGroup,
  getRecord,
  literalOf,
  matchingChoices,
  NO_REBINDS,
  nearestChoices,
  nearestToken,
  PROPERTIES,
  type PropertyName,
  parsePropertyValue,
  parseSlot,
  parseTokenValue,
  parseValueOf,
  propertyOf,
  type Site,
  settingsOf,
  shortPath,
  siteOf,
  tokenChoices,
  tokenTypesOf,
  type Value,
} from '@cove/core';
import { READY_GUIDES, READY_LOOKS, readyGuide, takeLook, tolvane } from '@cove/core/starters';
import { describe, expect, it } from '@jest/globals';

const demo = tolvane(() => 'abcdef0123456789.webp');
const read = (property: PropertyName, text: string, site: Site = demo) =>
  parsePropertyValue(text, propertyOf(property), site.kinds.token, site.kinds.role);
const px = (value: number): Value => ({ type: 'dimension', value: { value, unit: 'px' } });

describe('a property’s field', () => {
  it('takes a token by its path, by its group and name, and by a name that no other bears', () => {
    for (const text of ['{size.corners.small}', 'corners.small', 'Corners.Small', 'corners › small'])
      expect(read('borderTopLeftRadius', text)).toMatchObject({ ok: true, value: { type: 'token' } });
    expect(read('backgroundColor', 'Mist')).toMatchObject({ ok: true, value: { type: 'token' } });
    expect(read('backgroundColor', 'neutral.mist')).toEqual(read('backgroundColor', '{color.neutral.mist}'));
  });
  it('says which ones are meant by a name that several bear', () => {
    const names = [...demo.kinds.token.values()]
      .filter(it => it.type === 'dimension')
      .map(it => it.name.toLowerCase());
    const twice = names.find((it, i) => names.indexOf(it) !== i);
    expect(twice).toBeDefined();
    expect(read('paddingTop', twice ?? '')).toMatchObject({
      ok: false,
      problem: { code: 'ambiguous-token', message: expect.stringContaining('.') },
    });
  });
  it.each([
    ['paddingTop', '24', { type: 'dimension', value: { value: 24, unit: 'px' } }],
    ['paddingTop', '24/2', { type: 'dimension', value: { value: 12, unit: 'px' } }],
    ['letterSpacing', '0.05', { type: 'dimension', value: { value: 0.05, unit: 'em' } }],
    ['lineHeight', '1.5', { type: 'number', value: 1.5 }],
    ['fontSize', '2rem', { type: 'dimension', value: { value: 2, unit: 'rem' } }],
    ['color', 'Accent', { type: 'role', role: 'accent' }],
    ['color', 'role.accent', { type: 'role', role: 'accent' }],
    // A word of CSS is the word: what means itself is never a token by chance.
    ['marginTop', 'auto', { type: 'keyword', value: 'auto' }],
    ['color', 'rebeccapurple', { type: 'color' }],
  ] as const)('of %s reads %s', (property, text, value) => {
    expect(read(property, text)).toMatchObject({ ok: true, value });
  });
  it.each([
    ['paddingTop', '-4'],
    ['paddingTop', 'nowhere'],
    ['paddingTop', 'Mist'],
    ['opacity', '9'],
  ] as const)('of %s refuses %s', (property, text) => {
    expect(read(property, text).ok).toBe(false);
  });
  it('takes every token of the demo by the short path that it shows', () => {
    const { token: tokens } = demo.kinds;
    for (const { id, type } of tokens.values())
      expect(parseTokenValue(shortPath(tokens, id), type, tokens)).toEqual({
        ok: true,
        value: { type: 'token', token: id },
      });
  });
});

describe('a token’s own field', () => {
  const { textBase, textRatio } = settingsOf(demo);
  const size =
    [...demo.kinds.token.values()].find(it => it.type === 'dimension' && it.group === 'Space')?.id ?? '';
  it.each([
    [textBase, '0px', 'between 8px and 48px'],
    [textBase, '-4px', 'between 8px and 48px'],
    [textBase, '2px .. 400px', 'between 8px and 48px'],
    [textRatio, '0', 'between 1.02 and 2'],
    [textRatio, '50', 'between 1.02 and 2'],
    [size, '2rem .. 1rem', 'has to be the smaller one'],
  ])('of %s refuses %s with the reason', (id, text, reason) => {
    const token = demo.kinds.token.get(id);
    expect(token && parseValueOf(demo, token, text)).toMatchObject({
      ok: false,
      problem: { message: expect.stringContaining(reason) },
    });
  });
  it.each([
    [textBase, '17px'],
    [textBase, '1rem .. 1.125rem'],
    [textRatio, '1.25'],
    [size, '1rem .. 2rem'],
    [size, '{size.text.base}'],
  ])('of %s takes %s', (id, text) => {
    const token = demo.kinds.token.get(id);
    expect(token && parseValueOf(demo, token, text)).toMatchObject({ ok: true });
  });
});

describe('tokens to choose from', () => {
  const groups = (property: PropertyName): readonly ChoiceGroup[] => {
    const row = propertyOf(property);
    return tokenChoices(demo, { types: tokenTypesOf(row), use: row.use });
  };
  it('are all that fit, each once', () => {
    for (const row of PROPERTIES) {
      const types = tokenTypesOf(row);
      const ids = groups(row.name).flatMap(it => it.choices.map(({ token }) => token.id));
      const fitting = [...demo.kinds.token.values()].filter(it => types.includes(it.type));
      expect([...ids].sort()).toEqual(fitting.map(it => it.id).sort());
    }
  });
  it('begin with the scale that is for it', () => {
    expect(groups('borderTopLeftRadius')[0]?.name).toBe('Corners');
    expect(groups('paddingTop')[0]?.name).toBe('Space');
    expect(groups('fontSize')[0]?.name).toBe('Text');
    expect(groups('borderTopWidth')[0]?.name).toBe('Lines');
  });
  it('are found by words in any order, of their names and groups', () => {
    const found = (search: string) =>
      matchingChoices(groups('backgroundColor'), search).flatMap(it =>
        it.choices.map(({ token }) => token.name),
      );
    expect(found('mist')).toEqual(['Mist']);
    expect(found('deep hull')).toEqual(['Hull deep']);
    expect(found('neutral').length).toBeGreaterThan(3);
    expect(found('no such thing')).toEqual([]);
  });
  it('are told by their distance, in px', () => {
    const row = propertyOf('paddingTop');
    const near = nearestChoices(demo, { types: tokenTypesOf(row), use: row.use }, px(23), 2);
    expect(near.map(it => [it.token.name, it.apart.words, it.apart.close])).toEqual([
      ['Three', '1px', true],
      ['Two', '7px', false],
    ]);
    expect(
      nearestChoices(demo, { types: tokenTypesOf(row), use: row.use }, px(24))[0]?.apart.words,
    ).toBeNull();
  });
});

describe('the nearest token', () => {
  it('is one for the same use: a line’s width is no corner', () => {
    const line = nearestToken(demo, 'borderTopWidth', px(6));
    expect(line && getRecord(demo, line)).toMatchObject({ group: 'Lines' });
    const corner = nearestToken(demo, 'borderTopLeftRadius', px(2));
    expect(corner && getRecord(demo, corner)).toMatchObject({ group: 'Corners' });
  });
  const guides = READY_GUIDES.map(spec => {
    const guide = readyGuide(spec);
    return [
      spec.name,
      siteOf([
        ...guide.records,
        {
          id: 'settings',
          kind: 'settings',
          name: spec.name,
          language: 'en',
          home: 'home',
          ...guide.settings,
        },
      ]),
    ] as const;
  });
  it.each(guides)('of a ready look in %s leaves no line thicker than that guide’s own', (_, site) => {
    const thickest = Math.max(
      4,
      ...[...site.kinds.token.values()]
        .filter(it => it.group === 'Lines')
        .map(it => (it.value.type === 'dimension' ? it.value.value.value : 0)),
    );
    for (const look of READY_LOOKS) {
      const applied = applyChange(site, { edits: takeLook(site, look).edits });
      if (!applied.ok) throw new Error(applied.problem.message);
      const made = [...applied.value.site.kinds.variant.values()].filter(it => it.name === look.name);
      for (const { styles } of made)
        for (const [slot, value] of Object.entries(styles)) {
          if (!/^border.*Width$/.test(parseSlot(slot)?.property ?? '')) continue;
          const end = literalOf(site.kinds.token, NO_REBINDS, value);
          if (end?.type === 'dimension' && end.value.unit === 'px')
            expect(end.value.value).toBeLessThanOrEqual(thickest);
        }
    }
  });
  it('is none where no token can be meant', () => {
    expect(nearestToken(demo, 'letterSpacing', px(3))).toBeNull();
  });
});

describe('bundles', () => {
  it('hold each longhand once, all of one kind', () => {
    const all = BUNDLES.flatMap(it => it.members.map(([name]) => name));
    expect(new Set(all).size).toBe(all.length);
    for (const { name, members } of BUNDLES) {
      const [first, ...rest] = members.map(([it]) => propertyOf(it));
      for (const row of rest)
        expect([row.accepts, row.use, row.control]).toEqual([first?.accepts, first?.use, first?.control]);
      for (const [it] of members) expect(bundleOf(it)?.name).toBe(name);
    }
  });
});
