import { type ElementType, type Id, renderSample, type Site, sampleContent, specimenScope } from '@cove/core';
import type { ReadyLook } from '@cove/core/starters';
import { titled } from '../ui/titled.ts';
import { inColumn } from './inColumn.ts';
import { type LookGroup, type LookOption, type Looks, staticMarkup } from './option.ts';
import { withReadyLooks } from './readyLooks.ts';

export interface ElementLook extends LookOption {
  look: ReadyLook;
}

/** Every ready look of an element, in the site's own words, beside whether the guide has it. */
export function elementLooks(
  site: Site,
  element: ElementType,
  scheme: Id,
  siteId: string,
): Looks<ElementLook> {
  const { site: shown, looks } = withReadyLooks(site, element);
  const groups = element.axes.map(
    (axis): LookGroup<ElementLook> => ({
      label: titled(axis),
      options: looks
        .filter(it => it.look.axis === axis)
        .map(({ look, id, known }) => {
          const variants = { [axis]: id };
          const scope = specimenScope(element, scheme, variants);
          const sample = renderSample(
            shown,
            scope,
            sampleContent(shown, element, variants, 'own'),
            staticMarkup(siteId),
          );
          return {
            id: look.name,
            label: look.name,
            note: known ? 'in the guide' : '',
            chosen: known,
            markup: element.longFormAxes?.includes(axis) ? inColumn(shown, scope, sample, siteId) : sample,
            look,
          };
        }),
    }),
  );
  return {
    site: shown,
    page: null,
    scheme,
    bearers: [],
    groups: groups.filter(it => it.options.length > 0),
  };
}
