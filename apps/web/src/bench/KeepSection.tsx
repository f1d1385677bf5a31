import type { SectionRecord } from '@cove/core';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { toast } from 'sonner';
import { problemText } from '../api/problemText.ts';
import { useKeepSection } from '../sections/useKeptSections.ts';
import { useSession } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { Floating } from '../ui/Floating.tsx';

/** Keeps a section as one's own, for other pages and sites. */
export function KeepSection({ section }: { section: SectionRecord }) {
  const session = useSession();
  const keep = useKeepSection();
  const [open, setOpen] = useState(false);
  const [name, setName] = useState(section.name);
  const save = async () => {
    try {
      await keep.mutateAsync({ site: session.id, section: section.id, name: name.trim() });
      setOpen(false);
      toast.success(`${name.trim()} is kept. It is offered under Your own wherever a section is added.`);
    } catch (error) {
      toast.error(problemText(error));
    }
  };
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <Button kind="link">Save as your own…</Button>
      </Popover.Trigger>
      <Floating label="Save as your own" width={260}>
        <form
          className="grid gap-2"
          onSubmit={event => {
            event.preventDefault();
            if (name.trim() !== '') void save();
          }}
        >
          <label className="grid gap-1">
            <span className="label-line">Name</span>
            <input
              value={name}
              maxLength={80}
              onChange={event => setName(event.target.value)}
              className="h-7 rounded border border-hair bg-paper px-2"
            />
          </label>
          <p className="text-muted">
            Replaces one with the same name. It keeps its text and looks, and follows the guide of the site it
            is added to.
          </p>
          <Button
            type="submit"
            kind="main"
            className="justify-self-start"
            disabled={name.trim() === '' || keep.isPending}
          >
            Keep it
          </Button>
        </form>
      </Floating>
    </Popover.Root>
  );
}
