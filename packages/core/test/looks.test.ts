import { describe, expect, it } from '@jest/globals';
import { planGuide, takeGuide } from '../src/guide/index.ts';
import { publishSite } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, getRecord, type Site } from '../src/site/index.ts';
import { READY_GUIDES, READY_LOOKS, readyGuide, takeLook } from '../src/starters/index.ts';
import { isLoose, type Value } from '../src/values/index.ts';
import { isItem, WIDGETS } from '../src/widgets/index.ts';
import { demoSite } from './support/demo.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const named = READY_LOOKS.map(look => [`${look.element}, ${look.name}`, look] as const);
const scale = (value: Value): boolean =>
  value.type === 'dimension' &&
  value.value.value !== 0 &&
  (value.value.unit === 'rem' || value.value.unit === 'px');

describe('ready looks', () => {
  it.each(WIDGETS.filter(it => !isItem(it)).map(it => it.name))('of %s are several', name => {
    expect(READY_LOOKS.filter(it => it.element === name).length).toBeGreaterThanOrEqual(2);
  });
  it('have names of their own on each axis', () => {
    const keys = READY_LOOKS.map(({ element, axis, name }) => `${element} ${axis} ${name}`);
    expect(new Set(keys).size).toBe(keys.length);
  });
  it.each(named.filter(([, look]) => takeLook(demo, look).edits.length > 0))(
    '%s becomes a variant with no loose value',
    (_, look) => {
      const { edits, id } = takeLook(demo, look);
      const taken = after(demo, edits);
      const variant = getRecord(taken, id);
      if (variant?.kind !== 'variant') throw new Error('no variant');
      expect(variant).toMatchObject({ element: look.element, axis: look.axis });
      expect(Object.keys(variant.styles)).toEqual(Object.keys(look.styles));
      const loose = Object.entries(variant.styles).filter(([, value]) => isLoose(value) && scale(value));
      expect(loose).toEqual([]);
    },
  );
  it('are tied to tokens used for the like: a gap to the scale of space, a line to that of lines', () => {
    const look = READY_LOOKS.find(it => it.name === 'Barred' && it.element === 'quote');
    const { edits } = takeLook(demo, look ?? must({ ok: false, problem: { code: 'gone', message: 'gone' } }));
    const [edit] = edits;
    const styles = edit?.op === 'put' && 'styles' in edit.record ? edit.record.styles : {};
    const group = (slot: string) => {
      const value = styles[slot];
      return value?.type === 'token' ? demo.kinds.token.get(value.token)?.group : undefined;
    };
    expect(group('box/borderLeftWidth')).toBe('Lines');
    expect(group('box/paddingLeft')).toBe('Space');
  });
  it('that the guide has by name are not made a second time', () => {
    const outlined = READY_LOOKS.find(it => it.name === 'Outlined' && it.element === 'button');
    if (!outlined) throw new Error('gone');
    expect(takeLook(demo, outlined)).toEqual({ edits: [], id: 'kind-outlined' });
  });
  it('can all be taken into every ready-made guide', () => {
    for (const spec of READY_GUIDES) {
      let site = after(demo, takeGuide(demo, planGuide(demo, readyGuide(spec), null)));
      for (const look of READY_LOOKS) site = after(site, takeLook(site, look).edits);
      expect(publishSite(site).files.size).toBeGreaterThan(0);
    }
  });
});
