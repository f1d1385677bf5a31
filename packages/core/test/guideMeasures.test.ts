import { describe, expect, it } from '@jest/globals';
import { contributionsTo, specimenScope, winner } from '../src/cascade/index.ts';
import {
  addPresetSet,
  presetOfRule,
  setFluidRange,
  setSideMargin,
  wearPreset,
} from '../src/commands/index.ts';
import { PART_KINDS } from '../src/properties/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, settingsOf } from '../src/site/index.ts';
import { dimension } from '../src/values/index.ts';
import { elementNamed } from '../src/widgets/index.ts';
import { demoSite } from './support/demo.ts';

const demo = demoSite();

describe('a set made from a scale', () => {
  const space = [...demo.kinds.token.values()].filter(it => it.type === 'dimension' && it.group === 'Space');
  const wish = {
    name: 'Gap',
    kind: 'box' as const,
    properties: ['rowGap', 'columnGap'] as const,
    tokens: space.map(it => it.id),
  };
  it('is a preset for each step, which exclude each other and follow their tokens', () => {
    const made = must(addPresetSet(demo, wish));
    const then = must(applyChange(demo, { edits: made.edits })).site;
    expect(made.ids).toHaveLength(space.length);
    const presets = made.ids.flatMap(id => then.kinds.preset.get(id) ?? []);
    expect(new Set(presets.map(it => it.set))).toEqual(new Set(['Gap']));
    expect(presets[0]?.styles).toEqual({
      'box/rowGap': { type: 'token', token: space[0]?.id },
      'box/columnGap': { type: 'token', token: space[0]?.id },
    });
    const [first = '', second = ''] = made.ids;
    const group = [...then.kinds.widget.values()].find(it => it.widget === 'group')?.id ?? '';
    const one = must(applyChange(then, { edits: must(wearPreset(then, group, first)) })).site;
    const other = must(applyChange(one, { edits: must(wearPreset(one, group, second)) })).site;
    const worn = Object.values(other.kinds.widget.get(group)?.wears ?? {}).map(it => it.preset);
    expect(worn).toContain(second);
    expect(worn).not.toContain(first);
  });
  it('of a name that is taken has another one, and so have its presets', () => {
    const once = must(applyChange(demo, { edits: must(addPresetSet(demo, wish)).edits })).site;
    const again = must(addPresetSet(once, wish));
    const twice = must(applyChange(once, { edits: again.edits })).site;
    expect(twice.kinds.preset.get(again.ids[0] ?? '')?.set).toBe('Gap 2');
  });
  it.each([
    ['no name', { ...wish, name: ' ' }, 'no-name'],
    ['one step', { ...wish, tokens: wish.tokens.slice(0, 1) }, 'too-few'],
    ['no property', { ...wish, properties: [] }, 'too-few'],
    ['tokens that the property does not take', { ...wish, properties: ['color'] as const }, 'not-accepted'],
  ])('is refused with %s', (_, asked, code) => {
    const made = addPresetSet(demo, asked);
    expect(made.ok ? 'ok' : made.problem.code).toBe(code);
  });
});

describe('a preset of a rule', () => {
  it('sets what an element sets, by kind of part, and leaves the rule as it is', () => {
    const [rule] = [...demo.kinds.default.values()].filter(it => it.element === 'button');
    const made = must(presetOfRule(demo, rule?.id ?? '', 'Like a button'));
    const then = must(applyChange(demo, { edits: made.edits })).site;
    const preset = then.kinds.preset.get(made.id);
    expect(preset?.name).toBe('Like a button');
    expect(Object.keys(preset?.styles ?? {}).length).toBeGreaterThan(0);
    for (const slot of Object.keys(preset?.styles ?? {}))
      expect(PART_KINDS.some(kind => slot.startsWith(`${kind}/`) || slot.startsWith(`${kind}:`))).toBe(true);
    expect(then.kinds.default.get(rule?.id ?? '')).toEqual(rule);
  });
  it('needs something to hold', () => {
    expect(presetOfRule(demo, 'gone', 'X').ok).toBe(false);
  });
});

describe('measures of the whole guide', () => {
  it.each([
    [{ from: 400, to: 1200 }, 'ok'],
    [{ from: 1200, to: 1200 }, 'out-of-range'],
    [{ from: 0, to: 1200 }, 'out-of-range'],
    [{ from: 320.5, to: 1200 }, 'out-of-range'],
    [{ from: Number.NaN, to: 1200 }, 'out-of-range'],
    [{ from: 320, to: 99_999 }, 'out-of-range'],
  ])('a fluid range of %j is %s', (range, code) => {
    const made = setFluidRange(demo, range);
    expect(made.ok ? 'ok' : made.problem.code).toBe(code);
    if (!made.ok) return;
    const then = must(applyChange(demo, { edits: made.value })).site;
    expect(settingsOf(then)).toMatchObject({ fluidFrom: 400, fluidTo: 1200 });
  });
  it('a side margin holds on both sides of sections, header and footer, at its width', () => {
    const value = dimension(40, 'px');
    const then = must(applyChange(demo, { edits: setSideMargin(demo, 'narrow', value) })).site;
    for (const element of ['section', 'header', 'footer']) {
      const scope = specimenScope(elementNamed(element), settingsOf(then).defaultScheme, {});
      for (const property of ['paddingLeft', 'paddingRight'] as const) {
        const said = contributionsTo(then, scope, 'box').get(property);
        expect(winner(said, 'rest', 'narrow')?.value).toEqual(value);
        expect(winner(said, 'rest', 'wide')?.value).not.toEqual(value);
      }
    }
    const back = must(applyChange(then, { edits: setSideMargin(then, 'narrow', null) })).site;
    const scope = specimenScope(elementNamed('section'), settingsOf(back).defaultScheme, {});
    expect(
      winner(contributionsTo(back, scope, 'box').get('paddingLeft'), 'rest', 'narrow')?.value,
    ).not.toEqual(value);
  });
});
