import { isIconName } from '../../icons/index.ts';
import { isId } from '../../values/index.ts';
import type { ContentType } from '../contentType.ts';

/** An icon of the set by its name, or a drawing of the brand's own or a picture by its id. */
export interface IconField {
  type: 'icon';
  label: string;
}

const drawn = (value: unknown): value is string => typeof value === 'string' && !isIconName(value);

export const icon: ContentType<IconField> = {
  read: it => (it === null || isId(it) ? it : undefined),
  expected: () => 'the name of an icon, or the id of a drawing or picture',
  isEmpty: value => typeof value !== 'string',
  print: () => '',
  references: value => (drawn(value) ? [{ to: value, kinds: ['drawing', 'asset'] }] : []),
  mapped: (value, mapping) => (drawn(value) ? mapping.drawn(value) : value),
};
