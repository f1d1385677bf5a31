import { describe, expect, it } from '@jest/globals';
import {
  type Asked,
  contributionsTo,
  keptElsewhere,
  nodeScope,
  pageScope,
  specimenScope,
  threadOf,
  winner,
} from '../src/cascade/index.ts';
import { applyChange, type Edit, type Site } from '../src/site/index.ts';
import type { SiteBuilder } from '../src/starters/index.ts';
import { elementNamed } from '../src/widgets/index.ts';
import { demoSite } from './support/demo.ts';
import { tiny } from './support/tiny.ts';

const asked = (more: Partial<Asked> = {}): Asked => ({
  part: 'box',
  state: 'rest',
  width: 'wide',
  property: 'opacity',
  ...more,
});

function ask(site: Site, node: string, more: Partial<Asked> = {}, page = 'home') {
  const scope = nodeScope(site, page, node);
  if (!scope) throw new Error(`${node} does not stand on ${page}`);
  return threadOf(site, scope, asked(more));
}

function edit(site: Site, ...edits: Edit[]): Site {
  const applied = applyChange(site, { edits });
  if (!applied.ok) throw new Error(applied.problem.message);
  return applied.value.site;
}

/** A button for which every origin says another opacity. */
const crowded = () =>
  tiny(b => {
    b.default('button', { 'box/opacity': 0.1 });
    b.variant('faint', 'button', 'kind', 'Faint', { 'box/opacity': 0.2 });
    b.variant('big', 'button', 'size', 'Big', { 'box/opacity': 0.3 });
    b.preset('first', 'First', { 'box/opacity': 0.4 });
    b.preset('second', 'Second', { 'box/opacity': 0.5 });
    b.widget('plain', 'one', 'button', { label: 'A' });
    b.widget('kind', 'one', 'button', { label: 'A' }, { variants: { kind: 'faint' } });
    b.widget('both', 'one', 'button', { label: 'A' }, { variants: { kind: 'faint', size: 'big' } });
    b.widget(
      'worn',
      'one',
      'button',
      { label: 'A' },
      { variants: { kind: 'faint', size: 'big' }, wears: ['first', 'second'] },
    );
    b.widget(
      'own',
      'one',
      'button',
      { label: 'A' },
      {
        variants: { kind: 'faint', size: 'big' },
        wears: ['first', 'second'],
        styles: { 'box/opacity': 0.6 },
      },
    );
  });

describe('the nearer origin wins', () => {
  it.each([
    ['plain', '0.1', 'default'],
    ['kind', '0.2', 'variant'],
    ['both', '0.3', 'variant'],
    ['worn', '0.5', 'preset'],
    ['own', '0.6', 'own'],
  ])('on %s: %s, by its %s', (node, css, origin) => {
    const thread = ask(crowded(), node);
    expect(thread.css).toBe(css);
    expect(thread.from?.origin).toBe(origin);
  });
  it('and tells all it hides, nearest first, with the reason', () => {
    expect(ask(crowded(), 'own').overridden.map(it => [it.record, it.why])).toEqual([
      ['second', 'origin'],
      ['first', 'origin'],
      ['big', 'origin'],
      ['faint', 'origin'],
      ['default-button', 'origin'],
    ]);
    expect(ask(crowded(), 'worn').overridden[0]).toMatchObject({ record: 'first', why: 'order' });
  });
  it('while a preset that is switched off says nothing, and is told as off', () => {
    const site = crowded();
    const off = edit(site, {
      op: 'set',
      id: 'worn',
      path: ['wears', 'w2'],
      value: { preset: 'second', order: 'l', on: false },
    });
    const thread = ask(off, 'worn');
    expect(thread.css).toBe('0.4');
    expect(thread.overridden).toContainEqual(expect.objectContaining({ record: 'second', why: 'off' }));
  });
  it('in the order worn, whatever order they were made in', () => {
    const turned = edit(crowded(), {
      op: 'set',
      id: 'worn',
      path: ['wears', 'w1'],
      value: { preset: 'first', order: 'z', on: true },
    });
    expect(ask(turned, 'worn').css).toBe('0.4');
  });
});

