import { describe, expect, it } from '@jest/globals';
import {
  addWidget,
  applyChange,
  CHECKS,
  type CheckName,
  CheckRunner,
  deriveToken,
  type Edit,
  KINDS,
  must,
  roleFixes,
  SEVERITIES,
  type Site,
  schemeContrasts,
  usersOf,
} from '../src/index.ts';
import { demoSite } from './support/demo.ts';

const demo = demoSite();
const after = (...edits: readonly Edit[]): Site => must(applyChange(demo, { edits })).site;
const set = (id: string, path: readonly [string] | readonly [string, string], value: unknown): Edit => ({
  op: 'set',
  id,
  path,
  value,
});
const px = (value: number) => ({ type: 'dimension', value: { value, unit: 'px' } });
const put = (name: string, coords: readonly number[]): Edit => ({
  op: 'put',
  record: {
    id: name,
    kind: 'token',
    type: 'color',
    name,
    group: 'Brand',
    order: 'zz',
    value: {
      type: 'color',
      value: { space: 'srgb', coords: [coords[0] ?? 0, coords[1] ?? 0, coords[2] ?? 0], alpha: 1 },
    },
  },
});
const [picture = ''] = demo.kinds.asset.keys();
/** A picture that some widget shows. */
const shown =
  [...demo.kinds.asset.keys()].find(id => usersOf(demo, id).some(it => demo.kinds.widget.has(it))) ?? '';

/** For each check a site in which it has something to say, and the record that it says it of. */
const PLANTED: Record<CheckName, { site: Site; record: string; measured?: { node: string; ratio: number } }> =
  {
    contrast: {
      site: after(set('daymark', ['roles', 'text'], { type: 'token', token: 'foam' })),
      record: 'daymark',
    },
    textOverPictures: { site: demo, record: 'welcome-title', measured: { node: 'welcome-title', ratio: 2 } },
    altTexts: {
      site: after(
        set(shown, ['alt'], ''),
        ...usersOf(demo, shown)
          .filter(id => demo.kinds.widget.has(id))
          .map(id => set(id, ['content', 'alt'], '')),
      ),
      record: shown,
    },
    firstWordsLeft: {
      site: after(
        ...addWidget(demo, 'asked', 0, 'accordionEntry').edits,
        set('book', ['content', 'label'], 'Button'),
      ),
      record: 'book',
    },
    missingCuts: {
      site: after(set('style-h1', ['styles', '/fontWeight'], { type: 'number', value: 950 })),
      record: 'style-h1',
    },
    families: {
      site: after(
        ...['Fraunces', 'Inter', 'Lora', 'Rubik', 'Figtree', 'Literata'].map(
          (name, i): Edit => ({
            op: 'put',
            record: {
              id: `voice${i}`,
              kind: 'token',
              type: 'fontFamily',
              name,
              group: 'Voices',
              order: `z${i + 1}`,
              value: { type: 'fontFamily', value: [name] },
            },
          }),
        ),
      ),
      record: 'settings',
    },
    rasterIcons: {
      site: after(set('book', ['content', 'icon'], picture)),
      record: 'book',
    },
    noEffect: {
      site: after(set('welcome-title', ['styles', 'text/rowGap'], px(4))),
      record: 'welcome-title',
    },
    overrides: {
      site: after(
        set(
          'book',
          ['styles'],
          Object.fromEntries(
            [
              'paddingTop',
              'paddingBottom',
              'paddingLeft',
              'paddingRight',
              'marginTop',
              'marginBottom',
              'minHeight',
            ].map(name => [`box/${name}`, px(3)]),
          ),
        ),
      ),
      record: 'book',
    },
    nearSwatches: {
      site: after(put('near1', [0.2, 0.4, 0.6]), put('near2', [0.2, 0.4, 0.601])),
      record: 'near1',
    },
  };
const names = Object.keys(PLANTED).filter((name): name is CheckName => name in CHECKS);
const measuredOf = (name: CheckName) => {
  const it = PLANTED[name].measured;
  return {
    overPictures: it ? [{ node: it.node, page: 'home', width: 'wide', ratio: it.ratio, wanted: 4.5 }] : [],
  };
};
const findingsOf = (name: CheckName, site: Site) =>
  CHECKS[name].begin().findings(site, site === PLANTED[name].site ? measuredOf(name) : { overPictures: [] });

