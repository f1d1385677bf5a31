import { describe, expect, it } from '@jest/globals';
import { compareIncoming, takeIncoming } from '../src/commands/index.ts';
import { readTokens } from '../src/incoming/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, type Site } from '../src/site/index.ts';
import { printTyped } from '../src/tokens/index.ts';
import { demoSite } from './support/demo.ts';
import { noticedIn, tokensIn } from './support/incoming.ts';
import { tiny } from './support/tiny.ts';

const after = (site: Site, edits: Edit[]): Site => must(applyChange(site, { edits })).site;
const read = (text: string) => must(readTokens([{ name: 'site.css', text }]));
const printed = (text: string) => {
  const tokens = tokensIn(read(text));
  const map = new Map(tokens.map(it => [it.id, it]));
  return tokens.map(it => `${it.group} › ${it.name}: ${it.type} ${printTyped(it.value, map)}`);
};

const SHEET = `
@layer base {
  :root, :host {
    --sea-deep: #123a5f;
    --sea-pale: oklch(0.92 0.03 230);
    --sea-mist: color-mix(in oklch, var(--sea-deep) 70%, white);
    --sea-ring: 0 0 0 2px var(--sea-deep);
    --space-small: calc(0.25rem * 2);
    --space-wide: clamp(1rem, 0.5rem + 2vw, 3rem);
    --space-step: var(--space-small);
    --font-text: "Skipper's Hand", -apple-system, serif;
    --motion-quick: 140ms;
    --motion-curve: cubic-bezier(0.2, 0, 0, 1);
    --lamp: linear-gradient(to right, var(--sea-deep), #fff);
    --empty: ;
    --soup: kelp and salt;
  }
}
@supports (color: color(display-p3 0 0 0)) { :root { --sea-pale: color(display-p3 0.8 0.9 1); } }
@supports not (color: oklch(0 0 0)) { :root { --sea-deep: #000; } }
@media (min-width: 60em) { :root { --space-small: 1rem; } }
@media (prefers-color-scheme: dark) { :root { --sea-deep: #9cc; --sea-pale: var(--sea-deep); } }
`;

