/** @jest-environment jsdom */
import { type Grid, LIMITS, must, plainOf } from '@cove/core';
import { describe, expect, it } from '@jest/globals';
import { gridOfHtml, htmlOfGrid } from '../src/tables/gridOfHtml.ts';
import {
  fileOfGrid,
  lineOf,
  gridOfFile as readFile,
  gridOfText as readText,
  textOfGrid,
} from '../src/tables/gridOfText.ts';

const gridOfText = (text: string): Grid => must(readText(text));
const gridOfFile = (text: string): Grid => must(readFile(text));

const plain = (grid: Grid | null) => grid?.map(row => row.map(plainOf));

describe('cells off a clipboard', () => {
  it('are parted by tabs, in quotes where they hold tabs, lines or quotes', () => {
    expect(plain(gridOfText('To\tLeaves\nHesk\t07:10\n'))).toEqual([
      ['To', 'Leaves'],
      ['Hesk', '07:10'],
    ]);
    expect(plain(gridOfText('"two\nlines"\t"a ""quote"""\r\n'))).toEqual([['two\nlines', 'a "quote"']]);
    expect(plain(gridOfText('a, b; c'))).toEqual([['a, b; c']]);
  });
  it('come back as they were copied', () => {
    const grid = gridOfText('To\t"two\nlines"\nHesk\t');
    expect(gridOfText(textOfGrid(grid))).toEqual(grid);
    expect(lineOf(grid[0]?.[1] ?? [])).toBe('two ⏎ lines');
  });
});

describe('a table of HTML', () => {
  const words = (html: string) => gridOfHtml(`<table><tr><td>${html}</td></tr></table>`)?.[0]?.[0];
  it('keeps emphasis and links that lead away, and nothing that could run', () => {
    expect(words('To <b>Hesk</b> and <i>back</i>')).toEqual([
      [{ text: 'To ' }, { text: 'Hesk', strong: true }, { text: ' and ' }, { text: 'back', emphasis: true }],
    ]);
    expect(words('<a href="https://tolvane.example/">Fares</a>')).toEqual([
      [{ text: 'Fares', link: { type: 'url', href: 'https://tolvane.example/' } }],
    ]);
    expect(words('<a href="javascript:alert(1)">Fares</a><img src=x onerror=alert(1)>')).toEqual([
      [{ text: 'Fares' }],
    ]);
  });
  it('has a line for each of its lines, and an empty cell for each further column of a wide one', () => {
    expect(words('one<br>two<p>three</p>')?.map(runs => runs.map(it => it.text).join(''))).toEqual([
      'one',
      'two',
      'three',
    ]);
    const wide = gridOfHtml('<table><tr><td colspan=3>a<td>b</table>');
    expect(plain(wide)).toEqual([['a', '', '', 'b']]);
    expect(plain(gridOfHtml('<table><tr><td colspan=100000>a</table>'))?.[0]?.length).toBe(60);
  });
  it('is none where there is none', () => {
    expect(gridOfHtml('<p>Words</p>')).toBeNull();
    expect(gridOfHtml('')).toBeNull();
  });
  it('comes back as it was copied', () => {
    const grid = [
      [
        [[{ text: 'To ' }, { text: 'Hesk', strong: true as const, emphasis: true as const }]],
        [[{ text: '<b>&' }], [{ text: 'second line' }]],
        [],
      ],
    ];
    expect(gridOfHtml(htmlOfGrid(grid))).toEqual(grid);
  });
});

describe('too much at once', () => {
  const much = 'a\t'.repeat(LIMITS.typed.cells);
  it('is told before it is read', () => {
    expect(readText(much)).toMatchObject({ ok: false, problem: { code: 'too-long' } });
    expect(readFile(much)).toMatchObject({ ok: false, problem: { code: 'too-long' } });
    expect(gridOfHtml(`<table><tr><td>${much}</table>`)).toBeNull();
  });
});

describe('a file of values', () => {
  it('is read whatever parts it (RFC 4180, and what programs for tables write)', () => {
    const rows = [
      ['Isle', 'Folk'],
      ['Sant, Bree', '312'],
    ];
    expect(plain(gridOfFile('Isle,Folk\r\n"Sant, Bree",312\r\n'))).toEqual(rows);
    expect(plain(gridOfFile('\uFEFFIsle;Folk\n"Sant, Bree";312\n\n'))).toEqual(rows);
    expect(plain(gridOfFile('Isle\tFolk\nSant, Bree\t312'))).toEqual(rows);
    expect(gridOfFile('')).toEqual([]);
  });
  it('is written so that it reads back, and so that nothing in it is taken for a formula', () => {
    const grid = gridOfText('Isle\tNote\n"Sant, ""Bree"""\ttwo');
    expect(fileOfGrid(grid)).toBe('Isle,Note\r\n"Sant, ""Bree""",two\r\n');
    expect(gridOfFile(fileOfGrid(grid))).toEqual(grid);
    expect(fileOfGrid(gridOfText('=1+1\t-5 %\t+cmd\t@x'))).toBe('"\'=1+1",-5 %,"\'+cmd","\'@x"\r\n');
  });
});
