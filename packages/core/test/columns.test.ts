import { describe, expect, it } from '@jest/globals';
import { rowsAround, shareColumns, shareGrid, sharesAfter } from '../src/commands/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange } from '../src/site/index.ts';
import { isLoose } from '../src/values/index.ts';
import { seeded } from './support/random.ts';
import { tiny } from './support/tiny.ts';

/** As CSS Flexible Box 1, section 9.7, shares what is left over among items that may grow. */
const laid = (basis: readonly number[], grow: readonly number[], room: number) => {
  const free = room - basis.reduce((sum, it) => sum + it, 0);
  const shares = grow.reduce((sum, it) => sum + it, 0);
  return basis.map((it, i) => ({
    basis: it,
    grow: grow[i] ?? 0,
    width: it + (free * (grow[i] ?? 0)) / shares,
  }));
};

describe('the border between two columns', () => {
  it('goes where it is dragged, and the others stay as they are', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const random = seeded(seed);
      const basis = [180, 200, 220];
      const grow = [1 + random.int(3), 1 + random.int(3), 1 + random.int(3)];
      const before = laid(basis, grow, 1100);
      const by = random.int(120) - 60;
      const shares = sharesAfter(before, 0, by);
      if (!shares) throw new Error('nothing to share');
      const after = laid(basis, [...shares, grow[2] ?? 1], 1100);
      // Hundredths of a share are about a px here.
      expect(Math.abs((after[0]?.width ?? 0) - ((before[0]?.width ?? 0) + by))).toBeLessThan(2);
      expect(Math.abs((after[2]?.width ?? 0) - (before[2]?.width ?? 0))).toBeLessThan(2);
    }
  });
  it('stops where a column is as narrow as it may be', () => {
    const row = laid([200, 200], [1, 1], 800);
    expect(sharesAfter(row, 0, -5000)).toEqual([0, 2]);
    expect(sharesAfter(row, 0, 5000)).toEqual([2, 0]);
  });
  it('cannot be moved where nothing is left to share', () => {
    expect(sharesAfter(laid([400, 400], [1, 1], 800), 0, 20)).toBeNull();
    expect(sharesAfter(laid([200, 200], [0, 0], 800), 0, 20)).toBeNull();
  });
});

describe('things in a row', () => {
  const site = tiny(b => {
    b.widget('left', 'one', 'column', {});
    b.widget('right', 'one', 'column', {});
    b.widget('words', 'left', 'text', { text: [] });
  });
  it('are known from one of them and from what holds them', () => {
    expect(rowsAround(site, 'left')).toEqual([['left', 'right']]);
    expect(rowsAround(site, 'one')).toEqual([['left', 'right']]);
    expect(rowsAround(site, 'words')).toEqual([]);
  });
  it('get their shares at one width alone', () => {
    const edits = shareColumns(site, ['left', 'right'], [1.25, 0.75], 'medium');
    const { kinds } = must(applyChange(site, { edits })).site;
    expect(kinds.section.get('one')?.styles).toEqual({});
    expect(kinds.widget.get('left')?.styles).toEqual({
      'box@medium/flexGrow': { type: 'number', value: 1.25 },
    });
    expect(kinds.widget.get('right')?.styles).toEqual({
      'box@medium/flexGrow': { type: 'number', value: 0.75 },
    });
  });
  it('that stand in a grid make it a row that they share, which stacks where it is narrow', () => {
    const edits = shareGrid(site, ['left', 'right'], [600, 300], 'wide');
    const { kinds } = must(applyChange(site, { edits })).site;
    expect(kinds.section.get('one')?.styles).toEqual({
      'inner/display': { type: 'keyword', value: 'flex' },
      'inner/flexDirection': { type: 'keyword', value: 'row' },
      'inner@narrow/flexDirection': { type: 'keyword', value: 'column' },
    });
    const styles = kinds.widget.get('left')?.styles ?? {};
    expect(styles['box/flexGrow']).toEqual({ type: 'number', value: 1.33 });
    expect(styles['box/flexBasis']).toEqual({ type: 'dimension', value: { value: 0, unit: 'px' } });
    // Nothing at all is no step of a scale that it could come from.
    expect(Object.values(styles).some(isLoose)).toBe(false);
  });
});
