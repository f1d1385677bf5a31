import { type Id, nameOf, presetOfRule, type Site } from '@cove/core';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { useGo } from '../navigation/go.ts';
import { useCommit } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { Floating } from '../ui/Floating.tsx';

/** Makes a preset of what an element or a variant sets, so that others can wear it. */
export function PresetOfRule({ site, rule }: { site: Site; rule: Id }) {
  const commit = useCommit();
  const go = useGo();
  const [open, setOpen] = useState(false);
  const [name, setName] = useState('');
  const called = name.trim();
  const made = presetOfRule(site, rule, called || nameOf(site, rule));
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <Button kind="link" className="h-5! text-small">
          Make a preset…
        </Button>
      </Popover.Trigger>
      <Floating label="Make a preset" width={260}>
        <form
          className="grid gap-2.5"
          onSubmit={event => {
            event.preventDefault();
            if (!made.ok || !commit(made.value.edits, `Make preset ${called}`)) return;
            setOpen(false);
            go(made.value.id);
          }}
        >
          {made.ok ? (
            <p className="text-muted">
              It sets the same values on parts of the same kind, in any widget. What is set here stays.
            </p>
          ) : (
            <p role="alert" className="text-madder">
              {made.problem.message}
            </p>
          )}
          <label className="grid gap-0.5">
            <span className="label-line">Preset name</span>
            <input
              value={name}
              maxLength={80}
              onChange={event => setName(event.target.value)}
              className="h-7 rounded border border-hair bg-paper px-2"
            />
          </label>
          <Button
            type="submit"
            kind="main"
            className="justify-self-start"
            disabled={!made.ok || called === ''}
          >
            Make preset
          </Button>
        </form>
      </Floating>
    </Popover.Root>
  );
}
