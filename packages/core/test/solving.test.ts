import { describe, expect, it } from '@jest/globals';
import { type Color, contrast, convert, distance } from '../src/color/index.ts';
import {
  addCounterpart,
  bindRole,
  generateScheme,
  pinRole,
  setCounterpart,
  solveAgain,
} from '../src/commands/index.ts';
import { purposeOf, roleNamed } from '../src/guide/index.ts';
import {
  explainRole,
  isFailure,
  roleColor,
  schemeContrasts,
  schemeFailures,
  siteContrast,
} from '../src/measure/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, type Id, type SchemeRecord, type Site, siteOf } from '../src/site/index.ts';
import { READY_GUIDES, readyGuide } from '../src/starters/guides/index.ts';
import { demoSite } from './support/demo.ts';
import { pastedInto } from './support/incoming.ts';
import { seeded } from './support/random.ts';
import { tiny } from './support/tiny.ts';

const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const schemeIn = (site: Site, id: Id): SchemeRecord => {
  const scheme = site.kinds.scheme.get(id);
  if (!scheme) throw new Error(`no scheme ${id}`);
  return scheme;
};
const shown = (site: Site, scheme: Id, role: string): Color => {
  const color = roleColor(site, scheme, role);
  if (!color) throw new Error(`${role} shows nothing`);
  return color;
};
const swatchOf = (scheme: SchemeRecord, role: string): Id => {
  const value = scheme.roles[role];
  return value?.type === 'token' ? value.token : '';
};

/** Colours in the neighbourhood of one, over its lightness, and with less chroma: what could have been chosen. */
function* around(color: Color): Generator<Color> {
  const [, c, h] = convert(color, 'oklch').coords;
  for (const chroma of [1, 0.8])
    for (let i = 0; i <= 100; i++) yield { space: 'oklch', coords: [i / 100, c * chroma, h], alpha: 1 };
}
function leastOf(color: Color, good: (it: Color) => boolean): number {
  if (good(color)) return 0;
  let least = Number.POSITIVE_INFINITY;
  for (const it of around(color)) {
    const far = distance(it, color);
    if (far < least && good(it)) least = far;
  }
  return least;
}

/** What the table says of one scheme. */
interface Line {
  failing: number;
  /** Roles that show a swatch of a purpose that they do not take. */
  strangers: number;
  /** CIEDE2000 from the wished colour, of the fill of main buttons and of links, each beside the least that can be. */
  fill: number;
  leastFill: number;
  link: number;
  leastLink: number;
}

function lineOf(site: Site, id: Id): Line {
  const scheme = schemeIn(site, id);
  const surface = shown(site, id, 'surface');
  const strangers = Object.keys(scheme.roles).filter(role => {
    const token = site.kinds.token.get(swatchOf(scheme, role));
    return (
      token &&
      token.id !== swatchOf(scheme, 'surface') &&
      !roleNamed(role)?.takes.includes(purposeOf(site, token).purpose)
    );
  });
  const wished = scheme.action ?? swatchOf(scheme, 'mainFill');
  const token = site.kinds.token.get(wished);
  const asked = token?.value.type === 'color' ? token.value.value : shown(site, id, 'mainFill');
  const grounds = (roleNamed('link')?.on ?? []).map(it => shown(site, id, it.ground));
  const told = distance(asked, surface) > 4;
  return {
    failing: schemeContrasts(site, id).filter(isFailure).length,
    strangers: strangers.length,
    fill: distance(shown(site, id, 'mainFill'), asked),
    leastFill: told ? 0 : leastOf(asked, it => siteContrast(site, it, surface) >= 3),
    link: distance(shown(site, id, 'link'), asked),
    leastLink: leastOf(asked, it => grounds.every(ground => siteContrast(site, it, ground) >= 4.5)),
  };
}

const guideSite = (spec: (typeof READY_GUIDES)[number]): Site =>
  siteOf([...tiny().kinds.settings.values(), ...readyGuide(spec).records]);

