import './style.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate } from 'react-router';
// Only this one can show a navigation at once (flushSync).
import { RouterProvider } from 'react-router/dom';
import { Toaster } from 'sonner';
import { Welcome } from './front/Welcome.tsx';
import { Broken } from './shell/Broken.tsx';
import { STATIONS } from './stations/index.ts';

const queries = new QueryClient({ defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: false } } });

const waiting = <p className="p-4 text-muted">Loading…</p>;

const router = createBrowserRouter([
  { path: '/', element: <Welcome />, ErrorBoundary: Broken },
  {
    path: '/sites/:site',
    lazy: async () => ({ Component: (await import('./shell/OpenSite.tsx')).OpenSite }),
    HydrateFallback: () => waiting,
    ErrorBoundary: Broken,
    children: [
      // Below the bar on top, so that a station that breaks leaves undo and the others within reach.
      {
        ErrorBoundary: Broken,
        children: [
          {
            index: true,
            lazy: async () => ({ Component: (await import('./shell/FirstStation.tsx')).FirstStation }),
          },
          ...STATIONS.flatMap(({ paths, load }) =>
            paths.map(path => ({ path, lazy: async () => ({ Component: await load() }) })),
          ),
        ],
      },
    ],
  },
  {
    path: '/new',
    lazy: async () => ({ Component: (await import('./front/newSite/NewSitePage.tsx')).NewSitePage }),
    HydrateFallback: () => waiting,
    ErrorBoundary: Broken,
  },
  {
    path: '/account',
    lazy: async () => ({ Component: (await import('./front/AccountPage.tsx')).AccountPage }),
    HydrateFallback: () => waiting,
    ErrorBoundary: Broken,
  },
  {
    path: '/account/ask',
    lazy: async () => ({ Component: (await import('./front/AskLink.tsx')).AskLink }),
    HydrateFallback: () => waiting,
    ErrorBoundary: Broken,
  },
  {
    path: '/account/link',
    lazy: async () => ({ Component: (await import('./front/UseLink.tsx')).UseLink }),
    HydrateFallback: () => waiting,
    ErrorBoundary: Broken,
  },
  {
    path: '/join',
    lazy: async () => ({ Component: (await import('./front/Join.tsx')).Join }),
    HydrateFallback: () => waiting,
    ErrorBoundary: Broken,
  },
  {
    path: '/outbox',
    lazy: async () => ({ Component: (await import('./front/OutboxPage.tsx')).OutboxPage }),
    HydrateFallback: () => waiting,
    ErrorBoundary: Broken,
  },
  { path: '*', element: <Navigate to="/" replace /> },
]);

const root = document.getElementById('root');
if (root)
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <RouterProvider router={router} />
        <Toaster position="bottom-center" toastOptions={{ className: 'font-sans!', duration: 5000 }} />
      </QueryClientProvider>
    </StrictMode>,
  );
