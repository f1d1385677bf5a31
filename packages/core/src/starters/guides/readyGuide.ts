import { type GuideData, guideOf, madeGroup, solveScheme } from '../../guide/index.ts';
import { slug } from '../../tokens/index.ts';
import { SiteBuilder } from '../build.ts';
import { dress } from './dress.ts';

export type SwatchGroup = 'Brand' | 'Neutral' | 'Status';

/** A ready-made guide in few words; everything else is worked out from them. */
export interface GuideSpec {
  id: string;
  name: string;
  /** Its character, in a line. */
  about: string;
  swatches: readonly (readonly [group: SwatchGroup, name: string, color: string])[];
  /** Schemes by face: a name, the swatch it stands on, the swatch of what can be clicked. */
  light: readonly (readonly [name: string, surface: string, accent: string])[];
  dark: readonly (readonly [name: string, surface: string, accent: string])[];
  voices: { heading: string; text: string; code: string };
  scale: { base: string; ratio: number };
  heading: { weight: number; tracking: string; line: number; capitals?: true };
  space: string;
  padding: { snug: string; fair: string; roomy: string };
  width: string;
  measure: string;
  corners: { small: string; card: string };
  lines: { fine: string; strong: string };
  shadow: string;
  quick: string;
  button: { weight: number; capitals?: true; tracking?: string };
}

const made = new Map<GuideSpec, GuideData>();

/** Works a guide out: its schemes are solved from its palette, so every one of them can be read. */
export function readyGuide(spec: GuideSpec): GuideData {
  const known = made.get(spec);
  if (known) return known;
  const id = (name: string) => `${spec.id}-t-${slug(name)}`;
  const schemeId = (name: string) => `${spec.id}-s-${slug(name)}`;
  const b = new SiteBuilder();
  for (const [group, name, color] of spec.swatches) b.token('color', id(name), group, name, color);
  b.token('fontFamily', id('voice heading'), 'Voices', 'Heading', spec.voices.heading);
  b.token('fontFamily', id('voice text'), 'Voices', 'Text', spec.voices.text);
  b.token('fontFamily', id('voice code'), 'Voices', 'Code', spec.voices.code);
  b.token('dimension', id('base'), 'Text', 'Base', spec.scale.base);
  b.token('number', id('ratio'), 'Text', 'Ratio', String(spec.scale.ratio));
  for (const [name, step] of [
    ['Small', -1],
    ['Large', 1],
    ['Step 2', 2],
    ['Step 3', 3],
    ['Step 4', 4],
    ['Step 5', 5],
  ] as const)
    b.token('dimension', id(name), 'Text', name, `step({size.text.base}, {number.text.ratio}, ${step})`);
  b.token('dimension', id('space one'), 'Space', 'One', spec.space);
  for (const [name, factor] of [
    ['Two', 2],
    ['Three', 3],
    ['Four', 4],
    ['Six', 6],
  ] as const)
    b.token('dimension', id(`space ${name}`), 'Space', name, `times({size.space.one}, ${factor})`);
  b.token('dimension', id('pad snug'), 'Section padding', 'Snug', spec.padding.snug);
  b.token('dimension', id('pad fair'), 'Section padding', 'Fair', spec.padding.fair);
  b.token('dimension', id('pad roomy'), 'Section padding', 'Roomy', spec.padding.roomy);
  b.token('dimension', id('page width'), 'Page', 'Width', spec.width);
  b.token('dimension', id('measure'), 'Page', 'Text measure', spec.measure);
  b.token('dimension', id('corner small'), 'Corners', 'Small', spec.corners.small);
  b.token('dimension', id('corner card'), 'Corners', 'Card', spec.corners.card);
  b.token('dimension', id('line hair'), 'Lines', 'Hair', spec.lines.fine);
  b.token('dimension', id('line rope'), 'Lines', 'Rope', spec.lines.strong);
  b.token('shadow', id('lift'), 'Shadows', 'Lift', spec.shadow);
  b.token('duration', id('quick'), 'Motion', 'Quick', spec.quick);

  for (const [name, surface, accent] of [...spec.light, ...spec.dark]) {
    let made = 0;
    const group = madeGroup(name);
    const solved = solveScheme(
      b.tokensSoFar,
      { surface: id(surface), accent: id(accent) },
      group,
      () => `${id(`made ${name}`)}-${++made}`,
    );
    for (const { token } of solved.made) b.put({ ...token, order: b.nextToken() });
    const roles = Object.entries(solved.roles).flatMap(([role, value]) =>
      value.type === 'token' ? [[role, value.token] as const] : [],
    );
    b.scheme(schemeId(name), name, solved.face, Object.fromEntries(roles));
  }
  dress(b, spec);
  b.settings({
    name: spec.name,
    language: 'en',
    home: 'home',
    defaultScheme: schemeId(spec.light[0]?.[0] ?? ''),
    mediumTo: 960,
    narrowTo: 600,
    fluidFrom: 360,
    fluidTo: 1280,
    textBase: id('base'),
    textRatio: id('ratio'),
  });
  b.page('home', '', spec.name, '');
  const guide = guideOf(b.site(), spec.name, spec.about);
  made.set(spec, guide);
  return guide;
}
