import type { Content, ContentFieldOf, WidgetRecord } from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { afterEach, describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { ChoiceControl } from '../src/bench/content/ChoiceControl.tsx';
import { IconControl } from '../src/bench/content/IconControl.tsx';
import { PlainControl } from '../src/bench/content/PlainControl.tsx';

afterEach(cleanup);

const site = tolvane(() => 'abcdef0123456789.webp');
const found = site.kinds.widget.get('book');
if (!found) throw new Error('the demo has no such widget');
const widget: WidgetRecord = found;
const [picture] = [...site.kinds.asset.values()];
const around = () => ({
  site,
  widget,
  askedForWords: 0,
  onChange: jest.fn<(value: Content, since?: number) => void>(),
});

describe('words', () => {
  const field: ContentFieldOf<'plain'> = { type: 'plain', label: 'Label' };
  const type = (value: string) => {
    const box = screen.getByRole('textbox', { name: 'Label' });
    fireEvent.focus(box);
    fireEvent.change(box, { target: { value } });
    fireEvent.keyDown(box, { key: 'Enter' });
  };
  it('are kept as they were typed', () => {
    const props = around();
    render(<PlainControl {...props} field={field} value="Board" />);
    type('Board now');
    expect(props.onChange).toHaveBeenCalledTimes(1);
    expect(props.onChange.mock.calls[0]?.[0]).toBe('Board now');
  });
  it('are not kept where they are what they were', () => {
    const props = around();
    render(<PlainControl {...props} field={field} value="Board" />);
    type('Board');
    expect(props.onChange).not.toHaveBeenCalled();
  });
  it('have room for several lines where they are long', () => {
    render(<PlainControl {...around()} field={{ ...field, long: true }} value="Board" />);
    expect(screen.getByRole('textbox', { name: 'Label' }).tagName).toBe('TEXTAREA');
  });
});

describe('a choice', () => {
  const field: ContentFieldOf<'choice'> = { type: 'choice', label: 'Level', options: [2, 3, 'small'] };
  it('is kept with the type that it has', () => {
    const props = around();
    render(<ChoiceControl {...props} field={field} value={2} />);
    const list = screen.getByRole<HTMLSelectElement>('combobox', { name: 'Level' });
    expect([...list.options].map(it => it.textContent)).toEqual(['2', '3', 'small']);
    fireEvent.change(list, { target: { value: '3' } });
    fireEvent.change(list, { target: { value: 'small' } });
    expect(props.onChange.mock.calls.map(([value]) => value)).toEqual([3, 'small']);
  });
});

describe('an icon', () => {
  const field: ContentFieldOf<'icon'> = { type: 'icon', label: 'Icon' };
  it('can be none', () => {
    const props = around();
    render(<IconControl {...props} field={field} value="anchor" />);
    fireEvent.change(screen.getByRole('combobox', { name: 'Icon' }), { target: { value: '' } });
    expect(props.onChange).toHaveBeenCalledWith(null);
  });
  it('that is a picture says what comes of that', () => {
    const { rerender } = render(<IconControl {...around()} field={field} value={picture?.id ?? ''} />);
    expect(screen.getByRole('note').textContent).toContain('A bitmap');
    rerender(<IconControl {...around()} field={field} value="anchor" />);
    expect(screen.queryByRole('note')).toBeNull();
  });
});
