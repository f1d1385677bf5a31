import {
  canAccept,
  ELEMENTS,
  type ElementType,
  isItem,
  PART_KINDS,
  PRESET_USES,
  PROPERTIES,
  type PropertyRow,
  partNames,
  presetNamesOf,
  printSlot,
  type Site,
  STATES,
  type State,
  statesOf,
  styledParts,
  WIDGETS,
  WIDTHS,
} from '@cove/core';
import { SiteBuilder } from '@cove/core/starters';
import { type Random, seeded } from '../../packages/core/test/support/random.ts';

/** A value that the property takes, as a person would type it. */
function typed(row: PropertyRow, random: Random): string {
  const options: string[] = [...(row.keywords ?? [])];
  const within = (low: number, high: number) =>
    Math.max(
      row.min ?? low,
      Math.min(row.max ?? high, low + Math.round(random.next() * (high - low) * 100) / 100),
    );
  for (const type of row.accepts) {
    if (type === 'color')
      options.push(
        'role.accent',
        'role.text',
        '{color.c.one}',
        '{color.c.two}',
        '{color.c.tinted}',
        'tint({color.c.one}, 30%)',
        `oklch(${random.next().toFixed(2)} 0.1 ${random.int(360)})`,
      );
    else if (type === 'dimension')
      options.push(
        '{size.s.small}',
        '{size.s.grown}',
        'times({size.s.small}, 3)',
        `${within(0, 3)}rem`,
        `${within(0, 20)}px`,
        `${within(0, 4)}vw`,
      );
    else if (type === 'fluid') options.push('{size.s.fluid}', '0.5rem .. 2rem');
    else if (type === 'number')
      options.push(
        row.whole
          ? String(1 + random.int(4))
          : row.name === 'fontWeight'
            ? String(100 * (1 + random.int(9)))
            : String(within(0.1, 2)),
      );
    else if (type === 'duration') options.push('{duration.m.quick}', `${random.int(400)}ms`);
    else if (type === 'cubicBezier') options.push('cubic-bezier(0.2, 0, 0.1, 1)');
    else if (type === 'fontFamily') options.push('{voice.v.body}', 'Figtree, sans-serif');
    else if (type === 'gradient')
      options.push(
        'linear-gradient(40deg, {color.c.one}, role.accent 70%)',
        'radial-gradient({color.c.two}, #fff)',
      );
    else if (type === 'position') options.push(`${random.int(100)}% ${random.int(100)}%`, '12px 1.5rem');
    else if (type === 'picture') options.push('picture(quay)', 'picture(quay, {color.c.tinted} 35%)');
    else if (type === 'pattern')
      options.push('pattern(waves, role.accent)', 'pattern(waves, {color.c.tinted}, role.surface)');
    else if (type === 'shadow')
      options.push('0 2px 8px {color.c.one}', '0 1px 2px role.accent', '{shadow.x.lift}');
  }
  return random.pick(options);
}

/** Not what makes boxes of another kind, to which `display`, sizes and distances then compute. */
const LINED = PROPERTIES.filter(row => !['display', 'float', 'position'].includes(row.name));

function randomStyles(
  random: Random,
  count: number,
  parts: readonly string[],
  states: (part: string) => readonly State[],
): Record<string, string> {
  const styles: Record<string, string> = {};
  for (let i = 0; i < count; i++) {
    const part = random.pick(parts);
    const row = random.pick(LINED);
    const state = random.int(3) === 0 ? random.pick(['rest', ...states(part)] as const) : 'rest';
    const width = random.int(3) === 0 ? random.pick(WIDTHS) : 'wide';
    styles[printSlot({ part, state, width, property: row.name })] = typed(row, random);
  }
  return styles;
}

const variantId = (element: string, axis: string, n: number): string =>
  `${element}-${axis.replaceAll(' ', '-')}-${n}`;

