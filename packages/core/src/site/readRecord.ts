import { ICON_SETS } from '../icons/index.ts';
import { LIMITS } from '../limits/index.ts';
import { fail, ok, type Result } from '../result/index.ts';
import { derivationNamed } from '../tokens/derivations/index.ts';
import { FAMILY_KINDS } from '../type/family.ts';
import {
  isId,
  parseFamilies,
  readValue,
  TOKEN_TYPES,
  type TokenType,
  tokenTypeOf,
  type Value,
} from '../values/index.ts';
import { type ElementType, isWidget, maybeElement } from '../widgets/index.ts';
import { BadField, Fields, isObject, shortened } from './fields.ts';
import { isOrderKey } from './order.ts';
import { content } from './readContent.ts';
import { place } from './readPlace.ts';
import { declarations, onElement, onKinds, onTextStyle, rebind, styles, value } from './readStyles.ts';
import {
  AREAS,
  type At,
  type DrawnPath,
  FILE_TYPES,
  type Included,
  KINDS,
  type Kind,
  PAGE_KINDS,
  SHARED_AREAS,
  type SiteRecord,
  type Wear,
} from './records.ts';

/** Scheme, host and perhaps a folder; no slash at the end. */
const SITE_ADDRESS = /^https?:\/\/[a-z0-9.-]+(:\d{1,5})?(\/[\w.~-]+)*$/i;
const PAGE_PATH = /^[a-z0-9]+(-[a-z0-9]+)*$/;

const element = (fields: Fields): ElementType =>
  fields.read('element', 'an element', it => (typeof it === 'string' ? (maybeElement(it) ?? null) : null));
const axis = (fields: Fields, type: ElementType) =>
  fields.read(
    'axis',
    `one of the axes ${type.axes.join(', ')}`,
    it => type.axes.find(name => name === it) ?? null,
  );

const at = (fields: Fields): At =>
  fields.object('at', f => ({ parent: f.id('parent'), order: f.order('order') }));

const wears = (fields: Fields) =>
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

const variants = (fields: Fields, type: ElementType) =>
  fields.map('variants', (key, it, path) => {
    if (!type.axes.includes(key)) throw new BadField(path, key, `one of the axes ${type.axes.join(', ')}`);
    if (!isId(it)) throw new BadField(path, it, 'the id of a variant');
    return it;
  });

/** A switch that is on; where it is off it is left out. */
const set = <K extends string>(fields: Fields, name: K): { [P in K]?: true } =>
  fields.maybe(name, (f, it) => f.read(it, 'true, or nothing', on => (on === true ? on : null)));

const note = (fields: Fields) => fields.maybe('note', (f, name) => f.text(name, 2000));

/** The name of a role that every scheme has, or the id of one of the guide's own. */
const roleName = (it: unknown) => (isId(it) ? it : null);

const includes = (fields: Fields) =>
  fields.maybeMap('includes', (key, it, path): Included => {
    if (!isId(key) || !isObject(it)) throw new BadField(path, it, 'an included preset');
    const inner = new Fields(it, `${path}.`);
    const included = { preset: inner.id('preset'), order: inner.order('order') };
    inner.finish();
    return included;
  });

const begins = (fields: Fields) =>
  fields.maybeMap('begins', (key, it, path): true => {
    if (!isWidget(key) || it !== true) throw new BadField(path, it, 'a widget: true');
    return it;
  });

/** Whether a value can be what a token of this type holds; references are checked where tokens are known. */
function fitsToken(it: Value, type: TokenType): boolean {
  switch (it.type) {
    case 'token':
      return true;
    case 'derived': {
      const derivation = derivationNamed(it.derivation.op);
      return derivation?.type === type && derivation.accepts(it.derivation);
    }
    case 'role':
    case 'textStyle':
      return false;
    default:
      return tokenTypeOf(it.type) === type;
  }
}

