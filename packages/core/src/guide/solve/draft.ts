import { type Color, type Gamut, leastShift } from '../../color/index.ts';
import { derivationNamed } from '../../derivations/index.ts';
import { MARGIN, type Purpose, type Reason, roleNamed, TEXT_RATIO } from '../../roles/index.ts';
import type { Id, TokenRecord } from '../../site/records.ts';
import { stableText } from '../../site/stableText.ts';
import type { Tokens } from '../../tokens/graph.ts';
import type { Value } from '../../values/index.ts';
import { type Groups, NO_GROUPS } from '../purposes.ts';
import { HARDLY, least, MIDDLE, thousandths } from './measures.ts';
import { MADE_NAMES } from './names.ts';
import { apart, levelsOf, type Paint, paintOf, paintOfToken, ratio } from './palette.ts';
import type { Palette, SchemeWish } from './solveScheme.ts';

/** A choice for a role. */
export type Choice = readonly [Paint, Reason];

/** A swatch that was made so is said to be, whether for this scheme or before. */
const HOW_MADE: Readonly<Record<string, Reason>> = {
  lightness: 'moved',
  shift: 'follows',
  tint: 'follows',
  shade: 'follows',
};

/** A scheme while it is worked out: what is bound so far, what there is to choose from, and what had to be made. */
export class SchemeDraft {
  readonly roles: Record<string, Value> = {};
  readonly solved: Record<string, Reason> = {};
  readonly made: { token: Omit<TokenRecord, 'order'>; of: Id | null; roles: string[] }[] = [];
  private readonly chosen = new Map<string, Paint>();
  readonly paints: Paint[];
  /** Swatches by what they are set to. */
  private readonly known = new Map<string, Id>();
  /** Names that are taken, by group. */
  private readonly taken = new Map<string, Set<string>>();
  readonly tokens: Tokens;
  readonly groups: Groups;
  readonly gamuts: readonly Gamut[];
  readonly surface: Paint;
  readonly dark: boolean;
  /** The darkest or lightest ink there is: what can be read on every ground that is chosen. */
  private readonly ink: readonly number[];

  constructor(
    { tokens, groups = NO_GROUPS, gamuts = ['srgb'] }: Palette,
    readonly wish: SchemeWish,
    private readonly nextId: () => Id,
  ) {
    this.tokens = tokens;
    this.groups = groups;
    this.gamuts = gamuts;
    this.paints = [...tokens.values()].flatMap(token => {
      // An alias is left out, since what it names is there itself.
      const paint = token.value.type === 'token' ? null : this.paint(token.id);
      return paint ? [paint] : [];
    });
    for (const { id, type, group, name, value } of tokens.values()) {
      if (type !== 'color') continue;
      this.known.set(stableText(value), id);
      this.namesIn(group).add(name.toLowerCase());
    }
    const surface = this.paint(wish.keep?.surface ?? wish.surface);
    if (!surface) throw new Error(`no opaque swatch ${wish.surface}`);
    this.surface = surface;
    this.dark = Math.min(...surface.levels) < MIDDLE;
    const end: Color = { space: 'srgb', coords: this.dark ? [1, 1, 1] : [0, 0, 0], alpha: 1 };
    this.ink = levelsOf(end, gamuts);
  }

  readonly paint = (id: Id): Paint | null =>
    paintOfToken(this.tokens, this.groups, this.tokens.get(id), this.gamuts);

  namesIn(group: string): Set<string> {
    const names = this.taken.get(group) ?? new Set<string>();
    this.taken.set(group, names);
    return names;
  }

  /** Binds a role, unless it is kept; the paint it has then. */
  bind(role: string, choose: () => Choice): Paint {
    const kept = this.wish.keep?.[role];
    if (kept !== undefined && this.tokens.has(kept)) {
      this.roles[role] = { type: 'token', token: kept };
      const paint = this.paint(kept);
      if (paint) {
        this.chosen.set(role, paint);
        return paint;
      }
    }
    const [paint, reason] = choose();
    this.chosen.set(role, paint);
    if (role in this.roles) return paint;
    this.roles[role] = { type: 'token', token: paint.id };
    this.solved[role] = reason === 'fits' ? (HOW_MADE[paint.op ?? ''] ?? 'fits') : reason;
    for (const it of this.made) if (it.token.id === paint.id) it.roles.push(role);
    return paint;
  }

  /** What a role shows so far, fallbacks followed. */
  shown(role: string): Paint {
    let at: string | null = role;
    while (at !== null) {
      const paint = this.chosen.get(at);
      if (paint) return paint;
      at = roleNamed(at)?.fallback ?? null;
    }
    return this.surface;
  }

  /** Whether something can be read, or seen, wherever these roles stand; better than the least on plain grounds where that is asked. */
  passes(levels: readonly number[], roles: readonly string[], comfort = 0): boolean {
    return roles.every(role =>
      (roleNamed(role)?.on ?? []).every(({ ground, ratio: wanted }) => {
        const plain = ground === 'surface' || ground === 'raised';
        const asked = plain ? Math.max(wanted, comfort) : wanted;
        return ratio(levels, this.shown(ground).levels) >= asked + MARGIN;
      }),
    );
  }

  /** Whether all that has to be read can be read on a ground. */
  bearsInk(levels: readonly number[]): boolean {
    return ratio(this.ink, levels) >= TEXT_RATIO + MARGIN;
  }

