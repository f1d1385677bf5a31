import { describe, expect, it } from '@jest/globals';
import {
  addColumn,
  addRows,
  cellAt,
  cellsIn,
  cellWords,
  clearCells,
  columnsIn,
  continueEntry,
  gridOf,
  joinEntry,
  moveColumn,
  pasteGrid,
  removeColumns,
  replaceGrid,
  rowsIn,
  setCell,
  setColumnKind,
  shiftEntry,
} from '../src/commands/index.ts';
import { isRichText, plainOf, richText } from '../src/content/index.ts';
import { publishSite } from '../src/render/index.ts';
import { must, type Result } from '../src/result/index.ts';
import { applyChange, type Edit, type Id, nodesUnder, type Site } from '../src/site/index.ts';
import { demoSite } from './support/demo.ts';

const demo = demoSite();
const TABLE = 'sailings-table';
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const made = (edits: Result<Edit[]>, site = demo): Site => after(site, must(edits));
const texts = (site: Site, table = TABLE): string[][] => gridOf(site, table).map(row => row.map(plainOf));
const kinds = (site: Site) => {
  const table = site.kinds.widget.get(TABLE);
  return table ? columnsIn(table).map(it => it.kind) : [];
};
const grid = (...rows: string[][]) => rows.map(row => row.map(cellWords));

describe('the columns of a table', () => {
  it('are added before and behind others, in every row', () => {
    expect(texts(made(addColumn(demo, TABLE, 1)))[1]).toEqual(['Hesk', '', 'Carrow', '07:10', '07:50']);
    expect(texts(made(addColumn(demo, TABLE, 4)))[0]).toEqual(['From', 'To', 'Leaves', 'Arrives', '']);
  });
  it('are as many as a row can hold, and no more', () => {
    let site = demo;
    for (let i = 4; i < 60; i++) site = made(addColumn(site, TABLE, i), site);
    expect(addColumn(site, TABLE, 0)).toMatchObject({ ok: false, problem: { code: 'too-much' } });
  });
  it('go, with their cells', () => {
    expect(texts(after(demo, removeColumns(demo, TABLE, 1, 2)))).toEqual([
      ['From', 'Arrives'],
      ['Hesk', '07:50'],
      ['Carrow', '08:20'],
      ['Hesk', '08:10'],
    ]);
  });
  it('are moved, also past what a short row has', () => {
    const [, { id = '' } = {}] = rowsIn(demo, TABLE);
    const short = after(demo, [
      { op: 'set', id, path: ['content', 'cells'], value: { cells: [richText('Carrow')] } },
    ]);
    const moved = after(short, moveColumn(short, TABLE, 0, 3));
    expect(texts(moved).slice(0, 3)).toEqual([
      ['To', 'Leaves', 'Arrives', 'From'],
      ['Carrow', '07:10', '07:50', 'Hesk'],
      ['', '', '', 'Carrow'],
    ]);
    expect(kinds(moved)).toEqual(['words', 'figures', 'figures', 'words']);
    expect(moveColumn(demo, TABLE, 0, 4)).toEqual([]);
  });
  it('hold words or figures, as is said', () => {
    const site = after(demo, setColumnKind(demo, TABLE, 0, 'figures'));
    expect(kinds(site)[0]).toBe('figures');
    expect(publishSite(site).files.get('sailings/index.html')).toMatch(
      /<th class="tableRow-figureHead[^"]*" scope="col">From<\/th>/,
    );
  });
});

