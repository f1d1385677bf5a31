import { type Edit, printSlot, type Site, type Value } from '@cove/core';
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { act, cleanup, fireEvent, screen, within } from '@testing-library/react';
import { Bench } from '../src/bench/Bench.tsx';
import type { Subject } from '../src/bench/subject.ts';
import type { SiteSession } from '../src/session/siteSession.ts';
import { openDemo } from './support/openDemo.tsx';

let session: SiteSession;
const subject = (node: string, part: string): Subject => ({
  type: 'node',
  page: 'home',
  node,
  part,
  state: 'rest',
  width: 'wide',
});
let picked: Subject[] = [];
async function open(node: string, part: string, role?: 'keeper') {
  const demo = await openDemo(role);
  session = demo.session;
  picked = [];
  demo.show(() => (
    <Bench
      subject={subject(node, part)}
      onSubject={it => picked.push(it)}
      path={[{ id: node, label: node }]}
    />
  ));
}
afterEach(() => {
  cleanup();
  session.close();
});

const slot = (property: 'backgroundColor' | 'paddingTop') =>
  printSlot({ part: 'box', property, state: 'rest', width: 'wide' });
const own = (site: Site, property: 'backgroundColor' | 'paddingTop'): Value | undefined =>
  site.kinds.widget.get('feature-dogs')?.styles[slot(property)];
const here = () => screen.getByRole('region', { name: 'Set here' });
const commit = (edits: Edit[]) => act(() => void session.commit(edits, 'Prepare'));

describe('the bench of an item', () => {
  beforeEach(() => open('feature-dogs', 'box'));

  it('shows what is set here apart from what presets and the guide say', () => {
    expect(within(here()).getByRole('combobox', { name: 'Fill' })).toHaveProperty('value', 'Mist');
    const presets = screen.getByRole('region', { name: 'From presets' });
    expect(within(presets).getByText('Ticket')).toBeDefined();
    const guide = screen.getByRole('region', { name: 'From the guide' });
    expect(within(guide).getByRole('combobox', { name: 'Text colour' })).toHaveProperty('value', 'Text');
  });

  it('resets all that is set here in one step', () => {
    fireEvent.click(within(here()).getByRole('button', { name: 'Reset all' }));
    expect(own(session.site, 'backgroundColor')).toBeUndefined();
    expect(within(here()).queryByRole('combobox', { name: 'Fill' })).toBeNull();
    act(() => session.undo());
    expect(own(session.site, 'backgroundColor')).toEqual({ type: 'token', token: 'mist' });
  });

  it('ties a loose value to the nearest token in one step', () => {
    const value: Value = { type: 'dimension', value: { value: 15, unit: 'px' } };
    commit([{ op: 'set', id: 'feature-dogs', path: ['styles', slot('paddingTop')], value }]);
    const row = here().querySelector<HTMLElement>('[data-property=paddingTop]');
    if (!row) throw new Error('no row');
    expect(within(row).getByText('loose')).toBeDefined();
    fireEvent.click(within(row).getByRole('button', { name: /^Use .* for padding top$/ }));
    expect(own(session.site, 'paddingTop')).toMatchObject({ type: 'token' });
    expect(within(row).queryByText('loose')).toBeNull();
  });

  it('finds a property by its words, the best first', async () => {
    fireEvent.change(screen.getByRole('searchbox', { name: 'Find a property' }), {
      target: { value: 'order' },
    });
    const found = await screen.findByRole('region', { name: 'Found' });
    expect(found.querySelector('[data-property]')?.getAttribute('data-property')).toBe('order');
  });

  it('goes to another part by its picture', () => {
    fireEvent.click(screen.getByRole('radio', { name: /Title/ }));
    expect(picked.at(-1)).toMatchObject({ node: 'feature-dogs', part: 'title', state: 'rest' });
  });

  it('has its content once that is opened, and not before', () => {
    expect(screen.queryByRole('textbox', { name: 'Title' })).toBeNull();
    const fold = screen.getByText('Content').closest('details');
    if (!fold) throw new Error('no fold');
    fold.open = true;
    fireEvent(fold, new Event('toggle'));
    expect(screen.getByRole('textbox', { name: 'Title' })).toHaveProperty('value', 'Dogs');
  });
});

describe('the bench of a keeper', () => {
  it('shows values, and alters none that they may not', async () => {
    await open('feature-dogs', 'box', 'keeper');
    expect(screen.queryByRole('button', { name: 'Reset all' })).toBeNull();
    expect(within(here()).getByRole('combobox', { name: 'Fill' })).toHaveProperty('readOnly', true);
  });
});

describe('the bench of what is gone', () => {
  it('says so', async () => {
    await open('nobody', 'box');
    expect(screen.getByText('What was selected is no longer there.')).toBeDefined();
  });
});
