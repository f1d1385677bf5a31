import {
  type Content,
  type ElementFamily,
  escapeHtml,
  familyLabel,
  getRecord,
  type Id,
  printHtml,
  renderCell,
  type Site,
  type SpecimenColumn,
  type SpecimenRow,
} from '@cove/core';
import type { View } from '../canvas/CanvasFrame.tsx';
import { StyleEngine } from '../canvas/styleEngine.ts';
import { DistantRows } from './distantRows.ts';
import { RowFitter } from './fitRows.ts';
import { SPECIMEN_CSS } from './specimenCss.ts';

export interface Hit {
  row: string;
  column: string;
  part: string;
  /** Variants of the sample that was hit. */
  variants: readonly Id[];
}

export interface Layout {
  rows: readonly SpecimenRow[];
  columns: readonly SpecimenColumn[];
  uses: (row: SpecimenRow) => number;
  columnNote: (column: SpecimenColumn) => string;
  content: (row: SpecimenRow) => Readonly<Record<string, Content>>;
  zoom: number;
}

/** What alters no size. */
function isColor(site: Site, id: Id): boolean {
  const record = getRecord(site, id);
  return record?.kind === 'scheme' || (record?.kind === 'token' && record.type === 'color');
}

/** The sheet that shows one of everything: real elements with the real rules, a row an element, a column a situation. */
export class SpecimenDocument {
  private readonly engine: StyleEngine;
  private readonly fitter: RowFitter;
  private readonly distant: DistantRows;
  private html = '';
  private known = false;

  constructor(
    private readonly document: Document,
    view: View,
    private readonly siteId: string,
    onHit: (hit: Hit) => void,
  ) {
    this.engine = new StyleEngine(document, view, 'sheet', siteId, SPECIMEN_CSS);
    this.fitter = new RowFitter(view);
    this.distant = new DistantRows(document, view);
    document.documentElement.lang = 'en';
    document.addEventListener('click', event => {
      event.preventDefault();
      const hit = this.hitAt(event.target instanceof view.Element ? event.target : null);
      if (hit) onHit(hit);
    });
    document.addEventListener('keydown', event => {
      const cell = event.target instanceof view.Element ? event.target.closest<HTMLElement>('.cell') : null;
      if (!cell) return;
      if (event.key === 'Enter' || event.key === ' ') {
        event.preventDefault();
        const hit = this.hitAt(cell);
        if (hit) onHit(hit);
        return;
      }
      const next = this.neighbour(cell, event.key);
      if (!next) return;
      event.preventDefault();
      cell.tabIndex = -1;
      next.tabIndex = 0;
      next.focus();
    });
  }

  private hitAt(element: Element | null): Hit | null {
    const cell = element?.closest<HTMLElement>('.cell');
    const { row, column } = cell?.dataset ?? {};
    if (!element || !cell || row === undefined || column === undefined) return null;
    const inside = element.closest('[data-part]') ?? cell.querySelector('[data-part]');
    const sample = inside?.closest('[data-variants]') ?? cell.querySelector('[data-variants]');
    return {
      row,
      column,
      part: inside?.getAttribute('data-part') ?? 'box',
      variants: sample?.getAttribute('data-variants')?.split(' ').filter(Boolean) ?? [],
    };
  }

  private neighbour(cell: HTMLElement, key: string): HTMLElement | null {
    const row = cell.parentElement;
    const cells = [...(row?.querySelectorAll<HTMLElement>('.cell') ?? [])];
    const index = cells.indexOf(cell);
    if (key === 'ArrowRight') return cells[index + 1] ?? null;
    if (key === 'ArrowLeft') return cells[index - 1] ?? null;
    const step =
      key === 'ArrowDown' ? 'nextElementSibling' : key === 'ArrowUp' ? 'previousElementSibling' : null;
    if (step === null) return null;
    let other = row?.[step];
    while (other?.matches('.band')) other = other[step];
    return other?.querySelectorAll<HTMLElement>('.cell')[index] ?? null;
  }

  /** Follows an edit; cells stay as they are, their looks change under the hand. */
  style(site: Site, touched: ReadonlySet<Id> | null): void {
    const isColorAlone = touched !== null && [...touched].every(id => isColor(site, id));
    if (isColorAlone) this.distant.leave();
    else this.fitter.ask();
    if (!this.known || touched === null) this.engine.reset(site, null);
    else this.engine.update(site, null, touched);
    this.known = true;
  }

  /** Lays out rows and cells; nothing happens where they are the same. */
  show(site: Site, layout: Layout): void {
    const { rows, columns, uses, columnNote, content, zoom } = layout;
    const note = (text: string) => (text === '' ? '' : `<span>${escapeHtml(text)}</span>`);
    const head = `<div class="row head" role="row"><div role="columnheader"></div>${columns.map(column => `<div role="columnheader">${escapeHtml(column.label)}${note(columnNote(column))}</div>`).join('')}</div>`;
    let family: ElementFamily | null = null;
    const body = rows.map(row => {
      const n = uses(row);
      const begins = family !== row.element.family;
      family = row.element.family;
      const band = begins
        ? `<div class="band" role="row"><div role="rowheader">${familyLabel(family)}</div></div>`
        : '';
      const cells = columns.map(column => {
        const cell = renderCell(
          site,
          row,
          column,
          content(row),
          asset => `/api/sites/${this.siteId}/assets/${asset.file}`,
        );
        const dark = site.kinds.scheme.get(column.scheme)?.face === 'dark';
        const label = `${row.label}, ${column.label}`;
        return printHtml({
          ...cell,
          attrs: {
            ...cell.attrs,
            role: 'gridcell',
            tabindex: -1,
            'aria-label': label,
            'data-dark': dark ? true : null,
          },
          children: [{ tag: 'div', attrs: { class: 'inner' }, children: cell.children }],
        });
      });
      return `${band}<div class="row" role="row" data-anchor="${escapeHtml(row.id)}"><div class="name" role="rowheader">${escapeHtml(row.label)}<span>${n === 1 ? '1 use' : `${n} uses`}</span></div>${cells.join('')}</div>`;
    });
    const least = 150;
    const html = `<div class="grid" role="grid" aria-label="Specimen" style="--columns:${columns.length};--least:${least}px;--zoom:${zoom}">${head}${body.join('')}</div>`;
    if (html === this.html) return;
    this.html = html;
    const chosen = this.document.querySelector<HTMLElement>('.cell[data-chosen]')?.dataset;
    this.document.body.innerHTML = html;
    const first = this.document.querySelector<HTMLElement>('.cell');
    if (first) first.tabIndex = 0;
    if (chosen) this.choose(chosen.row ?? null, chosen.column ?? null);
    const shown = this.document.querySelectorAll<HTMLElement>('.row[data-anchor]');
    this.fitter.watch(shown);
    this.distant.watch(shown);
  }

  stop(): void {
    this.fitter.stop();
    this.distant.stop();
  }

  choose(row: string | null, column: string | null): void {
    for (const cell of this.document.querySelectorAll<HTMLElement>('.cell')) {
      const match = cell.dataset.row === row && cell.dataset.column === column;
      if (match) {
        cell.dataset.chosen = '';
        cell.scrollIntoView({ block: 'nearest', inline: 'nearest' });
      } else delete cell.dataset.chosen;
    }
  }
}
