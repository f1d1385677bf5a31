import {
  applyChange,
  contributionsTo,
  type Edit,
  nameOf,
  nodeScope,
  noEffect,
  type PropertyName,
  propertyOf,
  type Site,
  specimenRows,
} from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { describe, expect, it } from '@jest/globals';
import { resolveSubject } from '../src/bench/subject.ts';
import { usesOfRow } from '../src/guide/uses.ts';
import { placeOf } from '../src/navigation/go.ts';
import { outlineRows } from '../src/pages/outlineRows.ts';

const demo = tolvane(() => 'abcdef0123456789.webp');
const after = (...edits: Edit[]): Site => {
  const applied = applyChange(demo, { edits });
  if (!applied.ok) throw new Error(applied.problem.message);
  return applied.value.site;
};
const effect = (site: Site, node: string, part: string, property: PropertyName) => {
  const scope = nodeScope(site, 'home', node);
  if (!scope) throw new Error('gone');
  const said = contributionsTo(site, scope, part);
  return noEffect(propertyOf(property), { site, scope, part, said, state: 'rest', width: 'wide' });
};

describe('“no effect here”', () => {
  it.each([
    ['crossing-text', 'link', 'marginTop', 'inline text has no width'],
    ['welcome-title', 'text', 'rowGap', 'only parts arranged as flex or grid'],
    ['welcome-words', 'box', 'gridColumns', 'only parts arranged as grid'],
    ['before-row', 'box', 'flexDirection', 'only parts arranged as flex'],
    ['feature-cars', 'box', 'borderTopColor', 'the line has no style'],
    ['book', 'box', 'textDecorationColor', 'there is no underline'],
  ] as const)('is said of %s, %s: %s', (node, part, property, why) => {
    expect(effect(demo, node, part, property)).toContain(why);
  });
  it.each([
    ['book', 'box', 'paddingTop'],
    // Inline by itself, but a block in a button that is arranged as flex.
    ['book', 'label', 'marginTop'],
    // It makes the ground of the words larger, though it moves nothing.
    ['crossing-text', 'link', 'paddingTop'],
    ['before-row', 'box', 'gridColumns'],
    ['book', 'box', 'borderTopColor'],
    ['crossing-text', 'link', 'textDecorationColor'],
  ] as const)('is not said of %s, %s: %s', (node, part, property) => {
    expect(effect(demo, node, part, property)).toBeNull();
  });
});

describe('the outline', () => {
  it('lists header, page and footer as they stand, each before what it holds', () => {
    const rows = outlineRows(demo, 'home');
    expect(rows.slice(0, 4).map(row => [row.depth, row.label])).toEqual([
      [0, 'Header'],
      [1, 'Group'],
      [2, 'Site title'],
      [2, 'Navigation'],
    ]);
    expect(rows.at(-1)?.node.id).toBe('foot-hours');
  });
  it('counts knots on the branches that hold them', () => {
    const knots = Object.fromEntries(outlineRows(demo, 'home').map(row => [row.node.id, row.knots]));
    expect(knots).toMatchObject({
      before: 3,
      'before-row': 3,
      'feature-dogs': 3,
      'feature-cars': 0,
      crossing: 0,
    });
  });
});

describe('what the bench is about', () => {
  const at = { part: 'box', state: 'rest', width: 'wide' } as const;
  it('is set on the thing itself, on the default, or on a variant', () => {
    expect(resolveSubject(demo, { type: 'node', page: 'home', node: 'book', ...at })?.record).toBe('book');
    expect(resolveSubject(demo, { type: 'node', page: 'home', node: 'home', ...at })?.record).toBe(
      'default-page',
    );
    expect(
      resolveSubject(demo, {
        type: 'element',
        element: 'button',
        variants: [],
        scheme: 'daymark',
        target: null,
        ...at,
      })?.record,
    ).toBe('default-button');
    expect(
      resolveSubject(demo, {
        type: 'element',
        element: 'button',
        variants: ['kind-outlined'],
        scheme: 'daymark',
        target: 'kind-outlined',
        ...at,
      })?.record,
    ).toBe('kind-outlined');
    expect(resolveSubject(demo, { type: 'preset', preset: 'ticket', ...at })?.record).toBe('ticket');
  });
  it('is told when it is gone', () => {
    expect(
      resolveSubject(after({ op: 'remove', id: 'book' }), {
        type: 'node',
        page: 'home',
        node: 'book',
        ...at,
      }),
    ).toBeNull();
    expect(resolveSubject(demo, { type: 'preset', preset: 'nobody', ...at })).toBeNull();
  });
});

describe('links of a thread', () => {
  it.each([
    ['hull', '/sites/tolvane/guide?token=hull'],
    ['night-run', '/sites/tolvane/guide?scheme=night-run'],
    ['default-button', '/sites/tolvane/guide?element=button'],
    ['kind-outlined', '/sites/tolvane/guide?element=button&variants=kind-outlined'],
    ['ticket', '/sites/tolvane/guide?preset=ticket'],
    ['book', '/sites/tolvane/pages/home?node=book'],
    ['head-nav', '/sites/tolvane/pages/fares?node=head-nav'],
  ])('%s leads to %s', (id, address) => {
    expect(placeOf(demo, 'tolvane', id, 'fares')).toBe(address);
  });
  it('lead nowhere from what is gone', () => {
    expect(placeOf(demo, 'tolvane', 'nobody')).toBeNull();
  });
  it('lead to the home page for what all pages share, where none is open', () => {
    expect(placeOf(demo, 'tolvane', 'head-nav')).toBe('/sites/tolvane/pages/home?node=head-nav');
  });
  it('call things by what people call them', () => {
    expect(
      ['hull', 'book', 'welcome', 'default-heading-area-footer', 'settings', 'ticket', 'nobody'].map(id =>
        nameOf(demo, id),
      ),
    ).toEqual([
      'color.brand.hull',
      'Book a crossing',
      'Welcome',
      'default of heading, in the footer',
      'the site',
      'Ticket',
      'nobody',
    ]);
  });
});

describe('reach', () => {
  it('counts things by the row of the specimen they look like', () => {
    const uses = Object.fromEntries(specimenRows(demo).map(row => [row.id, usesOfRow(demo, row)]));
    expect(uses).toMatchObject({ button: 10, 'button.kind-outlined': 1, 'heading.look-h1': 13, divider: 2 });
  });
});
