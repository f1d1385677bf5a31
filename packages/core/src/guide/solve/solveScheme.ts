import { atLightness, type Color, roundColor } from '../../color/index.ts';
import { leastShift } from '../../color/leastShift.ts';
import { derivationNamed } from '../../derivations/index.ts';
import { newId } from '../../site/id.ts';
import type { Id, SchemeRecord, TokenRecord } from '../../site/records.ts';
import { stableText } from '../../site/stableText.ts';
import type { Tokens } from '../../tokens/graph.ts';
import type { Value } from '../../values/index.ts';
import { apart, hueApart, type Paint, paintOf, paintsOf, ratio } from './palette.ts';

export interface SchemeWish {
  /** The swatch it stands on. */
  surface: Id;
  /** The swatch of what can be clicked; chosen by the solver where left out. */
  accent?: Id;
}

/** A swatch that had to be made, since none of the palette served. */
export interface MadeSwatch {
  token: Omit<TokenRecord, 'order'>;
  /** The swatch it follows, moved in lightness or tinted only; null for one made from nothing. */
  of: Id | null;
  /** The roles it was made for. */
  roles: readonly string[];
}

export interface SolvedScheme {
  face: SchemeRecord['face'];
  roles: SchemeRecord['roles'];
  made: readonly MadeSwatch[];
}

const TEXT = 4.5;
const SIGN = 3;
/** Both heading and text should do better than the least (common practice, no source). */
const COMFORT = 7;
/** Colours nearer to each other (CIEDE2000) can hardly be told apart. */
const HARDLY = 2;
/** Below this OKLCH chroma a swatch is taken for a neutral. */
const NEUTRAL = 0.05;
/** Relative luminance on which black and white can be read equally well, at 4.58:1. */
const MIDDLE = Math.sqrt(1.05 * 0.05) - 0.05;
const STATUSES = [
  { name: 'success', hue: 150 },
  { name: 'warning', hue: 75 },
  { name: 'danger', hue: 25 },
  { name: 'info', hue: 245 },
] as const;

const least = <T>(items: readonly T[], cost: (item: T) => number): T | undefined => {
  let best: T | undefined;
  let low = Number.POSITIVE_INFINITY;
  for (const item of items) {
    const value = cost(item);
    if (value < low) [best, low] = [item, value];
  }
  return best;
};

const MADE = ', made';
/** The group of the swatches that had to be made for a scheme. */
export const madeGroup = (scheme: string): string => `${scheme.slice(0, 80 - MADE.length)}${MADE}`;
export const isMadeGroup = (group: string): boolean => group.endsWith(MADE);

class Solver {
  readonly roles: Record<string, Value> = {};
  readonly made: { token: Omit<TokenRecord, 'order'>; of: Id | null; roles: string[] }[] = [];
  private readonly chosen = new Map<string, Paint>();
  private readonly paints: Paint[];
  /** Swatches by what they are set to. */
  private readonly known = new Map<string, Id>();
  private readonly surface: Paint;
  private readonly dark: boolean;

  constructor(
    tokens: Tokens,
    private readonly wish: SchemeWish,
    private readonly group: string,
    private readonly nextId: () => Id,
  ) {
    this.paints = paintsOf(tokens);
    for (const { id, type, value } of tokens.values())
      if (type === 'color') this.known.set(stableText(value), id);
    const surface = this.paints.find(it => it.id === wish.surface);
    if (!surface) throw new Error(`no opaque swatch ${wish.surface}`);
    this.surface = surface;
    this.dark = surface.level < MIDDLE;
  }

  private bind(role: string, paint: Paint): Paint {
    this.roles[role] = { type: 'token', token: paint.id };
    this.chosen.set(role, paint);
    for (const it of this.made) if (it.token.id === paint.id) it.roles.push(role);
    return paint;
  }

  /** A new swatch, which later roles may use as well; the very one where it was made before, here or for another scheme. */
  private make(name: string, of: Id | null, value: Value, color: Color): Paint {
    const said = stableText(value);
    const known = this.known.get(said);
    const there = known !== undefined && this.paints.find(it => it.id === known);
    if (there) return there;
    const taken = new Set(this.made.map(it => it.token.name));
    let unique = name;
    for (let n = 2; taken.has(unique); n++) unique = `${name} ${n}`;
    const token = {
      id: this.nextId(),
      kind: 'token',
      type: 'color',
      name: unique,
      group: this.group,
      value,
    } as const;
    this.made.push({ token, of, roles: [] });
    this.known.set(said, token.id);
    const paint = paintOf(token.id, token, color);
    this.paints.push(paint);
    return paint;
  }

