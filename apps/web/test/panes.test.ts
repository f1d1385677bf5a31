import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { forwardKeys } from '../src/canvas/forwardKeys.ts';
import { Panes } from '../src/shell/panes.ts';

let panes = new Panes();
let forget = () => {};
beforeEach(() => {
  // jsdom lays nothing out, so all that is there can be seen.
  HTMLElement.prototype.checkVisibility ??= () => true;
  panes = new Panes();
  forget = panes.remember();
});
afterEach(() => {
  forget();
  document.body.innerHTML = '';
});

const focused = () => document.activeElement?.id;

describe('the panes of a station', () => {
  const lay = () => {
    document.body.innerHTML = `
      <header data-pane><a id="name" href="#">Name</a></header>
      <aside data-pane><button id="first">A</button><button id="second">B</button></aside>
      <section data-pane><p>Nothing that takes the focus</p></section>
      <aside data-pane><button disabled>C</button><input id="field"></aside>`;
  };
  it('are gone round in both directions, past those in which nothing takes the focus', () => {
    lay();
    panes.focusNext(false);
    expect(focused()).toBe('name');
    panes.focusNext(false);
    expect(focused()).toBe('first');
    panes.focusNext(false);
    expect(focused()).toBe('field');
    panes.focusNext(false);
    expect(focused()).toBe('name');
    panes.focusNext(true);
    expect(focused()).toBe('field');
  });
  it('are come back to where one was', () => {
    lay();
    document.getElementById('second')?.focus();
    panes.focusNext(false);
    panes.focusNext(true);
    expect(focused()).toBe('second');
  });
  it('forget what is gone or can be used no more', () => {
    lay();
    const second = document.getElementById('second');
    second?.focus();
    panes.focusNext(false);
    second?.setAttribute('disabled', '');
    panes.focusNext(true);
    expect(focused()).toBe('first');
  });
  it('that are not there do no harm', () => {
    document.body.innerHTML = '<button id="alone">A</button>';
    document.getElementById('alone')?.focus();
    panes.focusNext(false);
    expect(focused()).toBe('alone');
  });
});

describe('keys pressed in a frame', () => {
  const open = () => {
    document.body.innerHTML = '<iframe></iframe>';
    const frame = document.querySelector('iframe');
    const inner = frame?.contentDocument;
    const view = frame?.contentWindow;
    if (!frame || !inner || !view) throw new Error('no frame');
    inner.body.innerHTML = '<p id="text">A</p><input id="field"><input id="range" type="range">';
    const heard = jest.fn<(event: KeyboardEvent) => void>();
    document.body.addEventListener('keydown', heard);
    const press = (id: string, init: KeyboardEventInit) => {
      const Event = (view as Window & typeof globalThis).KeyboardEvent;
      const event = new Event('keydown', { bubbles: true, cancelable: true, ...init });
      inner.getElementById(id)?.dispatchEvent(event);
      return event;
    };
    const start = () => forwardKeys(frame, inner, view as Window & typeof globalThis);
    return { inner, heard, press, start, stop: () => document.body.removeEventListener('keydown', heard) };
  };
  it('are the program’s as well, with what is held down', () => {
    const { heard, press, start, stop } = open();
    start();
    press('text', { key: 'z', ctrlKey: true, shiftKey: true });
    const [[event] = []] = heard.mock.calls;
    expect(event).toMatchObject({ key: 'z', ctrlKey: true, shiftKey: true, altKey: false });
    stop();
  });
  it('do no more in the frame where the program takes them', () => {
    const { heard, press, start, stop } = open();
    start();
    expect(press('text', { key: 'k' }).defaultPrevented).toBe(false);
    heard.mockImplementation(event => event.preventDefault());
    expect(press('text', { key: 'k' }).defaultPrevented).toBe(true);
    stop();
  });
  it('are the frame’s alone where it takes them, and where they are words', () => {
    const { inner, heard, press, start, stop } = open();
    inner.addEventListener('keydown', event => {
      if (event.key === 'Enter') event.preventDefault();
    });
    start();
    press('text', { key: 'Enter' });
    press('field', { key: 'Delete' });
    expect(heard).not.toHaveBeenCalled();
    press('range', { key: 'Delete' });
    expect(heard).toHaveBeenCalledTimes(1);
    stop();
  });
});