/** Distances of links in the schemes of the ready-made guides: that of ours, and the least over the neighbourhood. */
const SHIPPED: readonly (readonly [guide: string, scheme: string, link: number, least: number])[] = [
  ['Morning quay', 'Salt', 6.9, 7],
  ['Morning quay', 'Spray', 11.2, 10.5],
  ['Morning quay', 'Deep water', 0, 0],
  ['Morning quay', 'Keel', 9.6, 9.5],
  ['Log book', 'Page', 0, 0],
  ['Log book', 'Fold', 0, 0],
  ['Log book', 'Oxblood', 0, 0],
  ['Log book', 'Ink', 0, 0],
  ['Selvedge', 'White', 0, 0],
  ['Selvedge', 'Cloth', 16.6, 16.4],
  ['Selvedge', 'Black', 0, 0],
  ['Selvedge', 'Lead', 0, 0],
  ['Driftwood', 'Sand', 0, 0],
  ['Driftwood', 'Dune', 0, 0],
  ['Driftwood', 'Bark', 0, 0],
  ['Driftwood', 'Peat', 22.4, 22.5],
  ['Regatta', 'Sail', 0, 0],
  ['Regatta', 'Flare', 0, 0],
  ['Regatta', 'Course', 0, 0],
  ['Regatta', 'Hull', 0, 0],
  ['Lichen', 'Cloud', 0, 0],
  ['Lichen', 'Stone', 4.6, 5.4],
  ['Lichen', 'Moss', 0, 0],
  ['Lichen', 'Root', 6, 6.4],
  ['Lamp room', 'Linen', 0, 0],
  ['Lamp room', 'Plaster', 0, 0],
  ['Lamp room', 'Night', 0, 0],
  ['Lamp room', 'Velvet', 0, 0],
];

describe('every scheme of the ready-made guides', () => {
  const lines = READY_GUIDES.flatMap(spec => {
    const site = guideSite(spec);
    return [...site.kinds.scheme.values()].map(it => ({ spec, name: it.name, line: lineOf(site, it.id) }));
  });
  it('can be read, takes swatches of fitting purposes, and fills main buttons with the very colour asked for', () => {
    for (const { name, line } of lines)
      expect({ name, ...line }).toMatchObject({ failing: 0, strangers: 0, fill: 0 });
  });
  it('has links as near to that colour as the table says', () => {
    const tenths = (n: number) => Math.round(n * 10) / 10;
    expect(
      lines.map(({ spec, name, line }) => [spec.name, name, tenths(line.link), tenths(line.leastLink)]),
    ).toEqual(SHIPPED);
  });
  it.each(READY_GUIDES.map(spec => [spec.name, spec] as const))(
    'of %s knows its counterpart of the other face',
    (_, spec) => {
      const { scheme: schemes } = guideSite(spec).kinds;
      for (const scheme of schemes.values()) {
        const other = schemes.get(scheme.counterpart ?? '');
        expect(other?.counterpart).toBe(scheme.id);
        expect(other?.face).not.toBe(scheme.face);
      }
    },
  );
});

