import { addFont, editOf, FAMILY_KINDS, LIMITS, removeRecord, type Site, usersOf } from '@cove/core';
import { useRef, useState } from 'react';
import { answer, server } from '../../api/client.ts';
import { fileToSend } from '../../api/fileToSend.ts';
import { problemText } from '../../api/problemText.ts';
import { useCommit, useSession } from '../../session/context.tsx';
import { Button } from '../../ui/Button.tsx';
import { useLocked } from '../../ui/locked.ts';

/** Fonts of one's own: uploaded, read by the server, kept with the site. */
export function OwnFonts({ site }: { site: Site }) {
  const session = useSession();
  const commit = useCommit();
  const locked = useLocked();
  const picker = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState<string | null>(null);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const fonts = [...site.kinds.font.values()];

  const upload = async (files: FileList | null) => {
    const found: string[] = [];
    for (const file of files ?? []) {
      setBusy(file.name);
      try {
        const facts = await answer(
          server.POST('/api/sites/{site}/fonts', {
            params: { path: { site: session.id } },
            ...fileToSend(file, LIMITS.upload.fontBytes),
          }),
        );
        const edits = addFont(session.site, facts);
        if (edits.length === 0) found.push(`${file.name} is there already.`);
        else commit(edits, `Upload ${facts.family}`);
      } catch (error) {
        found.push(`${file.name}: ${problemText(error)}`);
      }
    }
    setBusy(null);
    setProblems(found);
    if (picker.current) picker.current.value = '';
  };
  const used = (family: string) =>
    [...site.kinds.token.values()].some(
      it =>
        it.value.type === 'fontFamily' && it.value.value.includes(family) && usersOf(site, it.id).length > 0,
    );
  return (
    <div className="grid gap-3">
      <p className="text-muted">
        WOFF2, WOFF, TTF or OTF, up to 4 MB each. Only upload fonts that may be used on the web.
      </p>
      {!locked && (
        <div>
          <input
            ref={picker}
            type="file"
            multiple
            accept=".woff2,.woff,.ttf,.otf"
            aria-label="Font files"
            className="sr-only"
            onChange={event => void upload(event.target.files)}
          />
          <Button kind="main" disabled={busy !== null} onClick={() => picker.current?.click()}>
            {busy === null ? 'Upload fonts…' : `Reading ${busy}…`}
          </Button>
        </div>
      )}
      {problems.map(problem => (
        <p key={problem} role="alert" className="text-madder">
          {problem}
        </p>
      ))}
      {fonts.length === 0 && <p className="text-muted">None yet.</p>}
      <ul aria-label="Your fonts">
        {fonts.map(font => (
          <li key={font.id} className="flex items-center gap-3 border-t border-hair py-1.5">
            <span className="w-56 truncate text-[18px]" style={{ fontFamily: `"${font.family}"` }}>
              {font.family}
            </span>
            <span className="text-muted">
              {font.cut},{' '}
              {font.weightFrom === font.weightTo ? font.weightFrom : `${font.weightFrom}–${font.weightTo}`},{' '}
              {font.format}, {Math.round(font.bytes / 1024)} KB
            </span>
            <select
              aria-label={`Kind of ${font.family}`}
              value={font.category}
              disabled={locked}
              onChange={event => {
                const category = FAMILY_KINDS.find(it => it === event.target.value);
                if (category) commit([editOf(font).set('category', category)], `Change ${font.family}`);
              }}
              className="ml-auto h-6 rounded-sm border border-hair bg-paper"
            >
              {FAMILY_KINDS.map(it => (
                <option key={it}>{it}</option>
              ))}
            </select>
            {!locked && (
              <Button
                kind="link"
                disabled={used(font.family)}
                title={used(font.family) ? 'A voice in use relies on it' : undefined}
                onClick={() => commit([removeRecord(font.id)], `Remove ${font.family}`)}
              >
                Remove
              </Button>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}
