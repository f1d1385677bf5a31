import { MARGIN, TEXT_RATIO } from '../../roles/index.ts';
import type { SchemeDraft } from './draft.ts';
import { least, TOLD } from './measures.ts';
import { apart, type Paint, ratio } from './palette.ts';

/** The swatch of what can be clicked: the wished one, or the most telling one of the purposes that may be. */
export function actionOf(draft: SchemeDraft): Paint {
  const wished = draft.wish.action === undefined ? null : draft.paint(draft.wish.action);
  if (wished) return wished;
  const told = draft.swatchesFor('mainFill').filter(it => apart(it, draft.surface) > TOLD);
  const cost = (it: Paint) =>
    (it.op === null ? 0 : 20) -
    it.chroma * 40 +
    (ratio(it.levels, draft.surface.levels) >= TEXT_RATIO + MARGIN ? 0 : 2);
  return (
    least(told, cost) ?? least(draft.swatchesFor('text'), it => -apart(it, draft.surface)) ?? draft.surface
  );
}

/** The most telling swatch of that purpose; what can be clicked where there is none. */
export function accentOf(draft: SchemeDraft, action: Paint): Paint {
  const own = draft.choices.filter(it => it.purpose === 'accent');
  return least(own, it => (it.op === null ? 0 : 20) - it.chroma * 40) ?? action;
}