describe.each(names)('the check %s', name => {
  const { site, record } = PLANTED[name];
  const of = (all: ReturnType<typeof findingsOf>) => all.filter(it => it.at.record === record);

  it('finds what was planted, and says so in a sentence', () => {
    const found = of(findingsOf(name, site));
    expect(found.length).toBeGreaterThan(0);
    for (const { message, check, severity } of found) {
      expect(message).toMatch(/^\S.*\S$/);
      expect(message).not.toMatch(/undefined|null|NaN|\[object/);
      expect([check, SEVERITIES.includes(severity)]).toEqual([CHECKS[name].id, true]);
    }
  });

  it('finds less where it was not', () => {
    expect(of(findingsOf(name, demo)).length).toBeLessThan(
      of(findingsOf(name, site)).length + (site === demo ? 1 : 0),
    );
    if (site === demo) expect(of(CHECKS[name].begin().findings(demo, { overPictures: [] }))).toEqual([]);
  });

  it('is mended by each of its fixes', () => {
    for (const finding of of(findingsOf(name, site)))
      for (const fix of finding.fixes()) {
        const mended = must(applyChange(site, { edits: fix.edits })).site;
        const left = findingsOf(name, mended).filter(
          it =>
            it.at.record === finding.at.record &&
            it.at.path === finding.at.path &&
            it.message === finding.message,
        );
        expect([fix.label, left]).toEqual([fix.label, []]);
      }
  });

  it('says what it is for, with where its numbers come from', () => {
    const { title, docs, dependsOn, thresholds } = CHECKS[name];
    expect(title).toMatch(/^[A-Z]/);
    expect(docs).toMatch(/WCAG|CSS|CIEDE2000|common practice, no source/);
    expect(docs.endsWith('.')).toBe(true);
    expect(dependsOn.every(kind => KINDS.includes(kind))).toBe(true);
    for (const threshold of Object.values(thresholds)) expect(threshold).toBeGreaterThan(0);
  });
});

describe('the runner', () => {
  it('runs a check again only when a record of a kind that it depends on has changed', () => {
    const runner = new CheckRunner(CHECKS);
    /** What each check finds; the very list of before where it was not run again. */
    const run = (site: Site) => new Map(names.map(name => [name, runner.findings(name, site)]));
    const runAgain = (before: ReturnType<typeof run>, site: Site) => {
      const now = run(site);
      return names.filter(name => now.get(name) !== before.get(name));
    };
    const first = run(demo);
    expect(runAgain(first, demo)).toEqual([]);
    const noted = must(
      applyChange(demo, {
        edits: [{ op: 'put', record: { id: 'brief', kind: 'note', name: 'Brief', order: 'V', text: '' } }],
      }),
    ).site;
    expect(runAgain(first, noted)).toEqual([]);
    const worded = must(applyChange(noted, { edits: [set('book', ['content', 'label'], 'Board')] })).site;
    const again = runAgain(first, worded);
    expect(again).toEqual(expect.arrayContaining(['rasterIcons', 'overrides']));
    expect(again).not.toContain('contrast');
    expect(again).not.toContain('nearSwatches');
  });

  it('answers with the very list while nothing changes', () => {
    const runner = new CheckRunner(CHECKS);
    expect(runner.findings('contrast', demo)).toBe(runner.findings('contrast', demo));
  });

  /** Whatever is edited, what was kept is what would be found anew. */
  it('keeps nothing that is no longer so', () => {
    const runner = new CheckRunner(CHECKS);
    for (const name of names)
      for (const site of [demo, PLANTED[name].site, demo])
        for (const each of names) {
          const plain = (all: ReturnType<typeof findingsOf>) => all.map(it => [it.at, it.message]);
          expect(plain(runner.findings(each, site))).toEqual(
            plain(CHECKS[each].begin().findings(site, { overPictures: [] })),
          );
        }
  });
});

describe('what mends a role', () => {
  const poor = PLANTED.contrast.site;
  it('is the nearest swatch that reads, and the swatch in use moved in lightness', () => {
    const fixes = roleFixes(poor, 'daymark', 'text');
    expect(fixes.map(it => it.label)).toEqual([
      expect.stringMatching(/^Use /),
      expect.stringMatching(/^Move Foam to \d+% lightness$/),
    ]);
    for (const { edits } of fixes) {
      const mended = must(applyChange(poor, { edits })).site;
      const text = schemeContrasts(mended, 'daymark').find(it => it.role === 'text');
      expect(text?.ratio).toBeGreaterThanOrEqual(4.5);
    }
  });
  it('is nothing where it reads, or where there is no such role', () => {
    expect(roleFixes(demo, 'daymark', 'text')).toEqual([]);
    expect(roleFixes(demo, 'daymark', 'nothing')).toEqual([]);
    expect(roleFixes(demo, 'nowhere', 'text')).toEqual([]);
  });
});

describe('a token derived from another', () => {
  it('follows it, under a name of its own', () => {
    const made = deriveToken(demo, 'hull', 'lightness');
    const site = after(...(made?.edits ?? []));
    const record = site.kinds.token.get(made?.id ?? '');
    expect(record?.value).toMatchObject({ type: 'derived', derivation: { op: 'lightness', from: ['hull'] } });
    expect(record?.group).toBe(demo.kinds.token.get('hull')?.group);
  });
  it('is none for a derivation of another type, or of nothing', () => {
    expect(deriveToken(demo, 'ratio', 'lightness')).toBeNull();
    expect(deriveToken(demo, 'hull', 'nothing')).toBeNull();
    expect(deriveToken(demo, 'nothing', 'lightness')).toBeNull();
  });
});
