import { type Content, readContent } from '../content/index.ts';
import type { ElementType } from '../widgets/index.ts';
import { BadField, type Fields } from './fields.ts';

export const content = (fields: Fields, type: ElementType) =>
  fields.map('content', (key, it, path): Content => {
    const field = Object.hasOwn(type.content, key) ? type.content[key] : undefined;
    if (!field) throw new BadField(path, it, `one of the fields ${Object.keys(type.content).join(', ')}`);
    const read = readContent(field, it);
    if (!read.ok) throw new BadField(path, it, read.expected);
    return read.value;
  });