/** Small screens have fewer pixels than large ones. */
const ordered = (fields: Fields) => {
  const widths = {
    narrowTo: fields.integer('narrowTo', 200, 4000),
    mediumTo: fields.integer('mediumTo', 201, 5000),
  };
  if (widths.narrowTo >= widths.mediumTo)
    throw new BadField('narrowTo', widths.narrowTo, `less than mediumTo, ${widths.mediumTo}`);
  const fluid = {
    fluidFrom: fields.integer('fluidFrom', 200, 4000),
    fluidTo: fields.integer('fluidTo', 201, 5000),
  };
  if (fluid.fluidFrom >= fluid.fluidTo)
    throw new BadField('fluidFrom', fluid.fluidFrom, `less than fluidTo, ${fluid.fluidTo}`);
  return { ...widths, ...fluid };
};

const READERS: { [K in Kind]: (id: string, f: Fields) => Extract<SiteRecord, { kind: K }> } = {
  settings: (id, f) => ({
    id,
    kind: 'settings',
    name: f.text('name'),
    language: f.read('language', 'a language such as en', it =>
      typeof it === 'string' && it.length <= 35 && /^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/.test(it) ? it : null,
    ),
    home: f.id('home'),
    defaultScheme: f.id('defaultScheme'),
    ...ordered(f),
    textBase: f.id('textBase'),
    textRatio: f.id('textRatio'),
    ...f.maybe('iconSet', (it, name) =>
      it.oneOf(
        name,
        ICON_SETS.map(it => it.name),
      ),
    ),
    ...f.maybe('tabIcon', (it, name) => it.id(name)),
    ...set(f, 'awayInNewTab'),
    ...f.maybe('address', (it, name) =>
      it.read(name, 'an address such as https://ferries.example', value =>
        typeof value === 'string' && value.length <= 300 && SITE_ADDRESS.test(value) ? value : null,
      ),
    ),
  }),
  token: (id, f) => {
    const type = f.oneOf('type', TOKEN_TYPES);
    return {
      id,
      kind: 'token',
      type,
      name: f.text('name', 80),
      group: f.text('group', 80),
      order: f.order('order'),
      value: f.read('value', `a value of type ${type}, or a reference`, it => {
        const read = readValue(it);
        return read && fitsToken(read, type) ? read : null;
      }),
      ...note(f),
    };
  },
  role: (id, f) => ({
    id,
    kind: 'role',
    name: f.text('name', 80),
    order: f.order('order'),
    fallback: f.read('fallback', 'a role', roleName),
    on: f.read('on', 'null, or a role', it => (it === null ? { it } : isId(it) ? { it } : null)).it,
    ...note(f),
  }),
  scheme: (id, f) => ({
    id,
    kind: 'scheme',
    name: f.text('name', 80),
    face: f.oneOf('face', ['light', 'dark']),
    order: f.order('order'),
    roles: f.map('roles', (key, it, path) => {
      const read = value(it, path);
      if (!isId(key)) throw new BadField(path, key, 'a role');
      if (read.type !== 'token') throw new BadField(path, read.type, 'a swatch');
      return read;
    }),
    ...note(f),
  }),
  textStyle: (id, f) => ({
    id,
    kind: 'textStyle',
    name: f.text('name', 80),
    order: f.order('order'),
    styles: styles(f, onTextStyle),
    ...note(f),
  }),
  default: (id, f) => {
    const type = element(f);
    const placed = f.read('place', 'null, or a place', it => (it === null || isObject(it) ? { it } : null));
    return {
      id,
      kind: 'default',
      element: type.name,
      place: placed.it === null ? null : place(f),
      styles: styles(f, onElement(type)),
      ...declarations(f, onElement(type)),
    };
  },
  variant: (id, f) => {
    const type = element(f);
    return {
      id,
      kind: 'variant',
      element: type.name,
      axis: axis(f, type),
      name: f.text('name', 80),
      order: f.order('order'),
      styles: styles(f, onElement(type)),
      ...declarations(f, onElement(type)),
      ...note(f),
      ...f.maybe('begins', (it, name) =>
        it.read(name, 'true or false', b => (typeof b === 'boolean' ? b : null)),
      ),
    };
  },
  variantRule: (id, f) => ({
    id,
    kind: 'variantRule',
    variant: f.id('variant'),
    place: place(f),
    styles: styles(f, () => null),
    ...declarations(f, () => null),
  }),
  preset: (id, f) => ({
    id,
    kind: 'preset',
    name: f.text('name', 80),
    order: f.order('order'),
    styles: styles(f, onKinds),
    ...note(f),
    ...f.maybe('set', (it, name) => it.text(name, 40)),
    ...includes(f),
    ...begins(f),
  }),
  page: (id, f) => ({
    id,
    kind: 'page',
    pageKind: f.oneOf('pageKind', PAGE_KINDS),
    title: f.text('title'),
    path: f.read('path', 'an address of small letters, digits and hyphens', it =>
      it === '' || (typeof it === 'string' && it.length <= 80 && PAGE_PATH.test(it)) ? it : null,
    ),
    description: f.text('description', 500),
    at: at(f),
    scheme: f.idOrNull('scheme'),
    rebind: rebind(f),
    ...set(f, 'off'),
    ...set(f, 'unlisted'),
    ...set(f, 'unindexed'),
    ...f.maybe('sharePicture', (it, name) => it.id(name)),
    ...f.maybeMap('areas', (area, shown, path) => {
      if (!SHARED_AREAS.some(known => known === area) || typeof shown !== 'boolean')
        throw new BadField(path, shown, 'true or false for header, sidebar and footer');
      return shown;
    }),
  }),
  section: (id, f) => {
    const area = f.oneOf('area', AREAS);
    const type = elementOfArea(area);
    return {
      id,
      kind: 'section',
      area,
      name: f.text('name', 80),
      at: at(f),
      scheme: f.idOrNull('scheme'),
      rebind: rebind(f),
      variants: variants(f, type),
      wears: wears(f),
      styles: styles(f, onElement(type)),
      ...declarations(f, onElement(type)),
    };
  },
  widget: (id, f) => {
    const type = f.read('widget', 'a widget', it =>
      typeof it === 'string' && isWidget(it) ? (maybeElement(it) ?? null) : null,
    );
    return {
      id,
      kind: 'widget',
      widget: type.name,
      at: at(f),
      content: content(f, type),
      variants: variants(f, type),
      wears: wears(f),
      styles: styles(f, onElement(type)),
      ...declarations(f, onElement(type)),
    };
  },
  asset: (id, f) => ({
    id,
    kind: 'asset',
    name: f.text('name'),
    file: f.read('file', 'a stored file', it =>
      typeof it === 'string' && /^[a-f0-9]{16,64}\.(webp|png|jpg|avif|svg|pdf|zip|txt|csv|ics)$/.test(it)
        ? it
        : null,
    ),
    mime: f.oneOf('mime', [
      ...['image/webp', 'image/png', 'image/jpeg', 'image/avif', 'image/svg+xml'],
      ...Object.keys(FILE_TYPES),
    ]),
    width: f.integer('width', 0, 20000),
    height: f.integer('height', 0, 20000),
    alt: f.text('alt', 500),
  }),
  drawing: (id, f) => ({
    id,
    kind: 'drawing',
    name: f.text('name', 80),
    order: f.order('order'),
    use: f.oneOf('use', ['icon', 'mark']),
    width: f.number('width', 0.01, 10_000),
    height: f.number('height', 0.01, 10_000),
    paths: f.read('paths', 'one to 400 shapes of path data', paths),
    ...note(f),
  }),
  note: (id, f) => ({
    id,
    kind: 'note',
    name: f.text('name', 80),
    order: f.order('order'),
    text: f.text('text', 20_000),
    ...f.maybe('pictures', (it, name) =>
      it.map(name, (key, order, path): string => {
        if (!isId(key)) throw new BadField(path, key, 'the id of a picture');
        if (typeof order !== 'string' || !isOrderKey(order)) throw new BadField(path, order, 'an order key');
        return order;
      }),
    ),
  }),
  font: (id, f) => ({
    id,
    kind: 'font',
    family: f.read('family', 'the name of a family', it =>
      typeof it === 'string' && it.length <= 80 && parseFamilies(it) && !it.includes(',') ? it : null,
    ),
    category: f.oneOf('category', FAMILY_KINDS),
    cut: f.oneOf('cut', ['normal', 'italic']),
    weightFrom: f.integer('weightFrom', 1, 1000),
    weightTo: f.integer('weightTo', 1, 1000),
    file: f.read('file', 'a stored font', it =>
      typeof it === 'string' && /^[a-f0-9]{16,64}\.(woff2|woff|ttf|otf)$/.test(it) ? it : null,
    ),
    format: f.oneOf('format', ['woff2', 'woff', 'truetype', 'opentype']),
    bytes: f.integer('bytes', 1, 20_000_000),
    metrics: f.object('metrics', m => ({
      ascent: m.number('ascent', -UNITS, UNITS),
      descent: m.number('descent', -UNITS, UNITS),
      lineGap: m.number('lineGap', -UNITS, UNITS),
      unitsPerEm: m.integer('unitsPerEm', 16, 16_384),
      xWidthAvg: m.number('xWidthAvg', 1, UNITS),
    })),
  }),
};

