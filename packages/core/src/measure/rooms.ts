import {
  type Contributions,
  contributionsTo,
  fontSizeAt,
  isSpokenOf,
  outside,
  type Scope,
  winner,
} from '../cascade/index.ts';
import type { PropertyName } from '../properties/index.ts';
import { type AssetFacts, type Site, settingsOf } from '../site/index.ts';
import type { Width } from '../slots/index.ts';
import { literalOf } from '../tokens/index.ts';
import { type Length, lengthInPx, type Value } from '../values/index.ts';
import { partOf } from '../widgets/index.ts';

/** How wide a part can be: a share of the window less some px, and never more than some px. */
export interface Room {
  share: number;
  less: number;
  most: number;
}

/** As much of a picture as tells how it is drawn. */
type Shape = Pick<AssetFacts, 'width' | 'height'>;

const WINDOW: Room = { share: 1, less: 0, most: Number.POSITIVE_INFINITY };
const SIDES = ['Left', 'Right'] as const;
/** What an image may be enlarged by to fill a box of other proportions, at most: beyond that it is a detail. */
const MOST_COVERING = 3;

const shared = ({ share, less, most }: Room, by: number): Room => ({
  share: share * by,
  less: less * by,
  most: most * by,
});
const narrowed = ({ share, less, most }: Room, by: number): Room => ({
  share,
  less: less + by,
  most: most - by,
});
const capped = (room: Room, px: number): Room => ({ ...room, most: Math.min(room.most, px) });

/**
 * How much room there is for a part where it stands, worked out from the guide and what is set: paddings, widths, columns.
 * Where a part shares its row with others in a way that only their contents decide, it may have the whole of it.
 */
export class Rooms {
  private readonly known = new Map<Scope, Map<string, Room>>();
  private readonly said = new Map<Scope, Map<string, Contributions>>();

  constructor(private readonly site: Site) {}

  private saidOf(scope: Scope, part: string): Contributions {
    let parts = this.said.get(scope);
    if (!parts) {
      parts = new Map();
      this.said.set(scope, parts);
    }
    let found = parts.get(part);
    if (!found) {
      found = contributionsTo(this.site, scope, part);
      parts.set(part, found);
    }
    return found;
  }

  private value(scope: Scope, part: string, property: PropertyName, width: Width): Value | null {
    const value = winner(this.saidOf(scope, part).get(property), 'rest', width)?.value;
    return value ? literalOf(this.site.kinds.token, scope.rebinds, value) : null;
  }

  private number(scope: Scope, part: string, property: PropertyName, width: Width): number | null {
    const value = this.value(scope, part, property, width);
    return value?.type === 'number' ? value.value : null;
  }

  private keyword(scope: Scope, part: string, property: PropertyName, width: Width): string | null {
    const value = this.value(scope, part, property, width);
    return value?.type === 'keyword' ? value.value : null;
  }

  private px({ value, unit }: Length, scope: Scope, part: string, width: Width): number | null {
    if (unit !== 'em') return lengthInPx({ value, unit });
    const size = fontSizeAt(this.site, { scope, part, state: 'rest' }, width);
    const px = size?.type === 'dimension' ? lengthInPx(size.value) : null;
    return px === null ? null : px * value;
  }

  /** A length in px, or a share of what is around; null where it is neither. */
  private length(
    scope: Scope,
    part: string,
    property: PropertyName,
    width: Width,
  ): { px: number } | { share: number } | null {
    const value = this.value(scope, part, property, width);
    const length =
      value?.type === 'dimension' ? value.value : value?.type === 'fluid' ? fluidAt(value, width) : null;
    if (!length) return null;
    if (length.unit === '%') return { share: length.value / 100 };
    const px = this.px(length, scope, part, width);
    return px === null ? null : { px };
  }

  private pxOf(scope: Scope, part: string, property: PropertyName, width: Width): number {
    const found = this.length(scope, part, property, width);
    return found && 'px' in found ? found.px : 0;
  }

  /** Px that the border and padding of a part take. */
  private edges(scope: Scope, part: string, width: Width): number {
    const taken = SIDES.flatMap(side => [
      this.pxOf(scope, part, `padding${side}`, width),
      this.keyword(scope, part, `border${side}Style`, width) === null
        ? 0
        : this.pxOf(scope, part, `border${side}Width`, width),
    ]);
    return taken.reduce((sum, it) => sum + it, 0);
  }

  /** Room inside the border and padding of a part. */
  private within(scope: Scope, part: string, width: Width): Room {
    return narrowed(this.of(scope, part, width), this.edges(scope, part, width));
  }

  /** What a treatment takes that puts a mount around a picture; the mount is there only then. */
  private mount(scope: Scope, part: string, width: Width): number {
    const { inside } = partOf(scope.element, part) ?? {};
    const isMounted =
      partOf(scope.element, 'mount')?.inside === inside && isSpokenOf(this.site, scope, 'mount');
    return isMounted ? this.edges(scope, 'mount', width) : 0;
  }