  private derive(name: string, of: Paint, op: string, by: number): Paint {
    const result = derivationNamed(op)?.compute([{ type: 'color', value: of.color }], [by]);
    if (result?.type !== 'color') throw new Error(`${op} makes no colour`);
    return this.make(
      name,
      of.id,
      { type: 'derived', derivation: { op, from: [of.id], by: [by] } },
      result.value,
    );
  }

  /** The same hue at another lightness; what was moved already is moved from where it began. */
  private at(of: Paint, lightness: number): Paint {
    const moved = this.made.find(it => it.token.id === of.id && it.of !== null);
    const root = (moved && this.paints.find(it => it.id === moved.of)) ?? of;
    const by = Math.round(lightness * 1000) / 1000;
    return this.derive(`${root.name} ${by > root.lightness ? 'lighter' : 'darker'}`, root, 'lightness', by);
  }

  /** A swatch that passes, moved in lightness where it does not itself; on the first ground at least. */
  private passing(of: Paint, grounds: readonly Paint[], wanted: number): Paint {
    const levels = grounds.map(it => it.level);
    for (const [asked, on] of [
      [wanted, levels],
      [Math.min(wanted, TEXT), levels],
      [Math.min(wanted, TEXT), levels.slice(0, 1)],
    ] as const) {
      const color = leastShift(of.color, on, asked);
      if (!color) continue;
      if (color === of.color) return of;
      return this.alike(of, color, grounds.slice(0, on.length), asked) ?? this.at(of, color.coords[0]);
    }
    return this.at(of, (levels[0] ?? 0) < MIDDLE ? 1 : 0);
  }

  /** A swatch that nobody could tell from what would be made, and that passes as well. */
  private alike(of: Paint, color: Color, grounds: readonly Paint[], wanted: number): Paint | undefined {
    const would = paintOf('', of, color);
    return least(
      this.paints.filter(it => apart(it, would) < HARDLY && this.passes(it, grounds, wanted)),
      it => apart(it, would),
    );
  }

  private passes(it: Paint, grounds: readonly Paint[], wanted: number): boolean {
    return grounds.every(ground => ratio(it, ground) >= wanted);
  }

  /** The best of the palette that passes; where none does, the best of all, moved in lightness. */
  private choose(grounds: readonly Paint[], wanted: number, cost: (it: Paint) => number): Paint {
    const good = this.paints.filter(it => this.passes(it, grounds, wanted));
    const best = least(good, cost) ?? least(this.paints, cost);
    if (!best) throw new Error('a palette without swatches');
    return this.passing(best, grounds, wanted);
  }

  /** A ground near another one that can be told from it; from the palette, or a step of its own lightness. */
  private near(of: Paint, labels: readonly Paint[], wanted: number, way: 1 | -1, step: number): Paint {
    const good = this.paints.filter(it => {
      const far = apart(it, of);
      return (
        far > 2.5 &&
        far < 16 &&
        Math.abs(it.chroma - of.chroma) < 0.06 &&
        (of.chroma < NEUTRAL || hueApart(it.hue, of.hue) < 25) &&
        this.passes(it, labels, wanted)
      );
    });
    const found = least(good, it => apart(it, of) + (Math.sign(it.lightness - of.lightness) === way ? 0 : 6));
    if (found) return found;
    for (const [direction, size] of [
      [way, 1],
      [-way, 1],
      [way, 0.5],
      [-way, 0.5],
    ] as const) {
      const lightness = of.lightness + direction * step * size;
      if (lightness < 0 || lightness > 1) continue;
      const moved = roundColor(atLightness(of.color, Math.round(lightness * 1000) / 1000));
      if (this.passes(paintOf('', of, moved), labels, wanted)) return this.at(of, lightness);
    }
    return of;
  }

  private isBrand(it: Paint): boolean {
    return it.chroma >= NEUTRAL;
  }

