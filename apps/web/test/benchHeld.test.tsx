import { PROPERTIES, type PropertyName, propertyOf, type Value } from '@cove/core';
import { afterEach, describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { Anatomy } from '../src/bench/Anatomy.tsx';
import { commonValue, type Entry, entriesOf, foundProperties, type Held } from '../src/bench/held.ts';
import { DragLabel } from '../src/ui/DragLabel.tsx';

afterEach(cleanup);

const px = (value: number): Value => ({ type: 'dimension', value: { value, unit: 'px' } });
const held = (name: PropertyName, value: Value = px(8)): Held => ({
  row: propertyOf(name),
  value,
  knot: true,
  differs: [],
  varies: 0,
  noEffect: null,
});
const padding = ['paddingTop', 'paddingRight', 'paddingBottom', 'paddingLeft'] as const;
const keys = (entries: readonly Entry[]) =>
  entries.map(it =>
    it.kind === 'one'
      ? it.held.row.name
      : it.kind === 'bundle'
        ? it.bundle.name
        : `border ${it.side ?? 'whole'}`,
  );

describe('rows of the bench', () => {
  it('are one for all sides where all of them are there, in the place of the first', () => {
    expect(keys(entriesOf([held('color'), ...padding.map(it => held(it)), held('opacity')]))).toEqual([
      'color',
      'padding',
      'opacity',
    ]);
  });
  it('are one for each side where some are missing', () => {
    expect(keys(entriesOf([held('paddingTop'), held('paddingLeft')]))).toEqual(['paddingTop', 'paddingLeft']);
  });
  it('are one for a whole border, and one for a side of it', () => {
    const border = PROPERTIES.filter(it => /^border.*(Width|Style|Color)$/.test(it.name)).map(it =>
      held(it.name),
    );
    expect(border).toHaveLength(12);
    expect(keys(entriesOf(border))).toEqual(['border whole']);
    expect(keys(entriesOf(border.filter(it => it.row.name.startsWith('borderTop'))))).toEqual(['border Top']);
  });
  it('show one value where it is the same everywhere', () => {
    expect(commonValue(padding.map(it => held(it)))).toEqual({ value: px(8) });
    expect(commonValue([held('paddingTop'), held('paddingLeft', px(4))])).toBeNull();
  });
});

describe('searching the bench', () => {
  const first = (search: string) => foundProperties(search.split(' '))[0]?.name;
  it.each([
    ['order', 'order'],
    ['padding', 'paddingTop'],
    ['border', 'borderTopWidth'],
    ['size', 'fontSize'],
    ['radius', 'borderTopLeftRadius'],
    ['shadow', 'boxShadow'],
    ['fill', 'backgroundColor'],
    ['bold', 'fontWeight'],
  ])('%s finds %s first', (search, name) => {
    expect(first(search)).toBe(name);
  });
  it('finds nothing for what is no word of any', () => {
    expect(foundProperties(['nonsense'])).toEqual([]);
  });
});

describe('the anatomy', () => {
  const parts = [
    { name: 'box', label: 'Card', kind: 'box', inside: null, knots: 2 },
    { name: 'picture', label: 'Picture', kind: 'picture', inside: 'box', knots: 0 },
    { name: 'title', label: 'Title', kind: 'heading', inside: 'box', knots: 1 },
  ];
  it('draws parts where they stand, chooses one, and counts what is set', () => {
    const onChange = jest.fn<(part: string) => void>();
    render(<Anatomy parts={parts} value="box" empty={new Set(['picture'])} onChange={onChange} />);
    const group = screen.getByRole('radiogroup', { name: 'Part' });
    const [card, picture, title] = screen.getAllByRole<HTMLInputElement>('radio');
    expect(card?.checked).toBe(true);
    expect(group.textContent).toContain('Picturenone');
    expect(group.textContent).toContain('2values set here');
    if (title) fireEvent.click(title);
    expect(onChange).toHaveBeenCalledWith('title');
    expect(picture?.closest('div')?.className).toContain('dashed');
  });
});

describe('dragging a label', () => {
  it('steps as far as it is dragged, and a click leads to the field', () => {
    const onStep = jest.fn<(by: number, phase: 'drag' | 'done' | 'off') => void>();
    render(
      <>
        <DragLabel htmlFor="field" title="Padding" onStep={onStep}>
          Padding
        </DragLabel>
        <input id="field" />
      </>,
    );
    const label = screen.getByText('Padding');
    label.setPointerCapture = () => undefined;
    const at = (type: string, clientX: number, shiftKey = false) =>
      fireEvent(label, new MouseEvent(type, { bubbles: true, clientX, shiftKey }));
    at('pointerdown', 100);
    at('pointermove', 108);
    at('pointermove', 108, true);
    at('pointerup', 108);
    expect(onStep.mock.calls).toEqual([
      [2, 'drag'],
      [20, 'drag'],
      [20, 'done'],
    ]);
    onStep.mockClear();
    at('pointerdown', 100);
    at('pointerup', 100);
    expect(onStep).not.toHaveBeenCalled();
  });
});
