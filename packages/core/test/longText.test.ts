import { describe, expect, it } from '@jest/globals';
import { contributionsTo, nodeScope, winner } from '../src/cascade/index.ts';
import { addWidget, addWithin, joinTexts, removeNodes, setSlot } from '../src/commands/index.ts';
import { isRichText, type RichText, richText } from '../src/content/index.ts';
import { noEffect } from '../src/measure/index.ts';
import { propertyOf } from '../src/properties/index.ts';
import { printHtml, publishSite, renderCell, samplesIn, specimenRows } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, type Id, nodesUnder, type Site, stableText } from '../src/site/index.ts';
import { looksOf, takeLook } from '../src/starters/index.ts';
import { elementNamed } from '../src/widgets/index.ts';
import { demoSite } from './support/demo.ts';
import { seeded } from './support/random.ts';
import { tiny } from './support/tiny.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const words = (site: Site, id: Id): RichText => {
  const text = site.kinds.widget.get(id)?.content.text;
  return isRichText(text) ? text : [];
};
const kinds = (site: Site, parent: Id) =>
  nodesUnder(site, parent).map(id => site.kinds.widget.get(id)?.widget);
/** All that the texts under a parent say, in order. */
const said = (site: Site, parent: Id): RichText =>
  nodesUnder(site, parent).flatMap(id =>
    site.kinds.widget.get(id)?.widget === 'text' ? words(site, id) : [],
  );

