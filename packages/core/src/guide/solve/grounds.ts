import { atLightness, mix, roundColor } from '../../color/index.ts';
import { derivationNamed } from '../../derivations/index.ts';
import { MARGIN, SIGN_RATIO, STATUSES, type Status, TEXT_RATIO } from '../../roles/index.ts';
import { hueApart } from '../purposes.ts';
import { accentOf } from './action.ts';
import type { Choice, SchemeDraft } from './draft.ts';
import { HARDLY, HUELESS, least, TOLD, thousandths } from './measures.ts';
import { apart, type Paint, ratio } from './palette.ts';
import { ownSign, signOf } from './statuses.ts';

/** What a ground would take away: of all that reads on the surface as it is, each with what losing it costs. */
type Losses = (levels: readonly number[]) => number;
/** The colour of what can be clicked is not to be lost while there is a choice. */
const ACTION_LOST = 10;

function lossesOn(draft: SchemeDraft, action: Paint): Losses {
  const text = TEXT_RATIO + MARGIN;
  const signs = STATUSES.flatMap(status => ownSign(draft, status) ?? []);
  const accent = accentOf(draft, action);
  const spared = [
    { paint: action, wanted: text, cost: ACTION_LOST },
    ...(accent === action ? [] : [{ paint: accent, wanted: SIGN_RATIO + MARGIN, cost: 1 }]),
    ...signs.map(paint => ({ paint, wanted: text, cost: 1 })),
  ].filter(({ paint, wanted }) => ratio(paint.levels, draft.surface.levels) >= wanted);
  return levels => {
    let sum = 0;
    for (const { paint, wanted, cost } of spared) if (ratio(paint.levels, levels) < wanted) sum += cost;
    return sum;
  };
}

/** All grounds, before anything that stands on them. */
export function bindGrounds(draft: SchemeDraft, action: Paint): void {
  const { surface } = draft;
  const losses = lossesOn(draft, action);
  draft.bind('raised', () => raisedChoice(draft, losses));
  draft.bind('fieldSurface', () => [surface, 'shared']);
  draft.bind('selection', () => selectionChoice(draft, losses, action));
  for (const status of STATUSES)
    draft.bind(`${status}Ground`, () => statusGroundChoice(draft, losses, status));
  buttonGrounds(draft, losses);
}

/** Fills of second and quiet buttons: the surface, and steps from it. */
function buttonGrounds(draft: SchemeDraft, losses: Losses): void {
  const { surface } = draft;
  const size = draft.dark ? 0.06 : 0.035;
  const hover = draft.bind('secondFillHover', () =>
    surfaceStep(draft, losses, 'Surface hover', size, [surface]),
  );
  const pressed = draft.bind('secondFillPressed', () =>
    surfaceStep(draft, losses, 'Surface pressed', size * 1.8, [surface, hover]),
  );
  draft.bind('secondFill', () => [surface, 'shared']);
  draft.bind('quietFill', () => [surface, 'shared']);
  draft.bind('quietFillHover', () => [hover, 'shared']);
  draft.bind('quietFillPressed', () => [pressed, 'shared']);
}

function surfaceStep(
  draft: SchemeDraft,
  losses: Losses,
  name: string,
  size: number,
  others: readonly Paint[],
): Choice {
  const { surface, out } = draft;
  const would = (by: number) => {
    const color = roundColor(atLightness(surface.color, surface.lightness + thousandths(by)));
    return draft.would(color);
  };
  const steps = [
    out * size,
    -out * size,
    out * size * 0.6,
    -out * size * 0.6,
    out * size * 1.5,
    -out * size * 1.5,
  ]
    .filter(by => surface.lightness + by >= 0 && surface.lightness + by <= 1)
    .filter(by => {
      const paint = would(by);
      return draft.bearsInk(paint.levels) && others.every(it => apart(it, paint) > HARDLY);
    });
  const by = least(steps, it => losses(would(it).levels));
  return by === undefined ? [surface, 'shared'] : [draft.shifted(name, surface, by), 'follows'];
}

