import { groupBy, WIDGETS } from '@cove/core';
import { Command } from 'cmdk';
import { useMemo, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { useActsOffered } from '../acts/stationActs.tsx';
import { useGo } from '../navigation/go.ts';
import { useSession, useSite } from '../session/context.tsx';
import { type Entry, GROUPS, type Group, guideEntries, stationEntries, thingEntries } from './entries.ts';

/** How well an entry fits: all words must be in it, and its own name counts most; what it only says counts least. */
function fit({ label, note, words: more, isSaid }: Entry, words: readonly string[]): number {
  const name = isSaid ? '' : label.toLowerCase();
  const text = `${label} ${note} ${more}`.toLowerCase();
  if (!words.every(word => text.includes(word))) return 0;
  if (words[0] !== undefined && name.startsWith(words[0])) return 1;
  return words.every(word => name.includes(word)) ? 0.8 : 0.5;
}

/** Entries that fit what is looked for, group by group, the best of each and of all first; all of them where nothing is looked for. */
function found(entries: readonly Entry[], search: string): [Group, readonly Entry[]][] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const fitting = entries
    .map(entry => ({ entry, score: fit(entry, words) }))
    .filter(it => it.score > 0)
    .sort((a, b) => b.score - a.score);
  const best = new Map<Group, number>();
  for (const { entry, score } of fitting) best.set(entry.group, Math.max(score, best.get(entry.group) ?? 0));
  const groups = groupBy(fitting, it => it.entry.group);
  return GROUPS.filter(it => groups.has(it))
    .sort((a, b) => (best.get(b) ?? 0) - (best.get(a) ?? 0))
    .map(group => [group, (groups.get(group) ?? []).map(it => it.entry)]);
}

/** Finds every act, page, section, widget, token, scheme, style, preset and property by its name or an everyday word. */
export function Palette({
  onClose,
  onKeys,
  onGlossary,
  onSettings,
}: {
  onClose(): void;
  onKeys(): void;
  /** At a word, or at the beginning. */
  onGlossary(word: string | null): void;
  onSettings(): void;
}) {
  const site = useSite();
  const session = useSession();
  const navigate = useNavigate();
  const location = useLocation();
  const go = useGo();
  const [search, setSearch] = useState('');
  const guide = useMemo(() => guideEntries(site), [site]);
  const things = useMemo(() => thingEntries(site, search), [site, search]);
  const actsOffered = useActsOffered();
  const [here] = useState(() => stationEntries(actsOffered()));
  const groups = useMemo(() => found([...here, ...guide, ...things], search), [here, guide, things, search]);
  const choose = ({ act }: Entry) => {
    onClose();
    switch (act.type) {
      case 'go':
        go(act.id);
        break;
      case 'open':
        void navigate(`/sites/${session.id}/${act.path}`);
        break;
      case 'run':
        act.run();
        break;
      case 'find': {
        const picked = new URLSearchParams(location.search);
        const onBench = ['node', 'element', 'preset'].some(it => picked.has(it));
        if (!onBench) picked.set('element', WIDGETS[0]?.name ?? '');
        picked.set('find', act.css);
        void navigate(`${onBench ? location.pathname : `/sites/${session.id}/guide`}?${picked}`);
        break;
      }
      case 'keys':
        onKeys();
        break;
      case 'glossary':
        onGlossary(act.word);
        break;
      case 'settings':
        onSettings();
        break;
      case 'undo':
        session.undo();
        break;
      case 'redo':
        session.redo();
        break;
    }
  };
  return (
    <Command.Dialog
      open
      onOpenChange={open => !open && onClose()}
      label="Find anything"
      // What fits is worked out here, in one go with what is listed.
      shouldFilter={false}
      overlayClassName="fixed inset-0 z-40 bg-black/35"
      contentClassName="fixed top-[12vh] left-1/2 z-50 w-[min(600px,94vw)] -translate-x-1/2 overflow-hidden rounded-md border border-hair bg-paper text-base text-ink shadow-xl"
    >
      <Command.Input
        value={search}
        onValueChange={setSearch}
        placeholder="Find a command, page, swatch or property…"
        className="h-11 w-full border-b border-hair bg-transparent px-4 text-[15px] outline-none"
      />
      <Command.List className="thin-scroll max-h-[56vh] overflow-auto px-2 py-2">
        <Command.Empty className="px-2 py-3 text-muted">No results.</Command.Empty>
        {groups.map(([group, entries]) => (
          <Command.Group
            key={group}
            heading={group}
            className="[&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:pb-0.5 [&_[cmdk-group-heading]]:text-small [&_[cmdk-group-heading]]:font-semibold [&_[cmdk-group-heading]]:text-muted"
          >
            {entries.map(it => (
              <Command.Item
                key={it.key}
                value={`${group} ${it.key}`}
                onSelect={() => choose(it)}
                className="flex h-7 cursor-default items-center gap-3 rounded-sm px-2 data-[selected=true]:bg-wash data-[selected=true]:text-teal"
              >
                <span className="truncate">{it.label}</span>
                <span className="ml-auto shrink-0 font-mono text-[11px] text-muted">{it.note}</span>
              </Command.Item>
            ))}
          </Command.Group>
        ))}
      </Command.List>
    </Command.Dialog>
  );
}
