import { ELEMENTS, statesOf, WIDTHS } from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { describe, expect, it } from '@jest/globals';
import type { ElementSubject } from '../src/bench/subject.ts';
import { type GuideSubject, subjectAddress, subjectIn } from '../src/guide/guideAddress.ts';

const site = tolvane(() => 'abcdef0123456789.webp');
const [scheme = '', other = ''] = site.kinds.scheme.keys();
const back = (subject: GuideSubject) =>
  subjectIn(new URLSearchParams(new URLSearchParams(subjectAddress(subject)).toString()), site, scheme);
const at = (query: string) => subjectIn(new URLSearchParams(query), site, scheme);

const variants = [...site.kinds.variant.values()];
const BARE = { type: 'element', variants: [], scheme, target: null, place: null } as const;

describe('the address of what is open in the guide', () => {
  it('leads back to it, for every element, each part, state and width', () => {
    for (const element of ELEMENTS)
      for (const part of Object.keys(element.parts))
        for (const state of statesOf(element, part))
          for (const width of WIDTHS) {
            const subject: ElementSubject = { ...BARE, element: element.name, part, state, width };
            expect(back(subject)).toEqual(subject);
          }
  });
  it('and for variants, whichever of them is set, another scheme, and a place', () => {
    for (const { id, element } of variants) {
      const part = Object.keys(ELEMENTS.find(it => it.name === element)?.parts ?? {})[0] ?? '';
      const worn = variants.filter(it => it.element === element && it.id !== id).slice(0, 1);
      const ids = [id, ...worn.map(it => it.id)];
      for (const target of [...ids, null]) {
        const subject: ElementSubject = {
          type: 'element',
          element,
          variants: ids,
          scheme: other,
          target,
          place: { type: 'page', page: 'home' },
          part,
          state: 'rest',
          width: 'narrow',
        };
        expect(back(subject)).toEqual(subject);
      }
    }
  });
  it('and for a preset', () => {
    const subject = {
      type: 'preset',
      preset: 'ticket',
      part: 'box',
      state: 'hover',
      width: 'medium',
    } as const;
    expect(back(subject)).toEqual(subject);
  });
});

describe('an address that names what is not there', () => {
  it.each([
    ['nothing', ''],
    ['no such element', 'element=sphinx'],
    ['a name of every object', 'element=__proto__'],
    ['only a part', 'part=box'],
  ])('%s: opens nothing', (_, query) => expect(at(query)).toBeNull());

  it.each([
    ['part', 'element=button&part=tail'],
    ['a part of every object', 'element=button&part=constructor'],
    ['state', 'element=button&state=asleep'],
    ['width', 'element=button&width=vast'],
    ['variant', 'element=button&variants=nobody,,kind'],
    ['scheme', 'element=button&on=nobody'],
    ['place', 'element=button&at=page-nowhere'],
    ['a place that is no word', 'element=button&at=%00-'],
    ['target', 'element=button&to=nobody'],
  ])('%s: opens the element as it is at first', (_, query) =>
    expect(at(query)).toEqual(at('element=button')),
  );

  it('a preset has only parts of the kinds there are', () => {
    for (const part of ['constructor', '__proto__', 'tail', ''])
      expect(at(`preset=ticket&part=${part}`)).toEqual(at('preset=ticket'));
  });
  it('the same variant is worn once, however often it is named', () => {
    const [{ id = '', element = '' } = {}] = variants;
    expect(at(`element=${element}&variants=${`${id},`.repeat(1000)}`)).toEqual(
      at(`element=${element}&variants=${id}`),
    );
  });
});
