import { isRouteErrorResponse, useRouteError } from 'react-router';
import { Button } from '../ui/Button.tsx';

const wordsOf = (error: unknown): string =>
  isRouteErrorResponse(error)
    ? `${error.status} ${error.statusText}`
    : error instanceof Error
      ? error.message
      : String(error);

/** In the place of what could not be shown: what was made is kept all the same, and it can be tried again. */
export function Broken() {
  const error = useRouteError();
  return (
    <section role="alert" aria-label="Something went wrong" className="grid max-w-[56ch] gap-3 p-8">
      <h2 className="text-[15px] font-semibold">This could not be displayed</h2>
      <p>
        Part of the program failed, or could not be loaded. Your edits are stored in this browser until the
        server has them.
      </p>
      <p className="font-mono text-[12px] break-words text-muted">{wordsOf(error)}</p>
      <Button kind="main" className="justify-self-start" onClick={() => location.reload()}>
        Try again
      </Button>
    </section>
  );
}
