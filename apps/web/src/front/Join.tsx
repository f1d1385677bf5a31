import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useLocation, useNavigate } from 'react-router';
import { answer, server } from '../api/client.ts';
import { problemText } from '../api/problemText.ts';
import { queryKeys } from '../api/queryKeys.ts';
import { useSites } from '../api/useSites.ts';
import { Button } from '../ui/Button.tsx';
import { Front } from './Front.tsx';

/** Opens an invitation. */
export function Join() {
  const secret = useLocation().hash.slice(1);
  const navigate = useNavigate();
  const queries = useQueryClient();
  const sites = useSites();
  const { data, error } = useQuery({
    queryKey: queryKeys.invitation(secret),
    queryFn: () => answer(server.POST('/api/invitations/look', { body: { secret } })),
    retry: false,
    refetchOnMount: false,
  });
  const join = useMutation({
    mutationFn: () => answer(server.POST('/api/invitations/accept', { body: { secret } })),
    onSuccess: async ({ site }) => {
      await queries.resetQueries({ queryKey: queryKeys.sites });
      void navigate(`/sites/${site}`, { replace: true });
    },
  });
  if (error)
    return (
      <Front title="This invitation is no longer valid" lead={problemText(error)}>
        <Link to="/" className="text-teal underline">
          Back to your sites
        </Link>
      </Front>
    );
  if (!data)
    return (
      <Front title="Loading…">
        <p role="status" />
      </Front>
    );
  return (
    <Front title={data.name} lead={`You are invited as ${data.role}.`}>
      {sites.data ? (
        <Button
          kind="main"
          className="h-9! w-full justify-center"
          disabled={join.isPending}
          onClick={() => join.mutate()}
        >
          Join
        </Button>
      ) : (
        <p className="grid gap-2">
          <Link
            to={`/?to=${encodeURIComponent(`/join#${secret}`)}#${secret}`}
            className="text-teal underline"
          >
            Sign in to join
          </Link>
          <Link to={`/account/ask#${secret}`} className="text-teal underline">
            Create an account to join
          </Link>
        </p>
      )}
      {join.error && (
        <p role="alert" className="mt-2 text-madder">
          {problemText(join.error)}
        </p>
      )}
    </Front>
  );
}
