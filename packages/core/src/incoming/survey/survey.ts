import {
  type Color,
  ciede2000,
  colorName,
  labOf,
  parseColor,
  printPainted,
  type Triple,
} from '../../color/index.ts';
import { namesTaken, uniqueName } from '../../lists/index.ts';
import {
  type Length,
  lengthInPx,
  parseFamilies,
  parseLength,
  parseLiteral,
  printLength,
  splitTop,
} from '../../values/index.ts';
import type { CssDeclaration, CssSheet } from '../css/sheet.ts';
import { substituter } from '../css/substitute.ts';
import type { Draft, Drafts, SourcePlace } from '../draft.ts';

/** A style sheet, and the file it is from. */
export interface SurveySheet {
  file: string;
  sheet: CssSheet;
}

/** One value as it stands in sheets, however often. */
interface Seen<T> {
  value: T;
  count: number;
  place: SourcePlace;
}

/** How many of each kind are proposed; the others are listed, and not chosen. */
const PROPOSED = { colors: 16, sizes: 9, spaces: 9, corners: 5, shadows: 4, families: 4 } as const;
/** Values of one kind that are looked at, the most frequent ones: what has more is no scale. */
const MOST = 400;
/** CIEDE2000 below which two colours are one that was written twice. */
const SAME_COLOR = 3;
/** Share by which lengths differ at most that were meant to be one. */
const SAME_LENGTH = 0.04;

class Tally<T> {
  private readonly seen = new Map<string, Seen<T>>();

  add(key: string, value: T, place: SourcePlace): void {
    const known = this.seen.get(key);
    if (known) known.count++;
    else this.seen.set(key, { value, count: 1, place });
  }

  /** The most frequent first; of equals the one that comes first. */
  get all(): Seen<T>[] {
    return [...this.seen.values()].sort((a, b) => b.count - a.count).slice(0, MOST);
  }
}

/** Values near one another as one: the most frequent of each cluster, with the count of all. */
function clustered<T>(all: readonly Seen<T>[], areNear: (a: T, b: T) => boolean): Seen<T>[] {
  const clusters: Seen<T>[] = [];
  for (const it of all) {
    const near = clusters.find(cluster => areNear(cluster.value, it.value));
    if (near) near.count += it.count;
    else clusters.push({ ...it });
  }
  return clusters.sort((a, b) => b.count - a.count);
}

const COLORED =
  /^(?:color|fill|stroke|caret-color|(?:background|outline|text-decoration|column-rule)(?:-color)?|border(?:-(?:top|right|bottom|left|block|inline|block-start|block-end|inline-start|inline-end))?(?:-color)?)$/;
const SPACED = /^(?:(?:margin|padding)(?:-.+)?|(?:row-|column-)?gap|grid-gap)$/;
const ROUNDED = /^border(?:-(?:top|bottom)-(?:left|right)|-(?:start|end)-(?:start|end))?-radius$/;

/** What the declarations of a site come to, counted by kind. */
class Counted {
  readonly colors = new Tally<{ color: Color; lab: Triple }>();
  readonly sizes = new Tally<Length>();
  readonly spaces = new Tally<Length>();
  readonly corners = new Tally<Length>();
  readonly shadows = new Tally<string>();
  readonly families = new Tally<readonly string[]>();
  private readonly words = new Map<string, Color | null>();

  private colorOf(word: string): Color | null {
    let color = this.words.get(word);
    if (color === undefined) {
      color = /^#|^[a-z]+\(|^[a-z]{3,}$/i.test(word) ? parseColor(word) : null;
      this.words.set(word, color);
    }
    return color;
  }

  private lengths(tally: Tally<Length>, text: string, place: SourcePlace): void {
    for (const word of splitTop(text, /[\s/]/)) {
      const length = parseLength(word);
      const px = length && lengthInPx(length);
      // What is nothing, or pulls things together, is no step of a scale.
      if (length && px !== null && px > 0) tally.add(String(Number(px.toFixed(3))), length, place);
    }
  }

  private family(text: string, place: SourcePlace): void {
    const stack = parseFamilies(text)?.value;
    const first = stack?.[0];
    if (stack && first !== undefined && !GENERIC.test(first))
      this.families.add(first.toLowerCase(), stack, place);
  }

