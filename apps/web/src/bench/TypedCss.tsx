import { parseDeclarations, propertyByCss, type Site, type TypedDeclarations } from '@cove/core';
import { useEffect, useState } from 'react';
import { Button } from '../ui/Button.tsx';
import { useLocked } from '../ui/locked.ts';

/** What is wrong with declarations that are not followed; undefined until the grammars of CSS are there. */
function useCssProblem(declarations: TypedDeclarations['unfollowed']): string | null | undefined {
  const [check, setCheck] = useState<((css: string, value: string) => string | null) | null>(null);
  const asked = declarations.length > 0;
  useEffect(() => {
    if (asked) void import('./cssProblem.ts').then(({ cssProblem }) => setCheck(() => cssProblem));
  }, [asked]);
  if (!asked) return null;
  if (!check) return undefined;
  for (const [css, value] of declarations) {
    const problem = check(css, value);
    if (problem !== null) return problem;
  }
  return null;
}

/** Lines of CSS for what no row sets: each property that the guide follows becomes a value, the others are passed through. */
export function OwnDeclarations(
  props: Omit<Parameters<typeof TypedCss>[0], 'source' | 'apply'> & {
    /** True where they were set. */
    apply(typed: TypedDeclarations): boolean;
  },
) {
  const [source, setSource] = useState('');
  const locked = useLocked();
  if (locked) return null;
  return (
    <details className="pt-1">
      <summary className="cursor-pointer text-muted">Own declarations</summary>
      <div className="grid gap-1.5 pt-1">
        <textarea
          aria-label="Own declarations"
          rows={3}
          spellCheck={false}
          placeholder={'background-blend-mode: multiply;\npadding-top: 24px;'}
          value={source}
          onChange={event => setSource(event.target.value)}
          className="w-full resize-y rounded border border-hair bg-paper px-2 py-1 font-mono text-[12px]"
        />
        {source.trim() !== '' && (
          <TypedCss {...props} source={source} apply={typed => props.apply(typed) && setSource('')} />
        )}
      </div>
    </details>
  );
}

/** CSS typed into the search field is offered as what it says: values that are followed, and declarations that are not. */
export function TypedCss({
  site,
  source,
  takesUnfollowed,
  apply,
}: {
  site: Site;
  source: string;
  /** Whether what is not followed can be set here. */
  takesUnfollowed: boolean;
  apply(typed: TypedDeclarations): void;
}) {
  const locked = useLocked();
  const isCss = !locked && source.includes(':');
  const read = isCss ? parseDeclarations(source, site.kinds.token, propertyByCss, site.kinds.role) : null;
  const { followed, unfollowed } = read?.ok ? read.value : { followed: [], unfollowed: [] };
  const problem = useCssProblem(unfollowed);
  if (!read)
    return (
      <p className="text-muted">
        No property has that name. Try an everyday word, such as “space around”
        {locked ? '.' : ', or type CSS, such as padding-top: 1rem.'}
      </p>
    );
  if (!read.ok) return <p className="text-madder">{read.problem.message}</p>;
  if (unfollowed.length > 0 && !takesUnfollowed)
    return <p className="text-madder">{unfollowed[0]?.[0]} is not supported here.</p>;
  if (problem) return <p className="text-madder">{problem}</p>;
  return (
    <div className="grid justify-items-start gap-2">
      {unfollowed.length > 0 && (
        <p className="text-muted">
          {unfollowed.map(([css]) => css).join(', ')} is passed through as typed. The guide does not track it.
        </p>
      )}
      <Button kind="main" disabled={problem === undefined} onClick={() => apply(read.value)}>
        Set{' '}
        {[...followed.map(([row]) => row.label.toLowerCase()), ...unfollowed.map(([css]) => css)].join(', ')}
      </Button>
    </div>
  );
}