  /** Away from the surface: towards what stands out on it. */
  private get out(): 1 | -1 {
    return this.dark ? 1 : -1;
  }

  solve(): SolvedScheme {
    const { surface } = this;
    this.bind('surface', surface);
    // Grounds stay on the side of the surface, so that one ink can be read on all of them.
    const ink = paintOf('', surface, {
      space: 'srgb',
      coords: this.dark ? [1, 1, 1] : [0, 0, 0],
      alpha: 1,
    });
    const raised = this.bind(
      'raised',
      this.near(surface, [ink], TEXT, this.dark ? 1 : -1, this.dark ? 0.06 : 0.035),
    );
    const grounds = [surface, raised];
    const text = this.bind(
      'text',
      this.choose(grounds, COMFORT, it => it.chroma * 40 + Math.abs(ratio(it, surface) - 13) * 0.5),
    );
    this.bind(
      'heading',
      this.choose(
        grounds,
        COMFORT,
        it => (this.isBrand(it) ? 0 : 4) + Math.abs(ratio(it, surface) - 11) * 0.4 + (it === text ? 1 : 0),
      ),
    );
    const muted = this.bind(
      'muted',
      this.choose(grounds, TEXT, it => it.chroma * 30 + Math.abs(ratio(it, surface) - 5.5)),
    );

    const wished = this.paints.find(it => it.id === this.wish.accent);
    const accent = this.bind(
      'accent',
      wished
        ? this.passing(wished, [surface], SIGN)
        : this.choose([surface], SIGN, it => -it.chroma * 40 + (ratio(it, surface) >= TEXT ? 0 : 2)),
    );
    const link = this.bind('link', this.passing(accent, grounds, TEXT));
    this.bind('linkHover', this.step(link, grounds, TEXT));
    this.bind('currentLink', link);
    this.bind(
      'line',
      least(
        this.paints.filter(it => ratio(it, surface) > 1.15 && ratio(it, surface) < 2.4),
        it => it.chroma * 20 + Math.abs(ratio(it, surface) - 1.5),
      ) ?? this.at(surface, surface.lightness + this.out * 0.12),
    );

    this.mainButton(accent);
    this.otherButtons(text, link);
    this.fields(muted, text);
    this.bind('focus', this.passing(accent, grounds, SIGN));
    this.bind('selection', this.near(surface, [text], TEXT, this.out === 1 ? 1 : -1, 0.09));
    for (const status of STATUSES) this.status(status);
    return { face: this.dark ? 'dark' : 'light', roles: this.roles, made: this.made };
  }

  /** A colour that differs visibly from one and passes as it does: from the palette, or a step further out. */
  private step(of: Paint, grounds: readonly Paint[], wanted: number): Paint {
    const good = this.paints.filter(it => {
      const far = apart(it, of);
      return far > 6 && far < 30 && hueApart(it.hue, of.hue) < 30 && this.passes(it, grounds, wanted);
    });
    const found = least(good, it => Math.abs(apart(it, of) - 12));
    if (found) return found;
    for (const by of [0.1, 0.07, -0.1, 0.16, -0.16]) {
      const lightness = of.lightness + this.out * by;
      if (lightness < 0.02 || lightness > 0.99) continue;
      const color = roundColor(atLightness(of.color, Math.round(lightness * 1000) / 1000));
      if (this.passes(paintOf('', of, color), grounds, wanted)) return this.at(of, lightness);
    }
    return of;
  }

  private mainButton(accent: Paint): void {
    const { surface } = this;
    const inks = this.paints.filter(it => ratio(it, accent) >= TEXT);
    let fill = accent;
    let label = least(inks, it => it.chroma * 20 - ratio(it, accent) + (it === surface ? -2 : 0));
    if (!label) {
      label = least(this.paints, it => -ratio(it, accent)) ?? surface;
      fill = this.passing(accent, [label], TEXT);
    }
    this.bind('mainFill', fill);
    this.bind('mainLabel', label);
    const hover = this.fillStep(fill, [label], [fill]);
    this.bind('mainFillHover', hover);
    this.bind('mainFillPressed', this.fillStep(hover, [label], [fill, hover]));
  }

