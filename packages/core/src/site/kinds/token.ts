import { readPlain } from '../../content/index.ts';
import { derivationNamed } from '../../derivations/index.ts';
import { PURPOSES, type Purpose } from '../../roles/index.ts';
import { readValue, TOKEN_TYPES, type TokenType, tokenTypeOf, type Value } from '../../values/index.ts';
import { type Fields, isObject } from '../fields.ts';
import { type Id, type Noted, SETTINGS } from '../records.ts';
import { tokenPath } from '../tokenNames.ts';
import { NOTHING, onlyDiffer } from './effects.ts';
import type { Foundation } from './foundation.ts';
import { inValue } from './mentions.ts';
import { note } from './readCommon.ts';
import type { InGuide, RecordKind } from './recordKind.ts';
import { renamedValue } from './renames.ts';

/** What a token file says that the guide itself makes no use of: it goes out as it came in. */
export interface Carried {
  /** That it is to be used no longer, and why or what in its place. */
  deprecated?: true | string;
  /** Of other programs, as JSON. */
  extensions?: string;
  /** Components of a colour that are `none`: their places, such as `2` for the third. */
  missing?: string;
}

/** Characters of the extensions of one token that are kept. */
export const LONGEST_EXTENSIONS = 8000;

const isJson = (text: string): boolean => {
  try {
    return isObject(JSON.parse(text));
  } catch (error) {
    if (error instanceof SyntaxError) return false;
    throw error;
  }
};

const carried = (fields: Fields) =>
  fields.maybe(
    'carried',
    (f, name): Carried =>
      f.object(name, it => ({
        ...it.maybe('deprecated', (inner, key) =>
          inner.read(key, 'true, or text of at most 2000 characters', found =>
            found === true ? found : readPlain(found, 2000),
          ),
        ),
        ...it.maybe('extensions', (inner, key) =>
          inner.read(key, `a JSON object of at most ${LONGEST_EXTENSIONS} characters`, found =>
            isJson(readPlain(found, LONGEST_EXTENSIONS) ?? '') ? readPlain(found) : null,
          ),
        ),
        ...it.maybe('missing', (inner, key) =>
          inner.read(key, 'places of components', found =>
            typeof found === 'string' && /^[012]{1,3}$/.test(found) ? found : null,
          ),
        ),
      })),
  );

export interface TokenRecord extends Noted {
  id: Id;
  kind: 'token';
  type: TokenType;
  name: string;
  group: string;
  order: string;
  value: Value;
  /** What a swatch is for; where it does not say so, its group does, or what it follows. */
  purpose?: Purpose;
  carried?: Carried;
}

const FOUNDATION: Record<TokenType, Foundation> = {
  color: 'Colours',
  gradient: 'Colours',
  fontFamily: 'Text',
  number: 'Text',
  dimension: 'Space and shape',
  shadow: 'Space and shape',
  duration: 'Motion',
  cubicBezier: 'Motion',
};

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

/** A named value of the guide. */
export const token: RecordKind<TokenRecord, InGuide<TokenRecord>> = {
  label: 'token',
  read(id, f) {
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
      ...(type === 'color' ? f.maybe('purpose', (it, name) => it.oneOf(name, PURPOSES)) : {}),
      ...carried(f),
      ...note(f),
    };
  },
  references: record => inValue('value', record.value, [record.type]),
  rightToPut: () => 'guide',
  rights: {
    type: 'guide',
    name: 'guide',
    group: 'guide',
    order: 'guide',
    value: 'guide',
    purpose: 'guide',
    carried: 'guide',
    note: 'guide',
  },
  check(record, before, { following }) {
    if (before && before.type !== record.type)
      return {
        code: 'wrong-type',
        message: 'A token keeps its type.',
        record: record.id,
        path: 'type',
        found: record.type,
        expected: before.type,
      };
    return following.check(record.id, before === undefined);
  },
  guide: {
    owned: false,
    key: (record, names) => `token ${names.token(record.id)}`,
    foundation(record, site) {
      // The sizes of a scale stand with the text that begins it.
      const text = site.kinds.token.get(site.kinds.settings.get(SETTINGS)?.textBase ?? '')?.group;
      return record.type === 'dimension' && record.group === text ? 'Text' : FOUNDATION[record.type];
    },
    title: record => record.name,
    renamed: (record, rename) => ({
      ...record,
      id: rename(record.id),
      value: renamedValue(record.value, rename),
    }),
  },
  name: (record, site) => tokenPath(site.kinds.token, record.id),
  location: record => ({ station: 'guide', open: { token: record.id } }),
  effects: (was, is) =>
    was && is && onlyDiffer(was, is, ['name', 'group', 'order', 'purpose', 'carried', 'note'])
      ? NOTHING
      : { rules: is ? 'variables' : 'all', markup: 'none' },
};
