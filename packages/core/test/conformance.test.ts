import { describe, expect, it } from '@jest/globals';
import { addWidget, conversionsOf, convertWidget, duplicateNode, placeFor } from '../src/commands/index.ts';
import type { Content } from '../src/content/index.ts';
import { publishSite } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import {
  applyChange,
  type Edit,
  getRecord,
  type Id,
  newId,
  nodesIn,
  nodesUnder,
  putRecord,
  type Site,
  stableText,
  type WidgetRecord,
} from '../src/site/index.ts';
import { canAccept, type ElementType, elementNamed, isItem, WIDGETS } from '../src/widgets/index.ts';
import { demoSite } from './support/demo.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const record = (site: Site, id: Id): WidgetRecord => {
  const found = site.kinds.widget.get(id);
  if (!found) throw new Error(id);
  return found;
};
const html = (site: Site): string => {
  const { files, problems } = publishSite(site);
  expect(problems).toEqual([]);
  return files.get('fares/index.html') ?? '';
};

/** With a holder that says what it takes for an item of it to show. */
function showing(site: Site, holder: Id, { holderSample = {} }: ElementType): Site {
  const { widget, content } = record(site, holder);
  const said = Object.entries(holderSample).filter(([field]) => field in elementNamed(widget).content);
  return after(site, [
    { op: 'set', id: holder, path: ['content'], value: { ...content, ...Object.fromEntries(said) } },
  ]);
}

/** A new one on a page of the demo, in a new holder where it needs one. */
function placed(element: ElementType): { site: Site; id: Id } {
  const [holder] = element.onlyIn ?? [];
  const { edits, id } = addWidget(demo, 'fares-list', 0, holder ?? element.name);
  if (holder === undefined) return { site: after(demo, edits), id };
  const site = showing(after(demo, edits), id, element);
  const item = nodesUnder(site, id)[0];
  if (item !== undefined) return { site, id: item };
  const added = addWidget(site, id, 0, element.name);
  return { site: after(site, added.edits), id: added.id };
}

/** Widgets whose words show only in some places: an icon’s to readers of the screen, a list’s where it is empty. */
const SILENT = new Set(['icon', 'pageList']);

const WORDED = new Set<string>(['plain', 'rich', 'cells', 'columns']);
const LONG = 'Überfahrtsverschiebungsbenachrichtigung '.repeat(25).trim();
const filled = ({ content }: ElementType, text: string): Record<string, Content> =>
  Object.fromEntries(
    Object.entries(content).flatMap(([name, { type }]): [string, Content][] =>
      type === 'plain'
        ? [[name, text]]
        : type === 'rich'
          ? [[name, [[{ text }]]]]
          : type === 'cells'
            ? [[name, { cells: [[[{ text }]], [[{ text }]]] }]]
            : type === 'columns'
              ? [[name, { columns: [{ heading: [[{ text }]], kind: 'words' }] }]]
              : [],
    ),
  );
const saying = (site: Site, id: Id, content: Record<string, Content>): Site =>
  after(site, [{ op: 'set', id, path: ['content'], value: content }]);

/** What holds of every widget, whatever it is; a new one is among these as soon as it is in the index. */
describe.each(WIDGETS.map(it => [it.name, it] as const))('the widget %s', (name, element) => {
  const { site, id } = placed(element);
  it('is published as it is at first, empty, and with very long words', () => {
    html(site);
    html(saying(site, id, {}));
    const long = html(saying(site, id, { ...element.sample, ...filled(element, LONG) }));
    const shows = Object.values(element.content).some(({ type }) => WORDED.has(type));
    if (shows && !SILENT.has(element.name)) expect(long).toContain('Überfahrtsverschiebung');
  });
  it('shows what is typed as text, wherever it is typed', () => {
    const nasty = html(
      saying(site, id, { ...element.sample, ...filled(element, '"><script>alert(1)</script>') }),
    );
    expect(nasty).not.toContain('<script>');
  });
  it('is copied with all it holds, and the copy publishes the same but for its ids', () => {
    const copied = must(duplicateNode(site, id));
    const both = after(site, copied.edits);
    expect(nodesIn(both, copied.id).length).toBe(nodesIn(site, id).length);
    const ids = [...html(both).matchAll(/ id="([^"]+)"/g)].map(it => it[1]);
    expect(new Set(ids).size).toBe(ids.length);
  });
  it('goes and comes back by undo, to the byte', () => {
    const { inverse, site: gone } = must(applyChange(site, { edits: [{ op: 'remove', id }] }));
    const back = after(gone, inverse);
    for (const it of [id, ...nodesIn(site, id)])
      expect(stableText(getRecord(back, it))).toBe(stableText(getRecord(site, it)));
  });
  it('holds one of every widget that can stand in it', () => {
    if (element.holds === null) return;
    let full = site;
    for (const other of WIDGETS.filter(it => canAccept(element, it)))
      full = after(full, addWidget(full, id, 0, other.name).edits);
    html(full);
  });
  it('stands where it is added from anything on a page', () => {
    for (const from of ['fares-list', 'asked', 'asked-fog', 'asked-fog-text', 'days-sunday']) {
      const place = placeFor(demo, from, name);
      if (place) after(demo, addWidget(demo, place.parent, place.index, name).edits);
      else expect(isItem(element)).toBe(true);
    }
  });
  it('becomes each other widget of the table and is the same after the way back', () => {
    for (const { to } of conversionsOf(name)) {
      const there = after(site, must(convertWidget(site, id, to)).edits);
      expect(record(there, id).widget).toBe(to);
      html(there);
      const back = after(there, must(convertWidget(there, id, name)).edits);
      for (const it of [id, ...nodesIn(site, id)])
        expect(stableText(getRecord(back, it))).toBe(stableText(getRecord(site, it)));
    }
  });
  it('holds a hundred items, in their order', () => {
    const [item] = element.accepts ?? [];
    if (item === undefined) return;
    const first = addWidget(site, id, 0, item);
    const filledOnce = showing(after(site, first.edits), id, elementNamed(item));
    const one = record(filledOnce, first.id);
    const many = after(
      filledOnce,
      Array.from({ length: 100 }, (_, i) =>
        putRecord({
          ...one,
          id: newId('w'),
          at: { parent: id, order: `Z${String(i).padStart(3, '0')}V` },
          content: { ...elementNamed(item).begins, ...filled(elementNamed(item), `Number ${i}.`) },
        }),
      ),
    );
    const text = html(many);
    const places = Array.from({ length: 100 }, (_, i) => text.indexOf(`Number ${i}.`));
    expect(places.every((at, i) => at > (places[i - 1] ?? 0))).toBe(true);
  });
});
