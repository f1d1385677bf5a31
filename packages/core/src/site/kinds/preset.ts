import { PRESET_USE_NAMES, type PresetUse } from '../../properties/index.ts';
import type { Styles } from '../../slots/index.ts';
import { isId } from '../../values/index.ts';
import { isWidget } from '../../widgets/index.ts';
import { BadField, Fields, isObject } from '../fields.ts';
import { onKinds, styles } from '../readStyles.ts';
import type { Id, Noted } from '../records.ts';
import { stableText } from '../stableText.ts';
import { NOTHING, onlyDiffer } from './effects.ts';
import { inStyles } from './mentions.ts';
import { note } from './readCommon.ts';
import type { InGuide, RecordKind } from './recordKind.ts';
import { renamedStyles } from './renames.ts';
import { sameParts } from './styled.ts';

/** A preset within a preset; those of one preset stand in the order of `order`, below what it sets itself. */
export interface Included {
  preset: Id;
  order: string;
}

export interface PresetRecord extends Noted {
  id: Id;
  kind: 'preset';
  name: string;
  order: string;
  /** The part of a slot is a kind of part: box, heading, text, label, icon, picture; or one that `use` knows by name. */
  styles: Styles;
  /** Presets of one set exclude each other: wearing one takes off the others. */
  set?: string;
  /** What it is made for; a thing wears one of a use at most. */
  use?: PresetUse;
  includes?: Readonly<Record<Id, Included>>;
  /** By scheme, the preset that holds in its place there. */
  instead?: Readonly<Record<Id, Id>>;
  /** Names of elements whose new widgets begin with it. */
  begins?: Readonly<Record<string, true>>;
}

const includes = (fields: Fields) =>
  fields.maybeMap('includes', (key, it, path): Included => {
    if (!isId(key) || !isObject(it)) throw new BadField(path, it, 'an included preset');
    const inner = new Fields(it, `${path}.`);
    const included = { preset: inner.id('preset'), order: inner.order('order') };
    inner.finish();
    return included;
  });

const instead = (fields: Fields) =>
  fields.maybeMap('instead', (key, it, path): Id => {
    if (!isId(key) || typeof it !== 'string' || !isId(it)) throw new BadField(path, it, 'a scheme: a preset');
    return it;
  });

const begins = (fields: Fields) =>
  fields.maybeMap('begins', (key, it, path): true => {
    if (!isWidget(key) || it !== true) throw new BadField(path, it, 'a widget: true');
    return it;
  });

/** A named bundle of values that things wear. */
export const preset: RecordKind<PresetRecord, InGuide<PresetRecord>> = {
  label: 'preset',
  read: (id, f) => ({
    id,
    kind: 'preset',
    name: f.text('name', 80),
    order: f.order('order'),
    styles: styles(f, onKinds),
    ...note(f),
    ...f.maybe('set', (it, name) => it.text(name, 40)),
    ...f.maybe('use', (it, name) => it.oneOf(name, PRESET_USE_NAMES)),
    ...includes(f),
    ...instead(f),
    ...begins(f),
  }),
  references: record => [
    ...inStyles(record.styles),
    ...Object.entries(record.includes ?? {}).map(
      ([id, { preset: to }]) => ({ path: `includes.${id}`, to, kinds: ['preset'] }) as const,
    ),
    ...Object.entries(record.instead ?? {}).flatMap(
      ([scheme, to]) =>
        [
          { path: `instead.${scheme}`, to: scheme, kinds: ['scheme'] },
          { path: `instead.${scheme}`, to, kinds: ['preset'] },
        ] as const,
    ),
  ],
  rightToPut: () => 'guide',
  rights: {
    name: 'guide',
    order: 'guide',
    styles: 'guide',
    set: 'guide',
    use: 'guide',
    includes: 'guide',
    instead: 'guide',
    begins: 'guide',
    note: 'guide',
  },
  check: (record, before, { including }) => including.check(record.id, before === undefined),
  guide: {
    owned: false,
    key: record => `preset ${record.name.toLowerCase()}`,
    foundation: () => 'Presets',
    title: record => record.name,
    renamed: (record, rename) => ({
      ...record,
      id: rename(record.id),
      styles: renamedStyles(record.styles, rename),
      ...(record.includes && {
        includes: Object.fromEntries(
          Object.entries(record.includes).map(([key, it]) => [key, { ...it, preset: rename(it.preset) }]),
        ),
      }),
      ...(record.instead && {
        instead: Object.fromEntries(
          Object.entries(record.instead).map(([scheme, it]) => [rename(scheme), rename(it)]),
        ),
      }),
    }),
  },
  name: record => record.name,
  location: record => ({ station: 'guide', open: { preset: record.id } }),
  effects(was, is) {
    if (was && is && onlyDiffer(was, is, ['name', 'order', 'set', 'use', 'begins', 'note'])) return NOTHING;
    // What is new or gone is worn by nothing; whatever takes it on or off is drawn for that.
    const isSame =
      !was ||
      !is ||
      (stableText([was.includes, was.instead]) === stableText([is.includes, is.instead]) &&
        sameParts(was, is));
    return { rules: 'holders', markup: isSame ? 'none' : 'all' };
  },
};
