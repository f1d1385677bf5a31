import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useLocation, useNavigate } from 'react-router';
import { answer, server } from '../api/client.ts';
import { problemText } from '../api/problemText.ts';
import { queryKeys } from '../api/queryKeys.ts';
import { Field, Form, NAME, NEW_PASSWORD } from '../forms/Form.tsx';
import { Front } from './Front.tsx';

interface Own {
  name: string;
  password: string;
}

/** Opens a link from a letter: a new account, or a new password for the one there is. */
export function UseLink() {
  const [secret = '', invitation] = useLocation().hash.slice(1).split('&');
  const navigate = useNavigate();
  const queries = useQueryClient();
  const { data, error } = useQuery({
    queryKey: queryKeys.link(secret),
    queryFn: () => answer(server.POST('/api/account/link/look', { body: { secret } })),
    retry: false,
    refetchOnMount: false,
  });
  if (error)
    return (
      <Front title="This link is no longer valid" lead={problemText(error)}>
        <Link to="/account/ask" className="text-teal underline">
          Send me a new link
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
    <Front
      title={data.known ? 'A new password' : 'Your account'}
      lead={
        data.known ? `for ${data.email}. Wherever you are signed in, you will be signed out.` : data.email
      }
    >
      <Form<Own>
        submit={data.known ? 'Set password and sign in' : 'Create account'}
        start={{ name: data.name, password: '' }}
        send={async values => {
          await answer(server.POST('/api/account', { body: { secret, ...values } }));
          await queries.resetQueries({ queryKey: queryKeys.sites });
          void navigate(invitation ? `/join#${invitation}` : '/', { replace: true });
        }}
      >
        <Field<Own> name="name" label="Display name" autoComplete="name" rules={NAME} />
        <Field<Own>
          name="password"
          label="Password (10 characters or more)"
          type="password"
          autoComplete="new-password"
          rules={NEW_PASSWORD}
        />
      </Form>
    </Front>
  );
}