describe('custom properties of a style sheet', () => {
  it('are read by type, in groups by their names, aliases and derivations kept (CSS Custom Properties 1, section 3)', () => {
    expect(printed(SHEET)).toEqual([
      'Sea › Deep: color #123a5f',
      'Sea › Pale: color color(display-p3 0.8 0.9 1)',
      'Sea › Mist: color tint({color.sea.deep}, 30%)',
      'Sea › Ring: shadow 0px 0px 0px 2px {color.sea.deep}',
      'Space › Small: dimension 0.5rem',
      'Space › Wide: dimension 1rem .. 3rem',
      'Space › Step: dimension {size.space.small}',
      'Imported › Font text: fontFamily "Skipper\'s Hand", system-ui, serif',
      'Imported › Motion quick: duration 140ms',
      'Imported › Motion curve: cubicBezier cubic-bezier(0.2, 0, 0, 1)',
      'Imported › Lamp: gradient linear-gradient(90deg, {color.sea.deep} 0%, #ffffff 100%)',
      'Sea › Deep dark: color #99cccc',
      'Sea › Pale dark: color {color.sea.deep-dark}',
    ]);
  });

  it('that hold elsewhere, or say nothing, are told with their place', () => {
    expect(noticedIn(read(SHEET), 'unread')).toEqual([
      '“kelp and salt” is no colour, length or other value of a guide. (site.css, line 16)',
      'In @supports not (color: oklch(0 0 0)) --sea-deep has another value, which holds there alone. (site.css, line 20)',
      'In @media (min-width: 60em) --space-small has another value, which holds there alone. (site.css, line 21)',
    ]);
  });

  it('of several themes are told apart by attributes and classes of the root', () => {
    const { items } = read(`
      :root { --ink: #111; --paper: #fff; --line: #ccc }
      [data-theme="dusk"] { --ink: #eee; --paper: #223 }
      html.theme-dark { --paper: #000 }
      :host(:not([data-theme])) { --line: #ddd }
      [data-mode="dark"][data-dark-theme="dim"] { --ink: #ddd }
      .card { --paper: #fafafa; --card-gap: 4px }
    `);
    expect(items.map(it => it.name)).toEqual([
      '--ink',
      '--paper',
      '--line',
      '--card-gap',
      '--ink (Dusk)',
      '--paper (Dusk)',
      '--paper (Dark)',
      '--ink (Dim)',
    ]);
  });

  it('taken over twice add nothing the second time', () => {
    const once = takeIncoming(tiny(), compareIncoming(tiny(), read(SHEET)));
    expect(once.added).toBe(13);
    const site = after(tiny(), once.edits);
    expect(compareIncoming(site, read(SHEET)).items.map(it => it.state)).toEqual(Array(13).fill('same'));
  });

  it('are what they are registered as where nothing sets them (CSS Properties and Values API 1), and entered in unknown at-rules', () => {
    expect(
      printed(`
        :root { --gap: 12px }
        @property --gap { syntax: "<length>"; inherits: true; initial-value: 4px }
        @property --edge { syntax: "<length>"; inherits: false; initial-value: 2px }
        @theme { --kelp: #345 /* of the sea */ }
      `),
    ).toEqual([
      'Imported › Gap: dimension 12px',
      'Imported › Edge: dimension 2px',
      'Imported › Kelp: color #334455',
    ]);
  });

  it('are colours where only the numbers of one are written', () => {
    expect(printed(':root { --paper: 210 40% 98%; --page: hsl(var(--paper)); --gap: 4% }')).toEqual([
      'Imported › Paper: color hsl(210 40% 98%)',
      'Imported › Page: color hsl(210 40% 98%)',
      'Imported › Gap: dimension 4%',
    ]);
  });

  it('that hold in many places are told once: of an at-rule, or of the property', () => {
    const names = Array.from({ length: 6 }, (_, i) => `--gap-${i}`);
    const all = (px: number) => names.map(it => `${it}: ${px}px`).join(';');
    expect(
      noticedIn(
        read(`:root { --ink: #123; ${all(4)} }
          @media (min-width: 60em) { :root { ${all(8)} } }
          .a { --ink: #000 } .b { --ink: #111 } .c, .d { --ink: #222 }`),
        'unread',
      ),
    ).toEqual([
      'In @media (min-width: 60em) --gap-0, --gap-1, --gap-2, --gap-3 and 2 more have other values, which hold there alone. (site.css, line 2)',
      'In .a, .b, .c, .d it has other values, which hold there alone. (site.css, line 3)',
    ]);
  });

  it('are channels of a colour that was read, which are told, or a colour of their own', () => {
    const sheet =
      ':root { --hull: #0d6efd; --hull-rgb: 13, 110, 253; --buoy-rgb: 200, 40, 30; --steps: 1, 2, 3 }';
    expect(printed(sheet)).toEqual(
      ['Hull: color #0d6efd', 'Buoy rgb: color #c8281e'].map(it => `Imported › ${it}`),
    );
    expect(noticedIn(read(sheet), 'read')).toEqual([
      'These are the channels of --hull, which was read. (site.css, line 1)',
    ]);
  });

  it('are text styles where they say what `font` says (CSS Fonts 4, section 2.7)', () => {
    const { items, findings } = read(`:root {
      --text-badge: italic 700 0.625rem/1.2 "Harbour Sans", sans-serif;
      --heading-large: bold 2rem Literata;
      --text-edge: 1px solid red;
    }`);
    const styles = items.map(({ record }) => [
      record.name,
      ...(record.kind === 'textStyle'
        ? Object.entries(record.styles).map(([slot, value]) => `${slot} ${printTyped(value, new Map())}`)
        : []),
    ]);
    expect(styles).toEqual([
      [
        'Text badge',
        '/fontFamily Harbour Sans, sans-serif',
        '/fontSize 0.625rem',
        '/fontWeight 700',
        '/lineHeight 1.2',
      ],
      ['Heading large', '/fontFamily Literata', '/fontSize 2rem', '/fontWeight 700'],
    ]);
    expect(findings.map(it => it.name)).toEqual(['--text-edge']);
  });

  it('name no more families than a stack has, and tell it', () => {
    const names = Array.from({ length: 14 }, (_, i) => `Face ${i}`);
    const sheet = `:root { --font-text: ${names.join(', ')} }`;
    expect(printed(sheet)).toEqual([`Imported › Font text: fontFamily ${names.slice(0, 12).join(', ')}`]);
    expect(noticedIn(read(sheet), 'read')).toEqual([
      'It names 14 families. The first 12 are taken. (site.css, line 1)',
    ]);
  });

  // CSS Images 3, sections 3.1.1 and 3.2.1; CSS Images 4, section 3.1; CSS Values 4, section 7.1.
  it.each([
    [
      'linear-gradient(to bottom right, #fff, #000)',
      'linear-gradient(135deg, #ffffff 0%, #000000 100%)',
      /135 degrees/,
    ],
    [
      'linear-gradient(to left top, #fff, #000)',
      'linear-gradient(315deg, #ffffff 0%, #000000 100%)',
      /315 degrees/,
    ],
    ['linear-gradient(0.25turn, #fff, #000)', 'linear-gradient(90deg, #ffffff 0%, #000000 100%)', null],
    [
      'linear-gradient(to right in oklch longer hue, #fff, #000)',
      'linear-gradient(90deg, #ffffff 0%, #000000 100%)',
      /space/,
    ],
    ['linear-gradient(in oklab, #fff, #000)', 'linear-gradient(180deg, #ffffff 0%, #000000 100%)', /space/],
    [
      'radial-gradient(circle at 20% 10%, #fff, #000 40%)',
      'radial-gradient(#ffffff 0%, #000000 40%)',
      /shape, size and place/,
    ],
    ['radial-gradient(#fff, #000)', 'radial-gradient(#ffffff 0%, #000000 100%)', null],
  ])('are gradients as a guide has them: %s', (text, wanted, told) => {
    const sheet = `:root { --lamp: ${text} }`;
    expect(printed(sheet)).toEqual([`Imported › Lamp: gradient ${wanted}`]);
    const [first = null] = noticedIn(read(sheet), 'read');
    if (told) expect(first).toMatch(told);
    else expect(first).toBeNull();
  });

  it('that name one another in a circle, or grow without end, stop', () => {
    expect(tokensIn(read(':root{--a: var(--b); --b: var(--a)}'))).toEqual([]);
    const bomb = Array.from({ length: 40 }, (_, i) => `--v${i}: var(--v${i + 1}) var(--v${i + 1});`).join('');
    expect(tokensIn(read(`:root{${bomb}--v40: 1px}`)).map(it => it.name)).toEqual(['V40']);
  });

  it('of the guide’s own export are the guide’s own tokens', () => {
    const demo = demoSite();
    const { items } = compareIncoming(
      demo,
      read(':root { --color-brand-hull: #2a3a5f; --color-brand-rope: #123456 }'),
    );
    expect(items.map(it => [it.state, it.there?.id])).toEqual([
      ['same', 'hull'],
      ['changed', 'rope'],
    ]);
  });
});
