import {
  applyChange,
  type Edit,
  nodeScope,
  type PropertyName,
  parsePropertyValue,
  propertyOf,
  type Site,
  type Value,
} from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { afterEach, describe, expect, it, jest } from '@jest/globals';
import { act, cleanup, renderHook } from '@testing-library/react';
import type { KeyboardEvent } from 'react';
import { wantsOf } from '../src/bench/wants.ts';
import { literalText, shownText } from '../src/tokens/picker/endOf.ts';
import { type PickerOption, type PickerWants, pickerOptions } from '../src/tokens/picker/options.ts';
import { stepped } from '../src/tokens/picker/stepped.ts';
import { usePicker } from '../src/tokens/picker/usePicker.ts';

afterEach(cleanup);

const demo = tolvane(() => 'abcdef0123456789.webp');
const px = (value: number): Value => ({ type: 'dimension', value: { value, unit: 'px' } });
const parse = (property: PropertyName, site: Site) => (text: string) =>
  parsePropertyValue(text, propertyOf(property), site.kinds.token, site.kinds.role);
const after = (...edits: Edit[]): Site => {
  const applied = applyChange(demo, { edits });
  if (!applied.ok) throw new Error(applied.problem.message);
  return applied.value.site;
};

/** Lines of the picker of a property, as they are read. */
function lines(
  property: PropertyName,
  {
    typed = null,
    value = null,
    beneath = null,
    wants = {},
    site = demo,
  }: {
    typed?: string | null;
    value?: Value | null;
    beneath?: Value | null;
    wants?: Partial<PickerWants>;
    site?: Site;
  } = {},
) {
  const read = typed === null ? null : parse(property, site)(typed);
  const { options, first } = pickerOptions({
    site,
    scope: nodeScope(site, 'home', 'feature-dogs'),
    wants: { ...wantsOf(propertyOf(property)), ...wants },
    value,
    beneath,
    typed,
    read: read?.ok ? read.value : null,
  });
  const words = options.map(it =>
    it.kind === 'take'
      ? [it.label, it.note].filter(Boolean).join(', ')
      : it.kind === 'heading'
        ? `— ${it.label}`
        : it.kind,
  );
  return { options, words, first: options[first] };
}
const labelOf = (option: PickerOption | undefined) =>
  option && ('label' in option ? option.label : option.kind);

describe('what the picker of a length offers', () => {
  it('is the scale that is for it, and what is set and hidden is marked', () => {
    const token = (name: string): Value => {
      const found = [...demo.kinds.token.values()].find(it => it.group === 'Space' && it.name === name);
      return { type: 'token', token: found?.id ?? '' };
    };
    const { words, first } = lines('paddingTop', { value: token('Three'), beneath: token('Two') });
    expect(words.slice(0, 4)).toEqual(['edit', '— Space', 'One', 'Two, default']);
    expect(words).toContain('Three, set now');
    expect(first).toBeUndefined();
  });
  it('is the nearest token first where what was typed is close to it', () => {
    const { words, first } = lines('paddingTop', { typed: '23px' });
    expect(words.slice(0, 3)).toEqual([
      '— Typed and nearest',
      'Three, differs by 1px',
      'Use 23px, loose: follows no token',
    ]);
    expect(labelOf(first)).toBe('Three');
    expect(words).toContain('add');
  });
  it('is what was typed first where no token is close', () => {
    const { words, first } = lines('paddingTop', { typed: '200' });
    expect(words[1]).toBe('Use 200px, loose: follows no token');
    expect(labelOf(first)).toBe('Use 200px');
  });
  it('is a token by its name', () => {
    expect(labelOf(lines('paddingTop', { typed: 'space.two' }).first)).toBe('Two');
    expect(labelOf(lines('borderTopLeftRadius', { typed: 'sma' }).first)).toBe('Small');
  });
  it('is nothing where nothing is named so', () => {
    expect(lines('paddingTop', { typed: 'mauvish' }).options).toEqual([]);
  });
  it('draws each of a scale against the longest of that scale', () => {
    const most = (name: string) =>
      lines('paddingTop').options.flatMap(it => (it.kind === 'take' && it.label === name ? [it.most] : []));
    expect(new Set([...most('One'), ...most('Six')]).size).toBe(1);
  });
});

describe('what the picker of a colour offers', () => {
  it('is swatches, then roles as they come out in the place, then keywords', () => {
    const { options, words } = lines('borderTopColor');
    expect(words[0]).toBe('custom');
    expect(words.indexOf('— Roles of the scheme')).toBeGreaterThan(words.indexOf('— Brand'));
    expect(words.indexOf('— Keywords')).toBeGreaterThan(words.indexOf('— Roles of the scheme'));
    const accent = options.find(it => it.kind === 'take' && it.label === 'Accent');
    expect(accent).toMatchObject({ value: { type: 'role', role: 'accent' }, end: { type: 'color' } });
  });
  it('has a role by the name it is shown under', () => {
    expect(labelOf(lines('backgroundColor', { typed: 'raised surface' }).first)).toBe('Raised surface');
  });
  it('makes a swatch of what it may not hold by itself', () => {
    const { words } = lines('backgroundColor', { typed: '#123456', wants: { literals: false } });
    expect(words.some(it => it.startsWith('Use #123456'))).toBe(false);
    expect(words).toContain('add');
    expect(lines('backgroundColor', { wants: { literals: false } }).words).not.toContain('custom');
  });
  it('leaves out what is not accepted, and has a name for nothing', () => {
    const { words } = lines('backgroundColor', {
      wants: { accepts: it => it.name === 'Mist', empty: 'as surface', roles: false, keywords: [] },
    });
    expect(words.filter(it => !it.startsWith('—') && it !== 'custom')).toEqual(['clear', 'Mist']);
  });
});

