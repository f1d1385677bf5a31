import type { SchemeDraft } from './draft.ts';
import { least } from './measures.ts';
import { type Paint, ratio } from './palette.ts';

export function bindLines(draft: SchemeDraft, action: Paint): void {
  const { surface } = draft;
  const on = (it: Paint) => ratio(it.levels, surface.levels);
  draft.bind('line', () => {
    const fair = draft.swatchesFor('line').filter(it => on(it) > 1.15 && on(it) < 2.4);
    const found = least(fair, it => it.chroma * 20 + Math.abs(on(it) - 1.5));
    if (found) return [found, 'fits'];
    const by = [0.12, 0.16, -0.12]
      .map(it => it * draft.out)
      .find(it => {
        const lightness = surface.lightness + it;
        return lightness >= 0 && lightness <= 1;
      });
    return [by === undefined ? surface : draft.shifted('Line', surface, by), 'follows'];
  });
  draft.bind('fieldLine', () => {
    const fair = draft
      .swatchesFor('fieldLine')
      .filter(it => draft.passes(it.levels, ['fieldLine']) && on(it) < 7);
    const found = least(fair, it => it.chroma * 20 + on(it));
    return found ? [found, 'fits'] : draft.legible(draft.shown('muted'), ['fieldLine']);
  });
  draft.bind('focus', () => {
    const link = draft.shown('link');
    if (draft.passes(action.levels, ['focus'])) return [action, 'shared'];
    return draft.passes(link.levels, ['focus']) ? [link, 'shared'] : draft.legible(action, ['focus']);
  });
}
