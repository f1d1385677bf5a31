import { isId } from '../../values/index.ts';
import type { ContentType } from '../contentType.ts';

/** A picture of the site. */
export interface AssetField {
  type: 'asset';
  label: string;
}

export const asset: ContentType<AssetField> = {
  read: it => (it === null || isId(it) ? it : undefined),
  expected: () => 'the id of a picture',
  isEmpty: value => typeof value !== 'string',
  print: () => '',
  references: value => (typeof value === 'string' ? [{ to: value, kinds: ['asset'] }] : []),
  mapped: (value, mapping) => (typeof value === 'string' ? mapping.asset(value) : value),
};