  add(property: string, text: string, place: SourcePlace): void {
    if (COLORED.test(property)) {
      for (const word of splitTop(text, /[\s,]/)) {
        const color = this.colorOf(word);
        if (color && color.alpha > 0)
          this.colors.add(`${printPainted(color)}`, { color, lab: labOf(color) }, place);
      }
      return;
    }
    if (property === 'font-size') this.lengths(this.sizes, text, place);
    else if (property === 'font-family') this.family(text, place);
    else if (property === 'font') {
      const size = /(?:^|\s)([\d.]+(?:px|rem))(?:\/\S+)?\s+(.+)$/.exec(text);
      if (size?.[1]) this.lengths(this.sizes, size[1], place);
      if (size?.[2]) this.family(size[2], place);
    } else if (SPACED.test(property)) this.lengths(this.spaces, text, place);
    else if (ROUNDED.test(property)) this.lengths(this.corners, text, place);
    else if (property === 'box-shadow') {
      const shadow = parseLiteral(text, 'shadow');
      if (shadow) this.shadows.add(JSON.stringify(shadow), text, place);
    }
  }
}

const GENERIC =
  /^(?:serif|sans-serif|monospace|cursive|fantasy|system-ui|ui-[a-z-]+|inherit|initial|unset|revert|-.*)$/i;

const px = (length: Length): number => lengthInPx(length) ?? 0;
const near = (a: Length, b: Length): boolean =>
  Math.abs(px(a) - px(b)) <= SAME_LENGTH * Math.max(px(a), px(b));

/** Counts all declarations of some sheets, custom properties put in. */
function count(sheets: readonly SurveySheet[]): Counted {
  const counted = new Counted();
  for (const { file, sheet } of sheets) {
    const texts = new Map<string, string>();
    for (const { property, text } of sheet.declarations)
      if (property.startsWith('--') && !texts.has(property)) texts.set(property, text);
    const plain = substituter(texts);
    for (const { property, text, line, column } of sheet.declarations) {
      // What names a custom property is known by that name.
      if (property.startsWith('--') || /^var\([^()]*\)$/.test(text)) continue;
      counted.add(property, text.includes('var(') ? plain(text) : text, { file, line, column });
    }
  }
  return counted;
}

/** Whether a declaration is of a property of CSS, not a custom one. */
export const isPlain = ({ property }: CssDeclaration): boolean => !property.startsWith('--');

/**
 * Proposes a palette, scales and voices of what style sheets use, each with how often it does and where first: what is
 * nearly the same is one (colours by CIEDE2000, lengths by their ratio), named by what it looks like.
 */
export function surveyDrafts(sheets: readonly SurveySheet[]): Drafts {
  const counted = count(sheets);
  const drafts: Draft[] = [];
  const propose = <T>(
    group: string,
    type: string,
    most: number,
    all: readonly Seen<T>[],
    written: (value: T) => { name: string; value: unknown },
  ) => {
    const names = namesTaken([]);
    for (const [i, { value, count: uses, place }] of all.entries()) {
      const it = written(value);
      const key = uniqueName(it.name, names);
      drafts.push({
        group: [group],
        key,
        name: `${group} ${key}`,
        type,
        inherited: null,
        value: it.value,
        within: null,
        description: '',
        deprecated: null,
        extensions: {},
        uses: { count: uses, isRare: i >= most },
        place: () => place,
      });
    }
  };
  const colors = clustered(
    counted.colors.all,
    (a, b) => a.color.alpha === b.color.alpha && ciede2000(a.lab, b.lab) < SAME_COLOR,
  );
  propose('Palette', 'color', PROPOSED.colors, colors, ({ color }) => ({
    name: color.alpha < 1 ? `${colorName(color)} ${Math.round(color.alpha * 100)}` : colorName(color),
    value: { colorSpace: color.space, components: [...color.coords], alpha: color.alpha },
  }));
  const scale = (group: string, most: number, tally: Tally<Length>) => {
    const all = clustered(tally.all, near);
    // In the order of a scale; the frequent ones are proposed, wherever they stand.
    const frequent = new Set(all.slice(0, most));
    const ordered = [...frequent].sort((a, b) => px(a.value) - px(b.value));
    propose(group, 'dimension', most, [...ordered, ...all.filter(it => !frequent.has(it))], value => ({
      name: `${Number(px(value).toFixed(2))} px`.replace('.', '-'),
      value: printLength(value),
    }));
  };
  scale('Text sizes', PROPOSED.sizes, counted.sizes);
  scale('Spaces', PROPOSED.spaces, counted.spaces);
  scale('Corners', PROPOSED.corners, counted.corners);
  propose('Shadows', 'shadow', PROPOSED.shadows, counted.shadows.all, value => {
    const layers = parseLiteral(value, 'shadow');
    const blur = layers?.type === 'shadow' ? Math.max(...layers.value.map(it => px(it.blur))) : 0;
    return { name: `Blur ${Number(blur.toFixed(2))} px`.replace('.', '-'), value };
  });
  propose('Voices', 'fontFamily', PROPOSED.families, counted.families.all, value => ({
    name: value[0] ?? 'Voice',
    value: [...value],
  }));
  return {
    dialect: 'Survey of declarations',
    drafts,
    schemes: [],
    findings: [],
    isFormat: false,
    root: null,
    hasPointers: false,
  };
}
