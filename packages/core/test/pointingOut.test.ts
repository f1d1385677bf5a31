import { describe, expect, it } from '@jest/globals';
import { convertWidget } from '../src/commands/index.ts';
import { type Content, richText } from '../src/content/index.ts';
import { publishSite, renderPreview } from '../src/render/index.ts';
import { must } from '../src/result/index.ts';
import { applyChange, type Edit, type Id, type Site } from '../src/site/index.ts';
import type { SiteBuilder } from '../src/starters/build.ts';
import { publishedCss } from './support/published.ts';
import { tiny } from './support/tiny.ts';

const after = (site: Site, edits: readonly Edit[]): Site => must(applyChange(site, { edits })).site;
const html = (site: Site): string => publishSite(site).files.get('index.html') ?? '';
const stepsOn = (fill: (b: SiteBuilder) => void = () => {}): Site =>
  tiny(b => {
    b.widget('way', 'one', 'steps', { level: 4 }, { styles: { 'line/borderLeftWidth': '2px' } });
    for (const [id, title, icon] of [
      ['ask', 'Ask', null],
      ['choose', 'Choose', 'anchor'],
      ['arrive', 'Arrive', null],
    ] as const) {
      b.widget(id, 'way', 'step', { title, icon });
      b.widget(`${id}-text`, id, 'text', { text: richText(`How to ${title.toLowerCase()}`) });
    }
    fill(b);
  });

describe('a feature', () => {
  const featured = (content: Record<string, Content>): Site =>
    tiny(b => {
      const link = { type: 'url', href: 'https://tolvane.example/' } as const;
      b.widget('point', 'one', 'feature', { title: 'Tea', level: 3, link, linkLabel: 'Pour', ...content });
    });
  const box = (site: Site) => html(site).match(/<div class="feature-box[^>]*>/)?.[0];

  it('is clicked as a whole where that is chosen and it leads somewhere, and by its link alone otherwise', () => {
    const whole = featured({ clicked: 'the whole card' });
    expect(box(whole)).toContain('data-whole');
    expect(publishedCss(whole)).toContain('.feature-box[data-whole]) :where(.feature-link)::after');
    expect(box(featured({}))).not.toContain('data-whole');
    expect(box(featured({ clicked: 'the whole card', linkLabel: '' }))).not.toContain('data-whole');
  });
  it('is picked part by part where its page is edited', () => {
    const site = featured({ clicked: 'the whole card' });
    const home = site.kinds.page.get('home');
    const preview = home && renderPreview(site, home, { fonts: '/', assets: '/' });
    expect(preview).toContain('feature-box');
    expect(preview).not.toMatch(/<div[^>]*data-whole/);
  });
});

describe('steps', () => {
  const marks = (site: Site) => [...html(site).matchAll(/step-mark[^>]*>(<svg|\d+)/g)].map(it => it[1]);

  it('have their numbers from their order, and a sign in the place of one', () => {
    const site = stepsOn();
    expect(marks(site)).toEqual(['1', '<svg', '3']);
    expect(html(site)).toMatch(/<ol[^>]*steps-steps/);
    expect([...html(site).matchAll(/<h4[^>]*>([^<]+)/g)].map(it => it[1])).toEqual([
      'Ask',
      'Choose',
      'Arrive',
    ]);
    const last = site.kinds.widget.get('arrive');
    const moved = after(site, [
      { op: 'set', id: 'arrive', path: ['at'], value: { parent: 'way', order: '1' } },
    ]);
    expect(last?.at.order).not.toBe('1');
    expect(marks(moved)).toEqual(['1', '2', '<svg']);
  });

  it.each(['accordion', 'tabs'])(
    'become %s with their words and signs, and the very same on the way back',
    to => {
      const site = stepsOn();
      const there = must(convertWidget(site, 'way', to));
      const other = after(site, there.edits);
      const record = (it: Site, id: Id) => it.kinds.widget.get(id);
      expect(record(other, 'choose')).toMatchObject({ content: { title: 'Choose', icon: 'anchor' } });
      expect(record(other, 'choose-text')).toBe(record(site, 'choose-text'));
      const back = after(other, must(convertWidget(other, 'way', 'steps')).edits);
      for (const id of ['way', 'ask', 'choose', 'arrive']) expect(record(back, id)).toEqual(record(site, id));
    },
  );
});

describe('figures', () => {
  it('print a number as it was typed, and nothing where a sign is missing', () => {
    const site = tiny(b => {
      b.widget('counted', 'one', 'figures', {});
      b.widget('crossings', 'counted', 'figure', { value: '48 %', words: 'of <all> crossings', icon: null });
    });
    expect(html(site)).toMatch(/figure-value[^>]*>48 %</);
    expect(html(site)).toContain('of &lt;all&gt; crossings');
    expect(html(site)).not.toMatch(/figure-sign/);
  });
});

describe('testimonials', () => {
  const said = (content: Record<string, string>) =>
    html(
      tiny(b => {
        b.widget('people', 'one', 'testimonials', {});
        b.widget('who', 'people', 'testimonial', {
          words: richText('It was on time.'),
          name: 'A passenger',
          role: '',
          asset: null,
          alt: '',
          icon: null,
          ...content,
        });
      }),
    );
  it('open with commas that are drawn, or with a sign of the brand', () => {
    expect(said({})).toMatch(/<svg[^>]*testimonial-sign[^>]*aria-hidden/);
    expect(said({})).toMatch(/<blockquote[^>]*>\s*<p[^>]*>It was on time\./);
    expect(said({ icon: 'anchor' })).toMatch(/<svg[^>]*testimonial-sign/);
    expect(said({ icon: 'anchor' })).not.toBe(said({}));
  });
  it('show no line for a role that was not said', () => {
    expect(said({})).not.toMatch(/testimonial-role/);
    expect(said({ role: 'Hesk' })).toMatch(/testimonial-role[^>]*>Hesk</);
  });
});