describe('a long text', () => {
  it('begins with a text in it', () => {
    const made = addWidget(demo, 'crossing', 0, 'longText');
    const site = after(demo, made.edits);
    expect(kinds(site, made.id)).toEqual(['text']);
  });
  it('puts each thing in a row of its own, in order, and names the first', () => {
    const html = publishSite(demo).files.get('islands/index.html') ?? '';
    const long = html.slice(html.indexOf('longText-box'));
    expect(long.match(/<div class="longText-(first|row)">/g)).toEqual([
      '<div class="longText-first">',
      ...Array.from({ length: 5 }, () => '<div class="longText-row">'),
    ]);
    expect(long).toMatch(/longText-first"><h2/);
    expect(long).toMatch(/longText-row"><figure/);
  });
  it('is where rules for long-form text hold, however deep a thing stands in it, and nowhere else', () => {
    const ruled = after(
      demo,
      setSlot(demo, { type: 'default', element: 'text', place: { type: 'longForm' } }, 'paragraph/opacity', {
        type: 'number',
        value: 0.5,
      }),
    );
    const group = addWidget(ruled, 'morning-text', 0, 'group');
    let site = after(ruled, group.edits);
    const inner = addWidget(site, group.id, 0, 'text');
    site = after(site, inner.edits);
    const held = (id: Id, page = 'islands') => {
      const scope = nodeScope(site, page, id);
      return scope && winner(contributionsTo(site, scope, 'paragraph').get('opacity'), 'rest', 'wide')?.value;
    };
    expect(held('morning-second')).toEqual({ type: 'number', value: 0.5 });
    expect(held(inner.id)).toEqual({ type: 'number', value: 0.5 });
    expect(held('crossing-text', 'home')).toBeUndefined();
    expect(nodeScope(site, 'islands', 'morning-text')?.longForm).toBe(false);
  });
  it('shows in the specimen with what it holds, by the rules for long-form text; positions have no samples there', () => {
    const row = specimenRows(demo).find(it => it.id === 'longText');
    if (!row) throw new Error('no row');
    const column = { id: 'one', label: '', scheme: 'daymark', width: 'wide', state: 'rest' } as const;
    const html = printHtml(renderCell(demo, row, column, {}, () => ''));
    expect(html.match(/longText-row/g)).toHaveLength(4);
    expect(html).toContain('d-default-text-long');
    const pictures = specimenRows(demo).filter(it => it.element.name === 'picture');
    for (const it of pictures)
      for (const variants of samplesIn(demo, it)) expect(variants).not.toHaveProperty('position');
  });
  it('has positions that keep their lengths when a guide takes them: less than nothing is no step of a scale', () => {
    const wider = looksOf('picture').find(it => it.name === 'Wider');
    if (!wider) throw new Error('no look');
    const site = tiny(b => b.token('dimension', 'room', 'space', 'Room', '2rem'));
    const { edits, id } = takeLook(site, wider);
    expect(after(site, edits).kinds.variant.get(id)?.styles['box/marginLeft']).toEqual({
      type: 'dimension',
      value: { value: -6, unit: 'rem' },
    });
  });
});

describe('what floats, or stays in view,', () => {
  const why = (page: Id, id: Id, property: 'float' | 'clear' | 'marginTop') => {
    const scope = nodeScope(demo, page, id);
    if (!scope) throw new Error(id);
    const said = contributionsTo(demo, scope, 'box');
    return noEffect(propertyOf(property), {
      site: demo,
      scope,
      part: 'box',
      said,
      state: 'rest',
      width: 'wide',
    });
  };
  it('has distances from its borders only where it is placed or stays in view', () => {
    const site = after(demo, [
      { op: 'set', id: 'head', path: ['variants', 'scrolling'], value: 'header-stays' },
    ]);
    const why = (at: Site) => {
      const scope = nodeScope(at, 'home', 'head');
      if (!scope) throw new Error('no header');
      const said = contributionsTo(at, scope, 'box');
      return noEffect(propertyOf('top'), {
        site: at,
        scope,
        part: 'box',
        said,
        state: 'rest',
        width: 'wide',
      });
    };
    expect(why(demo)).toMatch(/where its neighbours leave it room/);
    expect(why(site)).toBeNull();
  });
  it('does so in a long text, and not where things are arranged', () => {
    expect(why('islands', 'morning-beside', 'float')).toBeNull();
    expect(why('islands', 'morning-wide', 'clear')).toBeNull();
    // CSS Flexible Box Layout 1, section 3: float and clear have no effect on a flex item.
    expect(why('home', 'welcome-picture', 'float')).toMatch(/rows, columns or a grid/);
    expect(why('home', 'welcome-picture', 'clear')).toMatch(/rows, columns or a grid/);
  });
});

describe('something put between the paragraphs of a text', () => {
  it('makes two texts of it, which look alike and say what it said', () => {
    const { edits, id } = must(addWithin(demo, 'morning-second', 1, 'picture'));
    const { site, inverse } = must(applyChange(demo, { edits }));
    const order = nodesUnder(site, 'morning-text');
    const at = order.indexOf(id);
    expect(order[at - 1]).toBe('morning-second');
    expect(words(site, 'morning-second')).toHaveLength(1);
    expect(words(site, order[at + 1] ?? '')).toHaveLength(2);
    expect(said(site, 'morning-text')).toEqual(said(demo, 'morning-text'));
    expect(stableText(after(site, inverse))).toBe(stableText(demo));
  });
  it('stands before or after it where all of it is on one side', () => {
    const top = must(addWithin(demo, 'morning-second', 0, 'picture'));
    const end = must(addWithin(demo, 'morning-second', 3, 'quote'));
    const around = (made: typeof top) => {
      const site = after(demo, made.edits);
      const order = nodesUnder(site, 'morning-text');
      return [order.length, order.indexOf(made.id) - order.indexOf('morning-second')];
    };
    expect(around(top)).toEqual([7, -1]);
    expect(around(end)).toEqual([7, 1]);
  });
  it('leaves behind what only dresses the beginning', () => {
    const two = after(demo, [
      { op: 'set', id: 'morning-first', path: ['content', 'text'], value: richText('One.', 'Two.') },
    ]);
    const { edits, id } = must(addWithin(two, 'morning-first', 1, 'picture'));
    const site = after(two, edits);
    const order = nodesUnder(site, 'morning-text');
    expect(site.kinds.widget.get('morning-first')?.variants).toEqual({ look: 'look-opening' });
    expect(site.kinds.widget.get(order[order.indexOf(id) + 1] ?? '')?.variants).toEqual({});
    const small = must(
      addWithin(
        after(two, [{ op: 'set', id: 'morning-first', path: ['variants', 'look'], value: 'look-small' }]),
        'morning-first',
        1,
        'picture',
      ),
    );
    const last = small.edits.at(-1);
    expect(last?.op === 'put' && last.record.kind === 'widget' && last.record.variants).toEqual({
      look: 'look-small',
    });
  });
  it('is refused in what has no paragraphs', () => {
    expect(addWithin(demo, 'morning-title', 1, 'picture').ok).toBe(false);
    expect(addWithin(demo, 'nobody', 1, 'picture').ok).toBe(false);
  });
});

describe('texts that are joined', () => {
  it('are the first of them, with the words of all, and only where they follow each other', () => {
    const gone = after(demo, removeNodes(demo, ['morning-beside']));
    expect(joinTexts(demo, ['morning-first', 'morning-second']).ok).toBe(false);
    expect(joinTexts(gone, ['morning-first']).ok).toBe(false);
    expect(joinTexts(gone, ['morning-first', 'morning-title']).ok).toBe(false);
    // In whatever order they were picked.
    const { edits, id } = must(joinTexts(gone, ['morning-second', 'morning-first']));
    const site = after(gone, edits);
    expect(id).toBe('morning-first');
    expect(words(site, id)).toHaveLength(4);
    expect(said(site, 'morning-text')).toEqual(said(demo, 'morning-text'));
  });
  it.each(Array.from({ length: 20 }, (_, i) => i))(
    'are what they were before they were parted, seed %i',
    seed => {
      const random = seeded(seed);
      const count = 2 + random.int(6);
      const start = after(demo, [
        {
          op: 'set',
          id: 'crossing-text',
          path: ['content', 'text'],
          value: richText(...Array.from({ length: count }, (_, i) => `Paragraph ${i}.`)),
        },
      ]);
      const { edits, id } = must(
        addWithin(start, 'crossing-text', 1 + random.int(count - 1), random.pick(['picture', 'quote'])),
      );
      const parted = after(start, edits);
      const order = nodesUnder(parted, 'crossing');
      const below = order[order.indexOf(id) + 1] ?? '';
      const without = after(parted, removeNodes(parted, [id]));
      const joined = after(without, must(joinTexts(without, ['crossing-text', below])).edits);
      expect(nodesUnder(joined, 'crossing')).toEqual(nodesUnder(start, 'crossing'));
      expect(words(joined, 'crossing-text')).toEqual(words(start, 'crossing-text'));
    },
  );
});

it('every axis for long-form text is an axis of its element, with ready looks', () => {
  for (const name of ['picture', 'quote'])
    for (const axis of elementNamed(name).longFormAxes ?? []) {
      expect(elementNamed(name).axes).toContain(axis);
      expect(looksOf(name).some(it => it.axis === axis)).toBe(true);
    }
});
