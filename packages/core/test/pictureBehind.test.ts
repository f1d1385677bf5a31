import { describe, expect, it } from '@jest/globals';
import { nodeScope } from '../src/cascade/index.ts';
import { addTint } from '../src/commands/index.ts';
import { pictureAt, pictureBehind } from '../src/measure/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, getRecord, isNode, type Site } from '../src/site/index.ts';
import { role, type Value } from '../src/values/index.ts';
import { demoSite } from './support/demo.ts';

const demo = demoSite();
const after = (site: Site, ...edits: Edit[]): Site => must(applyChange(site, { edits })).site;
const [asset = ''] = demo.kinds.asset.keys();
const picture: Value = { type: 'picture', asset, tint: null };
const welcome = demo.kinds.widget.get('welcome-title');
let section = welcome?.at.parent ?? '';
while (demo.kinds.widget.has(section)) section = demo.kinds.widget.get(section)?.at.parent ?? '';
const behind = (site: Site, id: string) => {
  const scope = nodeScope(site, 'home', id);
  return scope && pictureBehind(site, scope);
};
const set = (slot: string): Edit => ({ op: 'set', id: section, path: ['styles', slot], value: picture });
const stylesOf = (site: Site) => {
  const it = getRecord(site, section);
  return isNode(it) ? it.styles : {};
};

describe('the picture behind a thing', () => {
  it('is that of the nearest that holds it, be it a layer, or at one width alone', () => {
    expect(behind(demo, 'welcome-title')).toBeNull();
    expect(behind(after(demo, set('box/backgroundImage')), 'welcome-title')).toMatchObject({
      node: section,
      part: 'box',
    });
    const layered = after(demo, set('secondLayer@narrow/backgroundImage'));
    const found = behind(layered, 'welcome-title');
    expect(found).toMatchObject({ node: section, part: 'secondLayer' });
    expect(found && pictureAt(layered, found, 'wide')).toBeNull();
    expect(found && pictureAt(layered, found, 'narrow')).toEqual(picture);
  });
  it('gets its tint where it is set, at every width that sets it', () => {
    const both = after(demo, set('box/backgroundImage'), set('box@narrow/backgroundImage'));
    const found = behind(both, 'welcome-title');
    if (!found) throw new Error('no picture');
    const tint = { color: role('surface'), share: 0.4 };
    const tinted = stylesOf(after(both, ...addTint(both, found, tint)));
    expect(tinted['box/backgroundImage']).toEqual({ ...picture, tint });
    expect(tinted['box@narrow/backgroundImage']).toEqual({ ...picture, tint });
  });
  it('that the guide says is set there with its tint, and the guide stays as it was', () => {
    const rule: Edit = {
      op: 'set',
      id: 'default-section',
      path: ['styles', 'box/backgroundImage'],
      value: picture,
    };
    const ruled = after(demo, rule);
    const found = behind(ruled, 'welcome-title');
    if (!found) throw new Error('no picture');
    const tint = { color: role('surface'), share: 0.4 };
    const next = after(ruled, ...addTint(ruled, found, tint));
    expect(stylesOf(next)['box/backgroundImage']).toEqual({ ...picture, tint });
    expect(next.kinds.default).toBe(ruled.kinds.default);
  });
});
