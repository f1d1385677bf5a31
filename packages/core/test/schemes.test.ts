import { describe, expect, it } from '@jest/globals';
import { type Color, contrast, convert, distance, luminance, ratioOf } from '../src/color/index.ts';
import { leastShift } from '../src/color/leastShift.ts';
import {
  addRole,
  duplicateScheme,
  generateScheme,
  moveScheme,
  removeRole,
  removeScheme,
  schemesInOrder,
  setSlot,
} from '../src/commands/index.ts';
import { ROLES, rolesOf } from '../src/guide/index.ts';
import { isFailure, roleColor, schemeContrasts } from '../src/measure/index.ts';
import { must } from '../src/result/index.ts';
import {
  applyChange,
  type DefaultRecord,
  type Edit,
  type SchemeRecord,
  type Site,
} from '../src/site/index.ts';
import { demoSite } from './support/demo.ts';
import { pastedInto } from './support/incoming.ts';
import { seeded } from './support/random.ts';
import { tiny } from './support/tiny.ts';

const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const demo = demoSite();
const GREEN: Color = { space: 'srgb', coords: [0.1, 0.5, 0.2], alpha: 1 };

/** A site with nothing but the given swatches, and their ids. */
function palette(colors: readonly Color[]): { site: Site; ids: readonly string[] } {
  const text = colors
    .map(({ coords }) => `rgb(${coords.map(n => Math.round(n * 255)).join(' ')})`)
    .join('\n');
  const bare = tiny();
  const { edits, ids } = pastedInto(bare, text, 'Palette');
  return { site: after(bare, edits), ids };
}
const rolesAt = (site: Site, id: string): SchemeRecord['roles'] => site.kinds.scheme.get(id)?.roles ?? {};
const made = (site: Site, surface: string, action?: string) => {
  const scheme = must(generateScheme(site, 'Made', { surface, ...(action !== undefined && { action }) }));
  return { ...scheme, site: after(site, scheme.edits) };
};

describe('a scheme worked out from a palette meets WCAG 2.2, 1.4.3 (4.5:1) and 1.4.11 (3:1)', () => {
  const random = seeded(143);
  const any = (): Color => ({
    space: 'srgb',
    coords: [random.int(256) / 255, random.int(256) / 255, random.int(256) / 255],
    alpha: 1,
  });
  /** Grounds on which 4.5:1 can be had at all leave black or white at least that; all do: the worst has 4.58. */
  it.each(Array.from({ length: 60 }, (_, i) => i))('random palette %i, on any of its swatches', () => {
    const { site, ids } = palette(Array.from({ length: 2 + random.int(10) }, any));
    const scheme = made(site, ids[0] ?? '');
    expect(schemeContrasts(scheme.site, scheme.id).filter(isFailure)).toEqual([]);
  });
  it.each([
    ['light', 'foam'],
    ['tinted', 'fog'],
    ['dark', 'night'],
    ['of the brand', 'heather'],
    ['of a signal colour', 'lamp'],
  ])('every role and state on a surface that is %s', (_, surface) => {
    const scheme = made(demo, surface);
    const failures = schemeContrasts(scheme.site, scheme.id).filter(it => it.ratio < it.wanted);
    expect(failures).toEqual([]);
  });
  it('binds every role that needs a colour of its own, and tells light from dark', () => {
    const { site, id } = made(demo, 'night');
    expect(site.kinds.scheme.get(id)?.face).toBe('dark');
    for (const role of ROLES) expect(roleColor(site, id, role.name)).not.toBeNull();
  });
});

describe('a scheme worked out prefers the palette', () => {
  it('takes its swatches where they serve, and says of each that it made which roles it is for', () => {
    const { site, id, made: swatches } = made(demo, 'foam', 'rope');
    const roles = rolesAt(site, id);
    expect(roles.mainFill).toEqual({ type: 'token', token: 'rope' });
    expect(roles.link).toEqual({ type: 'token', token: 'rope' });
    expect(roles.dangerText).toEqual({ type: 'token', token: 'gale' });
    for (const { roles: used, token } of swatches) {
      expect(used.length).toBeGreaterThan(0);
      for (const role of used) expect(roles[role]).toEqual({ type: 'token', token: token.id });
    }
  });
  it('moves lightness only where none serves, and what it makes follows the swatch', () => {
    const { site, id, made: swatches } = made(demo, 'foam', 'lamp');
    const link = swatches.find(it => it.roles.includes('link'));
    expect(link?.of).toBe('lamp');
    expect(link?.token.value).toMatchObject({
      type: 'derived',
      derivation: { op: 'lightness', from: ['lamp'] },
    });
    const changed = after(site, [
      { op: 'set', id: 'lamp', path: ['value'], value: { type: 'color', value: GREEN } },
    ]);
    const shown = roleColor(changed, id, 'link');
    expect(shown && convert(shown, 'oklch').coords[2]).toBeCloseTo(convert(GREEN, 'oklch').coords[2], 0);
  });
  it('leaves hover and pressed told from rest by CIEDE2000 of 2 or more', () => {
    for (const surface of ['foam', 'fog', 'night', 'heather']) {
      const { site, id } = made(demo, surface);
      for (const [a, b] of [
        ['link', 'linkHover'],
        ['link', 'currentLink'],
        ['mainFill', 'mainFillHover'],
        ['mainFillHover', 'mainFillPressed'],
        ['secondFill', 'secondFillHover'],
      ] as const) {
        const [x, y] = [roleColor(site, id, a), roleColor(site, id, b)];
        expect(x && y && distance(x, y)).toBeGreaterThanOrEqual(2);
      }
    }
  });
});

