import { describe, expect, it } from '@jest/globals';
import { until, walkDemo } from './support/program.ts';

const demo = walkDemo();
const names = () =>
  demo.walker.page.$$eval('ul[aria-label=Presets] li', all => all.map(it => it.textContent ?? ''));

describe('a set made from a scale', () => {
  it('is a preset for each step, one of which is worn at a time and follows its token', async () => {
    const { walker } = demo;
    await walker.open('guide');
    await walker.frame('Specimen');
    await walker.click('Set from a scale…');
    expect(await walker.violations()).toEqual([]);
    await walker.choose('Property', 'Gap');
    await walker.says('Gap one, Gap two, Gap three');
    // A step that is not wanted is left out, and a set needs a name.
    await walker.click('Six');
    await walker.type('Set name', ' ', null);
    await walker.says('Enter a name for the set.');
    await walker.type('Set name', 'Distance', null);
    await walker.click('Make 4 presets', 'button');
    await until(
      names,
      all => all.filter(it => it.includes('of Distance')).length === 4,
      'four presets of the set',
    );
    await walker.kept();

    await walker.open('pages/home?node=before-row');
    const canvas = await walker.frame('Page');
    await walker.choose('Wear a preset', 'Distance one');
    const one = await walker.styleIs(canvas, '[data-node=before-row]', 'row-gap', gap => gap === '8px');
    expect(one).toBe('8px');
    await walker.choose('Wear a preset', 'Distance four');
    await walker.styleIs(canvas, '[data-node=before-row]', 'row-gap', '32px');
    expect(
      await walker.page.$$eval('ul[aria-label="Presets worn"] li', all =>
        all.map(it => it.textContent ?? ''),
      ),
    ).toHaveLength(1);
    await walker.kept();
  });
});

describe('a preset that is worn', () => {
  it('is edited beside the page: every use follows, and the way back is in the path', async () => {
    const { walker } = demo;
    await walker.open('pages/home?node=before-row');
    const canvas = await walker.frame('Page');
    await walker.click('Distance four', 'button');
    await walker.find('row gap');
    await walker.type('Row gap', '40px');
    await walker.styleIs(canvas, '[data-node=before-row]', 'row-gap', '40px');
    // What it does to the pages is told where it was done.
    await walker.says('looks different');
    expect(walker.page.url()).toContain('/pages/home');
    expect(await walker.violations()).toEqual([]);
    await walker.clearSearch();
    await walker.click('Group', 'button');
    await walker.page.waitForSelector('ul[aria-label="Presets worn"]');
    await walker.click('Undo', 'button');
    await walker.styleIs(canvas, '[data-node=before-row]', 'row-gap', '32px');
    await walker.kept();
  });
});

describe('a preset of what an element sets', () => {
  it('is made from the bench and opened; the element stays as it is', async () => {
    const { walker } = demo;
    await walker.open('guide?element=button');
    const sheet = await walker.frame('Specimen');
    const fill = await walker.style(sheet, '[data-row=button] [data-part=box]', 'background-color');
    await walker.click('Make a preset…', 'button');
    await walker.type('Preset name', 'Like a button');
    await until(
      async () => walker.page.url(),
      it => it.includes('preset='),
      'the preset should be open',
    );
    await walker.says('Like a button');
    await walker.kept();
    expect(await walker.style(sheet, '[data-row=button] [data-part=box]', 'background-color')).toBe(fill);
    expect(demo.errors).toEqual([]);
  });
});

describe('measures of the whole guide', () => {
  it('where sizes grow, and the side margin, are set in the tray and hold on the pages', async () => {
    const { walker } = demo;
    await walker.open('guide');
    await walker.frame('Specimen');
    await walker.type('Grows from', '1400');
    await walker.says('1400 has to be less than');
    await walker.type('Grows from', '400');
    await walker.kept();
    await walker.type('Narrow', '12px');
    await walker.kept();
    await walker.open('pages/home');
    const page = await walker.frame('Page');
    await walker.click('Narrow', 'radio');
    await walker.styleIs(page, 'main > [data-node]', 'padding-left', '12px');
    await walker.click('Wide', 'radio');
    await walker.styleIs(page, 'main > [data-node]', 'padding-left', '24px');
  });
});