describe('the more particular situation wins over the nearer origin', () => {
  const site = tiny(b => {
    b.default('button', {
      'box/opacity': 0.1,
      'box:hover/opacity': 0.2,
      'box@narrow/opacity': 0.3,
      'box:hover@narrow/opacity': 0.35,
      'box:pressed/opacity': 0.4,
    });
    b.widget(
      'it',
      'one',
      'button',
      { label: 'A' },
      { styles: { 'box/opacity': 0.9, 'box@medium/opacity': 0.8 } },
    );
  });
  it.each([
    ['rest', 'wide', '0.9'],
    ['rest', 'medium', '0.8'],
    ['rest', 'narrow', '0.3'],
    ['hover', 'wide', '0.2'],
    ['hover', 'medium', '0.2'],
    ['hover', 'narrow', '0.35'],
    ['pressed', 'narrow', '0.4'],
    ['focus', 'wide', '0.9'],
  ] as const)('%s at %s: %s', (state, width, css) => {
    expect(ask(site, 'it', { state, width }).css).toBe(css);
  });
  it('says why: the state before the width', () => {
    expect(ask(site, 'it', { state: 'hover', width: 'narrow' }).overridden.map(it => it.why)).toEqual([
      'width',
      'state',
      'state',
      'state',
      'state',
    ]);
  });
  it('tells which situations keep another value', () => {
    const scope = nodeScope(site, 'home', 'it');
    if (!scope) throw new Error('gone');
    expect(
      keptElsewhere(site, scope, asked())
        .map(it => `${it.state} ${it.width}`)
        .sort(),
    ).toEqual(['disabled wide', 'hover narrow', 'hover wide', 'pressed wide', 'rest medium', 'rest narrow']);
  });
});

describe('a rule for a place stands where the rule stands that it sets again', () => {
  const placed = (fill: (b: SiteBuilder) => void) =>
    tiny(b => {
      b.page('below', 'below', 'Below', '', { parent: 'home' });
      b.section('two', 'below', 'Two', { scheme: 'dark' });
      b.section('top', 'settings', 'Top', { area: 'header' });
      b.default('button', { 'box/opacity': 0.1 });
      b.widget('it', 'two', 'button', { label: 'A' }, { variants: { kind: 'outlined' } });
      b.widget('head', 'top', 'button', { label: 'A' });
      fill(b);
    });
  it('places rank: site < kind of page < branch, the deeper the nearer < page < area < scheme < section', () => {
    const steps: ((b: SiteBuilder) => void)[] = [
      b => b.default('button', { 'box/opacity': 0.2 }, { type: 'pageKind', pageKind: 'page' }),
      b => b.default('button', { 'box/opacity': 0.3 }, { type: 'branch', page: 'home' }),
      b => b.default('button', { 'box/opacity': 0.35 }, { type: 'branch', page: 'below' }),
      b => b.default('button', { 'box/opacity': 0.4 }, { type: 'page', page: 'below' }),
      b => b.default('button', { 'box/opacity': 0.5 }, { type: 'area', area: 'main' }),
      b => b.default('button', { 'box/opacity': 0.6 }, { type: 'scheme', scheme: 'dark' }),
      b => b.default('button', { 'box/opacity': 0.7 }, { type: 'section', section: 'two' }),
    ];
    const found = steps.map(
      (_, n) =>
        ask(
          placed(b =>
            steps
              .slice(0, n + 1)
              .reverse()
              .map(step => step(b)),
          ),
          'it',
          {},
          'below',
        ).css,
    );
    expect(found).toEqual(['0.2', '0.3', '0.35', '0.4', '0.5', '0.6', '0.7']);
  });
  it('a variant beats a default of the nearest place', () => {
    const site = placed(b => {
      b.default('button', { 'box/opacity': 0.7 }, { type: 'section', section: 'two' });
      b.variant('thin', 'button', 'kind', 'Thin', { 'box/opacity': 0.2 });
      b.widget('thin-one', 'two', 'button', { label: 'A' }, { variants: { kind: 'thin' } });
    });
    expect(ask(site, 'thin-one', {}, 'below').css).toBe('0.2');
  });
  it('and holds nowhere else', () => {
    const site = placed(b => b.default('button', { 'box/opacity': 0.9 }, { type: 'area', area: 'header' }));
    expect(ask(site, 'head').css).toBe('0.9');
    expect(ask(site, 'it', {}, 'below').css).toBe('0.1');
  });
  it('a header is asked on the page it stands on', () => {
    const site = placed(b => b.default('button', { 'box/opacity': 0.9 }, { type: 'page', page: 'below' }));
    expect(ask(site, 'head', {}, 'home').css).toBe('0.1');
    expect(ask(site, 'head', {}, 'below').css).toBe('0.9');
  });
});

