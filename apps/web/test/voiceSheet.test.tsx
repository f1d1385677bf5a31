import { FAMILIES, familiesOf, type Site } from '@cove/core';
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { act, cleanup, fireEvent, screen, within } from '@testing-library/react';
import { fits, type Wanted } from '../src/guide/voices/useVoices.ts';
import { VoiceSheet } from '../src/guide/voices/VoiceSheet.tsx';
import type { SiteSession } from '../src/session/siteSession.ts';
import { openDemo } from './support/openDemo.tsx';

let session: SiteSession;
let closed = 0;
beforeEach(async () => {
  const demo = await openDemo();
  session = demo.session;
  closed = 0;
  demo.show(site => <VoiceSheet site={site} onClose={() => closed++} />);
});
afterEach(() => {
  cleanup();
  session.close();
});

const families = () =>
  within(screen.getByRole('list', { name: 'Families' }))
    .getAllByRole('button')
    .map(it => it.getAttribute('aria-label') ?? '');
const choose = (name: string, value: string) =>
  fireEvent.change(screen.getByRole('combobox', { name }), { target: { value } });
const spoken = (site: Site, id: string): string => {
  const value = site.kinds.token.get(id)?.value;
  return value?.type === 'fontFamily' ? (value.value[0] ?? '') : '';
};

describe('the catalogue of families', () => {
  it('shows all of them, the one that is spoken with marked', () => {
    expect(families()).toEqual(familiesOf(session.site).map(it => it.name));
    expect(screen.getByRole('button', { name: 'Bricolage Grotesque' }).getAttribute('aria-pressed')).toBe(
      'true',
    );
  });
  it('is narrowed by name, kind and cuts, and says where none is left', async () => {
    choose('Kind', 'mono');
    const mono = familiesOf(session.site).filter(it => it.kind === 'mono');
    await screen.findByRole('button', { name: mono[0]?.name ?? '' });
    expect(families()).toEqual(mono.map(it => it.name));
    fireEvent.change(screen.getByRole('searchbox', { name: 'Name' }), {
      target: { value: 'no such letters' },
    });
    await screen.findByText('No family matches.');
  });
  it('shows a family in the guide while one points at it, and keeps it with a click', () => {
    const other = screen.getByRole('button', { name: 'Literata' });
    fireEvent.pointerEnter(other);
    expect(spoken(session.site, 'display')).toBe('Literata');
    expect(session.isShowing).toBe(true);
    fireEvent.pointerLeave(other);
    expect(spoken(session.site, 'display')).toBe('Bricolage Grotesque');
    fireEvent.click(other);
    expect(spoken(session.kept, 'display')).toBe('Literata');
    expect(session.store.getState().undoLabel).toBe('Heading speaks with Literata');
  });
  it('keeps it for the voice that is chosen', () => {
    choose('For the voice', 'code');
    fireEvent.click(screen.getByRole('button', { name: 'Literata' }));
    expect(spoken(session.site, 'code')).toBe('Literata');
    expect(spoken(session.site, 'display')).toBe('Bricolage Grotesque');
  });
});

describe('pairings', () => {
  it('set the voices together, in one step', () => {
    fireEvent.click(screen.getByRole('radio', { name: 'Pairings' }));
    const last = within(screen.getByRole('list', { name: 'Pairings' }))
      .getAllByRole('button')
      .at(-1);
    if (!last) throw new Error('no pairing');
    fireEvent.click(last);
    const label = session.store.getState().undoLabel;
    expect(label).toMatch(/^Take the pairing /);
    act(() => session.undo());
    expect(spoken(session.site, 'display')).toBe('Bricolage Grotesque');
  });
});

describe('the sheet', () => {
  it('goes when one is done', () => {
    fireEvent.click(screen.getByRole('button', { name: 'Done' }));
    expect(closed).toBe(1);
  });
});

describe('what a family is asked for', () => {
  const literata = FAMILIES.find(it => it.name === 'Literata');
  const any: Wanted = { words: '', kind: '', width: '', cuts: '' };
  it.each([
    [{ words: 'lite' }, true],
    [{ kind: 'serif' as const }, true],
    [{ kind: 'mono' as const }, false],
    [{ cuts: 'italic' as const }, true],
  ])('%j', (part, held) => {
    if (!literata) throw new Error('Literata is shipped');
    expect(fits(literata, { ...any, ...part })).toBe(held);
  });
});
