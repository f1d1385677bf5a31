import type { Content } from '../content/index.ts';
import { type PropertyRow, propertyOf } from '../properties/index.ts';
import { must } from '../result/index.ts';
import type { Purpose } from '../roles/index.ts';
import {
  type Area,
  type AssetRecord,
  type At,
  applyChange,
  type DrawingRecord,
  EMPTY_SITE,
  keyBetween,
  type PageRecord,
  type Place,
  type PresetRecord,
  placedId,
  putRecord,
  type SchemeRecord,
  type SettingsRecord,
  type Site,
  type SiteRecord,
  type TokenRecord,
} from '../site/index.ts';
import { parseSlot, type Styles } from '../slots/index.ts';
import { parsePropertyValue, parseTokenValue, type Tokens } from '../tokens/index.ts';
import type { TokenType, Value } from '../values/index.ts';
import type { ReadyLook } from './looks/index.ts';

type Typed = Readonly<Record<string, string | number>>;

/** Writes a site down in few words, as a person would type it; what is misspelt throws when the program is loaded. */
export class SiteBuilder {
  private readonly records: SiteRecord[] = [];
  private tokens: Tokens = new Map<string, TokenRecord>();
  private readonly last = new Map<string, string>();

  private next(parent: string): At {
    const order = keyBetween(this.last.get(parent) ?? null, null);
    this.last.set(parent, order);
    return { parent, order };
  }

  private value(row: PropertyRow, text: string | number): Value {
    return must(parsePropertyValue(String(text), row, this.tokens));
  }

  /** Tokens written down until now. */
  get tokensSoFar(): Tokens {
    return this.tokens;
  }

  nextToken(): string {
    return this.next('token').order;
  }

  /** A record as it is. */
  put(record: SiteRecord): void {
    if (record.kind === 'token') this.tokens = new Map(this.tokens).set(record.id, record);
    this.records.push(record);
  }

  styles(typed: Typed): Styles {
    return Object.fromEntries(
      Object.entries(typed).map(([slot, text]): [string, Value] => {
        const property = parseSlot(slot)?.property;
        if (!property) throw new Error(`no slot ${slot}`);
        return [
          slot,
          property === 'textStyle'
            ? { type: 'textStyle', style: String(text) }
            : this.value(propertyOf(property), text),
        ];
      }),
    );
  }

  settings(record: Omit<SettingsRecord, 'id' | 'kind'>): void {
    this.records.push({ id: 'settings', kind: 'settings', ...record });
  }

  token(type: TokenType, id: string, group: string, name: string, text: string, purpose?: Purpose): void {
    const record: TokenRecord = {
      id,
      kind: 'token',
      type,
      group,
      name,
      order: this.next('token').order,
      value: must(parseTokenValue(text, type, this.tokens)),
      ...(purpose && { purpose }),
    };
    // Names are kept by the identity of the map, so each token makes a new one.
    this.tokens = new Map(this.tokens).set(id, record);
    this.records.push(record);
  }

  /** A scheme that was worked out. */
  putScheme(scheme: Omit<SchemeRecord, 'order'>): void {
    this.records.push({ ...scheme, order: this.next('scheme').order });
  }

  scheme(
    id: string,
    name: string,
    face: SchemeRecord['face'],
    roles: Readonly<Record<string, string>>,
    counterpart?: string,
  ): void {
    const bound = Object.entries(roles).map(([role, token]): [string, Value] => [
      role,
      { type: 'token', token },
    ]);
    this.records.push({
      id,
      kind: 'scheme',
      name,
      face,
      order: this.next('scheme').order,
      roles: Object.fromEntries(bound),
      ...(counterpart !== undefined && { counterpart }),
    });
  }

  textStyle(id: string, name: string, typed: Typed): void {
    this.records.push({
      id,
      kind: 'textStyle',
      name,
      order: this.next('textStyle').order,
      styles: this.styles(typed),
    });
  }

  default(element: string, typed: Typed, place: Place | null = null): void {
    this.records.push({
      id: placedId({ kind: 'default', element, place }),
      kind: 'default',
      element,
      place,
      styles: this.styles(typed),
    });
  }

