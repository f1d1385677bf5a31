import { type Color, convert, printPainted } from '../../color/index.ts';
import { STATUS_HUES } from '../../guide/index.ts';
import { namesTaken, uniqueName } from '../../lists/index.ts';
import { fail, ok, type Result } from '../../result/index.ts';
import { PURPOSE_LABELS, type Purpose, STATUSES } from '../../roles/index.ts';
import { slug } from '../../tokens/index.ts';
import { familyNamed, type Generic } from '../../type/index.ts';
import { parseLength } from '../../values/index.ts';
import type { GuideSpec, SwatchGroup } from '../guides/index.ts';
import { type Brand, type BrandSwatch, brandColor } from './brand.ts';

/** A colour of the brand with its place in OKLCH. */
interface Placed extends BrandSwatch {
  lightness: number;
  chroma: number;
  hue: number;
}

const placed = (swatch: BrandSwatch): Placed[] => {
  const color = brandColor(swatch);
  if (!color) return [];
  const [lightness, chroma, hue] = convert(color, 'oklch').coords;
  return [{ ...swatch, lightness, chroma, hue }];
};

const oklch = (lightness: number, chroma: number, hue: number): Color => ({
  space: 'oklch',
  coords: [lightness, chroma, hue],
  alpha: 1,
});

const GROUPS: Readonly<Record<Purpose, SwatchGroup>> = {
  identity: 'Brand',
  action: 'Brand',
  accent: 'Brand',
  none: 'Brand',
  neutral: 'Neutral',
  success: 'Status',
  warning: 'Status',
  danger: 'Status',
  info: 'Status',
};

/** Lightness and chroma of statuses that nobody has named: as strong as text on a light ground needs. Of our own choosing. */
const STATUS_LIGHTNESS = 0.5;
const STATUS_CHROMA = { success: 0.11, warning: 0.1, danger: 0.17, info: 0.11 } as const;

/** A paper is at least so light, an ink at most; a ground for light text as well. */
const PAPER = 0.93;
const INK = 0.35;
const DEEP = 0.5;

const FIRST_FAMILY = 'Work Sans';
const stack = (name: string, generic: Generic) => `${name}, ${familyNamed(name)?.generic ?? generic}`;
const looksSerif = (name: string): Generic =>
  /serif|antiqua|roman|slab/i.test(name) && !/sans/i.test(name) ? 'serif' : 'sans-serif';

/** The weight nearest to one that a family has. */
function weightOf(family: string, wanted: number): number {
  const weights = familyNamed(family)?.files[0]?.weights;
  return weights ? Math.max(weights[0], Math.min(weights[1], wanted)) : wanted;
}

const times = (length: string, by: number): string => {
  const read = parseLength(length);
  return read ? `${Number((read.value * by).toFixed(4))}${read.unit}` : length;
};

/**
 * Works a brand out to a whole guide: what it does not say is made of what it says, in its hue. Two light and two dark
 * schemes stand on its own colours where these allow it.
 */
export function completeBrand(brand: Brand, name: string): Result<GuideSpec> {
  const own = brand.swatches.flatMap(placed);
  const chromatic = own.filter(it => it.purpose !== 'neutral');
  const lead =
    own.find(it => it.purpose === 'identity') ??
    own.find(it => it.purpose === 'action') ??
    own.find(it => it.purpose === 'accent') ??
    chromatic[0] ??
    own[0];
  if (!lead)
    return fail({ code: 'no-color', message: 'Enter at least one colour, such as Primary #0f4c5c.' });
  const taken = namesTaken(own);
  const tinted = (chroma: number) => Math.min(chroma, lead.chroma * 0.25);
  const made: { name: string; color: string; purpose: Purpose }[] = [];
  const make = (wanted: string, purpose: Purpose, color: Color): string => {
    const it = { name: uniqueName(wanted, taken), color: printPainted(color), purpose };
    made.push(it);
    return it.name;
  };
  const neutrals = own.filter(it => it.purpose === 'neutral').sort((a, b) => b.lightness - a.lightness);
  const light = neutrals.filter(it => it.lightness >= PAPER);
  const dark = neutrals.filter(it => it.lightness <= INK);
  const paper = light[0]?.name ?? make('Paper', 'neutral', oklch(0.985, tinted(0.006), lead.hue));
  const tint = light[1]?.name ?? make('Tint', 'neutral', oklch(0.945, tinted(0.018), lead.hue));
  if (neutrals.every(it => it.lightness >= PAPER || it.lightness <= INK))
    make('Grey', 'neutral', oklch(0.5, tinted(0.02), lead.hue));
  const ink = dark.at(-1)?.name ?? make('Ink', 'neutral', oklch(0.21, tinted(0.03), lead.hue));
  for (const status of STATUSES)
    if (!own.some(it => it.purpose === status))
      make(
        PURPOSE_LABELS[status],
        status,
        oklch(STATUS_LIGHTNESS, STATUS_CHROMA[status], STATUS_HUES[status]),
      );

  const action = own.find(it => it.purpose === 'action') ?? lead;
  const accent = own.find(it => it.purpose === 'action') ?? own.find(it => it.purpose === 'accent') ?? lead;
  const deep = [...own]
    .filter(it => it.purpose === 'identity' || it.purpose === 'action' || it.purpose === 'accent')
    .find(it => it.lightness <= DEEP && it.name !== accent.name);
  const ground = deep ?? (lead.lightness <= DEEP && lead.name !== ink ? lead : null);
  const heading = brand.heading ?? brand.text ?? FIRST_FAMILY;
  const text = brand.text ?? brand.heading ?? FIRST_FAMILY;
  const all = [...own, ...made];
  // Names that come to one path are told apart by numbers, which are not known here.
  const isPlain = all.filter(it => slug(it.name) === slug(ink)).length === 1;
  const shade = isPlain ? `{color.neutral.${slug(ink)}}` : (all.find(it => it.name === ink)?.color ?? '#000');
  const corner = brand.corners ?? '6px';
  return ok({
    id: 'brand',
    name,
    about: '',
    swatches: [...all.map(it => [GROUPS[it.purpose], it.name, it.color, it.purpose] as const)],
    light: [
      [paper, paper, action.name],
      [tint, tint, action.name],
    ],
    dark: [
      ...(ground ? [[ground.name, ground.name, accent.name] as const] : []),
      [ink, ink, accent.name] as const,
    ],
    voices: {
      heading: stack(heading, looksSerif(heading)),
      text: stack(text, looksSerif(text)),
      code: brand.code === null ? 'ui-monospace, monospace' : stack(brand.code, 'monospace'),
    },
    scale: { base: brand.base ?? '1rem .. 1.125rem', ratio: brand.ratio ?? 1.25 },
    heading: { weight: weightOf(heading, 700), tracking: '-0.01em', line: 1.15 },
    space: brand.space ?? '0.5rem',
    padding: { snug: '2rem .. 3rem', fair: '3.5rem .. 5.5rem', roomy: '5rem .. 8rem' },
    width: '70rem',
    measure: '38rem',
    corners: { small: corner, card: times(corner, 2) },
    lines: { fine: '1px', strong: '2px' },
    shadow: `0 10px 30px -16px ${shade}`,
    quick: '160ms',
    button: { weight: weightOf(heading, 600) },
  });
}