  /** The next step of a filled ground, on which its label can still be read. */
  private fillStep(of: Paint, labels: readonly Paint[], not: readonly Paint[]): Paint {
    const good = this.paints.filter(it => {
      const far = apart(it, of);
      return (
        not.every(other => apart(it, other) > 4) &&
        far > 4 &&
        far < 22 &&
        hueApart(it.hue, of.hue) < 20 &&
        Math.abs(it.chroma - of.chroma) < 0.12 &&
        this.passes(it, labels, TEXT)
      );
    });
    const found = least(good, it => Math.abs(apart(it, of) - 9));
    if (found) return found;
    // Away from the label first, so that contrast grows.
    const away = (labels[0]?.lightness ?? 0) > of.lightness ? -1 : 1;
    for (const by of [0.07, 0.1, -0.07, 0.14, -0.1, 0.05]) {
      const lightness = of.lightness + away * by;
      if (lightness < 0.02 || lightness > 0.99) continue;
      const color = roundColor(atLightness(of.color, Math.round(lightness * 1000) / 1000));
      const paint = paintOf('', of, color);
      if (this.passes(paint, labels, TEXT) && not.every(it => apart(it, paint) > 4))
        return this.at(of, lightness);
    }
    return of;
  }

  private otherButtons(text: Paint, link: Paint): void {
    const { surface } = this;
    const raised = this.chosen.get('raised') ?? surface;
    const heading = this.chosen.get('heading') ?? text;
    const hover = raised === surface ? this.near(surface, [heading, link], TEXT, this.out, 0.05) : raised;
    const pressed = this.fillStep(hover, [heading], [surface, hover]);
    const label = this.passing(heading, [surface, hover, pressed], TEXT);
    this.bind('secondFill', surface);
    this.bind('secondLabel', label);
    this.bind('secondLine', this.passing(label, [surface], SIGN));
    this.bind('secondFillHover', hover);
    this.bind('secondFillPressed', pressed);
    this.bind('quietFill', surface);
    this.bind('quietLabel', this.passing(link, [surface, hover, pressed], TEXT));
    this.bind('quietFillHover', hover);
    this.bind('quietFillPressed', pressed);
  }

  private fields(muted: Paint, text: Paint): void {
    const { surface } = this;
    this.bind('fieldSurface', surface);
    this.bind('placeholder', this.passing(muted, [surface], TEXT));
    this.bind(
      'fieldLine',
      least(
        this.paints.filter(it => ratio(it, surface) >= SIGN && ratio(it, surface) < 7),
        it => it.chroma * 20 + ratio(it, surface),
      ) ?? this.passing(text, [surface], SIGN),
    );
  }

  private status({ name, hue }: (typeof STATUSES)[number]): void {
    const { surface } = this;
    const near = this.paints.filter(it => it.chroma >= 0.06 && hueApart(it.hue, hue) < 32);
    const title = name.charAt(0).toUpperCase() + name.slice(1);
    const fresh: Color = { space: 'oklch', coords: [0.55, 0.12, hue], alpha: 1 };
    const sign =
      least(near, it => hueApart(it.hue, hue) + (/status/i.test(it.group) ? -40 : 0)) ??
      this.make(title, null, { type: 'color', value: fresh }, fresh);
    // A light ground is a tint of the same hue as the sign that stands on it (common practice, no source).
    const ground = this.dark
      ? this.derive(`${sign.name} ground`, sign, 'shade', 0.68)
      : this.derive(`${sign.name} ground`, sign, 'tint', 0.86);
    this.bind(`${name}Ground`, ground);
    this.bind(`${name}Text`, this.passing(sign, [ground, surface], TEXT));
    this.bind(`${name}Line`, this.passing(sign, [surface], SIGN));
  }
}

/**
 * Roles for a scheme on one swatch, from the palette: every text at least 4.5:1 on what it stands on (7:1 for running text
 * and headings), borders of controls, focus rings and signs at least 3:1, in rest, hover, pressed and the four statuses
 * (WCAG 2.2, 1.4.3 and 1.4.11). Swatches of the palette come first; where none serves, the fittest is moved in lightness,
 * as a swatch that follows it.
 */
export const solveScheme = (
  tokens: Tokens,
  wish: SchemeWish,
  group: string,
  nextId: () => Id = () => newId('t'),
): SolvedScheme => new Solver(tokens, wish, group, nextId).solve();
