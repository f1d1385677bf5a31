import { rolesOf, type SchemeRecord } from '@cove/core';
import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { act, cleanup, fireEvent, screen } from '@testing-library/react';
import { roleGroups } from '../src/guide/scheme/roleGroups.ts';
import { SchemePanel } from '../src/guide/scheme/SchemePanel.tsx';
import type { SiteSession } from '../src/session/siteSession.ts';
import { openDemo } from './support/openDemo.tsx';

let session: SiteSession;
let opened: (string | null)[] = [];
const scheme = (id: string): SchemeRecord => {
  const found = session.site.kinds.scheme.get(id);
  if (!found) throw new Error(`no scheme ${id}`);
  return found;
};
async function open(id: string) {
  const demo = await openDemo();
  session = demo.session;
  opened = [];
  demo.show(site => {
    const shown = site.kinds.scheme.get(id);
    return shown && <SchemePanel site={site} scheme={shown} onOpen={it => opened.push(it)} />;
  });
}
afterEach(() => {
  cleanup();
  session.close();
});

describe('a scheme', () => {
  beforeEach(() => open('heather-moor'));

  it('is turned to its dark face and back, in steps of its own', () => {
    const before = scheme('heather-moor').face;
    fireEvent.click(screen.getByRole('radio', { name: before === 'dark' ? 'Light' : 'Dark' }));
    expect(scheme('heather-moor').face).not.toBe(before);
    act(() => session.undo());
    expect(scheme('heather-moor').face).toBe(before);
  });

  it('becomes the site’s own', () => {
    fireEvent.click(screen.getByRole('button', { name: 'Make it the site’s' }));
    expect(session.store.getState().undoLabel).toBe(`Make ${scheme('heather-moor').name} the site’s scheme`);
    expect(screen.getByText('The site’s own scheme')).toBeDefined();
  });

  it('is duplicated, and the copy opened', () => {
    const { size } = session.site.kinds.scheme;
    fireEvent.click(screen.getByRole('button', { name: 'Duplicate' }));
    expect(session.site.kinds.scheme.size).toBe(size + 1);
    expect(session.site.kinds.scheme.has(opened[0] ?? '')).toBe(true);
  });

  it('says that all can be read, until a role can be no longer', () => {
    expect(screen.getByText('All text is readable.')).toBeDefined();
    const { surface } = scheme('heather-moor').roles;
    if (!surface) throw new Error('no surface');
    act(
      () =>
        void session.commit(
          [{ op: 'set', id: 'heather-moor', path: ['roles', 'text'], value: surface }],
          'Prepare',
        ),
    );
    expect(screen.getByText(/roles? below the required contrast\.$/)).toBeDefined();
  });
});

describe('roles in groups', () => {
  it('hold every role once', async () => {
    await open('daymark');
    const roles = rolesOf(session.site);
    const grouped = roleGroups(roles).flatMap(([, list]) => list);
    expect(grouped).toHaveLength(roles.length);
    expect(new Set(grouped)).toEqual(new Set(roles));
  });
});
