import { describe, expect, it } from '@jest/globals';
import { directionOf, LANGUAGES, PHRASE_NAMES, phraseIn } from '../src/phrases/index.ts';
import { publishSite } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, type Site } from '../src/site/index.ts';
import { demoSite } from './support/demo.ts';

const demo = demoSite();
const saying = (...edits: [string, unknown][]): Site =>
  must(
    applyChange(demo, {
      edits: edits.map(([field, value]): Edit => ({ op: 'set', id: 'settings', path: [field], value })),
    }),
  ).site;
const page = (site: Site, path = 'fares/index.html'): string => publishSite(site).files.get(path) ?? '';

describe('what the program says on published pages', () => {
  it.each(LANGUAGES.map(it => [it.name, it] as const))('is all said in %s', (_, language) => {
    for (const name of PHRASE_NAMES) expect(language.phrases[name]).toMatch(/^\S.*\S$/u);
    if (language.code === 'en') return;
    const english = LANGUAGES[0]?.phrases;
    const unnamed = [...demo.kinds.widget.values()].find(it => it.widget === 'navigation')?.id ?? '';
    const named: Edit = { op: 'set', id: unnamed, path: ['content', 'label'], value: '' };
    const site = must(applyChange(saying(['language', language.code]), { edits: [named] })).site;
    const text = page(site, 'sailings/index.html');
    expect(text).toContain(`lang="${language.code}"`);
    expect(text).toContain(language.phrases.skip);
    expect(text).not.toContain(english?.skip ?? '');
    expect(text).toContain(`"${language.phrases.mainNavigation}"`);
  });
  it('follows the language of a tag, whatever region it names, and is English in others', () => {
    expect(phraseIn('de-AT', 'skip')).toBe('Zum Inhalt springen');
    expect(phraseIn('fo', 'skip')).toBe('Skip to content');
  });
  it('gives way to the site’s own words', () => {
    const own = saying(['phrases', { skip: 'Straight to the sailings' }], ['awayInNewTab', true]);
    expect(page(own)).toContain('>Straight to the sailings</a>');
    expect(page(own)).not.toContain('Skip to content');
  });
  it('takes no name that is not there, and no word that is none', () => {
    for (const phrases of [{ other: 'x' }, { skip: ' ' }, { skip: 7 }, { skip: 'x'.repeat(101) }])
      expect(
        applyChange(demo, { edits: [{ op: 'set', id: 'settings', path: ['phrases'], value: phrases }] }).ok,
      ).toBe(false);
  });
});

describe('the way a language is written', () => {
  // ISO 15924 scripts written from right to left, as Unicode CLDR’s script metadata has them.
  it.each(['ar', 'he', 'fa', 'ur', 'ps', 'dv', 'ckb', 'yi', 'az-Arab', 'ar-Arab-EG'])(
    'is leftward in %s',
    tag => {
      expect(directionOf(tag)).toBe('rtl');
    },
  );
  it.each(['en', 'de', 'az', 'ar-Latn', 'ja', 'nonsense-tag-that-is-none-at-all-x'])(
    'is rightward in %s',
    tag => {
      expect(directionOf(tag)).toBe('ltr');
    },
  );
  it('is said of the page', () => {
    expect(page(saying(['language', 'ar']))).toContain('<html lang="ar" dir="rtl">');
    expect(page(demo)).toContain('<html lang="en">');
  });
});