describe('schemes worked out from 300 generated palettes', () => {
  const random = seeded(1601);
  /** As people have them: a few colours of a brand, some greys, sometimes statuses and a colour for what can be clicked. */
  function palette(i: number): string {
    const byte = () => random.int(256);
    const hex = (...channels: number[]) =>
      `#${channels
        .map(n =>
          Math.max(0, Math.min(255, Math.round(n)))
            .toString(16)
            .padStart(2, '0'),
        )
        .join('')}`;
    const near = (n: number) => n + random.int(9) - 4;
    const lines = Array.from(
      { length: 1 + random.int(5) },
      (_, k) => `Colour ${k + 1}: ${hex(byte(), byte(), byte())}`,
    );
    if (i % 3 !== 0)
      for (let k = 0; k < 1 + random.int(4); k++) {
        const grey = byte();
        lines.push(`Grey ${k + 1}: ${hex(near(grey), near(grey), near(grey))}`);
      }
    if (i % 4 === 0)
      lines.push(
        `Success: ${hex(byte() / 3, 90 + byte() / 3, byte() / 3)}`,
        `Error: ${hex(120 + byte() / 2, byte() / 4, byte() / 4)}`,
      );
    if (i % 5 === 0) lines.push(`Action: ${hex(byte(), byte(), byte())}`);
    return lines.join('\n');
  }
  const made = Array.from({ length: 300 }, (_, i) => {
    const bare = tiny();
    const { edits, ids } = pastedInto(bare, palette(i), 'Palette');
    const site = after(bare, edits);
    const fit = (role: string) =>
      ids.filter(id => {
        const token = site.kinds.token.get(id);
        return token && roleNamed(role)?.takes.includes(purposeOf(site, token).purpose);
      });
    const [grounds, actions] = [fit('surface'), fit('mainFill')];
    const action = i % 2 === 0 ? actions[random.int(actions.length)] : undefined;
    const wish = {
      surface: grounds[random.int(grounds.length)] ?? '',
      ...(action !== undefined && { action }),
    };
    const { id, edits: more } = must(generateScheme(site, 'Made', wish));
    const solved = after(site, more);
    return { i, id, site: solved, line: lineOf(solved, id) };
  });
  const mean = (of: (it: Line) => number) => made.reduce((n, { line }) => n + of(line), 0) / made.length;

  it('have no failing pair as painted, and no role of another purpose', () => {
    expect(
      made.filter(({ line }) => line.failing + line.strangers > 0).map(({ i, line }) => ({ i, ...line })),
    ).toEqual([]);
  });
  it('have fills and links next to as near to the wished colour as can be', () => {
    expect(mean(it => it.fill)).toBeLessThan(mean(it => it.leastFill) + 0.5);
    expect(mean(it => it.link)).toBeLessThan(mean(it => it.leastLink) * 1.08);
  });
  it('tell heading, text, muted text, links and current links apart wherever the wished colours leave room', () => {
    const black: Color = { space: 'srgb', coords: [0, 0, 0], alpha: 1 };
    const white: Color = { space: 'srgb', coords: [1, 1, 1], alpha: 1 };
    const roomy = made.filter(({ site, id }) => {
      const surface = shown(site, id, 'surface');
      return Math.max(siteContrast(site, black, surface), siteContrast(site, white, surface)) > 7;
    });
    const alike = (a: string, b: string) =>
      roomy.filter(({ site, id }) => distance(shown(site, id, a), shown(site, id, b)) < 2).length;
    expect(roomy.length).toBeGreaterThan(150);
    expect(alike('text', 'muted')).toBe(0);
    // What is left was asked for: links in the very grey of the text, or at the end of what there is.
    expect(alike('link', 'currentLink')).toBeLessThan(roomy.length * 0.06);
    expect(alike('link', 'text')).toBeLessThan(roomy.length * 0.06);
  });
});

