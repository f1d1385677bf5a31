import { describe, expect, it } from '@jest/globals';
import { until, walkDemo } from './support/program.ts';

const demo = walkDemo();
const kinds = () =>
  demo.walker.page.$$eval('[role=radiogroup][aria-label=Kind] label', all => all.map(it => it.textContent));
const kindsAre = (...wanted: string[]) =>
  until(kinds, all => all.join() === ['Default', ...wanted].join(), `kinds should be ${wanted.join(', ')}`);
const undo = async (times: number) => {
  for (let i = 0; i < times; i++) await demo.walker.click('Undo');
  await demo.walker.kept();
};

describe('the variants of an element', () => {
  it('are made, named, set, ordered, copied and deleted, each in one step that can be undone', async () => {
    const { walker } = demo;
    await walker.open('guide?element=button');
    const sheet = await walker.frame('Specimen');
    await walker.click('New kind', 'button');
    await kindsAre('Outlined', 'New kind');
    await walker.type('Name of this kind', 'Lantern');
    await kindsAre('Outlined', 'Lantern');
    await walker.find('opacity');
    await walker.type('Opacity', '0.5');
    const lantern = await until(
      () =>
        sheet.$$eval('.row', all =>
          all
            .filter(it => it.querySelector('.name')?.textContent?.startsWith('Lantern'))
            .map(it => getComputedStyle(it.querySelector('.cell .button-box') ?? it).opacity),
        ),
      all => all[0] === '0.5',
      'a row of its own in the specimen',
    );
    expect(lantern).toEqual(['0.5']);
    await walker.clearSearch();
    await walker.click('The kind itself');
    await walker.click('New ones begin with it', 'checkbox');
    await walker.click('Earlier', 'button');
    await kindsAre('Lantern', 'Outlined');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Duplicate', 'button');
    await kindsAre('Lantern', 'Lantern 2', 'Outlined');
    await walker.click('The kind itself');
    await walker.click('Delete', 'button');
    await kindsAre('Lantern', 'Outlined');
    await undo(7);
    await kindsAre('Outlined');
  });

  it('in use go only with word of what it alters, and another takes their place', async () => {
    const { walker } = demo;
    await walker.open('guide?element=heading&variants=look-h1');
    await walker.frame('Specimen');
    await walker.click('The look itself');
    await walker.click('Delete…', 'button');
    await walker.choose('What wears it', 'wears Heading 3');
    await walker.says('would look different');
    await walker.click('Delete Heading 1');
    await walker.says('Heading 3 only');
    await walker.kept();
    await undo(1);
  });

  it('come from ready looks, which are drawn in the words of the site before they are taken', async () => {
    const { walker } = demo;
    await walker.open('guide?element=button');
    await walker.frame('Specimen');
    // From the bar on top past the foundations and the specimen to the bench.
    for (let i = 0; i < 4; i++) await walker.press('F6');
    await walker.tabTo('Ready looks…');
    await walker.press('Enter');
    const looks = await (await walker.page.waitForSelector('iframe[title=Looks]'))?.contentFrame();
    if (!looks) throw new Error('no looks');
    const quiet = '[role=button][aria-label^=Quiet]';
    await looks.waitForSelector(quiet);
    expect(await looks.$eval(quiet, it => it.textContent)).toContain('Book a crossing');
    expect(await walker.violations()).toEqual([]);
    await looks.focus(quiet);
    await walker.press('Enter');
    await until(
      () => looks.$eval(quiet, it => it.getAttribute('aria-label')),
      it => it === 'Quiet, in the guide',
      'it is taken',
    );
    // Chosen again it is opened.
    await walker.press('Enter');
    await walker.says('Quiet only');
    await kindsAre('Outlined', 'Quiet');
    await undo(1);
    await kindsAre('Outlined');
  });
});

describe('values set by hand', () => {
  it('become a variant of their own, which the thing wears: it looks as before', async () => {
    const { walker } = demo;
    await walker.open('pages/home?node=feature-dogs&part=box');
    const canvas = await walker.frame('Page');
    const fill = '[data-node=feature-dogs]';
    const before = await walker.style(canvas, fill, 'background-color');
    await walker.page.locator('section[aria-label="Set here"] ::-p-text(Promote…)').click();
    await walker.choose('It becomes the rule for', 'A new look of feature');
    await walker.type('Name of the look', 'Kennel', null);
    await walker.says('Nothing on the pages would look different.');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Promote', 'button');
    await until(
      () => walker.page.$$eval('select', all => all.map(it => it.selectedOptions[0]?.textContent ?? '')),
      all => all.includes('Kennel'),
      'it wears the new look',
    );
    expect(await walker.style(canvas, fill, 'background-color')).toBe(before);
    await undo(1);
  });
});

describe('an element that looks different on one page', () => {
  it('is set in the guide from that page, listed there, and reset', async () => {
    const { walker } = demo;
    await walker.open('pages/fares');
    const canvas = await walker.frame('Page');
    const heading = 'main [data-part=text][class*=heading-text]';
    const before = await walker.style(canvas, heading, 'opacity');
    await walker.click('Page settings…');
    await walker.choose('Set an element for this page alone', 'Heading');
    await walker.says('Nothing is set here yet.');
    await walker.find('opacity');
    await walker.type('Opacity', '0.6');
    await walker.kept();
    await walker.open('pages/fares');
    const now = await walker.frame('Page');
    await walker.styleIs(now, heading, 'opacity', '0.6');
    await walker.open('pages/home');
    expect(await walker.style(await walker.frame('Page'), heading, 'opacity')).toBe(before);
    await walker.open('pages/fares');
    await walker.click('Page settings…');
    await walker.says('1 value');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Heading', 'button');
    await until(
      () => walker.page.$$eval('select', all => all.map(it => it.selectedOptions[0]?.textContent ?? '')),
      all => all.includes('on Fares alone ·'),
      'the guide shows the rule of that page',
    );
    await walker.open('pages/fares');
    await walker.click('Page settings…');
    await walker.click('Reset Heading on this page');
    await walker.says('None. Everything follows the guide.');
    await walker.kept();
  });

  it('no error was thrown in the browser', () => {
    expect(demo.errors).toEqual([]);
  });
});
