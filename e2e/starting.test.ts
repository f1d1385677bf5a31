import { describe, expect, it } from '@jest/globals';
import { PROGRAM, until, walkDemo } from './support/program.ts';

const demo = walkDemo();

const PURPOSES = ['Opening', 'Features', 'Proof', 'Content', 'Call to action', 'Contact'];

describe('a new site', () => {
  it('is seen before it is created, and begins with a guide and pages of its own', async () => {
    const { walker } = demo;
    await walker.page.goto(PROGRAM);
    await walker.click('New site');
    await walker.click('A ready-made site', 'radio');
    const ready = await walker.frame('Preview: A business with opening hours');
    expect(
      await ready.$$eval('[class*=navigationEntry-link]', all => all.map(it => it.textContent)),
    ).toContain('Opening hours');
    // Its pictures are there before it has any files.
    await until(
      () =>
        ready.$eval('img', it => (it instanceof HTMLImageElement ? it.naturalWidth : 0)).catch(() => 1200),
      width => width > 0,
      'a picture',
    );
    await walker.click('A small portfolio', 'radio');
    await walker.frame('Preview: A small portfolio');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Create site');
    await walker.says('Enter a site name.');
    await walker.type('Name', 'Sant Bree by foot', null);
    await walker.click('Create site');
    await walker.frame('Specimen');
    expect(walker.page.url()).toBe(`${PROGRAM}/sites/sant-bree-by-foot/guide`);
    await walker.page.goto(`${PROGRAM}/sites/sant-bree-by-foot/pages`);
    const page = await walker.frame('Page');
    expect(await page.$$eval('main > *', all => all.length)).toBe(6);
    // Nothing of the demo stands on it, and it is called by its name.
    const words = await page.$eval('body', it => it.textContent ?? '');
    expect(words).not.toMatch(/ferr|island|Tolvane|Hesk|Carrow|boat|\bsail/i);
    expect(words).toContain('© Sant Bree by foot');
  });

  it('takes a section kept from another one, which comes with its words and wears the new guide', async () => {
    const { walker } = demo;
    await walker.open('pages/home?node=crossing');
    const there = await walker.frame('Page');
    await walker.click('Save as your own…');
    await walker.type('Name', 'Open water');
    await walker.says('Open water is kept.');
    const face = await walker.style(there, '[data-node=crossing-title]', 'font-family');
    await walker.page.goto(`${PROGRAM}/sites/sant-bree-by-foot/pages`);
    const page = await walker.frame('Page');
    await walker.click('Section', 'button');
    await walker.findToAdd('section', 'Open water');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Add section', 'button');
    const title = 'main > :last-child h2';
    await until(
      () => page.$eval(title, it => it.textContent).catch(() => null),
      text => text === 'Forty minutes of open water',
      'the section at the end of the page',
    );
    expect(await walker.style(page, title, 'font-family')).not.toBe(face);
    await walker.kept();
    await walker.click('Section', 'button');
    await walker.findToAdd('section', 'Open water');
    await walker.click('Forget Open water');
    await walker.says('No section is called “Open water”.');
    await walker.click('Close');
  });

  it('takes a footer kept from another one in place of its own', async () => {
    const { walker } = demo;
    await walker.open('pages/home?node=foot');
    await walker.frame('Page');
    await walker.click('Save as your own…');
    await walker.type('Name', 'Words and pages');
    await walker.says('Words and pages is kept.');
    await walker.page.goto(`${PROGRAM}/sites/sant-bree-by-foot/pages`);
    const page = await walker.frame('Page');
    await walker.addSection('Words and pages');
    const footers = () =>
      page.$$eval('[data-area=footer] > [data-node]', all => all.map(it => it.textContent ?? ''));
    await until(
      footers,
      all => all.length === 1 && /every day the sea allows/.test(all[0] ?? ''),
      'the footer of the other site',
    );
    await walker.click('Undo');
    await until(footers, all => /© Sant Bree by foot/.test(all.join()), 'its own');
    await walker.kept();
    await walker.click('Section', 'button');
    await walker.findToAdd('section', 'Words and pages');
    await walker.click('Forget Words and pages');
    await walker.says('No section is called “Words and pages”.');
    await walker.click('Close');
  });

  it('gets a landing page of six sections by three clicks each, none of which brings a value of its own', async () => {
    const { walker } = demo;
    await walker.page.goto(`${PROGRAM}/sites/sant-bree-by-foot/pages`);
    await walker.frame('Page');
    await walker.addPage('Empty page');
    await walker.row('New page', true);
    await walker.says('This page is empty.');
    expect(await walker.violations()).toEqual([]);
    for (const [i, purpose] of PURPOSES.entries()) {
      // The first is asked for where the page is empty.
      await walker.click(i === 0 ? 'Add a section…' : 'Section', 'button');
      // The first of a purpose is highlighted as soon as the purpose is gone to.
      await walker.click(purpose, 'button');
      await walker.click('Add section', 'button');
    }
    const page = await walker.frame('Page');
    await until(
      () => page.$$eval('main > *', all => all.length),
      count => count === 6,
      'six sections',
    );
    await walker.click('Overrides…');
    await walker.says('None. Everything follows the guide.');
    await walker.click('Close');
    await walker.kept();
  });

  it('sees a kept guide with its pictures before it takes it', async () => {
    const { walker } = demo;
    const pinned = () =>
      walker.page.$$eval('ul[aria-label^="Pictures of"] img', all =>
        all.map(it => (it instanceof HTMLImageElement ? it.naturalWidth > 0 : false)),
      );
    await walker.open('guide');
    await walker.click('New note');
    await walker.choosePicture('Pin a picture…', 'Early boat');
    await walker.kept();
    await walker.open('guide?guides');
    await walker.click('Save this guide…');
    await walker.type('Name of the guide', 'With a picture');
    await walker.says('version 1');
    await walker.page.goto(`${PROGRAM}/sites/sant-bree-by-foot/guide?guides`);
    await walker.click('Guide With a picture', 'button');
    await walker.says('would look different');
    await walker.click('Open note New note');
    await until(pinned, all => all.length === 1 && all.every(it => it), 'the picture is there');
    await walker.click('Forget the guide With a picture');
    await walker.open('guide');
    await walker.click('Undo');
    await walker.click('Undo');
    await walker.kept();
  });

  it('no error was thrown in the browser', () => {
    expect(demo.errors).toEqual([]);
  });
});

