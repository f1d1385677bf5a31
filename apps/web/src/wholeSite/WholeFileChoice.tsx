import type { SiteRecord } from '@cove/core';
import { type ChangeEvent, useRef } from 'react';
import { Button } from '../ui/Button.tsx';
import { DropZone } from '../ui/DropZone.tsx';
import type { WholeFile } from './messages.ts';
import type { WholeFileState } from './useWholeFile.ts';

const counted = (n: number, word: string) => `${n.toLocaleString('en')} ${word}${n === 1 ? '' : 's'}`;

/** What a whole site has, in one line. */
function contentsOf({ records }: WholeFile): string {
  const count = (kind: SiteRecord['kind']) => records.filter(it => it.kind === kind).length;
  return [
    counted(count('page'), 'page'),
    counted(count('section'), 'section'),
    counted(count('widget'), 'widget'),
    counted(count('token'), 'token'),
    counted(count('asset'), 'file'),
  ].join(' · ');
}

/** A file of a whole site, chosen or dropped, and what is in it. */
export function WholeFileChoice({
  chosen,
  disabled = false,
}: {
  chosen: WholeFileState;
  disabled?: boolean;
}) {
  const input = useRef<HTMLInputElement>(null);
  const { state } = chosen;
  const choose = ({ target }: ChangeEvent<HTMLInputElement>) => {
    const [file] = target.files ?? [];
    target.value = '';
    if (file) chosen.open(file);
  };
  return (
    <DropZone
      className="grid gap-2"
      onDrop={({
        dataTransfer: {
          files: [file],
        },
      }) => {
        if (file && !disabled) chosen.open(file);
      }}
    >
      <input
        ref={input}
        type="file"
        accept=".zip,.json,application/zip,application/json"
        aria-label="File of a whole site"
        className="sr-only"
        tabIndex={-1}
        onChange={choose}
      />
      <p className="flex items-baseline gap-3">
        <Button kind="line" disabled={disabled} onClick={() => input.current?.click()}>
          {state.type === 'nothing' ? 'Open a file…' : 'Open another file…'}
        </Button>
        {state.type !== 'nothing' && <span className="min-w-0 truncate text-muted">{state.file.name}</span>}
      </p>
      {state.type === 'reading' && (
        <p role="status" className="text-muted">
          Reading…
        </p>
      )}
      {state.type === 'problem' && (
        <p role="alert" className="text-madder">
          {state.message}
        </p>
      )}
      {state.type === 'read' && (
        <div>
          <p className="font-semibold">{state.whole.name}</p>
          <p className="text-small text-muted">{contentsOf(state.whole)}</p>
        </div>
      )}
    </DropZone>
  );
}
