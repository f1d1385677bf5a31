import { isId } from '../../values/index.ts';
import { type ElementType, maybeElement } from '../../widgets/index.ts';
import { BadField, Fields, isObject } from '../fields.ts';
import { type At, HEADER_COLORS, HEADER_SCROLLS, type HeaderKind, type Wear } from '../records.ts';

/** Fields that records of several kinds have. */
export const element = (fields: Fields): ElementType =>
  fields.read('element', 'an element', it => (typeof it === 'string' ? (maybeElement(it) ?? null) : null));

export const at = (fields: Fields): At =>
  fields.object('at', f => ({ parent: f.id('parent'), order: f.order('order') }));

export const wears = (fields: Fields) =>
  fields.map('wears', (key, it, path): Wear => {
    if (!isId(key) || !isObject(it)) throw new BadField(path, it, 'a worn preset');
    const f = new Fields(it, `${path}.`);
    const wear = {
      preset: f.id('preset'),
      order: f.order('order'),
      on: f.read('on', 'true or false', on => (typeof on === 'boolean' ? on : null)),
    };
    f.finish();
    return wear;
  });

export const variants = (fields: Fields, type: ElementType) =>
  fields.map('variants', (key, it, path) => {
    if (!type.axes.includes(key)) throw new BadField(path, key, `one of the axes ${type.axes.join(', ')}`);
    if (!isId(it)) throw new BadField(path, it, 'the id of a variant');
    return it;
  });

/** A switch that is on; where it is off it is left out. */
export const set = <K extends string>(fields: Fields, name: K): { [P in K]?: true } =>
  fields.maybe(name, (f, it) => f.read(it, 'true, or nothing', on => (on === true ? on : null)));

/** The kind of header, where a site or a page says it. */
export const headerKind = (fields: Fields): HeaderKind => ({
  ...fields.maybe('headerScrolls', (f, it) => f.oneOf(it, HEADER_SCROLLS)),
  ...fields.maybe('headerColors', (f, it) => f.oneOf(it, HEADER_COLORS)),
});

export const note = (fields: Fields) => fields.maybe('note', (f, name) => f.text(name, 2000));