describe('the least shift in lightness', () => {
  const lamp: Color = { space: 'oklch', coords: [0.84, 0.155, 88], alpha: 1 };
  const white: Color = { space: 'srgb', coords: [1, 1, 1], alpha: 1 };
  const on = (grounds: readonly number[], wanted: number) => (it: Color) =>
    grounds.every(ground => ratioOf(luminance(it), ground) >= wanted);
  it('just passes, keeps the hue, and goes no further than it must', () => {
    const shifted = leastShift(lamp, on([luminance(white)], 4.5));
    expect(shifted && contrast(shifted, white)).toBeGreaterThanOrEqual(4.5);
    expect(shifted && contrast(shifted, white)).toBeLessThan(4.6);
    expect(shifted?.coords[2]).toBeCloseTo(88, 6);
  });
  it('is none for what passes already', () => {
    const ink: Color = { space: 'srgb', coords: [0, 0, 0], alpha: 1 };
    expect(leastShift(ink, on([1], 4.5))).toBe(ink);
  });
  it('is not to be had between grounds that leave no room', () => {
    expect(leastShift(lamp, on([0, 1], 7))).toBeNull();
  });
});

describe('schemes', () => {
  const names = (site: Site) => schemesInOrder(site).map(it => it.name);
  it('are duplicated with their rules for elements, right behind', () => {
    const rule: DefaultRecord = {
      id: 'default-button-scheme-fog-bank',
      kind: 'default',
      element: 'button',
      place: { type: 'scheme', scheme: 'fog-bank' },
      styles: { 'box/opacity': { type: 'number', value: 0.9 } },
    };
    const ruled = after(demo, [{ op: 'put', record: rule }]);
    const { edits, id } = must(duplicateScheme(ruled, 'fog-bank'));
    const site = after(ruled, edits);
    expect(names(site)).toEqual(['Daymark', 'Fog bank', 'Fog bank 2', 'Heather', 'Night run']);
    expect(site.kinds.default.get(`default-button-scheme-${id}`)?.styles).toEqual(rule.styles);
  });
  it('are put in another order', () => {
    expect(names(after(demo, moveScheme(demo, 'night-run', 0)))[0]).toBe('Night run');
    expect(moveScheme(demo, 'daymark', 0)).toEqual([]);
  });
  it('go when another takes their place, everywhere', () => {
    const site = after(demo, must(removeScheme(demo, 'daymark', 'fog-bank')));
    expect(names(site)).not.toContain('Daymark');
    expect(site.kinds.settings.get('settings')?.defaultScheme).toBe('fog-bank');
    expect(removeScheme(demo, 'daymark', 'daymark')).toMatchObject({ ok: false });
  });
});

describe('a role of one’s own', () => {
  const { edits, id } = addRole(demo, 'Ticket edge', 'accent', 'surface');
  const site = after(demo, edits);
  it('is named as it is typed, and falls back to the role it is taken from', () => {
    expect(id).toBe('ticketEdge');
    expect(rolesOf(site).at(-1)).toMatchObject({ name: 'ticketEdge', label: 'Ticket edge' });
    expect(roleColor(site, 'daymark', id)).toEqual(roleColor(site, 'daymark', 'accent'));
  });
  it('cannot go while something asks for it, and can afterwards', () => {
    const used = after(
      site,
      setSlot(site, { type: 'default', element: 'divider' }, 'line/borderTopColor', {
        type: 'role',
        role: id,
      }),
    );
    expect(removeRole(used, id)).toMatchObject({ ok: false, problem: { code: 'in-use' } });
    const bound = after(site, [
      { op: 'set', id: 'daymark', path: ['roles', id], value: { type: 'token', token: 'lamp' } },
    ]);
    expect(after(bound, must(removeRole(bound, id))).kinds.scheme.get('daymark')?.roles).not.toHaveProperty(
      id,
    );
  });
  it('cannot be asked for where it is not, nor fall back to itself', () => {
    const asks = setSlot(demo, { type: 'default', element: 'divider' }, 'line/borderTopColor', {
      type: 'role',
      role: 'nowhere',
    });
    expect(applyChange(demo, { edits: asks })).toMatchObject({ ok: false, problem: { code: 'dangling' } });
    expect(applyChange(site, { edits: [{ op: 'set', id, path: ['fallback'], value: id }] })).toMatchObject({
      ok: false,
      problem: { code: 'circular' },
    });
  });
});

describe('the demo’s own schemes', () => {
  it.each([...demo.kinds.scheme.keys()])('%s can be read in every role and state', id => {
    expect(schemeContrasts(demo, id).filter(it => it.ratio < it.wanted)).toEqual([]);
  });
});
