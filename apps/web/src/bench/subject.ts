import {
  type ElementType,
  elementNamed,
  elementOfNode,
  getRecord,
  type Id,
  isNode,
  nodeScope,
  type PartKind,
  pageScope,
  placedId,
  type Scope,
  type Site,
  type State,
  type StyleTarget,
  specimenScope,
  type Width,
} from '@cove/core';

interface Situation {
  part: string;
  state: State;
  width: Width;
}

/** What the bench is about: a thing on a page, an element of the guide, or a preset. */
export type Subject = Situation &
  (
    | { type: 'node'; page: Id; node: Id }
    | { type: 'element'; element: string; variants: readonly Id[]; scheme: Id; target: Id | null }
    | { type: 'preset'; preset: Id }
  );

export const PART_KINDS: readonly PartKind[] = ['box', 'heading', 'text', 'label', 'icon', 'picture'];

export interface Resolved {
  scope: Scope | null;
  element: ElementType | null;
  target: StyleTarget;
  /** The record that values set here are written in. */
  record: Id;
}

/** Finds what a subject stands for; null when it is no longer there. */
export function resolveSubject(site: Site, subject: Subject): Resolved | null {
  switch (subject.type) {
    case 'node': {
      const page = site.kinds.page.get(subject.page);
      if (!page) return null;
      if (subject.node === page.id) {
        const scope = pageScope(site, page);
        return {
          scope,
          element: scope.element,
          target: { type: 'default', element: 'page' },
          record: placedId({ kind: 'default', element: 'page', place: null }),
        };
      }
      const node = getRecord(site, subject.node);
      const scope = nodeScope(site, subject.page, subject.node);
      if (!isNode(node) || !scope) return null;
      return {
        scope,
        element: elementOfNode(node),
        target: { type: 'record', id: node.id },
        record: node.id,
      };
    }
    case 'element': {
      const element = elementNamed(subject.element);
      const variants: Record<string, Id> = {};
      for (const id of subject.variants) {
        const variant = site.kinds.variant.get(id);
        if (variant?.element === element.name) variants[variant.axis] = id;
      }
      const scope = specimenScope(element, subject.scheme, variants);
      const onVariant = subject.target !== null && site.kinds.variant.has(subject.target);
      const target: StyleTarget =
        onVariant && subject.target !== null
          ? { type: 'record', id: subject.target }
          : { type: 'default', element: element.name };
      return {
        scope,
        element,
        target,
        record:
          target.type === 'record'
            ? target.id
            : placedId({ kind: 'default', element: element.name, place: null }),
      };
    }
    case 'preset':
      return site.kinds.preset.has(subject.preset)
        ? {
            scope: null,
            element: null,
            target: { type: 'record', id: subject.preset },
            record: subject.preset,
          }
        : null;
  }
}
