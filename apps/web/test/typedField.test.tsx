import { fail, ok, parseLength } from '@cove/core';
import { afterEach, describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { relativeText, stepText, TypedField } from '../src/ui/TypedField.tsx';

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