  /** Of the room in a part, what one of the things in it has. */
  private cell(
    around: Room,
    outer: { scope: Scope; part: string },
    scope: Scope,
    part: string,
    width: Width,
  ): Room {
    if (this.keyword(outer.scope, outer.part, 'display', width) !== 'grid') return around;
    const gap = this.pxOf(outer.scope, outer.part, 'columnGap', width);
    const inView = this.number(outer.scope, outer.part, 'inView', width);
    if (inView !== null) return shared(narrowed(around, gap * (inView - 1)), 1 / inView);
    const columns = this.number(outer.scope, outer.part, 'gridColumns', width);
    if (columns === null || columns <= 1) return around;
    const span = Math.min(columns, this.number(scope, part, 'columnSpan', width) ?? 1);
    const one = shared(narrowed(around, gap * (columns - 1)), 1 / columns);
    return narrowed(shared(one, span), -gap * (span - 1));
  }

  /** Room for a part where it stands at a width of the window. */
  of(scope: Scope, part: string, width: Width): Room {
    const key = `${part}@${width}`;
    let parts = this.known.get(scope);
    if (!parts) {
      parts = new Map();
      this.known.set(scope, parts);
    }
    const known = parts.get(key);
    if (known) return known;
    const around = outside({ scope, part, state: 'rest' });
    const whole = around
      ? this.cell(this.within(around.scope, around.part, width), around, scope, part, width)
      : WINDOW;
    let room = whole;
    // What stands out to the sides has negative margins there.
    for (const side of SIDES) room = narrowed(room, this.pxOf(scope, part, `margin${side}`, width));
    for (const property of ['width', 'maxWidth', 'flexBasis'] as const) {
      const said = this.length(scope, part, property, width);
      if (!said) continue;
      // A share is one of what is around, whatever the margins are (CSS 2.2, sections 10.2 and 10.4).
      if ('px' in said) room = capped(room, said.px);
      else if (property === 'width' || said.share * whole.share < room.share)
        room = shared(whole, said.share);
    }
    parts.set(key, room);
    return room;
  }

  /** By how much more an image is drawn than its box is wide, where it is cropped to fill it (CSS Images 3, section 5.5). */
  private covering(scope: Scope, part: string, asset: Shape, width: Width): number {
    if (this.keyword(scope, part, 'objectFit', width) !== 'cover') return 1;
    const ratio = this.number(scope, part, 'aspectRatio', width);
    if (ratio === null) return 1;
    return Math.min(MOST_COVERING, Math.max(1, asset.width / asset.height / ratio));
  }

  /** How wide a picture is drawn: by its part, or by its height where its width follows from that. */
  private drawn(scope: Scope, part: string, asset: Shape, width: Width): Room {
    const height = this.length(scope, part, 'height', width);
    const byHeight = this.keyword(scope, part, 'width', width) === 'auto' && height && 'px' in height;
    if (byHeight) return { share: 0, less: 0, most: (height.px * asset.width) / asset.height };
    const room = narrowed(this.of(scope, part, width), this.mount(scope, part, width));
    return shared(room, this.covering(scope, part, asset, width));
  }

  /** The `sizes` of a picture (HTML, section 4.8.4.2.2), each width of the window as wide as it can be there. */
  sizes(scope: Scope, part: string, asset: Shape): string {
    const { mediumTo, narrowTo } = settingsOf(this.site);
    const narrow = printRoom(this.drawn(scope, part, asset, 'narrow'), 0);
    const medium = printRoom(this.drawn(scope, part, asset, 'medium'), narrowTo + 1);
    const wide = printRoom(this.drawn(scope, part, asset, 'wide'), mediumTo + 1);
    return [
      ...(narrow === medium ? [] : [`(max-width:${narrowTo}px) ${narrow}`]),
      ...(medium === wide ? [] : [`(max-width:${mediumTo}px) ${medium}`]),
      wide,
    ].join(', ');
  }
}

/** What a fluid length is at least where it makes room less, so that a picture is rather too large than too small. */
const fluidAt = ({ min, max }: Value & { type: 'fluid' }, width: Width): Length =>
  width === 'wide' ? max : min;

const short = (n: number): number => Math.round(n * 10) / 10;

/** A room as a length of CSS; `from` is the least width of the window at which it is asked for. */
function printRoom({ share, less, most }: Room, from: number): string {
  if (share === 0 || share * from - less >= most) return `${Math.max(1, Math.ceil(most))}px`;
  const vw = `${short(share * 100)}vw`;
  const ofWindow = less > 0 ? `calc(${vw} - ${Math.floor(less)}px)` : vw;
  return Number.isFinite(most) ? `min(${ofWindow}, ${Math.ceil(most)}px)` : ofWindow;
}