describe('the cells of a table', () => {
  const [first, second] = rowsIn(demo, TABLE).map(it => it.id);
  it('are written one at a time, headings too', () => {
    const words = [[{ text: 'Hesk, ' }, { text: 'north quay', emphasis: true as const }]];
    const site = after(demo, setCell(demo, TABLE, { row: first ?? '', column: 0 }, words));
    expect(cellAt(site, TABLE, { row: first ?? '', column: 0 })).toEqual(words);
    const headed = after(demo, setCell(demo, TABLE, { row: null, column: 2 }, richText('Off')));
    expect(texts(headed)[0]).toEqual(['From', 'To', 'Off', 'Arrives']);
    expect(publishSite(site).files.get('sailings/index.html')).toContain('Hesk, <em>north quay</em></th>');
  });
  it('can lie behind the end of a short row', () => {
    const row = rowsIn(demo, TABLE)[0];
    const { edits, ids } = addRows(demo, TABLE, 0, [[]]);
    const site = after(demo, edits);
    const wider = after(site, setCell(site, TABLE, { row: ids[0] ?? '', column: 2 }, richText('x')));
    expect(cellsIn(wider.kinds.widget.get(ids[0] ?? '')).map(plainOf)).toEqual(['', '', 'x']);
    expect(rowsIn(wider, TABLE)[1]?.id).toBe(row?.id);
  });
  it('are emptied in a block', () => {
    const site = after(demo, clearCells(demo, TABLE, [null, first ?? ''], [1, 2]));
    expect(texts(site).slice(0, 3)).toEqual([
      ['From', '', '', 'Arrives'],
      ['Hesk', '', '', '07:50'],
      ['Carrow', 'Sant Bree', '07:55', '08:20'],
    ]);
  });
  it('are pasted over others, and make rows and columns that are missing', () => {
    const block = grid(['09:00', '09:40', '6'], ['10:00', '10:40', '8']);
    const site = made(pasteGrid(demo, TABLE, { index: 2, column: 2 }, block));
    expect(texts(site)).toEqual([
      ['From', 'To', 'Leaves', 'Arrives', ''],
      ['Hesk', 'Carrow', '07:10', '07:50', ''],
      ['Carrow', 'Sant Bree', '07:55', '08:20', ''],
      ['Hesk', 'Little Hesk', '09:00', '09:40', '6'],
      ['', '', '10:00', '10:40', '8'],
    ]);
    expect(kinds(site)).toEqual(['words', 'words', 'figures', 'figures', 'figures']);
    expect(rowsIn(site, TABLE)[1]?.id).toBe(second);
    const wide = pasteGrid(demo, TABLE, { index: 0, column: 0 }, [Array.from({ length: 61 }, () => [])]);
    expect(wide.ok).toBe(false);
  });
  it('are pasted from the headings on', () => {
    const site = made(
      pasteGrid(demo, TABLE, { index: -1, column: 0 }, grid(['Quay', 'Isle'], ['North', 'Bree'])),
    );
    expect(texts(site).slice(0, 2)).toEqual([
      ['Quay', 'Isle', 'Leaves', 'Arrives'],
      ['North', 'Bree', '07:10', '07:50'],
    ]);
  });
  it('are those of a file that takes the place of all, and keep their rows’ looks', () => {
    const styled = after(demo, [
      {
        op: 'set',
        id: first ?? '',
        path: ['styles', 'row/opacity'],
        value: { type: 'number', value: 0.5 },
      },
    ]);
    const site = made(
      replaceGrid(styled, TABLE, grid(['Isle', 'Folk'], ['Hesk', '312'], ['Carrow', '1 120'])),
      styled,
    );
    expect(texts(site)).toEqual([
      ['Isle', 'Folk'],
      ['Hesk', '312'],
      ['Carrow', '1 120'],
    ]);
    expect(kinds(site)).toEqual(['words', 'figures']);
    expect(site.kinds.widget.get(first ?? '')?.styles).toHaveProperty('row/opacity');
    const more = Array.from({ length: 500 }, (_, i) => [`Row ${i}`, `${i}`]);
    const long = made(replaceGrid(site, TABLE, grid(['Name', 'Number'], ...more)), site);
    expect(texts(long).slice(1)).toEqual(more);
  });
  it('are no more at once than a change can make, which is told before any is made', () => {
    const many = Array.from({ length: 20_001 }, () => [richText('x')]);
    for (const it of [
      pasteGrid(demo, TABLE, { index: 0, column: 0 }, many),
      replaceGrid(demo, TABLE, [[], ...many]),
    ])
      expect(it).toMatchObject({ ok: false, problem: { code: 'too-much' } });
    const entries = continueEntry(demo, 'fares-with-bag', richText('One'), many.flat());
    expect(entries).toMatchObject({ ok: false, problem: { code: 'too-much' } });
  });
  it('are published with their headings, each for its column or row', () => {
    const html = publishSite(demo).files.get('sailings/index.html') ?? '';
    expect(html).toMatch(/<th class="tableRow-side[^"]*" scope="row">Hesk<\/th>/);
    expect(html).toMatch(/<thead class="table-rows[^"]*"><tr class="tableRow-row[^"]*">/);
    const without = after(demo, [{ op: 'set', id: TABLE, path: ['content', 'head'], value: 'none' }]);
    const bare = publishSite(without).files.get('sailings/index.html') ?? '';
    expect(bare).not.toMatch(/<th[ >]|<thead/);
  });
  it('say what they are about where rows are shown as cards, and nowhere else', () => {
    const html = (site: Site) => publishSite(site).files.get('sailings/index.html') ?? '';
    expect(html(demo)).toMatch(/<span class="[^"]*tableRow-cellLabel[^"]*">Leaves<\/span>07:10/);
    const plain = after(demo, [{ op: 'set', id: TABLE, path: ['variants'], value: {} }]);
    expect(html(plain)).not.toContain('cellLabel');
  });
});