const UNITS = 100_000;
/** Commands and numbers of SVG path data (SVG 2, section 9.3), and nothing else. */
const PATH_DATA = /^[MmLlHhVvCcSsQqTtAaZz0-9eE+\-.,\s]{1,20000}$/;

const paint = (it: unknown): { value: Value | null } | null => {
  if (it === null) return { value: null };
  const read = readValue(it);
  const good =
    read !== null &&
    (read.type === 'color' ||
      read.type === 'token' ||
      (read.type === 'keyword' && read.value === 'currentcolor'));
  return good ? { value: read } : null;
};

const paths = (it: unknown): DrawnPath[] | null => {
  if (!Array.isArray(it) || it.length === 0 || it.length > 400) return null;
  const read = it.flatMap((path: unknown): DrawnPath[] => {
    if (!isObject(path) || typeof path.d !== 'string' || !PATH_DATA.test(path.d)) return [];
    const [fill, stroke] = [paint(path.fill), paint(path.stroke)];
    const { width } = path;
    if (!fill || !stroke || typeof width !== 'number' || !(width >= 0 && width <= 1000)) return [];
    return [{ d: path.d, fill: fill.value, stroke: stroke.value, width }];
  });
  return read.length === it.length ? read : null;
};

export const elementOfArea = (area: (typeof AREAS)[number]): ElementType => {
  const type = maybeElement(area === 'main' ? 'section' : area);
  if (!type) throw new Error(`no element for ${area}`);
  return type;
};

