import { Redo2, Search, Settings2, Undo2 } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { NavLink, Outlet, useParams } from 'react-router';
import { useOpened, useSessionState, useSite } from '../session/context.tsx';
import { STATIONS } from '../stations/index.ts';
import { Button } from '../ui/Button.tsx';
import { KeptChoices } from '../ui/KeptChoices.tsx';
import { Losses } from './Losses.tsx';
import { People } from './PeopleSheet.tsx';
import { Panes } from './panes.ts';
import { StationLink } from './StationLink.tsx';
import { SyncWords } from './SyncWords.tsx';
import { usePresence } from './usePresence.ts';

const KeysSheet = lazy(async () => ({ default: (await import('./KeysSheet.tsx')).KeysSheet }));
const GlossarySheet = lazy(async () => ({
  default: (await import('../glossary/GlossarySheet.tsx')).GlossarySheet,
}));
const Palette = lazy(async () => ({ default: (await import('../palette/Palette.tsx')).Palette }));

const SiteSheet = lazy(async () => ({
  default: (await import('../siteSettings/SiteSheet.tsx')).SiteSheet,
}));

const KEEPER = {
  content: 'You can change text and pictures',
  choice: 'You can change text and pictures, and choose from the guide',
  style: 'You can change everything but the guide',
} as const;

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || target.matches('input:not([type=range]), textarea, select'));

/** Whether undo belongs to what is being typed: a field that holds nothing new leaves it to the program. */
const undoesTyping = (target: EventTarget | null) =>
  isTyping(target) && !(target instanceof HTMLElement && target.dataset.settled !== undefined);

/** The settings follow the site while they are open. */
function OpenSettings({ onClose }: { onClose(): void }) {
  const site = useSite();
  return (
    <Suspense>
      <SiteSheet site={site} onClose={onClose} />
    </Suspense>
  );
}

/** The bar on top and the station below it. */
export function Shell() {
  const { session, summary } = useOpened();
  const { site: siteId = '', page } = useParams();
  const undoLabel = useSessionState(state => state.undoLabel);
  const redoLabel = useSessionState(state => state.redoLabel);
  const home = useSessionState(state => [...state.site.kinds.settings.values()][0]?.home);
  const name = useSessionState(state => [...state.site.kinds.settings.values()][0]?.name ?? summary.name);

  usePresence();
  const [panes] = useState(() => new Panes());
  useEffect(() => panes.remember(), [panes]);
  const [finding, setFinding] = useState(false);
  const [keys, setKeys] = useState(false);
  const [settings, setSettings] = useState(false);
  const [glossary, setGlossary] = useState<{ word: string | null } | null>(null);

  useEffect(() => {
    document.title = `${name} – Cove Thread`;
    const onKey = (event: KeyboardEvent) => {
      if (event.key === '?' && !isTyping(event.target)) setKeys(true);
      if (event.key === 'F6' && document.querySelector('[role=dialog]') === null) {
        event.preventDefault();
        panes.focusNext(event.shiftKey);
        return;
      }
      if (!(event.ctrlKey || event.metaKey)) return;
      const key = event.key.toLowerCase();
      if (key === 'k') {
        event.preventDefault();
        setFinding(true);
        return;
      }
      if (undoesTyping(event.target)) return;
      if (key === 'z' && !event.shiftKey) session.undo();
      else if (key === 'y' || (key === 'z' && event.shiftKey)) session.redo();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [session, name, panes]);

  return (
    <div className="relative grid h-full grid-rows-[48px_minmax(0,1fr)] overflow-clip">
      <header
        data-pane
        className="grid grid-cols-[minmax(0,1fr)_auto_auto] items-center gap-x-3 border-b min-[980px]:grid-cols-[1fr_auto_1fr] border-hair bg-paper px-4"
      >
        <h1 className="flex items-baseline gap-2 truncate text-base font-normal">
          <NavLink to="/" className="truncate text-[14px] font-semibold hover:underline" title="All sites">
            {name}
          </NavLink>
          <span
            className="text-muted"
            title={summary.role === 'keeper' ? KEEPER[summary.keeperMay] : undefined}
          >
            draft{summary.role !== 'designer' && `, as ${summary.role}`}
          </span>
          <Button
            className="self-center px-1!"
            aria-label="Site settings"
            title="Site settings: name, language, icon, address, widths"
            onClick={() => setSettings(true)}
          >
            <Settings2 size={14} aria-hidden />
          </Button>
        </h1>
        <nav aria-label="Stations" className="relative h-full">
          <ol className="flex h-full gap-14 max-[980px]:gap-6">
            {STATIONS.map(station => (
              <li key={station.name} className="relative flex items-center">
                <StationLink station={station} to={`/sites/${siteId}/${station.name}`} />
              </li>
            ))}
          </ol>
          <span className="absolute inset-x-5 bottom-[9px] h-px bg-hair" aria-hidden />
        </nav>
        <div className="flex items-center justify-end gap-1">
          <Button onClick={() => setFinding(true)} title="Find anything (Ctrl+K)">
            <Search size={14} aria-hidden /> <span className="max-[980px]:sr-only">Find</span>
          </Button>
          <Button
            onClick={() => session.undo()}
            disabled={undoLabel === null}
            title={undoLabel ? `Undo: ${undoLabel} (Ctrl+Z)` : 'Nothing to undo'}
          >
            <Undo2 size={14} aria-hidden /> <span className="max-[980px]:sr-only">Undo</span>
          </Button>
          <Button
            onClick={() => session.redo()}
            disabled={redoLabel === null}
            title={redoLabel ? `Redo: ${redoLabel} (Ctrl+Y)` : 'Nothing to redo'}
          >
            <Redo2 size={14} aria-hidden /> <span className="max-[980px]:sr-only">Redo</span>
          </Button>
          <SyncWords />
          <People />
          <a
            href={`/api/sites/${siteId}/pages/${page ?? home ?? ''}/preview`}
            target="_blank"
            rel="noreferrer"
            className="ml-1 inline-flex h-7 items-center rounded border border-hair px-3 font-semibold hover:bg-ground"
          >
            Preview
          </a>
        </div>
      </header>
      <main className="min-h-0">
        <KeptChoices>
          <Outlet />
        </KeptChoices>
      </main>
      <Losses />
      {finding && (
        <Suspense>
          <Palette
            onClose={() => setFinding(false)}
            onKeys={() => setKeys(true)}
            onGlossary={word => setGlossary({ word })}
            onSettings={() => setSettings(true)}
          />
        </Suspense>
      )}
      {glossary && (
        <Suspense>
          <GlossarySheet word={glossary.word} onClose={() => setGlossary(null)} />
        </Suspense>
      )}
      {settings && <OpenSettings onClose={() => setSettings(false)} />}
      {keys && (
        <Suspense>
          <KeysSheet onClose={() => setKeys(false)} />
        </Suspense>
      )}
    </div>
  );
}
