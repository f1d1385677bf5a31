import {
  accepts,
  inTextStyle,
  isPresetKind,
  namedPart,
  PART_KINDS,
  propertyOf,
} from '../properties/index.ts';
import { declarationProblem } from '../properties/unfollowed.ts';
import { parseSlot, type SlotParts, type Styles } from '../slots/index.ts';
import { isId, readValue, type Value } from '../values/index.ts';
import { type ElementType, partOf, statesOf } from '../widgets/index.ts';
import { parseDeclarationKey } from './declaration.ts';
import { BadField, type Fields, shortened } from './fields.ts';

export const value = (it: unknown, path: string): Value => {
  const read = readValue(it);
  if (!read) throw new BadField(path, it, 'a value');
  return read;
};

/** Styles whose slots the given test allows; `why` says what is allowed instead. */
export function styles(fields: Fields, allowed: (slot: SlotParts) => string | null): Styles {
  return fields.map('styles', (key, it, path) => {
    const slot = parseSlot(key);
    if (!slot) throw new BadField(path, key, 'a slot: part:state@width/property');
    const why = allowed(slot);
    if (why) throw new BadField(path, key, why);
    const read = value(it, path);
    if (slot.property === 'textStyle') {
      if (read.type !== 'textStyle') throw new BadField(path, read.type, 'a text style');
      return read;
    }
    const result = accepts(propertyOf(slot.property), read);
    if (!result.ok) throw new BadField(path, shortened(it), result.problem.expected ?? 'another value');
    return result.value;
  });
}

export const onElement = (element: ElementType) => (slot: Pick<SlotParts, 'part' | 'state'>) => {
  if (!partOf(element, slot.part)) return `one of the parts ${Object.keys(element.parts).join(', ')}`;
  const states = statesOf(element, slot.part);
  return slot.state === 'rest' || states.includes(slot.state)
    ? null
    : `one of the states rest, ${states.join(', ')}`;
};
export const onKinds = (slot: SlotParts) =>
  isPresetKind(slot.part) || namedPart(slot.part)
    ? null
    : `one of ${PART_KINDS.join(', ')}, or a part of a ground or of a treatment`;
export const onTextStyle = (slot: SlotParts) =>
  slot.part === '' &&
  slot.state === 'rest' &&
  slot.property !== 'textStyle' &&
  inTextStyle(propertyOf(slot.property))
    ? null
    : 'a property of type, without part or state';

export const declarations = (
  fields: Fields,
  allowed: (slot: Pick<SlotParts, 'part' | 'state'>) => string | null,
) =>
  fields.maybeMap('declarations', (key, it, path): string => {
    const at = parseDeclarationKey(key);
    if (!at) throw new BadField(path, key, 'a place: part:state@width/css-property');
    const why = allowed(at);
    if (why) throw new BadField(path, key, why);
    if (typeof it !== 'string') throw new BadField(path, it, 'a value as CSS has it');
    const problem = declarationProblem(at.css, it);
    if (problem) throw new BadField(path, it, problem);
    return it.trim();
  });

export const rebind = (fields: Fields) =>
  fields.map('rebind', (key, it, path) => {
    if (!isId(key)) throw new BadField(path, key, 'the id of a token');
    const read = value(it, path);
    if (read.type === 'role' || read.type === 'textStyle')
      throw new BadField(path, read.type, 'a value of the token’s type');
    return read;
  });
