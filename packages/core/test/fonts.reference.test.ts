import { createFontStack } from '@capsizecss/core';
import { describe, expect, it } from '@jest/globals';
import { familiesOf, familyIn } from '../src/guide/index.ts';
import { fontBill, missingCuts } from '../src/measure/index.ts';
import { publishSite } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, type FontRecord, type Site } from '../src/site/index.ts';
import {
  FAMILIES,
  fallbackMetrics,
  hasItalic,
  PAIRINGS,
  printFallbackFaces,
  SYSTEM_FAMILIES,
  weightsOf,
} from '../src/type/index.ts';
import { demoSite } from './support/demo.ts';
import { cssIn } from './support/published.ts';

const demo = demoSite();
const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;

/** @capsizecss/metrics 4.3.0, read once: the local fonts that stand in, and three families of the catalogue. */
const ARIAL = {
  familyName: 'Arial',
  ascent: 1854,
  descent: -434,
  lineGap: 67,
  unitsPerEm: 2048,
  xWidthAvg: 913,
  capHeight: 1467,
  xHeight: 1062,
};
const TIMES = {
  familyName: 'Times New Roman',
  ascent: 1825,
  descent: -443,
  lineGap: 87,
  unitsPerEm: 2048,
  xWidthAvg: 832,
  capHeight: 1356,
  xHeight: 916,
};
const KNOWN = {
  Literata: { ascent: 1177, descent: -308, lineGap: 0, unitsPerEm: 1000, xWidthAvg: 480 },
  'Bricolage Grotesque': { ascent: 930, descent: -270, lineGap: 0, unitsPerEm: 1000, xWidthAvg: 470 },
  Inter: { ascent: 1984, descent: -494, lineGap: 0, unitsPerEm: 2048, xWidthAvg: 978 },
};
const familyNamed = (name: string) => {
  const family = FAMILIES.find(it => it.name === name);
  if (!family) throw new Error(name);
  return family;
};

describe('metrics of the catalogue, against @capsizecss/metrics 4.3.0', () => {
  it.each(Object.entries(KNOWN))('%s is as high and as broad, to 4 per cent', (name, theirs) => {
    const { metrics } = familyNamed(name);
    if (!metrics) throw new Error(name);
    const em = (of: typeof theirs) =>
      [of.ascent, of.descent, of.lineGap, of.xWidthAvg].map(n => n / of.unitsPerEm);
    for (const [i, ours] of em(metrics).entries())
      expect(Math.abs(ours - (em(theirs)[i] ?? 0))).toBeLessThan(0.04);
  });
});

describe('what stands in while a font loads, against @capsizecss/core 4.1, createFontStack', () => {
  it.each([
    ['Literata', TIMES],
    ['Bricolage Grotesque', ARIAL],
    ['Inter', ARIAL],
    ['Oswald', ARIAL],
    ['EB Garamond', TIMES],
  ])('%s', (name, local) => {
    const family = familyNamed(name);
    if (!family.metrics) throw new Error(name);
    const { fontFaces } = createFontStack(
      [{ familyName: name, capHeight: 700, xHeight: 500, ...family.metrics }, local],
      { fontFaceFormat: 'styleObject' },
    );
    const face = fontFaces[0]?.['@font-face'];
    const theirs = [face?.sizeAdjust, face?.ascentOverride, face?.descentOverride].map(it =>
      Number.parseFloat(String(it)),
    );
    const [ours] = fallbackMetrics(family);
    expect(ours?.locals[0]).toBe(local.familyName);
    for (const [i, it] of [ours?.sizeAdjust, ours?.ascent, ours?.descent].entries())
      expect((it ?? 0) * 100).toBeCloseTo(theirs[i] ?? 0, 2);
  });
  it('is nothing for the reader’s own fonts', () => {
    for (const family of SYSTEM_FAMILIES) expect(printFallbackFaces(family)).toBe('');
  });
});

describe('the catalogue', () => {
  const shipped = FAMILIES.filter(it => it.files.length > 0);
  it('has at least 24 families under open licences, of every kind', () => {
    expect(shipped.length).toBeGreaterThanOrEqual(24);
    for (const { licence } of shipped) expect(licence).toMatch(/SIL Open Font License|Apache License/);
    expect(new Set(shipped.map(it => it.kind))).toEqual(
      new Set(['sans', 'serif', 'slab', 'display', 'mono', 'hand']),
    );
  });
  it('says what each file weighs and which weights it has', () => {
    for (const family of shipped) {
      expect(weightsOf(family)?.[0]).toBeLessThan(weightsOf(family)?.[1] ?? 0);
      for (const { bytes } of family.files) expect(bytes).toBeGreaterThan(5000);
    }
  });
  it('has every family that a pairing names, in at least twelve pairings', () => {
    expect(PAIRINGS.length).toBeGreaterThanOrEqual(12);
    for (const { heading, text, accent } of PAIRINGS)
      for (const name of [heading, text, ...(accent === null ? [] : [accent])])
        expect(FAMILIES.map(it => it.name)).toContain(name);
    expect(new Set(PAIRINGS.map(it => it.name)).size).toBe(PAIRINGS.length);
  });
});