  /** What may be chosen for a role of its own: a step from another colour is for the state it was made for. */
  get choices(): readonly Paint[] {
    return this.paints.filter(it => it.op !== 'shift');
  }

  /** Swatches that a role takes: those of the first of its purposes of which there is one. */
  swatchesFor(role: string, purposes = roleNamed(role)?.takes ?? []): readonly Paint[] {
    for (const purpose of purposes) {
      const found = this.choices.filter(it => it.purpose === purpose);
      if (found.length > 0) return found;
    }
    return [];
  }

  /** A new swatch, which later roles may use as well; the very one where it was made before, here or for another scheme. */
  make(name: string, group: string, purpose: Purpose, of: Id | null, value: Value, color: Color): Paint {
    const said = stableText(value);
    const known = this.known.get(said);
    const there = known === undefined ? undefined : this.paints.find(it => it.id === known);
    if (there) return there;
    const names = this.namesIn(group);
    const candidates = [name, `${name} on ${this.surface.name}`.slice(0, 76)];
    let unique = candidates.find(it => !names.has(it.toLowerCase()));
    for (let n = 2; unique === undefined; n++)
      if (!names.has(`${name} ${n}`.toLowerCase())) unique = `${name} ${n}`;
    names.add(unique.toLowerCase());
    const token = {
      id: this.nextId(),
      kind: 'token',
      type: 'color',
      name: unique,
      group,
      value,
      purpose,
    } as const;
    this.made.push({ token, of, roles: [] });
    this.known.set(said, token.id);
    const op = value.type === 'derived' ? value.derivation.op : null;
    const paint = paintOf(token, purpose, op, color, this.gamuts);
    this.paints.push(paint);
    return paint;
  }

  derive(name: string, from: readonly Paint[], op: string, by: number, purpose?: Purpose): Paint {
    const [of] = from;
    const inputs = from.map(it => ({ type: 'color', value: it.color }) as const);
    const result = derivationNamed(op)?.compute(inputs, [by]);
    if (!of || result?.type !== 'color') throw new Error(`${op} makes no colour`);
    const value: Value = { type: 'derived', derivation: { op, from: from.map(it => it.id), by: [by] } };
    return this.make(name, of.group, purpose ?? of.purpose, of.id, value, result.value);
  }

  shifted(name: string, of: Paint, by: number): Paint {
    return this.derive(name, [of], 'shift', thousandths(by));
  }

  /** A swatch that a role takes and that nobody could tell from a colour. */
  alike(role: string, color: Color, good: (it: Paint) => boolean): Paint | undefined {
    const would = this.would(color);
    const takes = roleNamed(role)?.takes ?? [];
    const near = this.choices.filter(
      it => takes.includes(it.purpose) && apart(it, would) < HARDLY && good(it),
    );
    return least(near, it => apart(it, would));
  }

  /**
   * A colour that can be read wherever these roles stand: the very one, or it moved in lightness as little as that takes.
   * The first of the roles names what is made.
   */
  legible(from: Paint, roles: readonly [string, ...string[]], comfort = 0): Choice {
    const [role] = roles;
    if (this.passes(from.levels, roles, comfort)) return [from, 'fits'];
    const of = this.rootOf(from);
    const name = MADE_NAMES[role] ?? roleNamed(role)?.label ?? role;
    for (const asked of comfort > 0 ? [comfort, 0] : [0]) {
      const good = (levels: readonly number[]) => this.passes(levels, roles, asked);
      const color = leastShift(of.color, it => good(this.levels(it)));
      if (!color) continue;
      if (color === of.color) return [of, 'fits'];
      const alike = this.alike(role, color, it => good(it.levels));
      if (alike) return [alike, 'fits'];
      return [this.atLightness(name, of, color), 'moved'];
    }
    // Grounds that were kept by hand may leave no room: the end that stands out most.
    const end = leastShift(of.color, it => ratio(this.levels(it), this.surface.levels) >= TEXT_RATIO);
    return [end && end !== of.color ? this.atLightness(name, of, end) : of, 'moved'];
  }

  /** What was moved already is moved from where it began, if that can be seen from here. */
  rootOf(of: Paint): Paint {
    const value = this.tokens.get(of.id)?.value ?? this.made.find(it => it.token.id === of.id)?.token.value;
    if (value?.type !== 'derived' || value.derivation.op !== 'lightness') return of;
    return this.paints.find(it => it.id === value.derivation.from[0]) ?? of;
  }

  /** The same hue at the lightness of a colour that it was moved to. */
  atLightness(name: string, of: Paint, color: Color): Paint {
    const [lightness] = color.space === 'oklch' ? color.coords : [of.lightness];
    return this.derive(name, [of], 'lightness', thousandths(lightness));
  }

  /** Away from the surface: towards what stands out on it. */
  get out(): 1 | -1 {
    return this.dark ? 1 : -1;
  }

  /** Relative luminance of a colour on each kind of screen that is printed for. */
  levels(color: Color): number[] {
    return levelsOf(color, this.gamuts);
  }

  /** A colour as paint that is no swatch yet. */
  would(color: Color): Paint {
    return paintOf({ id: '', name: '', group: '' }, 'none', null, color, this.gamuts);
  }
}