/** A site in which every origin speaks at random: all elements, places, states, widths, presets in order, rebindings. */
export function generatedSite(seed: number): Site {
  const random = seeded(seed);
  const b = new SiteBuilder();
  b.token('color', 'c-one', 'c', 'One', `oklch(0.5 0.12 ${random.int(360)})`);
  b.token('color', 'c-two', 'c', 'Two', '{color.c.one}');
  b.token('color', 'c-tinted', 'c', 'Tinted', 'mix({color.c.one}, {color.c.two}, 40%)');
  b.token('color', 'c-pale', 'c', 'Pale', 'tint({color.c.one}, 85%)');
  b.token('dimension', 's-small', 's', 'Small', '0.75rem');
  b.token('dimension', 's-grown', 's', 'Grown', 'times({size.s.small}, 2)');
  b.token('dimension', 's-fluid', 's', 'Fluid', '0.8rem .. 1.6rem');
  b.token('number', 'ratio', 's', 'Ratio', '1.2');
  b.token('duration', 'm-quick', 'm', 'Quick', '90ms');
  b.token('fontFamily', 'v-body', 'v', 'Body', 'Literata, serif');
  b.token('shadow', 'x-lift', 'x', 'Lift', '0 3px 9px {color.c.two}');
  b.scheme('pale', 'Pale', 'light', { surface: 'c-pale', text: 'c-one', accent: 'c-two' });
  b.scheme('full', 'Full', 'dark', { surface: 'c-one', text: 'c-pale', accent: 'c-tinted', link: 'c-pale' });
  b.settings({
    name: 'Generated',
    language: 'en',
    home: 'home',
    defaultScheme: 'pale',
    mediumTo: 960,
    narrowTo: 600,
    fluidFrom: 360,
    fluidTo: 1280,
    textBase: 's-fluid',
    textRatio: 'ratio',
  });
  b.textStyle('style', 'Style', {
    '/fontSize': '{size.s.fluid}',
    '/fontWeight': 650,
    '@narrow/fontSize': '0.7rem',
    '@medium/letterSpacing': '0.02em',
    '@narrow/textIndent': '1.5em',
  });

  b.asset({
    focus: { x: 20, y: 70 },
    id: 'quay',
    name: 'Quay',
    file: 'abcdef0123456789.webp',
    mime: 'image/webp',
    width: 800,
    height: 500,
    alt: 'A quay',
  });
  b.drawing(
    'waves',
    'mark',
    'Waves',
    [24, 12],
    [
      ['M0 6q6 -6 12 0t12 0', null, 'currentcolor', 1.5],
      ['M0 0h2v2h-2z', '{color.c.two}'],
    ],
  );

  for (const element of ELEMENTS) {
    const parts = styledParts(element);
    const states = (part: string) => statesOf(element, part);
    b.default(element.name, {
      ...randomStyles(random, 8, parts, states),
      [`${random.pick(parts)}/textStyle`]: 'style',
    });
    for (const place of [
      { type: 'pageKind', pageKind: 'page' },
      { type: 'area', area: 'main' },
      { type: 'scheme', scheme: 'full' },
    ] as const)
      if (random.int(2)) b.default(element.name, randomStyles(random, 3, parts, states), place);
    for (const axis of element.axes)
      for (const n of [1, 2])
        b.variant(
          variantId(element.name, axis, n),
          element.name,
          axis,
          `${axis} ${n}`,
          randomStyles(random, 4, parts, states),
        );
  }
  for (const element of ELEMENTS) {
    const styles = () => randomStyles(random, 3, styledParts(element), part => statesOf(element, part));
    for (const place of [
      { type: 'branch', page: 'home' },
      { type: 'branch', page: 'second' },
      { type: 'page', page: 'home' },
      { type: 'section', section: 'two' },
    ] as const) {
      if (random.int(3) === 0) b.default(element.name, styles(), place);
      for (const axis of element.axes)
        if (random.int(4) === 0) b.variantRule(variantId(element.name, axis, 1), place, styles());
    }
  }
  /** States that some part has which presets know by a name. */
  const statesNamed = (name: string) =>
    STATES.filter(state =>
      ELEMENTS.some(element =>
        partNames(element).some(
          part => presetNamesOf(element, part).includes(name) && statesOf(element, part).includes(state),
        ),
      ),
    );
  const presets = ['pa', 'pb', 'pc', 'pd', 'ground', 'treatment'];
  for (const id of presets.slice(0, 4)) b.preset(id, id, randomStyles(random, 7, PART_KINDS, statesNamed));
  // Of a treatment that speaks of both, what it says of a part by its own name wins.
  for (const [id, use, count] of [
    ['ground', 'ground', 12],
    ['treatment', 'treatment', 8],
    ['other-treatment', 'treatment', 8],
  ] as const)
    b.preset(
      id,
      id,
      randomStyles(random, count, ['box', ...Object.keys(PRESET_USES[use].parts)], statesNamed),
      { use, ...(id === 'treatment' && { instead: { full: 'other-treatment' } }) },
    );

  const rebind = () =>
    random.int(2)
      ? {
          'c-one': {
            type: 'color',
            value: { space: 'oklch', coords: [0.4, 0.15, random.int(360)], alpha: 1 },
          } as const,
        }
      : {};
  const worn = () => presets.filter(() => random.int(3) === 0).sort(() => random.next() - 0.5);
  const variants = (element: { name: string; axes: readonly string[] }) =>
    Object.fromEntries(
      element.axes
        .filter(() => random.int(2))
        .map(axis => [axis, variantId(element.name, axis, 1 + random.int(2))]),
    );
  let made = 0;
  /** Fills a holder with everything that can stand in it; deeper, with what tells most, and with the holder's own like. */
  const fill = (parent: string, holder: ElementType, around: readonly ElementType[]) => {
    const depth = around.length;
    const all: readonly ElementType[] = WIDGETS.filter(it => canAccept(holder, it));
    const some = all.filter(
      it => isItem(it) || ['group', 'button', 'text'].includes(it.name) || around.includes(it),
    );
    for (const element of depth === 0 ? all : some) {
      const id = `w${++made}`;
      const choices = Object.entries(element.content).flatMap(([name, field]) =>
        // Being disabled is a state, in which nothing is while it is asked for at rest.
        field.type === 'choice' && name !== 'disabled' ? [[name, random.pick(field.options)] as const] : [],
      );
      b.widget(
        id,
        parent,
        element.name,
        { ...element.sample, ...Object.fromEntries(choices) },
        {
          variants: variants(element),
          wears: worn(),
          styles: random.int(2)
            ? randomStyles(random, 4, styledParts(element), part => statesOf(element, part))
            : {},
        },
      );
      // Each that holds others is nested in itself.
      if (element.holds !== null && (isItem(element) ? !isItem(holder) : depth < 2))
        fill(id, element, isItem(element) ? around : [...around, element]);
    }
  };
  b.page('home', '', 'Home', '', { rebind: rebind() });
  b.page('second', 'second', 'Second', '', { parent: 'home', areas: { sidebar: true } });
  for (const [id, parent, area] of [
    ['top', 'settings', 'header'],
    ['one', 'home', 'main'],
    ['two', 'home', 'main'],
    ['three', 'second', 'main'],
    ['beside', 'settings', 'sidebar'],
  ] as const) {
    const element = ELEMENTS.find(it => it.name === (area === 'main' ? 'section' : area));
    if (!element) continue;
    b.section(id, parent, id, {
      area,
      ...(random.int(2) && { scheme: 'full' }),
      variants: variants(element),
      wears: worn(),
      styles: randomStyles(random, 3, partNames(element), part => statesOf(element, part)),
      rebind: rebind(),
    });
    fill(id, element, []);
  }
  return b.site();
}