/** Whether all text and keys of a value together, and each other value as one character, stay within a budget. */
function weigh(value: unknown, budget: number): boolean {
  let left = budget;
  const open: unknown[] = [value];
  while (open.length > 0 && left >= 0) {
    const at = open.pop();
    if (typeof at === 'string') left -= at.length;
    else if (typeof at === 'object' && at !== null)
      for (const [key, inner] of Object.entries(at)) {
        left -= key.length + 1;
        open.push(inner);
      }
  }
  return left >= 0;
}

/** Reads a record out of JSON, refusing what is unknown or ill-formed, with the path, what was found and what was expected. */
export function readRecord(it: unknown): Result<SiteRecord> {
  const id = isObject(it) && isId(it.id) ? it.id : null;
  if (!isObject(it) || id === null)
    return fail({
      code: 'bad-record',
      message: 'A record needs an id of letters, digits and hyphens.',
      found: shortened(it),
      expected: 'a record with an id',
    });
  const kind = KINDS.find(known => known === it.kind);
  if (!kind)
    return fail({
      code: 'bad-record',
      message: `There is no kind of record ${shortened(it.kind)}.`,
      record: id,
      path: 'kind',
      found: shortened(it.kind),
      expected: `one of ${KINDS.join(', ')}`,
    });
  const fits = weigh(it, LIMITS.record.characters);
  if (!fits)
    return fail({
      code: 'too-large',
      message: `${kind} ${id} has more than ${LIMITS.record.characters.toLocaleString('en')} characters.`,
      record: id,
      expected: `at most ${LIMITS.record.characters} characters in all`,
    });
  try {
    const fields = new Fields(it);
    const record = READERS[kind](id, fields);
    fields.finish();
    return ok(record);
  } catch (error) {
    if (!(error instanceof BadField)) throw error;
    const { path, found, expected } = error;
    return fail({
      code: 'bad-field',
      message: `${path} of ${kind} ${id} is not ${expected}.`,
      record: id,
      path,
      found: shortened(found),
      expected,
    });
  }
}