  variant(id: string, element: string, axis: string, name: string, typed: Typed): void {
    this.records.push({
      id,
      kind: 'variant',
      element,
      axis,
      name,
      order: this.next(`${element}.${axis}`).order,
      styles: this.styles(typed),
    });
  }

  /** A ready look as it is, its lengths too. */
  readyLook(id: string, { element, axis, name, styles }: ReadyLook): void {
    const order = this.next(`${element}.${axis}`).order;
    this.records.push({ id, kind: 'variant', element, axis, name, order, styles });
  }

  variantRule(variant: string, place: Place, typed: Typed): void {
    const record = { kind: 'variantRule', variant, place } as const;
    this.records.push({ id: placedId(record), ...record, styles: this.styles(typed) });
  }

  preset(
    id: string,
    name: string,
    typed: Typed,
    more: Partial<Pick<PresetRecord, 'use' | 'instead'>> = {},
  ): void {
    this.records.push({
      id,
      kind: 'preset',
      name,
      order: this.next('preset').order,
      styles: this.styles(typed),
      ...more,
    });
  }

  asset(record: Omit<AssetRecord, 'kind'>): void {
    this.records.push({ kind: 'asset', ...record });
  }

  /** Paths by what they paint with, as typed: `d`, fill and stroke, null for none, and the width of the stroke. */
  drawing(
    id: string,
    use: DrawingRecord['use'],
    name: string,
    [width, height]: readonly [number, number],
    paths: readonly (readonly [d: string, fill: string | null, stroke?: string, width?: number])[],
  ): void {
    const paint = (text: string | null): Value | null =>
      text === null ? null : this.value(propertyOf('color'), text);
    this.records.push({
      id,
      kind: 'drawing',
      name,
      order: this.next('drawing').order,
      use,
      width,
      height,
      paths: paths.map(([d, fill, stroke = null, line = 0]) => ({
        d,
        fill: paint(fill),
        stroke: paint(stroke),
        width: line,
      })),
    });
  }

  page(
    id: string,
    path: string,
    title: string,
    description: string,
    more: Partial<Omit<PageRecord, 'id' | 'kind' | 'at' | 'scheme'>> & {
      parent?: string;
      scheme?: string;
    } = {},
  ): void {
    const { parent = 'settings', scheme = null, rebind = {}, ...others } = more;
    this.records.push({
      id,
      kind: 'page',
      pageKind: 'page',
      title,
      path,
      description,
      at: this.next(parent),
      scheme,
      rebind,
      ...others,
    });
  }

  section(
    id: string,
    parent: string,
    name: string,
    more: {
      area?: Area;
      scheme?: string;
      variants?: Readonly<Record<string, string>>;
      wears?: readonly string[];
      styles?: Typed;
      rebind?: Readonly<Record<string, Value>>;
    } = {},
  ): void {
    const { area = 'main', scheme = null, variants = {}, wears = [], styles = {}, rebind = {} } = more;
    this.records.push({
      id,
      kind: 'section',
      area,
      name,
      at: this.next(parent),
      scheme,
      rebind,
      variants,
      wears: this.wears(wears),
      styles: this.styles(styles),
    });
  }

  widget(
    id: string,
    parent: string,
    widget: string,
    content: Readonly<Record<string, Content>>,
    more: { variants?: Readonly<Record<string, string>>; wears?: readonly string[]; styles?: Typed } = {},
  ): void {
    const { variants = {}, wears = [], styles = {} } = more;
    this.records.push({
      id,
      kind: 'widget',
      widget,
      at: this.next(parent),
      content,
      variants,
      wears: this.wears(wears),
      styles: this.styles(styles),
    });
  }

  private wears(presets: readonly string[]) {
    let order: string | null = null;
    return Object.fromEntries(
      presets.map((preset, i) => {
        order = keyBetween(order, null);
        return [`w${i + 1}`, { preset, order, on: true }];
      }),
    );
  }

  /** The site, held to every invariant. */
  site(): Site {
    return must(applyChange(EMPTY_SITE, { edits: this.records.map(record => putRecord(record)) })).site;
  }
}
