import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import { answer, server } from '../api/client.ts';
import { EMAIL, Field, Form } from '../forms/Form.tsx';
import { Front } from './Front.tsx';

interface Ask {
  email: string;
}

/** Has a link sent, with which the owner of the address makes an account or chooses a new password. */
export function AskLink() {
  const invitation = useLocation().hash.slice(1);
  const [sent, setSent] = useState<string | null>(null);
  return (
    <Front
      title="Email me a link"
      lead="Use it to create your account, or to choose a new password if you already have one."
    >
      {sent === null ? (
        <Form<Ask>
          submit="Send link"
          start={{ email: '' }}
          send={async ({ email }) => {
            await answer(
              server.POST('/api/account/link', { body: { email, ...(invitation && { invitation }) } }),
            );
            setSent(email);
          }}
        >
          <Field<Ask> name="email" label="Email" type="email" autoComplete="username" rules={EMAIL} />
        </Form>
      ) : (
        <p role="status">
          We sent a link to {sent}. It works once, for two hours. This program does not send real mail:{' '}
          <Link to="/outbox" className="text-teal underline">
            read it here
          </Link>
          .
        </p>
      )}
      <p className="mt-4">
        <Link to="/" className="text-teal underline">
          Back to sign-in
        </Link>
      </p>
    </Front>
  );
}
