import { atLightness, type Color, distance, leastShift, roundColor } from '../../color/index.ts';
import { MARGIN, roleNamed, SIGN_RATIO, TEXT_RATIO } from '../../roles/index.ts';
import { accentOf } from './action.ts';
import type { Choice, SchemeDraft } from './draft.ts';
import { HARDLY, least, TOLD, thousandths } from './measures.ts';
import { apart, type Paint, ratio } from './palette.ts';

const QUIET_LABELS = ['quietLabel', 'quietLabelHover', 'quietLabelPressed'] as const;

/** Main buttons and links: one colour where it can be read on both, and what follows it in other states. */
export function bindClickable(draft: SchemeDraft, action: Paint): void {
  const { surface } = draft;
  draft.bind('accent', () => draft.legible(accentOf(draft, action), ['accent']));
  const fill = draft.bind('mainFill', () =>
    apart(action, surface) > TOLD ? [action, 'asked'] : seenChoice(draft, action),
  );
  const label = draft.bind('mainLabel', () => labelChoice(draft, fill));
  const away = label.lightness > fill.lightness ? -1 : 1;
  const readable = (levels: readonly number[]) => ratio(levels, label.levels) >= TEXT_RATIO + MARGIN;
  const hover = draft.bind('mainFillHover', () =>
    stateOf(draft, fill, 'Action hover', away, readable, [fill, surface]),
  );
  draft.bind('mainFillPressed', () =>
    stateOf(draft, fill, 'Action pressed', away, readable, [fill, hover, surface], 2),
  );
  const link = draft.bind('link', () => linkChoice(draft, fill));
  const own = link === fill ? 'Action' : 'Link';
  const linkHover = draft.bind('linkHover', () =>
    stateOf(draft, link, `${own} hover`, draft.out, levels => draft.passes(levels, ['linkHover']), [link]),
  );
  draft.bind('currentLink', () =>
    stateOf(
      draft,
      link,
      'Current link',
      draft.out,
      levels => draft.passes(levels, ['currentLink']),
      [link, linkHover],
      2,
    ),
  );
}

/** The fill where it can be read; one that serves quiet buttons too, where that costs next to nothing. */
function linkChoice(draft: SchemeDraft, fill: Paint): Choice {
  if (draft.passes(fill.levels, ['link'])) return [fill, 'shared'];
  const reads = (roles: readonly string[]) => (it: Color) => draft.passes(draft.levels(it), roles);
  const alone = leastShift(fill.color, reads(['link']));
  const both = leastShift(fill.color, reads(['link', ...QUIET_LABELS]));
  return alone && both && distance(alone, both) < HARDLY
    ? draft.legible(fill, ['link', ...QUIET_LABELS])
    : draft.legible(fill, ['link']);
}

/** Moved so far that it can be seen where it stands. */
function seenChoice(draft: SchemeDraft, from: Paint): Choice {
  const action = draft.rootOf(from);
  const color = leastShift(
    action.color,
    it => ratio(draft.levels(it), draft.surface.levels) >= SIGN_RATIO + MARGIN,
  );
  return color && color !== action.color
    ? [draft.atLightness('Action', action, color), 'moved']
    : [action, 'asked'];
}

function labelChoice(draft: SchemeDraft, fill: Paint): Choice {
  const { surface } = draft;
  const good = (it: Paint) => ratio(it.levels, fill.levels) >= TEXT_RATIO + MARGIN;
  const takes = roleNamed('mainLabel')?.takes ?? [];
  const inks = draft.choices.filter(
    it => takes.includes(it.purpose) && good(it) && (it.op === null || it === surface),
  );
  const found = least(
    inks,
    it =>
      it.chroma * 20 - ratio(it.levels, fill.levels) + (it === surface ? -2 : 0) + takes.indexOf(it.purpose),
  );
  if (found) return [found, 'fits'];
  const neutral = draft.rootOf(
    least(draft.swatchesFor('mainLabel'), it => -ratio(it.levels, fill.levels)) ?? fill,
  );
  const color = leastShift(neutral.color, it => ratio(draft.levels(it), fill.levels) >= TEXT_RATIO + MARGIN);
  return color && color !== neutral.color
    ? [draft.atLightness('Action label', neutral, color), 'moved']
    : [neutral, 'fits'];
}

/** A step lighter or darker that follows a colour, is told from it, and is as good as it has to be. */
function stateOf(
  draft: SchemeDraft,
  of: Paint,
  name: string,
  way: number,
  good: (levels: readonly number[]) => boolean,
  others: readonly Paint[],
  times = 1,
): Choice {
  const sizes = [0.06, 0.08, 0.1, 0.13].map(it => it * times);
  // Where there is no room for a whole step, what room there is.
  const room = (towards: number) => Math.floor((towards > 0 ? 1 - of.lightness : of.lightness) * 1000) / 1000;
  const steps = [
    ...sizes.map(it => way * it),
    way * Math.min(room(way), 0.06),
    way * room(way),
    ...sizes.map(it => -way * it),
    -way * 0.06,
    -way * 0.04,
  ];
  for (const told of [TOLD, HARDLY])
    for (const by of steps) {
      const lightness = of.lightness + by;
      if (lightness < 0 || lightness > 1) continue;
      const color = roundColor(atLightness(of.color, of.lightness + thousandths(by)));
      const would = draft.would(color);
      if (good(would.levels) && others.every(it => apart(it, would) > told))
        return [draft.shifted(name, of, by), 'follows'];
    }
  return [of, 'shared'];
}

export function bindOtherButtons(draft: SchemeDraft): void {
  const heading = draft.shown('heading');
  const link = draft.shown('link');
  const second = ['secondLabel', 'secondLabelHover', 'secondLabelPressed'] as const;
  const label = draft.bind('secondLabel', () => draft.legible(heading, second));
  draft.bind('secondLine', () => draft.legible(label, ['secondLine']));
  draft.bind('quietLabel', () => draft.legible(link, QUIET_LABELS));
}
