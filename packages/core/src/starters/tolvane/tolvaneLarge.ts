import { type LinkTarget, richText } from '../../content/index.ts';
import type { Site } from '../../site/index.ts';
import { elementNamed, firstPart } from '../../widgets/index.ts';
import { SiteBuilder } from '../build.ts';
import { drawings } from '../drawings.ts';
import { pictureId, tolvaneGuide } from './guide.ts';

const PAGES = 100;
const SECTIONS = 10;
const TOP = ['Sailings', 'Fares', 'Islands', 'Journal', 'Questions', 'Crews', 'Harbours'];
const PLACES = ['Hesk', 'Little Hesk', 'Carrow', 'Sant Bree'];
const THINGS = [
  'winter timetable',
  'night boat',
  'car deck',
  'open deck',
  'tea room',
  'old quay',
  'fog bell',
];
const SCHEMES = ['daymark', 'fog-bank', 'heather-moor', 'night-run'];
const PRESETS = ['ticket', 'low-tide', 'high-water', 'slack-water', 'bell', 'wake', 'lee-side', 'signal'];
const SENTENCES = [
  'The boat leaves when the last car is lashed down, and not a minute sooner.',
  'Bring a coat for the open deck; the wind comes round at the point.',
  'Two shells on top of the fare on foot, and nothing for those under seven.',
  'When the fog bell rings, the crossing takes a quarter of an hour longer.',
];

const at = <T>(list: readonly T[], n: number): T => {
  const item = list[n % list.length];
  if (item === undefined) throw new Error('an empty list');
  return item;
};

type More = NonNullable<Parameters<SiteBuilder['widget']>[4]>;

/** Widgets of the large demo: every fifth wears presets, every sixth has values of its own. */
class Filler {
  private n = 0;
  constructor(
    private readonly b: SiteBuilder,
    readonly page: string,
    private readonly pages: readonly string[],
  ) {}

  link(): LinkTarget {
    return { type: 'page', page: at(this.pages, this.n * 7 + 3) };
  }
  say(count = 1): string {
    return Array.from({ length: count }, (_, i) => at(SENTENCES, this.n + i)).join(' ');
  }
  thing(): string {
    return `${at(PLACES, this.n)}, the ${at(THINGS, this.n * 3)}`;
  }

  put(
    parent: string,
    widget: string,
    content: Parameters<SiteBuilder['widget']>[3],
    more: More = {},
  ): string {
    const n = ++this.n;
    const id = `${this.page}-w${n}`;
    const part = firstPart(elementNamed(widget));
    this.b.widget(id, parent, widget, content, {
      ...more,
      ...(n % 5 === 0 && { wears: [at(PRESETS, n), ...(n % 10 === 0 ? [at(PRESETS, n + 3)] : [])] }),
      ...(n % 6 === 0 && {
        styles: {
          [`${part}/paddingTop`]: n % 12 === 0 ? '0.875rem' : '{size.space.two}',
          [`${part}@narrow/paddingTop`]: '{size.space.one}',
          ...(n % 18 === 0 && { [`${part}/backgroundColor`]: '{color.neutral.mist}' }),
        },
      }),
    });
    return id;
  }
  heading(parent: string, level: number): void {
    this.put(parent, 'heading', { text: this.thing(), level }, { variants: { look: `look-h${level}` } });
  }
  text(parent: string): void {
    this.put(parent, 'text', { text: richText(this.say(2), this.say()) });
  }
  button(parent: string, kind?: string): void {
    this.put(
      parent,
      'button',
      { label: 'Book a crossing', link: this.link() },
      kind ? { variants: { kind } } : {},
    );
  }
  picture(parent: string): void {
    const drawing = at(drawings(), this.n);
    this.put(parent, 'picture', { asset: pictureId(drawing.name), alt: drawing.alt, caption: '' });
  }
  feature(parent: string): void {
    const content = {
      title: this.thing(),
      level: 3,
      text: this.say(),
      linkLabel: 'More of it',
      link: this.link(),
      asset: null,
      alt: '',
    };
    this.put(parent, 'feature', content, { variants: { look: 'feature-card' } });
  }
}

/** Kinds of section, five widgets each. */
const KINDS: readonly ((f: Filler, section: string) => void)[] = [
  (f, section) => {
    f.heading(section, 2);
    const row = f.put(section, 'group', {}, { variants: { arrangement: 'arrangement-three' } });
    for (let i = 0; i < 3; i++) f.feature(row);
  },
  (f, section) => {
    const pair = f.put(section, 'group', {}, { variants: { arrangement: 'arrangement-two' } });
    f.picture(pair);
    f.text(pair);
    f.text(section);
    f.button(section);
  },
  (f, section) => {
    f.heading(section, 2);
    f.text(section);
    f.text(section);
    f.put(section, 'divider', {});
    f.text(section);
  },
  (f, section) => {
    f.heading(section, 2);
    f.text(section);
    const row = f.put(section, 'group', {});
    f.button(row);
    f.button(row, 'kind-outlined');
  },
];

/**
 * The ferry line grown to 100 pages, about 1,000 sections and 5,000 widgets, with presets, rebindings and values of their
 * own; generated, for measuring.
 */
export function tolvaneLarge(file: (name: string) => string): Site {
  const b = new SiteBuilder();
  tolvaneGuide(b, 'Tolvane Ferries, large', file);
  for (const [i, id] of PRESETS.slice(2).entries())
    b.preset(
      id,
      id.replace('-', ' ').replace(/^./, it => it.toUpperCase()),
      {
        'box/paddingTop': `{size.space.${at(['one', 'two', 'three'], i)}}`,
        'box/borderTopColor': 'role.accent',
        ...(i % 2 === 0 && { 'heading/letterSpacing': '0.01em', 'label:hover/color': 'role.accent' }),
        ...(i % 3 === 0 && { 'box@narrow/paddingTop': '{size.space.one}' }),
      },
    );
  const pages = ['home', ...Array.from({ length: PAGES - 1 }, (_, i) => `page-${i + 1}`)];
  for (const [n, id] of pages.entries()) {
    const top = n > 0 && n <= TOP.length;
    const title = n === 0 ? 'Home' : top ? at(TOP, n - 1) : `${at(PLACES, n)}, ${at(THINGS, n)}`;
    b.page(id, n === 0 ? '' : `page-${n}`, title, `${title}: what to know before the boat leaves.`, {
      ...(n > TOP.length && { parent: at(pages, 1 + (n % TOP.length)) }),
      ...(n % 4 === 3 && { scheme: at(SCHEMES, n) }),
      ...(n % 10 === 5 && { rebind: { rope: { type: 'token', token: 'heather' } as const } }),
    });
    const filler = new Filler(b, id, pages);
    for (let s = 0; s < SECTIONS; s++) {
      const section = `${id}-s${s}`;
      b.section(section, id, s === 0 ? 'Opening' : `Part ${s + 1}`, {
        ...((n + s) % 3 === 0 && { scheme: at(SCHEMES, n + s) }),
        ...(s % 4 === 1 && { variants: { padding: 'section-snug' } }),
        ...((n + s) % 15 === 7 && {
          rebind: { 'corner-card': { type: 'token', token: 'corner-small' } as const },
        }),
        ...((n + s) % 8 === 2 && { styles: { 'box/paddingBottom': '{size.space.six}' } }),
      });
      if (s === 0) filler.heading(section, 1);
      at(KINDS, n + s)(filler, section);
    }
  }
  return b.site();
}
