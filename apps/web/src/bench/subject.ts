import {
  type ElementType,
  elementNamed,
  elementOfNode,
  getRecord,
  type Id,
  isNode,
  nodeScope,
  type Place,
  pageScope,
  placedId,
  placedScope,
  type Scope,
  type Site,
  type State,
  type StyleTarget,
  targetId,
  type Width,
} from '@cove/core';

export interface Situation {
  part: string;
  state: State;
  width: Width;
}

/** An element of the guide, bare or in variants. */
export interface ElementSubject extends Situation {
  type: 'element';
  element: string;
  variants: readonly Id[];
  scheme: Id;
  /** The variant that values are set on; null for every such element. */
  target: Id | null;
  /** Where the rule holds; null for everywhere. */
  place?: Place | null;
}

/** What the bench is about: a thing on a page, an element of the guide, or a preset. */
export type Subject =
  | (Situation & { type: 'node'; page: Id; node: Id })
  | ElementSubject
  | (Situation & { type: 'preset'; preset: Id });

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
      const place = subject.place ?? null;
      const scope = placedScope(site, element, subject.scheme, variants, place);
      const variant =
        subject.target !== null && site.kinds.variant.has(subject.target) ? subject.target : null;
      const target: StyleTarget =
        variant === null
          ? { type: 'default', element: element.name, place }
          : place === null
            ? { type: 'record', id: variant }
            : { type: 'variantRule', variant, place };
      return { scope, element, target, record: targetId(target) };
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
