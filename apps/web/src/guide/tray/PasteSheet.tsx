import {
  addPasted,
  fail,
  importTokens,
  LIMITS,
  ok,
  type PastedSwatches,
  type Problem,
  pasteSwatches,
  printPainted,
  type ReadTokens,
  readDesignTokens,
  type Site,
  tokenPath,
} from '@cove/core';
import { useDeferredValue, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { ImpactNote } from '../../reach/ImpactNote.tsx';
import { useCommit } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { TypedField } from '../../ui/TypedField.tsx';

type Read =
  | { type: 'nothing' }
  | { type: 'list'; pasted: PastedSwatches }
  | { type: 'file'; tokens: ReadTokens }
  | { type: 'problem'; problem: Problem };

function read(text: string): Read {
  if (text.trim() === '') return { type: 'nothing' };
  if (text.trimStart().startsWith('{')) {
    const result = readDesignTokens(text);
    return result.ok ? { type: 'file', tokens: result.value } : { type: 'problem', problem: result.problem };
  }
  const pasted = pasteSwatches(text);
  return pasted.ok ? { type: 'list', pasted: pasted.value } : { type: 'problem', problem: pasted.problem };
}

/** Colours as people have them at hand, or a token file: read as they are typed, seen before they are taken. */
export function PasteSheet({ site, onClose }: { site: Site; onClose(): void }) {
  const commit = useCommit();
  const file = useRef<HTMLInputElement>(null);
  const [text, setText] = useState('');
  const [group, setGroup] = useState('Pasted');
  const settled = useDeferredValue(text);
  const found = useMemo(() => read(settled), [settled]);
  const imported = useMemo(
    () => (found.type === 'file' ? importTokens(site, found.tokens) : null),
    [found, site],
  );
  const take = () => {
    if (found.type === 'list' && commit(addPasted(site, found.pasted, group).edits, 'Paste swatches'))
      onClose();
    if (imported && commit(imported.edits, 'Import tokens')) onClose();
  };
  const open = async (picked: File | undefined) => {
    if (!picked) return;
    if (picked.size > LIMITS.typed.tokens)
      toast.error(`${picked.name} is larger than ${LIMITS.typed.tokens / 1_000_000} MB.`);
    else setText(await picked.text());
  };
  const swatches = found.type === 'list' ? found.pasted.swatches : [];
  const ready = swatches.length > 0 || (imported !== null && imported.edits.length > 0);
  return (
    <Sheet
      title="Paste or import"
      about="Colours, one per line, CSS custom properties, or a design token file"
      onClose={onClose}
      foot={
        <>
          <input
            ref={file}
            type="file"
            accept=".json,.css,.txt,application/json,text/css,text/plain"
            aria-label="A file of tokens or colours"
            className="sr-only"
            onChange={event => void open(event.target.files?.[0])}
          />
          <Button className="mr-auto" onClick={() => file.current?.click()}>
            Open a file…
          </Button>
          <Button onClick={onClose}>Cancel</Button>
          <Button kind="main" disabled={!ready} onClick={take}>
            {imported
              ? `Import ${imported.ids.length} token${imported.ids.length === 1 ? '' : 's'}`
              : `Add ${swatches.length} swatch${swatches.length === 1 ? '' : 'es'}`}
          </Button>
        </>
      }
    >
      <textarea
        ref={element => {
          if (text === '') element?.focus();
        }}
        aria-label="Colours or tokens"
        value={text}
        onChange={event => setText(event.target.value)}
        rows={8}
        spellCheck={false}
        placeholder={'Hull #2a3a5f\n--foam: #f5fbff;\noklch(0.84 0.155 88) Lamp'}
        className="thin-scroll w-full resize-y rounded border border-hair bg-paper p-2 font-mono text-[12px]"
      />
      {found.type === 'problem' && (
        <p role="alert" className="mt-2 text-madder">
          {found.problem.message} Nothing was imported.
        </p>
      )}
      {found.type === 'list' && (
        <div className="mt-3 grid gap-3">
          {swatches.length > 0 && (
            <>
              <TypedField
                label="Group"
                mono={false}
                text={group}
                className="w-48 [&_input]:border-hair"
                parse={name =>
                  name.trim() === ''
                    ? fail({ code: 'empty', message: 'A group needs a name.' })
                    : ok(name.trim())
                }
                onCommit={setGroup}
              />
              <ul aria-label="Swatches found" className="flex flex-wrap gap-2">
                {swatches.map(({ name, color, follows }) => (
                  <li key={name} className="flex items-center gap-1.5">
                    <span
                      className="size-5 rounded-sm border border-black/15"
                      style={{ background: printPainted(color) }}
                    />
                    {name}
                    {follows !== null && (
                      <span className="text-muted">follows {swatches[follows]?.name}</span>
                    )}
                  </li>
                ))}
              </ul>
            </>
          )}
          {found.pasted.unread.length > 0 && (
            <div>
              <p className="text-muted">These lines have no colour and are skipped:</p>
              <ul className="thin-scroll max-h-24 overflow-auto font-mono text-[11px]">
                {found.pasted.unread.map(({ line, text: words }) => (
                  <li key={`${line} ${words}`}>
                    {line}: {words}
                  </li>
                ))}
              </ul>
            </div>
          )}
        </div>
      )}
      {found.type === 'file' && imported && (
        <div className="mt-3 grid gap-2">
          <p>
            Adds {imported.added}, updates {imported.altered}, leaves{' '}
            {found.tokens.tokens.length - imported.added - imported.altered} unchanged
            {found.tokens.textStyles.length > 0 && `, ${found.tokens.textStyles.length} text styles`}.
          </p>
          <ul aria-label="Tokens found" className="thin-scroll max-h-32 overflow-auto font-mono text-[11px]">
            {found.tokens.tokens.slice(0, 200).map(it => (
              <li key={it.id}>{tokenPath(new Map([[it.id, it]]), it.id)}</li>
            ))}
          </ul>
          {found.tokens.left.length > 0 && (
            <p className="text-muted">
              Left out: {found.tokens.left.map(({ path }) => path).join(', ')}. A guide has no tokens of these
              types.
            </p>
          )}
          <ImpactNote edits={imported.edits} />
        </div>
      )}
    </Sheet>
  );
}
