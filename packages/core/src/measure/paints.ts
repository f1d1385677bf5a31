import {
  type Contributions,
  contributionsTo,
  layersBehind,
  outside,
  roleValue,
  type Scope,
  scopeBehind,
  winner,
} from '../cascade/index.ts';
import { type Color, compositeOver } from '../color/index.ts';
import { isEmptyContent } from '../content/index.ts';
import type { PropertyName } from '../properties/index.ts';
import type { Site } from '../site/index.ts';
import type { Width } from '../slots/index.ts';
import { literalOf } from '../tokens/index.ts';
import { type Length, lengthInPx, type Value } from '../values/index.ts';
import { partOf } from '../widgets/index.ts';
import { roleColor, siteContrast } from './contrast.ts';
import { isLargeText, wantedFor } from './overPicture.ts';

/** Colours that lie behind a place, opaque each; several behind a gradient. Null where a picture or a pattern lies there. */
type Ground = readonly Color[] | null;

/** A part that paints a fill. */
export interface Filled {
  scope: Scope;
  part: string;
}

/** What is painted at a part, and what it hands on to those inside. */
interface Paint {
  text: Color | null;
  ground: Ground;
  /** The part whose fill lies directly behind; null where that is the page’s. */
  filledBy: Filled | null;
  /** Px of its letters. */
  size: number;
  weight: number;
  /** Share at which what is inside shows over `under`; 1 where nothing is see-through. */
  veil: number;
  under: Ground;
}

/** How well the words of a part can be read on what is painted behind them. */
export interface TextContrast {
  ratio: number;
  /** The least that is asked for (WCAG 2.2, 1.4.3). */
  wanted: number;
  text: Color;
  /** The colour behind it on which it can be read worst. */
  ground: Color;
  /** The part whose fill that is; null where it is the page’s. */
  filledBy: Filled | null;
}

/** Of a browser that nobody has set up. */
const SIZE = 16;
const WEIGHT = 400;
const TEXT_KINDS: readonly string[] = ['heading', 'text', 'label'];

const faded = (color: Color, share: number): Color =>
  share < 1 ? { ...color, alpha: color.alpha * share } : color;

/** What lies on some grounds comes to show with them. */
const laidOn = (ground: Ground, tops: readonly Color[]): Ground => {
  const solid = tops.every(it => it.alpha === 1);
  if (solid) return tops;
  return ground && tops.flatMap(top => ground.map(below => compositeOver(top, below)));
};

/**
 * Text and grounds as they are stacked at a width, each place worked out once from the one around it. Shadows, filters and
 * blending are not reckoned with; a picture is measured where it is drawn.
 */
export class Paints {
  private readonly known = new Map<Scope, Map<string, Paint>>();

  constructor(
    private readonly site: Site,
    private readonly width: Width,
    private readonly contributions: (scope: Scope, part: string) => Contributions = (scope, part) =>
      contributionsTo(site, scope, part),
  ) {}

  private literal(scope: Scope, value: Value): Value | null {
    const bound = value.type === 'role' ? roleValue(this.site, scope.scheme, value.role)?.value : value;
    return bound ? literalOf(this.site.kinds.token, scope.rebinds, bound) : null;
  }

  private said(scope: Scope, part: string, property: PropertyName): Value | null {
    const value = winner(this.contributions(scope, part).get(property), 'rest', this.width)?.value;
    return value ? this.literal(scope, value) : null;
  }

  private px({ value, unit }: Length, around: number): number {
    if (unit === 'em') return value * around;
    if (unit === '%') return (value / 100) * around;
    return lengthInPx({ value, unit }) ?? around;
  }

  private sizeOf(end: Value | null, around: number): number {
    if (end?.type === 'dimension') return this.px(end.value, around);
    if (end?.type === 'fluid') return this.px(this.width === 'narrow' ? end.min : end.max, around);
    return around;
  }

