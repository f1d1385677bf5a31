import { atLightness, leastShift, roundColor } from '../../color/index.ts';
import { SIGN_RATIO, STATUSES } from '../../roles/index.ts';
import type { Choice, SchemeDraft } from './draft.ts';
import { ALARMING, COMFORT, FAIR, least, TOLD, thousandths } from './measures.ts';
import { apart, type Paint, ratio } from './palette.ts';
import { ownSign } from './statuses.ts';

export function bindTexts(draft: SchemeDraft): void {
  const { surface } = draft;
  const on = (it: Paint) => ratio(it.levels, surface.levels);
  const text = draft.bind('text', () => textChoice(draft));
  draft.bind('heading', () => headingChoice(draft, text));
  const muted = draft.bind('muted', () => {
    const fair = draft
      .swatchesFor('muted')
      .filter(it => draft.passes(it.levels, ['muted']) && apart(it, text) > TOLD);
    const found = least(fair, it => it.chroma * 30 + Math.abs(on(it) - 5.5));
    if (found) return [found, 'fits'];
    // Nearer to the surface than text is, as long as it can be read.
    for (const by of [0.24, 0.18, 0.12, 0.07, 0.05, 0.03]) {
      const lightness = thousandths(text.lightness - draft.out * by);
      if (lightness < 0 || lightness > 1) continue;
      const color = roundColor(atLightness(text.color, lightness));
      if (draft.passes(draft.levels(color), ['muted']))
        return [
          draft.alike('muted', color, it => draft.passes(it.levels, ['muted'])) ??
            draft.shifted('Muted text', text, -draft.out * by),
          'follows',
        ];
    }
    return [text, 'shared'];
  });
  draft.bind('placeholder', () => draft.legible(muted, ['placeholder']));
}

/** A neutral that reads with comfort; where none can be, the furthest out there is, so that what is quieter has room. */
function textChoice(draft: SchemeDraft): Choice {
  const { surface } = draft;
  const cost = (it: Paint) => it.chroma * 40 + Math.abs(ratio(it.levels, surface.levels) - 13) * 0.5;
  const from = draft.swatchesFor('text');
  const good = from.filter(it => draft.passes(it.levels, ['text'], COMFORT));
  const found = least(good, cost);
  if (found) return [found, 'fits'];
  const best = draft.rootOf(least(from, cost) ?? surface);
  const comfortable = leastShift(best.color, it => draft.passes(draft.levels(it), ['text'], COMFORT));
  if (comfortable) return draft.legible(best, ['text'], COMFORT);
  const color = atLightness(best.color, draft.dark ? 1 : 0);
  return [draft.atLightness('Text', best, color), 'moved'];
}

/** A colour of the brand that reads well, or a neutral further out than text. */
function headingChoice(draft: SchemeDraft, text: Paint): Choice {
  const { surface, wish } = draft;
  const on = (it: Paint) => ratio(it.levels, surface.levels);
  const own = draft.choices.filter(
    it => it.purpose === 'identity' && apart(it, surface) > TOLD && apart(it, text) > TOLD,
  );
  // Headings in the red of errors alarm; whoever wants that asks for it.
  const alarming = (it: Paint) =>
    STATUSES.some(status => {
      const sign = ownSign(draft, status);
      return sign !== undefined && apart(sign, it) < ALARMING;
    });
  const brand = wish.headings === 'identity' ? own : own.filter(it => !alarming(it));
  if (wish.headings !== 'neutral') {
    const good = brand.filter(it => draft.passes(it.levels, ['heading'], FAIR));
    const found = least(good, it => (it.op === null ? 0 : 3) - it.chroma * 20 + Math.abs(on(it) - 11) * 0.3);
    if (found) return [found, 'fits'];
    const best = least(brand, it => (it.op === null ? 0 : 3) + Math.abs(on(it) - COMFORT));
    if (best && (wish.headings === 'identity' || on(best) >= SIGN_RATIO))
      return draft.legible(best, ['heading'], COMFORT);
  }
  const further = draft.choices.filter(
    it =>
      it.purpose === 'neutral' &&
      on(it) > on(text) &&
      apart(it, text) > 3 &&
      draft.passes(it.levels, ['heading'], COMFORT),
  );
  const found = least(further, it => it.chroma * 20 - on(it));
  if (found) return [found, 'fits'];
  const by = [0.1, 0.07, 0.05].find(it => {
    const lightness = text.lightness + draft.out * it;
    return lightness >= 0 && lightness <= 1;
  });
  return by === undefined ? [text, 'shared'] : [draft.shifted('Heading', text, draft.out * by), 'follows'];
}