describe('a site of one’s own as the beginning of another', () => {
  it('gives its pages with neutral words and pictures, in the new brand; the brief says what is missing', async () => {
    const { walker } = demo;
    await walker.page.goto(`${PROGRAM}/new`);
    await walker.type('Name', 'Fell Road Pottery', null);
    await walker.click('Brand values');
    await walker.page.keyboard.type('Identity #0f4c3a, action #b5471b\nheadings Outfit, text Lora');
    await walker.choose('Begin with', 'Pages of Tolvane Ferries, made neutral');
    const preview = await walker.frame('Preview: your site, made neutral');
    await until(
      () => preview.$eval('body', it => it.textContent ?? ''),
      words => words.includes('Fell Road Pottery') && !/Tolvane|early boat|Four islands/.test(words),
      'the pages in neutral words',
    );
    await walker.page.$$eval('summary', all => all.find(it => it.textContent.startsWith('Brief'))?.click());
    await walker.click('Content still missing, one item per line');
    await walker.page.keyboard.type('Photographs of the kiln\nPrices');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Create site');
    await walker.frame('Specimen');
    await walker.click('Pages');
    const page = await walker.frame('Page');
    expect(await page.$$eval('main > *', all => all.length)).toBe(4);
    await walker.page.$$eval('summary', all =>
      all.find(it => it.textContent.startsWith('Still missing'))?.click(),
    );
    await walker.says('Photographs of the kiln');
    await walker.says('texts to write');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Prices', 'checkbox');
    await walker.kept();
    await walker.click('Guide');
    await walker.frame('Specimen');
    await walker.says('Still missing. ');
    expect(demo.errors).toEqual([]);
  });
});
