import { describe, expect, it } from '@jest/globals';
import { applyChange, type Edit, editOf, must, putRecord, removeRecord } from '../src/index.ts';
import { demoSite } from './support/demo.ts';

const demo = demoSite();
const after = (...edits: readonly Edit[]) => must(applyChange(demo, { edits })).site;
const hull = demo.kinds.token.get('hull');
const book = demo.kinds.widget.get('book');
const home = demo.kinds.page.get('home');
if (!hull || !book || !home) throw new Error('the demo is another');

describe('edits of a record', () => {
  it('set a field, and take away one that can be left out', () => {
    const named = after(editOf(hull).set('name', 'Keel'), editOf(hull).put('note', 'For the hull.'));
    expect(named.kinds.token.get('hull')).toMatchObject({ name: 'Keel', note: 'For the hull.' });
    expect(editOf(hull).put('note', null)).toEqual(editOf(hull).unset('note'));
    expect(editOf(hull).unset('note')).toEqual({ op: 'unset', id: 'hull', path: ['note'] });
  });
  it('set one entry of a map, and take one away', () => {
    const [axis = '', variant = ''] = Object.entries(book.variants)[0] ?? [];
    expect(editOf(book).setIn('content', 'label', 'Board')).toEqual({
      op: 'set',
      id: 'book',
      path: ['content', 'label'],
      value: 'Board',
    });
    const bare = after(editOf(book).unsetIn('variants', axis));
    expect(bare.kinds.widget.get('book')?.variants).not.toHaveProperty(axis);
    expect(editOf(book).setIn('variants', axis, variant).op).toBe('set');
  });
  it('put a whole one, and take it away', () => {
    const put = after(putRecord({ ...hull, id: 'keel', name: 'Keel' }));
    expect(put.kinds.token.has('keel')).toBe(true);
    expect(must(applyChange(put, { edits: [removeRecord('keel')] })).site.kinds.token.has('keel')).toBe(
      false,
    );
  });
});

/** Each of these lines is an error of the compiler; without it this file does not compile. */
export const mistakes = (): Edit[] => [
  // @ts-expect-error: a misspelt field
  editOf(hull).set('nmae', 'Keel'),
  // @ts-expect-error: a field of another kind
  editOf(hull).set('title', 'Keel'),
  // @ts-expect-error: a value that the field does not hold
  editOf(hull).set('name', 3),
  // @ts-expect-error: a choice that there is not
  editOf(home).set('pageKind', 'poster'),
  // @ts-expect-error: what cannot be left out
  editOf(hull).unset('name'),
  // @ts-expect-error: an entry of what is no map
  editOf(hull).setIn('name', 'first', 'Keel'),
  // @ts-expect-error: an entry of another type
  editOf(book).setIn('variants', 'kind', 3),
  // @ts-expect-error: the id stays as it is
  editOf(hull).set('id', 'keel'),
  // @ts-expect-error: a record without what it needs
  putRecord({ id: 'keel', kind: 'token', name: 'Keel' }),
];