describe('text styles', () => {
  const site = tiny(b => {
    b.textStyle('loud', 'Loud', { '/fontSize': '3rem', '/fontWeight': 900, '@narrow/fontSize': '2rem' });
    b.default('heading', { 'text/textStyle': 'loud', 'text/fontWeight': 300 });
    b.widget(
      'it',
      'one',
      'heading',
      { text: 'A', level: 2 },
      { styles: { 'text@medium/textStyle': 'loud' } },
    );
    b.widget('plain', 'one', 'heading', { text: 'A', level: 2 });
  });
  it('are taken apart where they are set, and longhands in the same slot beat them', () => {
    expect(ask(site, 'plain', { part: 'text', property: 'fontSize' })).toMatchObject({
      css: '3rem',
      from: { textStyle: 'loud', record: 'default-heading' },
    });
    expect(ask(site, 'plain', { part: 'text', property: 'fontWeight' })).toMatchObject({
      css: '300',
      from: { textStyle: null },
    });
    expect(ask(site, 'plain', { part: 'text', property: 'fontSize', width: 'narrow' }).css).toBe('2rem');
  });
  it('set at a width hold from there on', () => {
    expect(ask(site, 'it', { part: 'text', property: 'fontWeight' }).css).toBe('300');
    expect(ask(site, 'it', { part: 'text', property: 'fontWeight', width: 'medium' })).toMatchObject({
      css: '900',
      from: { origin: 'own' },
    });
  });
});

describe('a thread', () => {
  const site = demoSite();
  it('runs from a role through the scheme that is worn to the literal', () => {
    const thread = ask(site, 'book', { property: 'backgroundColor' });
    expect(thread.via).toEqual([
      expect.objectContaining({ role: 'mainFill', scheme: 'night-run', wearer: 'welcome' }),
      expect.objectContaining({ token: 'lamp', rebound: null }),
    ]);
    // As it is painted: in 8 bit, CSS Color 4, section 10.2.
    expect(thread.css).toBe('#f4c43a');
    expect(thread.from).toMatchObject({ origin: 'program', record: null, inherited: false });
  });
  it('follows what a label inherits from its button, in the state the button is in', () => {
    expect(ask(site, 'book', { part: 'label', property: 'color' }).from).toMatchObject({
      part: 'box',
      inherited: true,
    });
    expect(ask(site, 'today', { part: 'label', property: 'color', state: 'pressed' }).from).toMatchObject({
      origin: 'variant',
      record: 'kind-outlined',
      slot: 'box:pressed/color',
    });
  });
  it('tells what it would inherit as hidden', () => {
    const { overridden } = ask(site, 'welcome-title', { part: 'text', property: 'color' });
    expect(overridden.filter(it => it.why === 'inherited').length).toBeGreaterThan(0);
  });
  it('goes back through what a derived token was made of', () => {
    expect(
      ask(site, 'book', { property: 'backgroundColor', state: 'hover' }).via.map(via =>
        'token' in via ? via.token : via.role,
      ),
    ).toEqual(['mainFillHover', 'lamp-pale', 'lamp']);
  });
  it('is asked of an element without a page, with variants and scheme', () => {
    const thread = threadOf(
      site,
      specimenScope(elementNamed('button'), 'heather-moor', { kind: 'kind-outlined' }),
      asked({ property: 'borderTopColor' }),
    );
    expect(thread).toMatchObject({ css: '#f5fbff', from: { record: 'kind-outlined', node: null } });
  });
  it('answers nothing where nobody says anything', () => {
    expect(ask(site, 'book', { property: 'boxShadow' })).toMatchObject({
      value: null,
      css: null,
      from: null,
      overridden: [],
    });
  });
});