describe('a scheme that was worked out', () => {
  const demo = demoSite();
  const { id, edits } = must(generateScheme(demo, 'Pier', { surface: 'foam', action: 'rope' }));
  const pier = after(demo, edits);

  it('binds links and main buttons to one token where it reads on both', () => {
    const { roles } = schemeIn(pier, id);
    expect(roles.link).toEqual({ type: 'token', token: 'rope' });
    expect(roles.mainFill).toEqual({ type: 'token', token: 'rope' });
  });
  it('has hover, pressed and current colours that follow the one they belong to', () => {
    const scheme = schemeIn(pier, id);
    for (const role of ['linkHover', 'currentLink', 'mainFillHover', 'mainFillPressed']) {
      const token = pier.kinds.token.get(swatchOf(scheme, role));
      expect(token?.value).toMatchObject({ type: 'derived', derivation: { op: 'shift', from: ['rope'] } });
    }
  });
  it('says why each role is bound as it is, with the figure of now', () => {
    const scheme = schemeIn(pier, id);
    for (const role of Object.keys(scheme.roles)) expect(explainRole(pier, id, role)).toMatch(/^[A-Z].+\.$/);
    expect(explainRole(pier, id, 'surface')).toBe('Chosen for this scheme.');
    expect(explainRole(pier, id, 'mainFillHover')).toBe('A step from Rope, which it follows.');
    expect(explainRole(pier, id, 'link')).toMatch(
      /^The same as main button fill, so .+: \d\.\d\d on .+, at least 4\.5 needed\.$/,
    );
  });
  it('keeps what is pinned and what was set by hand when it is worked out again', () => {
    const pinned = after(pier, [...pinRole(id, 'muted', true), ...bindRole(pier, id, 'heading', 'gale')]);
    const muted = swatchOf(schemeIn(pinned, id), 'muted');
    const again = after(pinned, must(solveAgain(pinned, id, { surface: 'night', action: 'lamp' })).edits);
    const scheme = schemeIn(again, id);
    expect(scheme.face).toBe('dark');
    expect(swatchOf(scheme, 'muted')).toBe(muted);
    expect(swatchOf(scheme, 'heading')).toBe('gale');
    expect(swatchOf(scheme, 'mainFill')).toBe('lamp');
    // What was kept by hand may fail, and only that.
    const failing = new Set(
      schemeContrasts(again, id)
        .filter(isFailure)
        .map(it => it.role),
    );
    expect([...failing].every(role => ['muted', 'heading', 'placeholder'].includes(role))).toBe(true);
    expect(explainRole(again, id, 'heading')).toMatch(/^Set by hand; solving again leaves it/);
  });
  it('makes nothing new when nothing has changed', () => {
    const again = must(solveAgain(pier, id));
    expect(again.made).toEqual([]);
    expect(again.edits).toEqual([]);
  });
  it('is not made on a see-through swatch, nor with the colour of a status for what can be clicked', () => {
    const refused = generateScheme(demo, 'No', { surface: 'foam', action: 'gale' });
    expect(refused).toMatchObject({ ok: false, problem: { code: 'other-purpose', record: 'gale' } });
  });
  it('holds on screens of a wide gamut too, where the brand wants wide colours', () => {
    const wide = after(demo, [
      { op: 'set', id: 'settings', path: ['wideColors'], value: true },
      ...['rope', 'heather', 'lamp'].map((token, i): Edit => {
        const coords = [0.52 + i * 0.12, 0.29, 310 - i * 100] as const;
        const value = { space: 'oklch', coords, alpha: 1 } as const;
        return { op: 'set', id: token, path: ['value'], value: { type: 'color', value } };
      }),
    ]);
    const { id: made, edits: more } = must(generateScheme(wide, 'Wide', { surface: 'foam', action: 'rope' }));
    const site = after(wide, more);
    // The lesser of what both kinds of screens paint is what is told.
    const [link, surface] = [shown(site, made, 'link'), shown(site, made, 'surface')];
    const both = (['srgb', 'display-p3'] as const).map(gamut => contrast(link, surface, gamut));
    expect(both[0]).not.toBe(both[1]);
    expect(siteContrast(site, link, surface)).toBe(Math.min(...both));
    expect(schemeContrasts(site, made).filter(isFailure)).toEqual([]);
  });
  it('takes headings from the neutrals where that is asked', () => {
    const plain = must(generateScheme(demo, 'Plain', { surface: 'foam', headings: 'neutral' }));
    const site = after(demo, plain.edits);
    const token = site.kinds.token.get(swatchOf(schemeIn(site, plain.id), 'heading'));
    expect(token && purposeOf(site, token).purpose).toBe('neutral');
  });
  it('has a counterpart of the other face made for it, and each knows the other', () => {
    const { id: dark, edits: more } = must(addCounterpart(pier, id));
    const both = after(pier, more);
    expect(schemeIn(both, dark)).toMatchObject({ face: 'dark', counterpart: id, name: 'Pier, dark' });
    expect(schemeIn(both, id).counterpart).toBe(dark);
    expect(schemeFailures(both).filter(it => it.scheme === dark)).toEqual([]);
    const other = after(both, must(setCounterpart(both, id, 'night-run')));
    expect(schemeIn(other, dark).counterpart).toBeUndefined();
    expect(schemeIn(other, 'night-run').counterpart).toBe(id);
    expect(setCounterpart(other, id, 'daymark')).toMatchObject({ ok: false, problem: { code: 'same-face' } });
    const alone = after(other, must(setCounterpart(other, id, null)));
    expect(schemeIn(alone, 'night-run').counterpart).toBeUndefined();
  });
});
