import {
  canBeToken,
  type Edit,
  type Id,
  type NodeRecord,
  type Promotion,
  parseSlot,
  promote,
  promoteToToken,
  promoteToVariant,
  propertyOf,
  type Result,
  type Scope,
  type Site,
  type Slot,
  tokenTypesOf,
} from '@cove/core';
import { Popover } from 'radix-ui';
import { useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import { ImpactNote } from '../reach/ImpactNote.tsx';
import { reachClientOf } from '../reach/reachClient.ts';
import { useCommit, useSession } from '../session/context.tsx';
import { Button } from '../ui/Button.tsx';
import { Floating } from '../ui/Floating.tsx';
import { Select } from '../ui/Select.tsx';
import { Tick } from '../ui/Tick.tsx';
import { type Choice, promotionsOf } from './promotions.ts';

/** Makes a rule, a preset's part or a token of values that are set here by hand; what that would alter is told first. */
export function Promote({
  site,
  scope,
  node,
  slots,
}: {
  site: Site;
  scope: Scope;
  node: NodeRecord;
  slots: readonly Slot[];
}) {
  const [open, setOpen] = useState(false);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>
        <Button kind="link">Promote…</Button>
      </Popover.Trigger>
      <Floating label="Promote" width={300}>
        <Panel site={site} scope={scope} node={node} slots={slots} onDone={() => setOpen(false)} />
      </Floating>
    </Popover.Root>
  );
}

const NOBODY: readonly Id[] = [];

/** What values can become, with others that could follow it. */
interface Offered extends Choice {
  siblings: readonly Id[];
}

/** Promotions that leave the thing as it looks; null until that is worked out. */
function useOffered(
  site: Site,
  scope: Scope,
  node: NodeRecord,
  slots: readonly Slot[],
): readonly Offered[] | null {
  const session = useSession();
  const asked = slots.join(' ');
  const [offered, setOffered] = useState<readonly Offered[] | null>(null);
  useEffect(() => {
    let isOver = false;
    const slots = asked.split(' ');
    const all = promotionsOf(site, scope, node);
    const rules = all.flatMap(({ to }) => (isPromotion(to) ? [to] : []));
    void reachClientOf(session)
      .promotions(node.id, slots, rules)
      .then(outlooks => {
        if (isOver) return;
        const known = new Map(rules.map((it, i) => [it, outlooks[i] ?? null]));
        setOffered(
          all.flatMap((choice): Offered[] => {
            if (!isPromotion(choice.to)) return [{ ...choice, siblings: NOBODY }];
            const outlook = known.get(choice.to);
            return outlook ? [{ ...choice, siblings: outlook.siblings }] : [];
          }),
        );
      });
    return () => {
      isOver = true;
    };
  }, [session, site, scope, node, asked]);
  return offered;
}

const isPromotion = (to: Choice['to']): to is Promotion => to !== 'token' && to.type !== 'newVariant';

const labelOf = (slot: Slot): string => {
  const property = parseSlot(slot)?.property;
  return property && property !== 'textStyle' ? propertyOf(property).label : 'Text style';
};

function Panel({
  site,
  scope,
  node,
  slots,
  onDone,
}: {
  site: Site;
  scope: Scope;
  node: NodeRecord;
  slots: readonly Slot[];
  onDone(): void;
}) {
  const commit = useCommit();
  const [slot] = slots;
  const single = slots.length === 1 && slot !== undefined ? slot : null;
  const value = single === null ? undefined : node.styles[single];
  const offered = useOffered(site, scope, node, slots);
  const choices: readonly Offered[] = useMemo(
    () => [
      ...(offered ?? []),
      ...(value && canBeToken(value)
        ? [{ label: 'A token of the guide', to: 'token', siblings: [] } as const]
        : []),
    ],
    [offered, value],
  );
  const [chosen, setChosen] = useState(0);
  const [withSiblings, setWithSiblings] = useState(true);
  const [name, setName] = useState(single === null ? '' : labelOf(single));
  const groups = useMemo(() => groupsFor(site, single), [site, single]);
  const [group, setGroup] = useState(groups[0] ?? 'Own');
  const { to = 'token', siblings = NOBODY } = choices[chosen] ?? {};
  const newAxis = to !== 'token' && to.type === 'newVariant' ? to.axis : null;
  const made = useMemo((): Result<Edit[]> => {
    const called = name.trim() || 'Unnamed';
    if (to !== 'token' && to.type === 'newVariant') {
      const variant = promoteToVariant(site, node.id, slots, to.axis, called);
      return variant.ok ? { ok: true, value: variant.value.edits } : variant;
    }
    if (to !== 'token') return promote(site, node.id, slots, to, withSiblings ? siblings : NOBODY);
    const token = promoteToToken(site, node.id, single ?? '', { group, name: called });
    return token.ok ? { ok: true, value: token.value.edits } : token;
  }, [site, node, slots, to, siblings, withSiblings, single, group, name]);
  const finish = () => {
    if (!made.ok) toast.error(made.problem.message);
    else if (
      commit(
        made.value,
        `Promote ${single === null ? `${slots.length} values` : labelOf(single).toLowerCase()}`,
      )
    )
      onDone();
  };
  if (offered === null)
    return (
      <p role="status" className="text-muted">
        Working out where it can go…
      </p>
    );
  return (
    <div className="grid gap-2.5">
      <p className="text-muted">
        {single === null ? `${slots.length} values` : labelOf(single)} will be set there instead of here.
      </p>
      <Select
        label="It becomes the rule for"
        value={String(chosen)}
        options={choices.map(({ label }, i) => ({ value: String(i), label }))}
        onChange={it => setChosen(Number(it))}
      />
      {(to === 'token' || newAxis !== null) && (
        <div className="grid grid-cols-2 gap-2">
          <label className="grid gap-0.5">
            <span className="label-line">{`Name of the ${newAxis ?? 'token'}`}</span>
            <input
              value={name}
              maxLength={80}
              onChange={event => setName(event.target.value)}
              className="h-6 min-w-0 rounded-sm border border-hair bg-paper px-1.5"
            />
          </label>
          {to === 'token' && (
            <Select
              label="Group"
              value={group}
              options={groups.map(it => ({ value: it, label: it }))}
              onChange={setGroup}
            />
          )}
        </div>
      )}
      {siblings.length > 0 && (
        <Tick checked={withSiblings} onChange={setWithSiblings}>
          {siblings.length === 1
            ? 'The other one with the same values follows it, too'
            : `The ${siblings.length} others with the same values follow it, too`}
        </Tick>
      )}
      <div className="min-h-24">
        {made.ok ? (
          <ImpactNote edits={made.value} />
        ) : (
          <p role="alert" className="text-madder">
            {made.problem.message}
          </p>
        )}
      </div>
      <Button kind="main" className="justify-self-start" disabled={!made.ok} onClick={finish}>
        Promote
      </Button>
    </div>
  );
}

/** Groups of tokens of the type that the slot would take; one to begin with where there are none. */
function groupsFor(site: Site, slot: Slot | null): string[] {
  const property = slot === null ? undefined : parseSlot(slot)?.property;
  const types = property && property !== 'textStyle' ? tokenTypesOf(propertyOf(property)) : [];
  const found = [...site.kinds.token.values()].filter(it => types.includes(it.type)).map(it => it.group);
  return found.length > 0 ? [...new Set(found)] : ['Own'];
}
