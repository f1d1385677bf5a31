import { type Site, specimenRows } from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { afterEach, describe, expect, it } from '@jest/globals';
import { act, cleanup, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter, useLocation } from 'react-router';
import { useGuideStation } from '../src/guide/useGuideStation.ts';

afterEach(cleanup);
const demo: Site = tolvane(() => 'abcdef0123456789.webp');

/** The guide at an address; `at()` is the address as it is now. */
function station(query = '') {
  const { result } = renderHook(() => ({ search: useLocation().search, state: useGuideStation(demo) }), {
    wrapper: ({ children }: { children: ReactNode }) => (
      <MemoryRouter initialEntries={[`/guide${query}`]}>{children}</MemoryRouter>
    ),
  });
  return {
    at: () => new URLSearchParams(result.current.search),
    get now() {
      return result.current.state;
    },
  };
}

const row = specimenRows(demo).find(it => it.element.name === 'feature');
const hit = { row: row?.id ?? '', column: 'heather-moor', variants: [], part: 'title' };

describe('what is picked in the specimen', () => {
  it('is the element as a whole first, and the part under the pointer with a further click', () => {
    const guide = station();
    expect(guide.now.beside).toEqual({ type: 'nothing' });
    act(() => guide.now.pick(hit));
    expect(guide.now.beside).toMatchObject({
      type: 'bench',
      subject: { element: 'feature', part: 'box', scheme: 'heather-moor' },
    });
    expect(guide.now.marked).toEqual({ row: hit.row, column: 'heather-moor' });
    act(() => guide.now.pick(hit));
    expect(guide.now.beside).toMatchObject({ subject: { part: 'title' } });
  });
  it('is nothing where the row or the column is gone', () => {
    const guide = station();
    act(() => guide.now.pick({ ...hit, row: 'nobody' }));
    act(() => guide.now.pick({ ...hit, column: 'nobody' }));
    expect(guide.now.beside).toEqual({ type: 'nothing' });
  });
});

describe('what is open beside the specimen', () => {
  it('hides what is picked, and gives it back when it is closed', () => {
    const guide = station();
    act(() => guide.now.pick(hit));
    act(() => guide.now.openPanel({ scheme: 'daymark' }));
    expect(guide.now.beside).toMatchObject({ type: 'scheme', scheme: { id: 'daymark' } });
    expect(guide.now.marked).toBeNull();
    act(() => guide.now.openBeside(null));
    expect(guide.now.beside).toMatchObject({ type: 'bench', subject: { element: 'feature' } });
  });
  it('is one thing at a time', () => {
    const guide = station('?token=rope');
    expect(guide.now.token).toBe('rope');
    act(() => guide.now.openPanel({ ground: '' }));
    expect([...guide.at().keys()]).toEqual(['ground']);
    expect(guide.now.beside).toEqual({ type: 'ground' });
  });
  it.each([
    ['?guides', { type: 'guides', reset: null }],
    ['?guides=Motion', { type: 'guides', reset: 'Motion' }],
    ['?guides=nonsense', { type: 'guides', reset: null }],
    ['?role=link', { type: 'scheme', scheme: { id: 'daymark' } }],
    ['?scheme=nobody', { type: 'nothing' }],
    ['?preset=ticket', { type: 'bench', subject: { type: 'preset', preset: 'ticket' } }],
  ])('is read from the address %s', (query, beside) => {
    expect(station(query).now.beside).toMatchObject(beside);
  });
});
