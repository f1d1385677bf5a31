import {
  FOUNDATIONS,
  type Foundation,
  type GuidePart,
  type Id,
  kindNamed,
  nameOf,
  printTyped,
  type Site,
  takeableFoundation,
} from '@cove/core';
import { ImpactNote } from '../../reach/ImpactNote.tsx';
import type { GuideOffer } from '../../reach/messages.ts';
import { Select } from '../../ui/Select.tsx';
import { Tick } from '../../ui/Tick.tsx';

const CHANGE: Record<GuidePart['change'], string> = { new: 'new', altered: 'other', goes: 'goes' };

/** A token's value before and after, as it is typed; of what is larger, that it differs. */
function difference(site: Site, { before, after }: GuidePart): string {
  if (before?.kind === 'token' && after?.kind === 'token')
    return `${printTyped(before.value, site.kinds.token)} → ${printTyped(after.value, site.kinds.token)}`;
  return '';
}

/** Parts of a guide by their ids, or all that belong to a foundation; null for the whole. */
export type Parts = ReadonlySet<Id> | Foundation | null;

/** What a guide would alter: in numbers, part by part where it can be taken in parts, and on the pages. */
export function OfferView({
  site,
  offer,
  parts,
  onParts,
}: {
  site: Site;
  offer: GuideOffer | null;
  /** What is to be taken of it; null for all. */
  parts?: Parts;
  onParts?(parts: Parts): void;
}) {
  if (!offer)
    return (
      <p role="status" className="text-muted">
        Calculating…
      </p>
    );
  const count = (change: GuidePart['change']) => offer.parts.filter(it => it.change === change).length;
  if (offer.parts.length === 0) return <p className="text-muted">Your guide already matches.</p>;
  const takeable = offer.parts.filter(it => it.change !== 'goes');
  const foundations = new Set(takeable.map(it => takeableFoundation(site, it)));
  const only = typeof parts === 'string' ? parts : '';
  const toggle = (id: Id, on: boolean) => {
    const next = new Set(offer.taken ?? takeable.map(it => it.id));
    if (on) next.add(id);
    else next.delete(id);
    onParts?.(next.size === takeable.length ? null : next);
  };
  return (
    <div className="grid gap-2">
      <p className="text-muted">
        Adds {count('new')}, changes {count('altered')}, removes {count('goes')}
        {offer.kept > 0 && `, leaves ${offer.kept} that pages use`}.
      </p>
      {onParts && (
        <Select
          label="Take"
          value={only}
          options={[
            { value: '', label: parts ? 'Selected parts' : 'Everything' },
            ...FOUNDATIONS.filter(it => foundations.has(it) || it === only).map(it => ({
              value: it,
              label: `${it} alone`,
            })),
          ]}
          onChange={wanted => onParts(FOUNDATIONS.find(it => it === wanted) ?? null)}
        />
      )}
      {only !== '' && offer.taken?.size === 0 && (
        <p className="text-muted">Nothing in it has changed since then. What was added stays.</p>
      )}
      {onParts && (
        <ul aria-label="Parts of the guide" className="thin-scroll max-h-52 overflow-auto">
          {offer.parts.map(part => (
            <li key={part.id}>
              <Tick
                align="items-baseline"
                disabled={part.change === 'goes'}
                checked={part.change === 'goes' ? !offer.taken : (offer.taken?.has(part.id) ?? true)}
                onChange={on => toggle(part.id, on)}
              >
                <span className="min-w-0 truncate">
                  {part.kind === 'default' || part.kind === 'variantRule' ? nameOf(site, part.id) : part.name}{' '}
                  <span className="font-mono text-[11px] text-muted">{difference(site, part)}</span>
                </span>
                <span className="ml-auto shrink-0 text-small text-muted">
                  {kindNamed(part.kind).label}, {CHANGE[part.change]}
                </span>
              </Tick>
            </li>
          ))}
        </ul>
      )}
      <ImpactNote edits={offer.edits} />
    </div>
  );
}
