import { useState } from 'react';
import { Field, Form } from '../../forms/Form.tsx';
import { Button } from '../../ui/Button.tsx';
import { useKeepGuide } from './useKept.ts';

/** Keeps the site's guide for the next site, under a name; the same name again is a newer version. */
export function KeepGuide({ siteId, siteName }: { siteId: string; siteName: string }) {
  const keep = useKeepGuide();
  const [open, setOpen] = useState(false);
  if (!open)
    return (
      <Button kind="link" onClick={() => setOpen(true)}>
        Save this guide…
      </Button>
    );
  return (
    <Form<{ name: string; about: string }>
      start={{ name: siteName, about: '' }}
      submit="Keep it"
      send={async ({ name, about }) => {
        await keep.mutateAsync({ site: siteId, name: name.trim(), about: about.trim() });
        setOpen(false);
      }}
      className="mt-2 grid gap-2"
    >
      <Field<{ name: string; about: string }>
        name="name"
        label="Name of the guide"
        maxLength={80}
        rules={{ required: 'Enter a name.' }}
      />
      <Field<{ name: string; about: string }> name="about" label="Its character, in a line" maxLength={200} />
    </Form>
  );
}
