import { type Edit, type Id, type ResetReach, resetAllElements, resetGuide, type Site } from '@cove/core';
import { Popover } from 'radix-ui';
import { useMemo, useState } from 'react';
import { ImpactNote } from '../reach/ImpactNote.tsx';
import { useCommit } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Floating } from '../ui/Floating.tsx';

type Reach = 'part' | 'rule' | 'element' | 'all';

/** Takes away what is set: one part, all of this rule, the whole element, or every element; says first what that alters. */
export function ResetMenu({
  site,
  record,
  part,
  element,
  name,
}: {
  site: Site;
  record: Id;
  part: string;
  element: string;
  /** What the rule is called. */
  name: string;
}) {
  const commit = useCommit();
  const [open, setOpen] = useState(false);
  const [reach, setReach] = useState<Reach>('part');
  const edits = useMemo((): Edit[] => {
    if (!open) return [];
    if (reach === 'all') return resetAllElements(site);
    const asked: Record<Exclude<Reach, 'all'>, ResetReach> = {
      part: { type: 'part', record, part },
      rule: { type: 'rule', record },
      element: { type: 'element', element },
    };
    return resetGuide(site, asked[reach]);
  }, [open, reach, site, record, part, element]);
  const slots = edits.reduce((sum, edit) => {
    if (edit.op === 'unset') return sum + 1;
    if (edit.op === 'put') return sum;
    const it =
      site.kinds.default.get(edit.id) ??
      site.kinds.variant.get(edit.id) ??
      site.kinds.variantRule.get(edit.id);
    return sum + Object.keys(it?.styles ?? {}).length + Object.keys(it?.declarations ?? {}).length;
  }, 0);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <Button kind="link" className="h-5! text-small">
          Reset…
        </Button>
      </Popover.Trigger>
      <Floating label="Reset" width={290}>
        <div className="grid gap-2.5">
          <Choice<Reach>
            label="How far"
            value={reach}
            options={[
              { value: 'part', label: 'This part' },
              { value: 'rule', label: name },
              { value: 'element', label: 'All its rules' },
              { value: 'all', label: 'Every element' },
            ]}
            onChange={setReach}
          />
          {edits.length === 0 ? (
            <p className="text-muted">Nothing is set there.</p>
          ) : (
            <>
              <p>
                {slots} value{slots === 1 ? '' : 's'} would be removed; the values below apply again.
              </p>
              <ImpactNote edits={edits} />
              <Button
                kind="main"
                className="justify-self-start"
                onClick={() => commit(edits, `Reset ${name}`) && setOpen(false)}
              >
                Reset
              </Button>
            </>
          )}
        </div>
      </Floating>
    </Popover.Root>
  );
}
