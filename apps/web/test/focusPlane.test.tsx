import { afterEach, describe, expect, it, jest } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { type Focus, FocusPlane } from '../src/ui/FocusPlane.tsx';

afterEach(cleanup);

function show(focus: Focus) {
  const onShow = jest.fn<(focus: Focus) => void>();
  const onCommit = jest.fn<(focus: Focus) => void>();
  const onCancel = jest.fn();
  render(
    <FocusPlane
      label="Focus"
      url="data:,"
      ratio={1.5}
      focus={focus}
      onShow={onShow}
      onCommit={onCommit}
      onCancel={onCancel}
    />,
  );
  return { point: screen.getByRole('slider', { name: 'Focus' }), onShow, onCommit, onCancel };
}

describe('the focus of a picture', () => {
  it('is told in words, across and down', () => {
    const { point } = show({ x: 0.3, y: 0.75 });
    expect(point.getAttribute('aria-valuetext')).toBe('30 % across, 75 % down');
  });
  it('moves by a hundredth with the arrows, by a tenth with Shift, and is kept when the key is let go', () => {
    const { point, onShow, onCommit } = show({ x: 0.5, y: 0.5 });
    fireEvent.keyDown(point, { key: 'ArrowRight' });
    fireEvent.keyDown(point, { key: 'ArrowRight' });
    fireEvent.keyDown(point, { key: 'ArrowUp', shiftKey: true });
    expect(onShow.mock.calls.map(([it]) => it)).toEqual([
      { x: 0.51, y: 0.5 },
      { x: 0.52, y: 0.5 },
      { x: 0.52, y: 0.4 },
    ]);
    expect(onCommit).not.toHaveBeenCalled();
    fireEvent.keyUp(point, { key: 'ArrowUp' });
    expect(onCommit.mock.calls).toEqual([[{ x: 0.52, y: 0.4 }]]);
    fireEvent.blur(point);
    expect(onCommit).toHaveBeenCalledTimes(1);
  });
  it('follows the pointer while it is held, and is as before where the system takes the pointer away', () => {
    const { point, onShow, onCommit, onCancel } = show({ x: 0.5, y: 0.5 });
    const plane = point.parentElement;
    if (!plane) throw new Error('no plane');
    let held = false;
    Object.assign(plane, {
      setPointerCapture: () => {
        held = true;
      },
      hasPointerCapture: () => held,
      getBoundingClientRect: () => new DOMRect(0, 0, 200, 100),
    });
    const at = (type: string, clientX: number, clientY: number) =>
      fireEvent(plane, new MouseEvent(type, { bubbles: true, clientX, clientY }));
    at('pointermove', 20, 20);
    expect(onShow).not.toHaveBeenCalled();
    at('pointerdown', 20, 20);
    at('pointermove', 100, 75);
    expect(onShow.mock.calls.map(([it]) => it)).toEqual([
      { x: 0.1, y: 0.2 },
      { x: 0.5, y: 0.75 },
    ]);
    at('pointercancel', 100, 75);
    held = false;
    at('pointerup', 100, 75);
    expect(onCancel).toHaveBeenCalledTimes(1);
    expect(onCommit).not.toHaveBeenCalled();
    at('pointerdown', 50, 50);
    at('pointerup', 60, 50);
    expect(onCommit.mock.calls).toEqual([[{ x: 0.3, y: 0.5 }]]);
  });
  it('never leaves the picture, and leaves other keys alone', () => {
    const { point, onShow } = show({ x: 0, y: 1 });
    fireEvent.keyDown(point, { key: 'ArrowLeft', shiftKey: true });
    fireEvent.keyDown(point, { key: 'ArrowDown' });
    expect(onShow.mock.calls.map(([it]) => it)).toEqual([
      { x: 0, y: 1 },
      { x: 0, y: 1 },
    ]);
    expect(fireEvent.keyDown(point, { key: 'Tab' })).toBe(true);
    expect(onShow).toHaveBeenCalledTimes(2);
  });
});