describe('a site’s own fonts', () => {
  const font = (id: string, more: Partial<FontRecord> = {}): Edit => ({
    op: 'put',
    record: {
      id,
      kind: 'font',
      family: 'Quay Sans',
      category: 'sans',
      cut: 'normal',
      weightFrom: 400,
      weightTo: 400,
      file: `${id.padEnd(16, '0').replace(/[^a-f0-9]/g, 'a')}.ttf`,
      format: 'truetype',
      bytes: 1000,
      metrics: { ascent: 900, descent: -200, lineGap: 0, unitsPerEm: 1000, xWidthAvg: 450 },
      ...more,
    },
  });
  const site = after(demo, [
    font('a1'),
    font('b2', { weightFrom: 700, weightTo: 700 }),
    font('c3', { cut: 'italic', bytes: 500 }),
    {
      op: 'set',
      id: 'body',
      path: ['value'],
      value: { type: 'fontFamily', value: ['Quay Sans', 'sans-serif'] },
    },
  ]);
  it('of one name are one family, with the weights and slants of its files', () => {
    const family = familyIn(site, 'Quay Sans');
    expect(family?.files).toHaveLength(3);
    expect(family && weightsOf(family)).toEqual([400, 700]);
    expect(family && hasItalic(family)).toBe(true);
    expect(familiesOf(site)[0]).toBe(family);
  });
  it('are published with the site, and what stands in for them too', () => {
    const { files, fonts } = publishSite(site);
    expect(fonts.filter(it => it.endsWith('.ttf'))).toHaveLength(3);
    const css = cssIn(files);
    expect(css).toContain('font-family:"Quay Sans";font-style:italic;font-weight:400');
    expect(css).toContain('font-family:"Quay Sans fallback";src:local("Arial"),local("Liberation Sans")');
  });
  it('are refused with a name that could leave its place in a style sheet', () => {
    expect(applyChange(demo, { edits: [font('d4', { family: 'x"}body{' })] })).toMatchObject({ ok: false });
    expect(applyChange(demo, { edits: [font('d4', { file: '../../etc/passwd' })] })).toMatchObject({
      ok: false,
    });
  });
});

describe('what the guide’s fonts cost and lack', () => {
  it('counts families and bytes, slanted files only where something slants', () => {
    const { families, bytes, tooMany } = fontBill(demo);
    expect(families.map(it => it.family.name)).toEqual(['Bricolage Grotesque', 'Literata']);
    expect(families[1]?.italic).toBe(true);
    expect(bytes).toBe(families.reduce((sum, it) => sum + it.bytes, 0));
    expect(tooMany).toBe(false);
  });
  it('flags more than three families', () => {
    const names = ['Inter', 'Lora', 'Syne', 'Oswald'];
    const site = after(
      demo,
      names.map(
        (name, i): Edit => ({
          op: 'put',
          record: {
            id: `v${i}`,
            kind: 'token',
            type: 'fontFamily',
            name,
            group: 'Voices',
            order: `y${i + 1}`,
            value: { type: 'fontFamily', value: [name, 'serif'] },
          },
        }),
      ),
    );
    expect(fontBill(site).tooMany).toBe(true);
  });
  it('tells a weight and a slant that the family does not have, instead of faking them', () => {
    expect(missingCuts(demo)).toEqual([]);
    const site = after(demo, [
      { op: 'set', id: 'style-h1', path: ['styles', '/fontWeight'], value: { type: 'number', value: 900 } },
      {
        op: 'set',
        id: 'style-h2',
        path: ['styles', '/fontStyle'],
        value: { type: 'keyword', value: 'italic' },
      },
    ]);
    expect(missingCuts(site)).toEqual([
      {
        style: 'style-h1',
        family: 'Bricolage Grotesque',
        missing: 'weight',
        found: '900',
        has: '200 to 800',
      },
      {
        style: 'style-h2',
        family: 'Bricolage Grotesque',
        missing: 'italic',
        found: 'italic',
        has: 'upright only',
      },
    ]);
  });
});
