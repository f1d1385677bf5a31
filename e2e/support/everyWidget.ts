import { applyChange, type Edit, SETTINGS, type Site } from '@cove/core';
import { tolvane } from '@cove/core/starters';
import { addWidget } from '../../packages/core/src/commands/index.ts';
import { isItem, WIDGETS } from '../../packages/core/src/widgets/index.ts';

export const after = (site: Site, edits: readonly Edit[]): Site => {
  const applied = applyChange(site, { edits });
  if (!applied.ok) throw new Error(applied.problem.message);
  return applied.value.site;
};

export const PAGES = ['begins', 'sample'] as const;
export const SHOWN = WIDGETS.filter(it => !isItem(it));

/** The demo with two pages more, each with one of every widget in a section of its own: as it is at first, and as its sample. */
export function withEveryWidget(): Site {
  let site = tolvane(() => 'abcdef0123456789.webp');
  const look = { variants: {}, wears: {}, styles: {} };
  for (const page of PAGES) {
    const shared = {
      id: page,
      kind: 'page',
      pageKind: 'page',
      path: page,
      title: page,
      description: '',
    } as const;
    const at = { parent: SETTINGS, order: 'zz' };
    site = after(site, [
      { op: 'put', record: { ...shared, at, scheme: null, rebind: {}, unlisted: true } },
      ...SHOWN.map(({ name }, i): Edit => {
        const order = `A${String(i).padStart(3, '0')}V`;
        const section = { id: `${page}-${name}`, kind: 'section', area: 'main', name } as const;
        return {
          op: 'put',
          record: { ...section, at: { parent: page, order }, scheme: null, rebind: {}, ...look },
        };
      }),
    ]);
    for (const { name, sample } of SHOWN) {
      const { edits, id } = addWidget(site, `${page}-${name}`, 0, name);
      site = after(site, edits);
      if (page === 'sample') site = after(site, [{ op: 'set', id, path: ['content'], value: { ...sample } }]);
    }
  }
  return site;
}