function raisedChoice(draft: SchemeDraft, losses: Losses): Choice {
  const { surface } = draft;
  const near = draft.choices.filter(it => {
    const far = apart(it, surface);
    const related = surface.chroma < HUELESS || hueApart(it.hue, surface.hue) < 25;
    const ground = it.purpose === 'neutral' || (it.purpose === surface.purpose && related);
    return (
      ground &&
      far > 2.5 &&
      far < 16 &&
      Math.abs(it.chroma - surface.chroma) < 0.06 &&
      related &&
      draft.bearsInk(it.levels)
    );
  });
  const way = draft.dark ? 1 : -1;
  const found = least(
    near,
    it =>
      apart(it, surface) +
      (Math.sign(it.lightness - surface.lightness) === way ? 0 : 6) +
      losses(it.levels) * 4,
  );
  if (found && losses(found.levels) < ACTION_LOST) return [found, 'fits'];
  const size = draft.dark ? 0.06 : 0.035;
  const by = step(draft, losses, surface, [way * size, -way * size, way * size * 0.6, -way * size * 0.6]);
  return by === 0 ? [surface, 'shared'] : [draft.shifted('Raised', surface, by), 'follows'];
}

/** The step in lightness after which a ground still bears its ink and takes the least away; 0 where none does. */
function step(draft: SchemeDraft, losses: Losses, of: Paint, sizes: readonly number[]): number {
  const inside = sizes.filter(by => of.lightness + by >= 0 && of.lightness + by <= 1);
  const levels = (by: number) =>
    draft.levels(roundColor(atLightness(of.color, of.lightness + thousandths(by))));
  const bearing = inside.filter(by => draft.bearsInk(levels(by)));
  return least(bearing, by => losses(levels(by))) ?? 0;
}

function selectionChoice(draft: SchemeDraft, losses: Losses, action: Paint): Choice {
  const { surface } = draft;
  const raised = draft.shown('raised');
  if (action === surface || apart(action, surface) < TOLD) return [raised, 'shared'];
  const levels = (by: number) => draft.levels(roundColor(mix(surface.color, action.color, by)));
  const shares = [0.18, 0.14, 0.1, 0.07].filter(by => draft.bearsInk(levels(by)));
  const share = least(shares, by => losses(levels(by)));
  if (share === undefined) return [raised, 'shared'];
  return [draft.derive('Selection', [surface, action], 'mix', share, 'none'), 'follows'];
}

function statusGroundChoice(draft: SchemeDraft, losses: Losses, status: Status): Choice {
  const sign = signOf(draft, status);
  const good = (it: Paint) => draft.bearsInk(it.levels) && losses(it.levels) < ACTION_LOST;
  const there = draft.choices.filter(
    it =>
      it.purpose === status &&
      it !== sign &&
      it.op !== 'lightness' &&
      it.chroma > 0.01 &&
      (draft.dark ? it.lightness < 0.45 : it.lightness > 0.88) &&
      good(it),
  );
  const found = least(there, it => Math.abs(it.lightness - (draft.dark ? 0.3 : 0.94)));
  if (found) return [found, 'fits'];
  // A light ground is a tint of the same hue as the sign that stands on it (common practice, no source).
  const [op, shares] = draft.dark
    ? (['shade', [0.68, 0.76, 0.84]] as const)
    : (['tint', [0.86, 0.9, 0.92]] as const);
  const levels = (by: number) => {
    const result = derivationNamed(op)?.compute([{ type: 'color', value: sign.color }], [by]);
    return result?.type === 'color' ? draft.levels(result.value) : sign.levels;
  };
  const bearing = shares.filter(by => draft.bearsInk(levels(by)));
  const by = least(bearing, it => losses(levels(it))) ?? shares[2];
  const name = `${status.charAt(0).toUpperCase()}${status.slice(1)} ground`;
  return [draft.derive(name, [sign], op, by), 'follows'];
}