  /** A ground with what one part paints over it. */
  private covered(scope: Scope, part: string, ground: Ground, share: number): Ground {
    let at = ground;
    const fill = this.said(scope, part, 'backgroundColor');
    if (fill?.type === 'color' && fill.value.alpha > 0) at = laidOn(at, [faded(fill.value, share)]);
    const image = this.said(scope, part, 'backgroundImage');
    if (image?.type === 'picture' || image?.type === 'pattern') return null;
    if (image?.type !== 'gradient') return at;
    const stops = image.stops.map(it => this.literal(scope, it.color));
    const colors = stops.flatMap(it => (it?.type === 'color' ? [faded(it.value, share)] : []));
    return colors.length === 0 ? at : laidOn(at, colors);
  }

  private outermost(scope: Scope): Paint {
    const surface = roleColor(this.site, scope.scheme, 'surface');
    return {
      text: roleColor(this.site, scope.scheme, 'text'),
      ground: surface && [surface],
      filledBy: null,
      size: SIZE,
      weight: WEIGHT,
      veil: 1,
      under: null,
    };
  }

  private worksOut(scope: Scope, part: string): Paint {
    const spot = outside({ scope, part, state: 'rest' });
    const around = spot ? this.at(spot.scope, spot.part) : this.outermost(scope);
    const beneath = scope.over && spot && spot.scope !== scope ? scopeBehind(scope) : null;
    const color = this.said(scope, part, 'color');
    const weight = this.said(scope, part, 'fontWeight');
    const opacity = this.said(scope, part, 'opacity');
    const share = opacity?.type === 'number' ? opacity.value : 1;
    const veil = around.veil * share;
    const behind = beneath ? this.at(beneath, 'box').ground : around.ground;
    const own = this.covered(scope, part, behind, veil);
    let ground = own;
    // Layers behind a section lie over its own fill and below all that it holds.
    if (!spot || spot.scope !== scope)
      for (const layer of [...layersBehind(this.site, scope)].reverse())
        ground = this.covered(scope, layer, ground, veil);
    return {
      text: color?.type === 'color' ? color.value : around.text,
      ground,
      filledBy:
        own !== behind ? { scope, part } : beneath ? { scope: beneath, part: 'box' } : around.filledBy,
      size: this.sizeOf(this.said(scope, part, 'fontSize'), around.size),
      weight: weight?.type === 'number' ? weight.value : around.weight,
      veil,
      under: veil < 1 ? (around.under ?? behind) : null,
    };
  }

  private at(scope: Scope, part: string): Paint {
    let ofScope = this.known.get(scope);
    if (!ofScope) {
      ofScope = new Map();
      this.known.set(scope, ofScope);
    }
    let paint = ofScope.get(part);
    if (!paint) {
      paint = this.worksOut(scope, part);
      ofScope.set(part, paint);
    }
    return paint;
  }

  /** The words of a part on what is behind them; null where it shows none, or where a picture lies behind. */
  textOf(scope: Scope, part: string): TextContrast | null {
    const { kind, shows } = partOf(scope.element, part) ?? {};
    if (kind === undefined || !TEXT_KINDS.includes(kind)) return null;
    const field = shows === undefined ? undefined : scope.element.content[shows];
    if (
      field &&
      scope.node?.kind === 'widget' &&
      isEmptyContent(field, scope.node.content[shows ?? ''] ?? null)
    )
      return null;
    const { text, ground, filledBy, size, weight, veil, under } = this.at(scope, part);
    if (!text || !ground) return null;
    const seen = veil < 1 && under ? under.map(it => compositeOver(faded(text, veil), it)) : [text];
    let worst: TextContrast | null = null;
    const wanted = wantedFor(isLargeText(size, weight));
    for (const color of seen)
      for (const below of ground) {
        const ratio = siteContrast(this.site, color, below);
        if (!worst || ratio < worst.ratio) worst = { ratio, wanted, text: color, ground: below, filledBy };
      }
    return worst;
  }
}
