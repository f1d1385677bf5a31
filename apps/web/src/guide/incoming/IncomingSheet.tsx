import { compareIncoming, type Id, type Site, takeIncoming } from '@cove/core';
import type { SourceFile } from '@cove/core/incoming';
import { fromEvent } from 'file-selector';
import { X } from 'lucide-react';
import { type ChangeEvent, type DragEvent, useMemo, useRef, useState } from 'react';
import { ImpactNote } from '../../reach/ImpactNote.tsx';
import { useCommit } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { DropZone } from '../../ui/DropZone.tsx';
import { NameField } from '../../ui/NameField.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { filesOf } from './filesOf.ts';
import { IncomingList } from './IncomingList.tsx';
import { NoticedList } from './NoticedList.tsx';
import { useIncoming } from './useIncoming.ts';

type View = 'all' | 'new' | 'changed' | 'same' | 'missing' | 'noticed';

const counted = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`;

/** Tokens, colours and style sheets from elsewhere: read as they are typed or opened, seen before they are taken. */
export function IncomingSheet({ site, onClose }: { site: Site; onClose(): void }) {
  const commit = useCommit();
  const chooseFiles = useRef<HTMLInputElement>(null);
  const chooseFolder = useRef<HTMLInputElement>(null);
  const [text, setText] = useState('');
  const [opened, setOpened] = useState<readonly SourceFile[]>([]);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [group, setGroup] = useState('Pasted');
  const [view, setView] = useState<View>('all');
  const [said, setLeft] = useState<ReadonlySet<Id> | null>(null);
  const files = useMemo(() => (opened.length > 0 ? opened : [{ name: '', text }]), [opened, text]);
  const state = useIncoming(files);
  const incoming = state.type === 'read' ? state.incoming : null;
  /** What is rare in a survey is not taken unless somebody says so. */
  const left = useMemo(
    () => said ?? new Set(incoming?.items.flatMap(({ uses, record }) => (uses?.isRare ? [record.id] : []))),
    [said, incoming],
  );
  const compared = useMemo(() => incoming && compareIncoming(site, incoming, group), [site, incoming, group]);
  const chosen = useMemo(
    () =>
      new Set(
        [...(compared?.items ?? []), ...(compared?.schemes ?? [])].flatMap(it => {
          const { id } = 'record' in it ? it.record : it.scheme;
          return it.state === 'same' || left.has(id) ? [] : [id];
        }),
      ),
    [compared, left],
  );
  const taken = useMemo(() => compared && takeIncoming(site, compared, chosen), [site, compared, chosen]);
  const open = async (list: readonly File[]) => {
    const found = await filesOf(list);
    setProblems(found.problems);
    if (found.files.length === 0) return;
    setOpened(found.files);
    setGroup('Imported');
    setLeft(null);
    setView('all');
  };
  /** The same files can be chosen again. */
  const choose = ({ target }: ChangeEvent<HTMLInputElement>) => {
    const list = [...(target.files ?? [])];
    target.value = '';
    void open(list);
  };
  const drop = async (event: DragEvent) => {
    const list = await fromEvent(event.nativeEvent);
    await open(list.flatMap(it => (it instanceof File ? [it] : (it.getAsFile() ?? []))));
  };
  const take = () => {
    if (taken && commit(taken.edits, 'Import into the guide')) onClose();
  };
  const count = (its: 'new' | 'changed' | 'same') =>
    [...(compared?.items ?? []), ...(compared?.schemes ?? [])].filter(it => it.state === its).length;
  const unread = incoming?.findings.filter(it => it.kind === 'unread').length ?? 0;
  const noticed = incoming?.findings.length ?? 0;
  const number = taken?.ids.length ?? 0;
  const shown = view === 'noticed' && noticed === 0 ? 'all' : view;
  return (
    <Sheet
      title="Paste or import"
      about="Colours, design tokens, style sheets or a site: text, files, a folder or a zip"
      wide
      onClose={onClose}
      foot={
        <>
          <input
            ref={chooseFiles}
            type="file"
            multiple
            accept=".json,.css,.scss,.less,.html,.htm,.txt,.tokens,.zip,application/json,text/css,text/html,text/plain,application/zip"
            aria-label="Files of tokens or colours"
            className="sr-only"
            onChange={choose}
          />
          <input
            ref={element => {
              chooseFolder.current = element;
              element?.setAttribute('webkitdirectory', '');
            }}
            type="file"
            multiple
            aria-label="A folder of tokens"
            className="sr-only"
            onChange={choose}
          />
          <Button onClick={() => chooseFiles.current?.click()}>Open files…</Button>
          <Button className="mr-auto" onClick={() => chooseFolder.current?.click()}>
            Open a folder…
          </Button>
          <Button onClick={onClose}>Cancel</Button>
          <Button kind="main" disabled={number === 0} onClick={take}>
            {number === 0 ? 'Import' : `Import ${number}`}
          </Button>
        </>
      }
    >
      <DropZone className="grid gap-3" onDrop={event => void drop(event)}>
        {opened.length > 0 ? (
          <p className="flex flex-wrap items-baseline gap-x-3">
            <span className="font-semibold">
              {opened.length === 1 ? opened[0]?.name : counted(opened.length, 'file')}
            </span>
            <span className="text-muted">
              {[...new Set(incoming?.sources.map(it => it.dialect))].join(', ')}
            </span>
            <Button
              kind="link"
              className="h-5! text-small"
              onClick={() => {
                setOpened([]);
                setProblems([]);
              }}
            >
              <X size={12} aria-hidden /> Close {opened.length === 1 ? 'the file' : 'the files'}
            </Button>
          </p>
        ) : (
          <textarea
            ref={element => {
              if (text === '') element?.focus();
            }}
            aria-label="Colours or tokens"
            value={text}
            onChange={event => {
              setText(event.target.value);
              setLeft(null);
            }}
            rows={compared && compared.items.length > 0 ? 4 : 10}
            spellCheck={false}
            placeholder={'Hull #2a3a5f\n--foam: #f5fbff;\noklch(0.84 0.155 88) Lamp'}
            className="thin-scroll w-full resize-y rounded border border-hair bg-paper p-2 font-mono text-[12px]"
          />
        )}
        {problems.map(it => (
          <p key={it} role="alert" className="text-madder">
            {it}
          </p>
        ))}
        {state.type === 'reading' && (
          <p role="status" className="text-muted">
            Reading…
          </p>
        )}
        {state.type === 'problem' && (
          <p role="alert" className="text-madder">
            {state.message} Nothing was imported.
          </p>
        )}
        {compared && incoming && (
          <div className="grid grid-cols-[minmax(0,1fr)_280px] gap-6">
            <div className="grid content-start gap-2">
              <Choice<View>
                label="What is shown"
                value={shown}
                options={[
                  { value: 'all', label: `All ${compared.items.length + compared.schemes.length}` },
                  { value: 'new', label: `New ${count('new')}` },
                  { value: 'changed', label: `Changed ${count('changed')}` },
                  { value: 'same', label: `Same ${count('same')}` },
                  { value: 'missing', label: `Only in the guide ${compared.missing.length}` },
                  ...(noticed > 0
                    ? [{ value: 'noticed' as const, label: `Noticed ${noticed}`, mark: unread > 0 }]
                    : []),
                ]}
                onChange={setView}
              />
              {shown === 'noticed' ? (
                <NoticedList findings={incoming.findings} />
              ) : (
                <IncomingList site={site} compared={compared} view={shown} left={left} onLeave={setLeft} />
              )}
            </div>
            <div className="grid content-start gap-3">
              {incoming.items.some(it => it.ungrouped && it.record.kind === 'token') && (
                <NameField label="Group for what has none" name={group} onRename={setGroup} />
              )}
              {unread > 0 && (
                <p>
                  <button
                    type="button"
                    className="text-left text-madder hover:underline"
                    onClick={() => setView('noticed')}
                  >
                    {counted(unread, 'value')} could not be read
                  </button>
                </p>
              )}
              {compared.items.length === 0 && <p className="text-muted">Nothing was imported.</p>}
              {taken && number > 0 && (
                <>
                  <p>
                    {[
                      taken.added > 0 && `Adds ${taken.added}`,
                      taken.altered > 0 && `${taken.added > 0 ? 'updates' : 'Updates'} ${taken.altered}`,
                    ]
                      .filter(Boolean)
                      .join(', ')}
                    .
                  </p>
                  {number > chosen.size && (
                    <p className="text-muted">
                      {counted(number - chosen.size, 'token')} that the chosen ones refer to{' '}
                      {number - chosen.size === 1 ? 'comes' : 'come'} along.
                    </p>
                  )}
                  <ImpactNote edits={taken.edits} />
                </>
              )}
              {number === 0 && compared.items.length > 0 && (
                <p className="text-muted">
                  {chosen.size === 0 && count('new') + count('changed') === 0
                    ? 'The guide has all of this already.'
                    : 'Nothing is chosen.'}
                </p>
              )}
            </div>
          </div>
        )}
      </DropZone>
    </Sheet>
  );
}
