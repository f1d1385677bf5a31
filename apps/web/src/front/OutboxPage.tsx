import { useQuery } from '@tanstack/react-query';
import { Fragment } from 'react';
import { Link } from 'react-router';
import { answer, type Dto, server } from '../api/client.ts';
import { problemText } from '../api/problemText.ts';
import { queryKeys } from '../api/queryKeys.ts';
import { RequestProblem } from '../api/requestProblem.ts';

const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** All letters where the outbox is open, else those one may read. */
async function readLetters(): Promise<readonly Dto['LetterDto'][]> {
  try {
    return await answer(server.GET('/api/outbox/open'));
  } catch (error) {
    if (error instanceof RequestProblem && error.status === 404) return answer(server.GET('/api/outbox'));
    throw error;
  }
}

/** Words with the links into this very program made to be followed. */
const withLinks = (text: string) =>
  text.split(/(https?:\/\/\S+)/).map((part, i) => {
    const own = i % 2 === 1 && part.startsWith(`${location.origin}/`);
    return (
      // biome-ignore lint/suspicious/noArrayIndexKey: the parts of a letter never move
      <Fragment key={i}>
        {own ? (
          <Link to={part.slice(location.origin.length)} className="break-all text-teal underline">
            {part}
          </Link>
        ) : (
          part
        )}
      </Fragment>
    );
  });

/** What would have been sent by mail. */
export function OutboxPage() {
  const { data, error } = useQuery({ queryKey: queryKeys.outbox, queryFn: readLetters, retry: false });
  return (
    <main className="mx-auto max-w-[680px] p-6">
      <p className="mb-4">
        <Link to="/" className="text-teal underline">
          Cove Thread
        </Link>
      </p>
      <h1 className="text-[22px] font-semibold tracking-tight">Mail</h1>
      <p className="mt-1 mb-5 text-muted">No real mail is sent. Messages are kept here for a month.</p>
      {error ? (
        <p role="alert">
          {error instanceof RequestProblem && error.status === 401
            ? 'Sign in to read your mail.'
            : problemText(error)}
        </p>
      ) : !data ? (
        <p role="status">Loading…</p>
      ) : data.length === 0 ? (
        <p>No messages yet.</p>
      ) : (
        <ul className="border-t border-hair">
          {data.map(letter => (
            <li key={letter.id} className="border-b border-hair py-4">
              <h2 className="font-semibold">{letter.subject}</h2>
              <p className="mb-2 text-small text-muted">
                to {letter.recipient}, {when.format(new Date(letter.sentAt))}
              </p>
              <p className="whitespace-pre-line">{withLinks(letter.body)}</p>
            </li>
          ))}
        </ul>
      )}
    </main>
  );
}
