import { type GuideData, guideOf, solveScheme } from '../../guide/index.ts';
import { uniqueName } from '../../lists/index.ts';
import type { Purpose } from '../../roles/index.ts';
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
  swatches: readonly (readonly [group: SwatchGroup, name: string, color: string, purpose?: Purpose])[];
  /** Schemes by face: a name, the swatch it stands on, the swatch of what can be clicked. */
  light: readonly (readonly [name: string, surface: string, action: string])[];
  dark: readonly (readonly [name: string, surface: string, action: string])[];
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

/** Light and dark schemes go together in the order in which they are named. */
function counterpartOf({ light, dark }: GuideSpec, name: string): string | undefined {
  const at = (list: GuideSpec['light']) => list.findIndex(([it]) => it === name);
  return at(light) >= 0 ? dark[at(light)]?.[0] : light[at(dark)]?.[0];
}

const made = new WeakMap<GuideSpec, GuideData>();

/** Ids by names: names that differ have ids that differ, whatever script they are written in. */
function idsBy(prefix: string): (name: string) => string {
  const ids = new Map<string, string>();
  const taken = new Set<string>();
  return name => {
    const known = ids.get(name);
    if (known !== undefined) return known;
    const id = uniqueName(`${prefix}${slug(name).slice(0, 36)}`, taken).replace(' ', '-');
    ids.set(name, id);
    return id;
  };
}

/** Works a guide out: its schemes are solved from its palette, so every one of them can be read. */
export function readyGuide(spec: GuideSpec): GuideData {
  const known = made.get(spec);
  if (known) return known;
  const id = idsBy(`${spec.id}-t-`);
  const schemeId = idsBy(`${spec.id}-s-`);
  const b = new SiteBuilder();
  for (const [group, name, color, purpose] of spec.swatches)
    b.token('color', id(name), group, name, color, purpose);
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

  for (const [name, surface, action] of [...spec.light, ...spec.dark]) {
    let made = 0;
    const wish = { surface: id(surface), action: id(action) };
    const solved = solveScheme({ tokens: b.tokensSoFar }, wish, () => `${id(`made ${name}`)}-${++made}`);
    for (const { token } of solved.made) b.put({ ...token, order: b.nextToken() });
    b.putScheme({
      id: schemeId(name),
      kind: 'scheme',
      name,
      face: solved.face,
      roles: solved.roles,
      action: wish.action,
      solved: solved.solved,
      ...(counterpartOf(spec, name) && { counterpart: schemeId(counterpartOf(spec, name) ?? '') }),
    });
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