describe('what a field shows', () => {
  const shown = (property: PropertyName, value: Value, site = demo) =>
    shownText(site, value, text => {
      const read = parse(property, site)(text);
      return read.ok ? read.value : null;
    });
  it('is read as the very value it shows, for every token, in every property that takes it', () => {
    for (const property of [
      'backgroundColor',
      'paddingTop',
      'fontFamily',
      'boxShadow',
      'transitionDuration',
    ] as const)
      for (const { options } of [lines(property)])
        for (const it of options) {
          if (it.kind !== 'take') continue;
          expect(parse(property, demo)(shown(property, it.value))).toEqual({ ok: true, value: it.value });
        }
  });
  it('names the group where a name alone would mean something else', () => {
    const coral = after({
      op: 'put',
      record: {
        id: 'coral',
        kind: 'token',
        type: 'color',
        group: 'Brand',
        name: 'Coral',
        order: 'zz',
        value: { type: 'color', value: { space: 'srgb', coords: [0.1, 0.2, 0.3], alpha: 1 } },
      },
    });
    expect(shown('backgroundColor', { type: 'token', token: 'coral' }, coral)).toBe('brand.coral');
    expect(shown('backgroundColor', { type: 'token', token: 'mist' }, coral)).toBe('Mist');
  });
  it.each([
    [px(24), '24px'],
    [{ type: 'dimension', value: { value: 1.5, unit: 'rem' } }, '24px'],
    [{ type: 'fluid', min: { value: 1, unit: 'rem' }, max: { value: 28, unit: 'px' } }, '16–28px'],
    [{ type: 'duration', value: 140 }, '140ms'],
  ] as const)('%j is said as %s', (end, words) => {
    expect(literalText(end)).toBe(words);
  });
});

describe('a step', () => {
  it('of a token leads along its scale, and stays at the ends', () => {
    const at = (value: Value | null) =>
      value?.type === 'token' ? demo.kinds.token.get(value.token)?.name : value && literalText(value);
    const space = (name: string): Value => {
      const found = [...demo.kinds.token.values()].find(it => it.group === 'Space' && it.name === name);
      return { type: 'token', token: found?.id ?? '' };
    };
    expect(at(stepped(demo, space('Two'), '', 1, parse('paddingTop', demo)))).toBe('Three');
    expect(at(stepped(demo, space('Two'), '', -5, parse('paddingTop', demo)))).toBe('One');
    expect(stepped(demo, space('One'), '', -1, parse('paddingTop', demo))).toBeNull();
    expect(at(stepped(demo, px(23), '23px', 3, parse('paddingTop', demo)))).toBe('26px');
    expect(stepped(demo, { type: 'keyword', value: 'auto' }, 'auto', 1, parse('marginTop', demo))).toBeNull();
  });
});

describe('the keys of a picker', () => {
  const options = lines('paddingTop', { typed: '23px' }).options;
  function picker(open: boolean) {
    const onTake = jest.fn<(option: PickerOption) => void>();
    const onClose = jest.fn();
    const setOpen = jest.fn<(open: boolean) => void>();
    const { result } = renderHook(() =>
      usePicker({ open, setOpen, options, first: 1, typed: '23px', onTake, onClose }),
    );
    const press = (key: string, altKey = false) => {
      let taken = false;
      act(() => {
        taken = result.current.onKeyDown({
          key,
          altKey,
          preventDefault: () => undefined,
          stopPropagation: () => undefined,
        } as KeyboardEvent<HTMLInputElement>);
      });
      return taken;
    };
    return { result, press, onTake, onClose, setOpen };
  }
  it('leave arrows to the number while it is closed, and open it with Alt', () => {
    const { press, setOpen } = picker(false);
    expect(press('ArrowDown')).toBe(false);
    expect(setOpen).not.toHaveBeenCalled();
    expect(press('ArrowDown', true)).toBe(true);
    expect(setOpen).toHaveBeenCalledWith(true);
  });
  it('walk past headings and take the current line', () => {
    const { result, press, onTake } = picker(true);
    expect(result.current.active).toBe(1);
    press('ArrowDown');
    expect(result.current.active).toBe(2);
    press('ArrowUp');
    press('ArrowUp');
    expect(result.current.active).toBe(1);
    press('PageDown');
    const at = result.current.active;
    expect(at).toBeGreaterThan(6);
    expect(options[at]?.kind).not.toBe('heading');
    press('Enter');
    expect(onTake.mock.calls).toEqual([[options[at]]]);
  });
  it('close it on Escape, which shows what was there', () => {
    const { press, setOpen, onClose } = picker(true);
    expect(press('Escape')).toBe(true);
    expect(setOpen).toHaveBeenCalledWith(false);
    expect(onClose).toHaveBeenCalled();
  });
});
