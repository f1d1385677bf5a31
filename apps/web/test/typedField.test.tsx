import { fail, ok, parseLength } from '@cove/core';
import { afterEach, describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { relativeText, stepText, TypedField } from '../src/ui/TypedField.tsx';
import { FieldOwner } from '../src/ui/useTyping.ts';

afterEach(cleanup);

const parse = (text: string) => {
  const length = parseLength(text);
  return length
    ? ok(`${length.value}${length.unit}`)
    : fail({ code: 'bad-value', message: 'Expected a length such as 1.5rem.' });
};

function show(text = '1rem') {
  const onCommit = jest.fn<(value: string) => void>();
  render(<TypedField label="Padding" text={text} parse={parse} onCommit={onCommit} />);
  const field = screen.getByRole<HTMLInputElement>('textbox', { name: 'Padding' });
  const type = (value: string, key = 'Enter') => {
    fireEvent.focus(field);
    fireEvent.change(field, { target: { value } });
    fireEvent.keyDown(field, { key });
  };
  return { field, type, onCommit };
}

describe('a field whose value somebody else changes', () => {
  const at = (text: string, onCommit = jest.fn<(value: string) => void>(), owner = 'one') => (
    <FieldOwner value={owner}>
      <TypedField label="Padding" text={text} parse={parse} onCommit={onCommit} />
    </FieldOwner>
  );
  const fieldNow = () => screen.getByRole<HTMLInputElement>('textbox', { name: 'Padding' });
  const typeInto = (value: string) => {
    fireEvent.focus(fieldNow());
    fireEvent.change(fieldNow(), { target: { value } });
  };

  it('shows theirs where nothing is typed', () => {
    const { rerender } = render(at('1rem'));
    rerender(at('2rem'));
    expect(fieldNow().value).toBe('2rem');
    expect(screen.queryByRole('status')).toBeNull();
  });
  it('keeps what is typed, says theirs, and hands on what was typed when it is left', () => {
    const onCommit = jest.fn<(value: string) => void>();
    const { rerender } = render(at('1rem', onCommit));
    typeInto('3rem');
    rerender(at('2rem', onCommit));
    expect(fieldNow().value).toBe('3rem');
    expect(screen.getByRole('status').textContent).toContain('“2rem”');
    fireEvent.blur(fieldNow());
    expect(onCommit).toHaveBeenCalledWith('3rem');
  });
  it('takes theirs where that is wanted', () => {
    const { rerender } = render(at('1rem'));
    typeInto('3rem');
    rerender(at('2rem'));
    fireEvent.click(screen.getByRole('button', { name: 'Take theirs' }));
    expect(fieldNow().value).toBe('2rem');
  });
  it('never hands on to one thing what was typed for another', () => {
    const onCommit = jest.fn<(value: string) => void>();
    const { rerender } = render(at('1rem', onCommit));
    typeInto('3rem');
    rerender(at('2rem', onCommit, 'another'));
    expect(fieldNow().value).toBe('2rem');
    fireEvent.blur(fieldNow());
    expect(onCommit).not.toHaveBeenCalled();
  });
  it('leaves undo to the program where nothing is typed, and to the browser while something is', () => {
    render(at('1rem'));
    expect(fieldNow().dataset.settled).toBe('true');
    typeInto('3rem');
    expect(fieldNow().dataset.settled).toBeUndefined();
    fireEvent.keyDown(fieldNow(), { key: 'Enter' });
    expect(fieldNow().dataset.settled).toBe('true');
  });
});

describe('a field', () => {
  it('hands on what can be read', () => {
    const { type, onCommit } = show();
    type('24/16rem');
    expect(onCommit).toHaveBeenCalledWith('1.5rem');
  });
  it('keeps what cannot be read, says what was expected, and hands on nothing', () => {
    const { type, field, onCommit } = show();
    type('twelve');
    expect(field.value).toBe('twelve');
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByRole('alert').textContent).toBe('Expected a length such as 1.5rem.');
    expect(onCommit).not.toHaveBeenCalled();
  });
  it('forgets what was typed on Escape', () => {
    const { type, field, onCommit } = show();
    type('9rem', 'Escape');
    expect(field.value).toBe('1rem');
    expect(onCommit).not.toHaveBeenCalled();
  });
  it('steps with the arrow keys, by tens with Shift and tenths with Alt', () => {
    const { field, onCommit } = show('4px');
    fireEvent.keyDown(field, { key: 'ArrowUp' });
    fireEvent.keyDown(field, { key: 'ArrowDown', shiftKey: true });
    fireEvent.keyDown(field, { key: 'ArrowUp', altKey: true });
    expect(onCommit.mock.calls.map(([value]) => value)).toEqual(['5px', '-6px', '4.1px']);
  });
  it('hands on nothing when left as it was', () => {
    const { type, onCommit } = show();
    type('1rem');
    expect(onCommit).not.toHaveBeenCalled();
  });
});

describe('typing less than the whole', () => {
  it.each([
    ['+2', '4px', '6px'],
    ['*1.5', '2rem', '3rem'],
    ['- 1', '4px', '3px'],
    ['-1px', '4px', '-1px'],
    ['5px', '4px', '5px'],
    ['+2', 'auto', '+2'],
  ])('%s after %s means %s', (typed, current, meant) => {
    expect(relativeText(typed, current)).toBe(meant);
  });
  it('a step leaves colours and words alone', () => {
    expect(stepText('#101010', 1)).toBeNull();
    expect(stepText('auto', 1)).toBeNull();
    expect(stepText('{space.one}', 1)).toBeNull();
  });
});