describe('entries of a list', () => {
  const words = (site: Site, holder: Id = 'fares-with') =>
    nodesUnder(site, holder).map(id => {
      const text = site.kinds.widget.get(id)?.content.text;
      return isRichText(text) ? plainOf(text) : null;
    });
  it('go on where one is parted, in its looks', () => {
    const styled = after(demo, [
      { op: 'set', id: 'fares-with-bag', path: ['content', 'mark'], value: 'anchor' },
    ]);
    const { edits, id } = must(
      continueEntry(styled, 'fares-with-bag', richText('One bag'), [
        richText('that you'),
        richText('can lift'),
      ]),
    );
    const site = after(styled, edits);
    expect(words(site)).toEqual([
      'Prams and wheelchairs',
      'One bag',
      'that you',
      'can lift',
      'Tea from the ramp up',
    ]);
    expect(words(site)[nodesUnder(site, 'fares-with').indexOf(id)]).toBe('can lift');
    // An icon of its own is what one entry says, not how entries look.
    expect(site.kinds.widget.get(id)?.content.mark).toBeNull();
  });
  it('are joined with the one before, and what stood below goes along', () => {
    const { edits, id } = must(joinEntry(demo, 'fares-with-tea'));
    const site = after(demo, edits);
    expect(id).toBe('fares-with-bag');
    expect(words(site)).toEqual(['Prams and wheelchairs', 'One bag that you can liftTea from the ramp up']);
    expect(nodesUnder(site, id)).toEqual(['fares-with-milk', 'fares-with-mugs']);
    expect(joinEntry(demo, 'fares-with-prams').ok).toBe(false);
  });
  it('stand below the one before, and beside it again', () => {
    const inside = made(shiftEntry(demo, 'fares-with-bag', 'in'));
    expect(nodesUnder(inside, 'fares-with-prams')).toEqual(['fares-with-bag']);
    const out = made(shiftEntry(inside, 'fares-with-bag', 'out'), inside);
    expect(words(out)).toEqual(words(demo));
    expect(shiftEntry(demo, 'fares-with-prams', 'in').ok).toBe(false);
    expect(shiftEntry(demo, 'fares-with-prams', 'out').ok).toBe(false);
  });
  it('of a field keep plain words', () => {
    const field = after(demo, [
      {
        op: 'put',
        record: {
          id: 'which',
          kind: 'widget',
          widget: 'field',
          at: { parent: 'fares-list', order: 'zz' },
          content: { kind: 'choice', label: 'Boat' },
          variants: {},
          wears: {},
          styles: {},
        },
      },
      {
        op: 'put',
        record: {
          id: 'morning-boat',
          kind: 'widget',
          widget: 'fieldChoice',
          at: { parent: 'which', order: 'V' },
          content: { label: 'Morning' },
          variants: {},
          wears: {},
          styles: {},
        },
      },
    ]);
    const site = after(
      field,
      must(continueEntry(field, 'morning-boat', richText('Morning'), [richText('Noon'), richText('Evening')]))
        .edits,
    );
    expect(nodesUnder(site, 'which').map(id => site.kinds.widget.get(id)?.content.label)).toEqual([
      'Morning',
      'Noon',
      'Evening',
    ]);
    const html = publishSite(site).files.get('fares/index.html') ?? '';
    expect(html.match(/<option/g)).toHaveLength(3);
  });
  it('bear the icon of their list, or their own', () => {
    const html = (site: Site) => publishSite(site).files.get('fares/index.html') ?? '';
    const count = (site: Site) => html(site).match(/listItem-signed/g)?.length ?? 0;
    const all = after(demo, [{ op: 'set', id: 'fares-with', path: ['content', 'marks'], value: 'anchor' }]);
    expect(count(all)).toBeGreaterThanOrEqual(3);
    const one = after(demo, [
      { op: 'set', id: 'fares-with-bag', path: ['content', 'mark'], value: 'anchor' },
    ]);
    expect(html(one).match(/<li class="listItem-signed[^"]*">/g)).toHaveLength(1);
  });
});
