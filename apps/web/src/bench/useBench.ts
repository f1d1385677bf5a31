import {
  contributionsTo,
  type Edit,
  type ElementType,
  getRecord,
  nameOf,
  PART_KINDS,
  PRESET_USES,
  type PresetUse,
  parseSlot,
  partOf,
  type Site,
  type SiteRecord,
  STATES,
  type State,
  type Styles,
  setTyped,
  statesOf,
  styledParts,
  WIDTHS,
  type Width,
} from '@cove/core';
import { useMemo } from 'react';
import { useReach } from '../reach/useReach.ts';
import { titled } from '../ui/titled.ts';
import { useAlsoTo, useSaidOfOthers } from './alsoTo.ts';
import { isGround } from './GroundRows.tsx';
import { heldOnBench, presetContributions } from './held.ts';
import type { Resolved, Subject } from './subject.ts';
import { unfollowedOf } from './Unfollowed.tsx';

/** A part that can be chosen, and how much is set on it here. */
export interface PartOnBench {
  name: string;
  label: string;
  kind: string;
  /** The part it stands in; null for an outermost one. */
  inside: string | null;
  knots: number;
}

const NO_STYLES: Styles = {};

/** Parts of an element; of a preset those of what it is made for, or all kinds. */
function partsOf(
  element: ElementType | null,
  use: PresetUse | undefined,
  part: string,
  styles: Styles,
): PartOnBench[] {
  const counts = new Map<string, number>();
  for (const slot of Object.keys(styles)) {
    const at = parseSlot(slot);
    if (at) counts.set(at.part, (counts.get(at.part) ?? 0) + 1);
  }
  if (!element && use)
    return Object.entries(PRESET_USES[use].parts)
      .filter(([name]) => name === part || !isGround(name))
      .map(([name, { label, kind }]) => ({ name, label, kind, inside: null, knots: counts.get(name) ?? 0 }));
  if (!element)
    return PART_KINDS.map(kind => ({
      name: kind,
      label: titled(kind),
      kind,
      inside: null,
      knots: counts.get(kind) ?? 0,
    }));
  return styledParts(element)
    .filter(name => name === part || !isGround(name))
    .map(name => {
      const it = partOf(element, name);
      return {
        name,
        label: it?.label ?? name,
        kind: it?.kind ?? 'box',
        inside: it?.inside ?? null,
        knots: counts.get(name) ?? 0,
      };
    });
}

/** Everything the bench shows of its subject: its parts, what is set where, and what is held. */
export function useBench(site: Site, subject: Subject, resolved: Resolved) {
  const { scope, element, target, record } = resolved;
  const { part, state, width } = subject;
  const node: SiteRecord | undefined = getRecord(site, record);
  const styles = node && 'styles' in node ? node.styles : NO_STYLES;
  const contributions = useMemo(
    () => (scope ? contributionsTo(site, scope, part) : presetContributions(site, record, part)),
    [site, scope, part, record],
  );
  const ofOthers = useSaidOfOthers(site, subject.type === 'node' ? subject.page : null, part);
  const held = useMemo(
    () => heldOnBench({ site, scope, record, part, state, width, contributions, ofOthers }),
    [site, scope, record, part, state, width, contributions, ofOthers],
  );
  const use = node?.kind === 'preset' ? node.use : undefined;
  const parts = useMemo(() => partsOf(element, use, part, styles), [element, use, part, styles]);
  const states: readonly State[] = element
    ? ['rest', ...STATES.filter(it => statesOf(element, part).includes(it))]
    : STATES;
  const set = useMemo(() => {
    const ofState = new Set<State>();
    const ofWidth = new Set<Width>();
    for (const slot of Object.keys(styles)) {
      const at = parseSlot(slot);
      if (at?.part !== part) continue;
      ofState.add(at.state);
      ofWidth.add(at.width);
    }
    return { ofState, ofWidth };
  }, [styles, part]);
  const declared = node && 'declarations' in node ? Object.keys(node.declarations ?? {}) : [];
  const asked = { part, state, width };
  return {
    node,
    styles,
    held,
    contributions,
    parts,
    states: states.map(value => ({
      value,
      label: titled(value),
      mark: value !== 'rest' && set.ofState.has(value),
    })),
    widths: WIDTHS.map(value => ({
      value,
      label: titled(value),
      mark: value !== 'wide' && set.ofWidth.has(value),
    })),
    asked,
    target,
    knots: Object.keys(styles).length + declared.length,
    unfollowed: node ? unfollowedOf(node, asked) : [],
    typed: (source: Parameters<typeof setTyped>[3]): Edit[] => setTyped(site, target, asked, source),
  };
}

const counted = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`;

/** What a choice on the bench will alter, in a line. */
export function useWhatChanges(site: Site, subject: Subject, record: string): string {
  const reach = useReach(record);
  const also = useAlsoTo();
  const at = [
    subject.state === 'rest' ? null : `on ${subject.state}`,
    subject.width === 'wide'
      ? null
      : `when ${subject.width}${subject.width === 'medium' ? ' or narrow' : ''}`,
  ].filter(Boolean);
  const where = at.length > 0 ? `, ${at.join(', ')}` : '';
  if (subject.type === 'node' && record === subject.node) {
    const name = also.length > 0 ? counted(also.length + 1, 'item') : nameOf(site, record);
    return `Changes ${name} only${where}.`;
  }
  if (!reach) return `Changes everything that uses ${nameOf(site, record)}${where}.`;
  return reach.uses === 0
    ? `Nothing on the pages uses it yet${where}.`
    : `Changes ${counted(reach.uses, 'item')} on ${counted(reach.pages, 'page')}${where}.`;
}
