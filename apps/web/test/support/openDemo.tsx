import { allRecords, type Site } from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import type { SiteSummary } from '../../src/api/types.ts';
import { SessionProvider, useSite } from '../../src/session/context.tsx';
import { SiteSession } from '../../src/session/siteSession.ts';
import { KeptChoices } from '../../src/ui/KeptChoices.tsx';

/** What is asked of the worker beside the tab; it answers only where a test has it answer. */
export interface Asked {
  type: string;
  ask?: number;
}

/** A worker that keeps what it is asked, and answers what a test wants. */
export class FakeWorker {
  static answers: (asked: Asked) => object | null = () => null;
  static asked: Asked[] = [];
  private readonly listeners: ((event: { data: unknown }) => void)[] = [];
  addEventListener(_name: string, listener: (event: { data: unknown }) => void) {
    this.listeners.push(listener);
  }
  postMessage(asked: Asked) {
    FakeWorker.asked.push(asked);
    const data = FakeWorker.answers(asked);
    if (data) for (const listener of this.listeners) listener({ data: { ask: asked.ask, ...data } });
  }
  terminate() {}
}

type View = (site: Site) => ReactNode;
const Following = ({ view }: { view: View }) => view(useSite());

/** Opens the demo as a tab does; its server takes every change and never answers, so that nothing comes after a test. */
export async function openDemo(role: SiteSummary['role'] = 'designer') {
  const records = [...allRecords(tolvane(() => 'abcdef0123456789.webp'))];
  Object.assign(globalThis, {
    Worker: FakeWorker,
    EventSource: class {
      addEventListener() {}
      close() {}
    },
    fetch: (request: Request) =>
      request.method === 'GET'
        ? Promise.resolve({
            ok: true,
            status: 200,
            headers: new Headers(),
            text: async () => JSON.stringify({ seq: 1, records }),
          })
        : new Promise(() => {}),
  });
  FakeWorker.asked = [];
  const summary: SiteSummary = {
    id: 'tolvane',
    name: 'Tolvane Ferries',
    seq: 1,
    address: '/sites/tolvane',
    archived: false,
    changed: null,
    home: 'home',
    live: null,
    role,
    keeperMay: 'content',
  };
  const session = await SiteSession.open('tolvane', () => {}, {
    rights: { role: summary.role, keeperMay: summary.keeperMay },
  });
  return {
    session,
    /** Shows a view of the open site, which follows it. */
    show: (view: View) =>
      render(
        <QueryClientProvider client={new QueryClient()}>
          <MemoryRouter initialEntries={['/sites/tolvane/guide']}>
            <SessionProvider session={session} summary={summary}>
              <KeptChoices>
                <Following view={view} />
              </KeptChoices>
            </SessionProvider>
          </MemoryRouter>
        </QueryClientProvider>,
      ),
  };
}
