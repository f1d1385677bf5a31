import { describe, expect, it } from '@jest/globals';
import { computedStyles } from '../src/cascade/index.ts';
import { addRole, removePreset, replaceTokens, setSlot } from '../src/commands/index.ts';
import {
  compareSites,
  forecast,
  impactOf,
  reachOf,
  standingsOf,
  usersOf,
  usesOf,
} from '../src/reach/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, type Site } from '../src/site/index.ts';
import { parseTokenValue } from '../src/tokens/index.ts';
import { partNames } from '../src/widgets/index.ts';
import { demoSite } from './support/demo.ts';
import { seeded } from './support/random.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const recolor = (id: string, text: string): Edit[] => [
  { op: 'set', id, path: ['value'], value: must(parseTokenValue(text, 'color', demo.kinds.token)) },
];
const TICKETS = ['feature-dogs', 'sailing-hesk', 'sailing-carrow', 'sailing-little'];
const nodesIn = (site: Site, id: string) => usesOf(site, id).map(use => use.node?.id ?? use.page);

describe('reach', () => {
  it('of a preset is what wears it', () => {
    expect(nodesIn(demo, 'ticket')).toEqual(TICKETS);
    expect(reachOf(demo, 'ticket')).toEqual({ uses: 4, pages: ['home', 'sailings'] });
  });
  it('of a variant is what has chosen it, on each of its pages', () => {
    const cards = [...demo.kinds.widget.values()].filter(it => it.variants.look === 'feature-card');
    expect(nodesIn(demo, 'feature-card').sort()).toEqual(cards.map(it => it.id).sort());
  });
  it('of a default is every such thing', () => {
    const buttons = [...demo.kinds.widget.values()].filter(it => it.widget === 'button').length;
    expect(reachOf(demo, 'default-button').uses).toBe(buttons);
  });
  it('of a shared thing is every page, of the thing once', () => {
    expect(reachOf(demo, 'default-siteTitle')).toEqual({
      uses: 1,
      pages: [...demo.kinds.page.keys()],
    });
  });
  it('of a swatch goes through derived swatches, roles and schemes', () => {
    expect(usersOf(demo, 'rope').sort()).toEqual(['daymark', 'heather-moor', 'rope-deep']);
    expect(usersOf(demo, 'lamp-pale')).not.toContain('crossing-text');
    expect(nodesIn(demo, 'lamp-pale')).toContain('crossing-text');
    expect(nodesIn(demo, 'lamp')).toContain('crossing-text');
    expect(nodesIn(demo, 'lamp')).not.toContain('feature-cars');
  });
  it('of a scheme is all that stands in it', () => {
    expect(nodesIn(demo, 'heather-moor')).toContain('crossing-title');
    expect(nodesIn(demo, 'heather-moor')).not.toContain('feature-cars');
  });
  it('of what is used nowhere is nothing', () => {
    const { edits, id } = addRole(demo, 'Unused', 'text', null);
    expect(reachOf(after(demo, edits), id)).toEqual({ uses: 0, pages: [] });
    expect(reachOf(demo, 'low-tide')).toEqual({ uses: 0, pages: [] });
  });
  it('says the same in numbers and as a list, of everything in the guide', () => {
    for (const kind of ['token', 'scheme', 'textStyle', 'default', 'variant', 'preset'] as const)
      for (const id of demo.kinds[kind].keys())
        expect([id, reachOf(demo, id).uses]).toEqual([id, usesOf(demo, id).length]);
  });
});

describe('a forecast', () => {
  it('tells what uses a thing and which roles fail, and counts what uses several things once', () => {
    for (const id of ['lamp', 'rope', 'hull', 'foam']) {
      const edits = recolor(id, '#00ff00');
      const told = must(forecast(demo, edits));
      const impact = must(impactOf(demo, edits));
      expect(told.uses).toBe(reachOf(demo, id).uses);
      expect(told.pages).toBe(reachOf(demo, id).pages.length);
      expect(told.failures).toEqual(impact.failures);
    }
    const both = must(forecast(demo, [...recolor('lamp', '#123456'), ...recolor('lamp-pale', '#234567')]));
    expect(both.uses).toBe(new Set([...nodesIn(demo, 'lamp'), ...nodesIn(demo, 'lamp-pale')]).size);
  });
  it('refuses what cannot be made', () => {
    expect(forecast(demo, [{ op: 'remove', id: 'rope' }])).toMatchObject({ ok: false });
  });
});

