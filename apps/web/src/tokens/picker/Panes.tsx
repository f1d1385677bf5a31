import {
  addToken,
  type Color,
  colorName,
  type Edit,
  fail,
  ok,
  type Site,
  type TokenRecord,
  type TokenType,
  type Value,
} from '@cove/core';
import { ChevronLeft } from 'lucide-react';
import { lazy, type ReactNode, Suspense, useEffect, useRef, useState } from 'react';
import { Button } from '../../ui/Button.tsx';
import { ColorSliders } from '../../ui/ColorSliders.tsx';
import type { AddOption } from './usePicker.ts';

/** What takes the place of the list: it takes the focus, and leads back. */
function Pane({ title, onBack, children }: { title: string; onBack(): void; children: ReactNode }) {
  const box = useRef<HTMLElement>(null);
  useEffect(() => {
    const wanted = box.current?.querySelector<HTMLElement>('[data-first], input, button');
    wanted?.focus();
    if (wanted instanceof HTMLInputElement && wanted.type === 'text') wanted.select();
  }, []);
  return (
    <section
      ref={box}
      aria-label={title}
      className="thin-scroll max-h-[min(80vh,var(--radix-popover-content-available-height))] overflow-auto px-3.5 py-1"
    >
      <h3 className="mb-2 flex items-center gap-1 font-semibold">
        <button
          type="button"
          aria-label="Back to the list"
          className="-ml-1.5 rounded-sm p-0.5 text-muted hover:text-teal"
          onClick={onBack}
        >
          <ChevronLeft size={14} aria-hidden />
        </button>
        {title}
      </h3>
      {children}
    </section>
  );
}

const GREY: Color = { space: 'oklch', coords: [0.5, 0.1, 200], alpha: 1 };

/** A colour of one's own, which follows no token. */
export function CustomPane({
  color,
  onBack,
  onShow,
  onCommit,
}: {
  color: Color | null;
  onBack(): void;
  onShow(value: Value): void;
  onCommit(value: Value): void;
}) {
  return (
    <Pane title="Custom colour" onBack={onBack}>
      <ColorSliders
        color={color ?? GREY}
        onShow={value => onShow({ type: 'color', value })}
        onCommit={value => onCommit({ type: 'color', value })}
      />
      <p className="pt-2 text-small text-muted">Loose: it follows no token. Add it as a token to reuse it.</p>
    </Pane>
  );
}

/** Planes and derivations come when a token is to be changed. */
const TokenEditor = lazy(async () => ({ default: (await import('../TokenEditor.tsx')).TokenEditor }));

export function EditPane({
  site,
  token,
  onBack,
  onMade,
}: {
  site: Site;
  token: TokenRecord;
  onBack(): void;
  onMade(id: string): void;
}) {
  return (
    <Pane title={`Edit ${token.name}`} onBack={onBack}>
      <Suspense fallback={<p className="text-muted">Loading…</p>}>
        <TokenEditor site={site} token={token} onGone={onBack} onMade={onMade} />
      </Suspense>
    </Pane>
  );
}

const GROUP_OF_TYPE: Record<TokenType, string> = {
  color: 'Brand',
  dimension: 'Space',
  number: 'Numbers',
  duration: 'Motion',
  cubicBezier: 'Motion',
  fontFamily: 'Voices',
  shadow: 'Shadows',
  gradient: 'Gradients',
};

const suggestedName = (value: Value, text: string): string =>
  value.type === 'color' ? colorName(value.value) : text;

/** Makes a token of a value that was typed, and has the value follow it. */
export function AddPane({
  site,
  option: { type, value, text, group: wanted },
  onBack,
  onAdd,
}: {
  site: Site;
  option: AddOption;
  onBack(): void;
  onAdd(id: string, edits: readonly Edit[]): void;
}) {
  const groups = [
    ...new Set([...site.kinds.token.values()].filter(it => it.type === type).map(it => it.group)),
  ];
  const [name, setName] = useState(() => suggestedName(value, text));
  const [group, setGroup] = useState(
    wanted !== null && groups.includes(wanted) ? wanted : (groups[0] ?? GROUP_OF_TYPE[type]),
  );
  const named =
    name.trim() === '' ? fail({ code: 'empty', message: 'A token needs a name.' }) : ok(name.trim());
  return (
    <Pane title={`Add ${text} as a token`} onBack={onBack}>
      <form
        className="grid gap-2"
        onSubmit={event => {
          event.preventDefault();
          if (!named.ok) return;
          const made = addToken(site, { type, group, name: named.value, value });
          onAdd(made.id, made.edits);
        }}
      >
        <label className="grid gap-0.5">
          <span className="label-line">Name</span>
          <input
            type="text"
            data-first
            value={name}
            maxLength={80}
            onChange={event => setName(event.target.value)}
            className="h-7 rounded border border-hair bg-paper px-2"
          />
        </label>
        <label className="grid gap-0.5">
          <span className="label-line">Group</span>
          <select
            value={group}
            onChange={event => setGroup(event.target.value)}
            className="h-7 rounded border border-hair bg-paper px-1"
          >
            {[...new Set([group, ...groups])].map(it => (
              <option key={it}>{it}</option>
            ))}
          </select>
        </label>
        {!named.ok && (
          <p role="alert" className="text-small text-madder">
            {named.problem.message}
          </p>
        )}
        <Button kind="main" type="submit" disabled={!named.ok} className="justify-self-start">
          Add token
        </Button>
      </form>
    </Pane>
  );
}
