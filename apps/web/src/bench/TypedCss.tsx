import { parseDeclarations, propertyByCss, type Site, type TypedDeclarations } from '@cove/core';
import { useLocked } from '../session/rights.tsx';
import { Button } from '../ui/Button.tsx';

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
  if (locked || !source.includes(':'))
    return (
      <p className="text-muted">
        No property has that name. Try an everyday word, such as “space around”
        {locked ? '.' : ', or type CSS, such as padding-top: 1rem.'}
      </p>
    );
  const read = parseDeclarations(source, site.kinds.token, propertyByCss, site.kinds.role);
  if (!read.ok) return <p className="text-madder">{read.problem.message}</p>;
  const { followed, unfollowed } = read.value;
  const unknown = unfollowed.find(([css, value]) => !CSS.supports(css, value));
  if (unknown)
    return (
      <p className="text-madder">
        {unknown[0]}: {unknown[1]} is no CSS that this browser knows.
      </p>
    );
  if (unfollowed.length > 0 && !takesUnfollowed)
    return <p className="text-madder">{unfollowed[0]?.[0]} is not followed, and cannot be set here.</p>;
  return (
    <div className="grid justify-items-start gap-2">
      {unfollowed.length > 0 && (
        <p className="text-muted">
          {unfollowed.map(([css]) => css).join(', ')} will be printed as typed. The guide does not reach it.
        </p>
      )}
      <Button kind="main" onClick={() => apply(read.value)}>
        Set{' '}
        {[...followed.map(([row]) => row.label.toLowerCase()), ...unfollowed.map(([css]) => css)].join(', ')}
      </Button>
    </div>
  );
}
