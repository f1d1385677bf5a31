import { type Edit, parseTokenValue } from '@cove/core';
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { act, cleanup, fireEvent, screen } from '@testing-library/react';
import { ChangeEffect } from '../src/guard/ChangeEffect.tsx';
import type { SiteSession } from '../src/session/siteSession.ts';
import { type Asked, FakeWorker, openDemo } from './support/openDemo.tsx';

const impact = { pages: [{ page: 'home', nodes: ['welcome-title'] }], nodes: 1, added: 0, removed: 0 };
const failure = { scheme: 'daymark', role: 'link', on: 'surface', ratio: 1.9, wanted: 4.5 };
const unreadable = Array.from({ length: 6 }, (_, i) => ({
  node: i === 0 ? 'welcome-title' : `feature-${['cars', 'dogs', 'bikes'][i % 3]}`,
  part: `text-${i}`,
  page: 'home',
  ratio: 2,
  wanted: 3,
}));

let session: SiteSession;
const recolor = (text: string): Edit[] => {
  const value = parseTokenValue(text, 'color', session.site.kinds.token);
  if (!value.ok) throw new Error(value.problem.message);
  return [{ op: 'set', id: 'rope', path: ['value'], value: value.value }];
};
const words = () => screen.getByRole('status').textContent;
const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));

beforeEach(async () => {
  jest.useFakeTimers();
  FakeWorker.answers = ({ type }: Asked) =>
    type === 'forecast'
      ? { forecast: { uses: 12, pages: 3, failures: [failure] } }
      : type === 'effect'
        ? { effect: { impact: { ...impact, properties: [], failures: [failure] }, unreadable } }
        : null;
  const demo = await openDemo();
  session = demo.session;
  demo.show(() => <ChangeEffect />);
});
afterEach(() => {
  cleanup();
  session.close();
  jest.useRealTimers();
});

describe('what a change of the guide does', () => {
  it('is told from its reach while it is only shown, and from the pages once the hand rests', async () => {
    act(() => session.show(recolor('#ddddff')));
    expect(words()).toBe('This change: working out what it changes…');
    await pass(60);
    expect(words()).toContain('12 items on 3 pages use it.');
    expect(words()).toContain('1 role below the required contrast');
    expect(screen.queryByRole('button', { name: 'Undo this change' })).toBeNull();
    await pass(600);
    expect(words()).toContain('1 item on 1 page would look different.');
    expect(words()).toContain('6 texts on pages could no longer be read');
  });

  it('asks once where a hand does not rest', async () => {
    for (const text of ['#111111', '#222222', '#333333']) {
      act(() => session.show(recolor(text)));
      await pass(20);
    }
    await pass(60);
    expect(FakeWorker.asked.filter(it => it.type === 'forecast')).toHaveLength(1);
    expect(FakeWorker.asked.filter(it => it.type === 'effect')).toHaveLength(0);
  });

  it('leads to each text it harms, shows the rest when asked, and is taken back where it is told', async () => {
    act(() => void session.commit(recolor('#ddddff'), 'Change Rope'));
    await pass(10);
    expect(words()).toContain('Change Rope: 1 item on 1 page looks different.');
    expect(screen.getAllByRole('button', { name: 'The early boat is worth it' })).toHaveLength(1);
    expect(screen.getAllByText(/Home:/)).toHaveLength(4);
    fireEvent.click(screen.getByRole('button', { name: 'and 2 more' }));
    expect(screen.getAllByText(/Home:/)).toHaveLength(6);
    fireEvent.click(screen.getByRole('button', { name: 'Undo this change' }));
    expect(words()).toBe('');
    expect(session.store.getState().undoLabel).toBeNull();
  });

  it('is not told of what only a page holds', async () => {
    const edits: Edit[] = [
      { op: 'set', id: 'welcome-title', path: ['content', 'text'], value: 'Good morning' },
    ];
    act(() => void session.commit(edits, 'Write'));
    await pass(1000);
    expect(words()).toBe('');
    expect(FakeWorker.asked.some(it => it.type === 'effect')).toBe(false);
  });
});
