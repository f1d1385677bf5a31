import {
  type Asked,
  type Hidden,
  type Id,
  keptElsewhere,
  locationOf,
  nameOf,
  parseSlot,
  printSlot,
  printTyped,
  roleIn,
  type Scope,
  type Site,
  type Slot,
  type StyleTarget,
  setSlot,
  setSlots,
  threadOf,
  type Value,
  type Via,
} from '@cove/core';
import { useGo } from '../navigation/go.ts';
import { useCommit } from '../session/context.tsx';
import { useMay } from '../session/rights.tsx';
import { colorOf } from '../tokens/picker/endOf.ts';
import { Button } from '../ui/Button.tsx';
import { Chip } from '../ui/Chip.tsx';
import { useLocked } from '../ui/locked.ts';
import { useAlsoTo } from './alsoTo.ts';
import { Promote } from './Promote.tsx';

const WHY: Record<Hidden['why'], string> = {
  origin: 'a more specific origin wins',
  state: 'overridden for this state',
  width: 'overridden for this width',
  order: 'a later one wins',
  inherited: 'it would be inherited from there',
  off: 'switched off',
};

const originName = (site: Site, origin: string, record: Id | null): string => {
  if (origin === 'program' || record === null) return 'program';
  if (origin === 'own') return `own: ${nameOf(site, record)}`;
  return origin === 'default' ? nameOf(site, record) : `${origin} ${nameOf(site, record)}`;
};

/** The way of one value, unrolled: where it was set, what it passes, what it hides. Each step leads to its place. */
export function ThreadView({
  site,
  scope,
  asked,
  target,
  own,
  together = own === null ? [] : [own],
}: {
  site: Site;
  scope: Scope;
  asked: Asked;
  target: StyleTarget;
  /** Slot that is set here, where one is. */
  own: Slot | null;
  /** Slots that are set and reset together with it, itself among them. */
  together?: readonly Slot[];
}) {
  const go = useGo();
  const commit = useCommit();
  const locked = useLocked();
  const also = useAlsoTo();
  const mayGuide = useMay('guide');
  const node = scope.node;
  const thread = threadOf(site, scope, asked);
  const kept = keptElsewhere(site, scope, asked).filter(it => it.origin !== 'program');
  const typed = (value: Value) => printTyped(value, site.kinds.token);
  const link = (record: Id | null, text: string) =>
    record !== null && locationOf(site, record) ? (
      <button
        type="button"
        className="text-left hover:text-teal hover:underline [s_&]:line-through"
        onClick={() => go(record)}
      >
        {text}
      </button>
    ) : (
      <span>{text}</span>
    );
  const step = (via: Via) => {
    if ('role' in via)
      return (
        <>
          {link(via.scheme, nameOf(site, via.scheme))}: {roleIn(site, via.role)?.label ?? via.role} ={' '}
          <code>{typed(via.value)}</code>
        </>
      );
    return (
      <>
        {link(via.token, nameOf(site, via.token))} = <code>{typed(via.value)}</code>
        {via.rebound && <span className="text-muted"> rebound by {nameOf(site, via.rebound)}</span>}
      </>
    );
  };
  const { from } = thread;
  return (
    <div className="relative mb-2 ml-[22px] border-l border-ink/50 py-1 pl-4 text-[12px]">
      {from ? (
        <div className="relative">
          <span className="absolute top-1.5 -left-[21px] size-2 rounded-full bg-madder" />
          {link(from.record, originName(site, from.origin, from.record))}: <code>{typed(from.value)}</code>
          {from.textStyle && (
            <span className="text-muted"> through {link(from.textStyle, nameOf(site, from.textStyle))}</span>
          )}
          {from.inherited && (
            <span className="text-muted">
              {' '}
              inherited from {from.element}, {from.part}
            </span>
          )}
        </div>
      ) : (
        <p className="text-muted">Not set; the browser default applies.</p>
      )}
      {thread.via.map((via, i) => (
        <div
          key={'role' in via ? `role ${via.role}` : `${via.token} ${i}`}
          className="flex items-start gap-x-1.5 pl-3"
        >
          <Chip color={colorOf(site, scope, via.value)} />
          <span className="min-w-0">{step(via)}</span>
        </div>
      ))}
      {thread.css !== null && (
        <div className="pl-3 text-muted">
          ends in <code className="text-ink">{thread.css}</code>
        </div>
      )}
      {thread.overridden.map(it => (
        <div
          key={`${it.node} ${it.element} ${it.part} ${it.record} ${it.slot} ${it.why}`}
          className="relative text-muted"
        >
          <span className="absolute top-1.5 -left-[20px] size-1.5 rounded-full border border-hair bg-paper" />
          <s>
            {link(it.record, originName(site, it.origin, it.record))}: <code>{typed(it.value)}</code>
          </s>{' '}
          ({it.why === 'inherited' ? `would come from ${it.element}, ${it.part}` : WHY[it.why]})
        </div>
      ))}
      {own !== null && kept.length > 0 && thread.from && (
        <div className="mt-1 grid gap-0.5 text-muted">
          {kept.map(it => {
            const situation = [it.state === 'rest' ? null : it.state, it.width === 'wide' ? null : it.width]
              .filter(Boolean)
              .join(' at ');
            const slot = printSlot({
              part: parseSlot(own)?.part ?? asked.part,
              state: it.state,
              width: it.width,
              property: asked.property,
            });
            return (
              <p key={`${it.record} ${it.slot}`}>
                {situation} keeps <code>{typed(it.value)}</code>.{' '}
                {!locked && (
                  <Button
                    kind="link"
                    className="h-auto!"
                    onClick={() =>
                      thread.from &&
                      commit(setSlot(site, target, slot, thread.from.value), `Set ${situation} too`)
                    }
                  >
                    Set it there too
                  </Button>
                )}
              </p>
            );
          })}
        </div>
      )}
      {own !== null && !locked && (
        <div className="mt-1 flex gap-3">
          <Button
            kind="link"
            onClick={() =>
              commit(
                [target, ...also.map(id => ({ type: 'record', id }) as const)].flatMap(it =>
                  setSlots(site, it, Object.fromEntries(together.map(slot => [slot, null]))),
                ),
                together.length > 1 ? 'Reset them together' : 'Reset one value',
              )
            }
          >
            Reset
          </Button>
          {node && mayGuide && <Promote site={site} scope={scope} node={node} slots={together} />}
        </div>
      )}
    </div>
  );
}
