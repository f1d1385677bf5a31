import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { restoreHints } from '../src/hints/dismissed.ts';
import { Hint } from '../src/hints/Hint.tsx';

beforeEach(() => act(() => restoreHints()));
afterEach(cleanup);

describe('a hint', () => {
  it('is gone once it is dismissed, others are not, and comes again when all are asked for', () => {
    render(
      <>
        <Hint name="one">First things first.</Hint>
        <Hint name="other">Second things second.</Hint>
      </>,
    );
    const [first] = screen.getAllByRole('button', { name: 'Dismiss this hint' });
    if (!first) throw new Error('no hint');
    fireEvent.click(first);
    expect(screen.queryByText('First things first.')).toBeNull();
    expect(screen.getByText('Second things second.')).toBeDefined();
    expect(localStorage.getItem('cove.hints.dismissed')).toBe('["one"]');
    act(() => restoreHints());
    expect(screen.getByText('First things first.')).toBeDefined();
  });
});