describe('impact', () => {
  it('of a swatch is told by page and property', () => {
    const impact = must(impactOf(demo, recolor('lamp', '#00ff00')));
    const nodes = impact.pages.flatMap(it => it.nodes);
    expect(nodes).toContain('crossing-text');
    expect(nodes).not.toContain('feature-cars');
    expect(impact.properties.map(it => it.property)).toContain('color');
  });
  it('counts what inherits the value, and what a nearer value hides not', () => {
    const red: Edit[] = setSlot(demo, { type: 'default', element: 'page' }, 'box/fontStyle', {
      type: 'keyword',
      value: 'italic',
    });
    const impact = must(impactOf(demo, red));
    expect(impact.pages).toHaveLength(demo.kinds.page.size);
    const hidden = setSlot(demo, { type: 'default', element: 'feature' }, 'box/backgroundColor', {
      type: 'token',
      token: 'foam',
    });
    // The cards’ variant sets their ground; only features that are no cards show what the default says.
    const shown = must(impactOf(demo, hidden)).pages.flatMap(it => it.nodes);
    expect(shown).toEqual(TICKETS.slice(1));
  });
  it('of nothing is nothing', () => {
    expect(must(impactOf(demo, []))).toMatchObject({ nodes: 0, pages: [], failures: [] });
    expect(must(impactOf(demo, recolor('calm', '#2f7d46')))).toMatchObject({ nodes: 0 });
  });
  it('tells new contrast failures, and those only', () => {
    const impact = must(impactOf(demo, recolor('night', '#9aa4c0')));
    expect(impact.failures).toContainEqual(expect.objectContaining({ scheme: 'daymark', role: 'text' }));
    expect(must(impactOf(demo, recolor('night', '#101828'))).failures).toEqual([]);
  });
  it('counts what is added and taken away', () => {
    expect(must(impactOf(demo, [{ op: 'remove', id: 'before' }]))).toMatchObject({ removed: 6, added: 0 });
    const back = after(demo, [{ op: 'remove', id: 'before' }]);
    expect(compareSites(back, demo)).toMatchObject({ added: 6, removed: 0 });
  });
  it('of taking a preset off, and of replacing a swatch, names exactly the things that wear and use it', () => {
    const off = must(impactOf(demo, removePreset(demo, 'ticket')));
    expect(off.pages.flatMap(it => it.nodes)).toEqual(TICKETS);
    const same = must(impactOf(demo, must(replaceTokens(demo, ['calm'], 'gale'))));
    // The line of a field whose answer will do, and nothing else, is drawn in it.
    expect(same.pages.flatMap(it => it.nodes)).toEqual([
      'guided-mail',
      'guided-boat',
      'guided-words',
      'lost-what',
      'lost-mail',
      'booking-day',
      'booking-way',
      'booking-mail',
    ]);
  });

  it('names exactly what computes to another style, for random edits of swatches and sizes (50 seeds)', () => {
    for (let seed = 1; seed <= 50; seed++) {
      const random = seeded(seed);
      const tokens = [...demo.kinds.token.values()].filter(
        it => it.type === 'color' || it.type === 'dimension',
      );
      const token = tokens[random.int(tokens.length)];
      if (!token) continue;
      const text =
        token.type === 'color' ? `rgb(${random.int(256)} ${random.int(256)} 9)` : `${1 + random.int(9)}px`;
      const edit: Edit = {
        op: 'set',
        id: token.id,
        path: ['value'],
        value: must(parseTokenValue(text, token.type, demo.kinds.token)),
      };
      const next = after(demo, [edit]);
      const said = new Set(
        must(impactOf(demo, [edit])).pages.flatMap(it => it.nodes.map(node => `${node} ${it.page}`)),
      );
      for (const { node, page, scope } of standingsOf(demo)) {
        const own = partNames(scope.element).some(part =>
          (['wide', 'medium', 'narrow'] as const).some(width => {
            const styles = (site: Site) =>
              JSON.stringify([...computedStyles(site, scope, part, ['rest'], width)]);
            return styles(demo) !== styles(next);
          }),
        );
        // What only inherits a change is told too, so one direction is held here.
        if (own)
          expect([seed, token.id, said.has(`${node?.id ?? page} ${page}`)]).toEqual([seed, token.id, true]);
      }
    }
  });
});