describe('rebinding', () => {
  const rebound = (page: boolean, section: boolean) => {
    const site = tiny(b => {
      b.widget(
        'it',
        'one',
        'button',
        { label: 'A' },
        {
          styles: {
            'box/backgroundColor': '{color.brand.deep}',
            'box/color': '{color.brand.alias}',
            'box/borderTopColor': 'role.accent',
            'box/opacity': 0.5,
          },
        },
      );
    });
    const green = { type: 'color', value: { space: 'srgb', coords: [0, 1, 0], alpha: 1 } } as const;
    const blue = { type: 'color', value: { space: 'srgb', coords: [0, 0, 1], alpha: 1 } } as const;
    return edit(
      site,
      ...(page ? [{ op: 'set', id: 'home', path: ['rebind', 'sea'], value: green } as const] : []),
      ...(section ? [{ op: 'set', id: 'one', path: ['rebind', 'sea'], value: blue } as const] : []),
    );
  };
  it('of a token on a page reaches its aliases, its derivations and the roles bound to them', () => {
    expect(ask(rebound(true, false), 'it', { property: 'color' })).toMatchObject({
      css: '#00ff00',
      via: [expect.anything(), { token: 'sea', rebound: 'home' }],
    });
    expect(ask(rebound(true, false), 'it', { property: 'borderTopColor' }).css).toBe('#00ff00');
    expect(ask(rebound(true, false), 'it', { property: 'backgroundColor' }).css).not.toBe(
      ask(rebound(false, false), 'it', { property: 'backgroundColor' }).css,
    );
  });
  it('in a section beats that of its page', () => {
    expect(ask(rebound(true, true), 'it', { property: 'color' })).toMatchObject({
      css: '#0000ff',
      via: [expect.anything(), { rebound: 'one' }],
    });
  });
  it('does not reach other pages', () => {
    const site = edit(rebound(true, false), {
      op: 'put',
      record: {
        id: 'other',
        kind: 'page',
        pageKind: 'page',
        title: 'Other',
        path: 'other',
        description: '',
        at: { parent: 'settings', order: 'k' },
        scheme: null,
        rebind: {},
      },
    });
    const page = site.kinds.page.get('other');
    if (!page) throw new Error('gone');
    expect(threadOf(site, pageScope(site, page), asked({ property: 'color' })).css).toBe('#204060');
  });
});

describe('asking for a whole part', () => {
  it('gives the same winners as asking property by property', () => {
    const site = demoSite();
    const scope = nodeScope(site, 'home', 'feature-dogs');
    if (!scope) throw new Error('gone');
    for (const [property, list] of contributionsTo(site, scope, 'box'))
      for (const width of ['wide', 'narrow'] as const) {
        const best = winner(list, 'hover', width);
        const { from } = threadOf(site, scope, asked({ property, width, state: 'hover' }));
        expect([from?.record, from?.slot]).toEqual([best?.record, best?.slot]);
      }
  });
});
