import { describe, expect, it } from '@jest/globals';
import { PROGRAM, until, walkDemo } from './support/program.ts';

const demo = walkDemo();

/** Names of the sites as they are shown, archived ones left out. */
const shown = () => demo.walker.page.$$eval('main > ul h2', all => all.map(it => it.textContent));
const shownAre = (names: string[]) =>
  until(shown, all => JSON.stringify(all) === JSON.stringify(names), `the sites should be ${names}`);
const act = async (site: string, deed: string) => {
  await demo.walker.click(`Actions: ${site}`, 'button');
  await demo.walker.click(deed, 'menuitem');
};

describe('the list of sites', () => {
  it('shows a site as its home page, its colours, its last change and its release', async () => {
    const { walker } = demo;
    await walker.page.goto(PROGRAM);
    const picture = await walker.frame('Tolvane Ferries');
    expect(await picture.$eval('main h1, main h2', it => it.textContent)).toContain('early boat');
    await until(
      () => walker.page.$$eval('main li [style*=background]', all => all.length),
      n => n === 8,
      'eight colours',
    );
    await walker.says('Not published yet');
    await walker.says('You edited it');
    expect(await walker.violations()).toEqual([]);
  });

  it('duplicates, renames, archives and takes back', async () => {
    const { walker } = demo;
    await act('Tolvane Ferries', 'Duplicate…');
    await walker.click('Duplicate', 'button');
    await shownAre(['Tolvane Ferries copy', 'Tolvane Ferries']);
    await act('Tolvane Ferries copy', 'Rename…');
    expect(await walker.violations()).toEqual([]);
    await walker.type('Site name', '   ');
    await walker.says('Enter a name.');
    await walker.type('Site name', 'Carrow Islands');
    await shownAre(['Carrow Islands', 'Tolvane Ferries']);
    await walker.click('Carrow Islands', 'link');
    await walker.frame('Specimen');
    expect(await walker.page.title()).toBe('Carrow Islands – Cove Thread');
    await walker.page.goto(PROGRAM);
    await act('Carrow Islands', 'Archive');
    await shownAre(['Tolvane Ferries']);
    await walker.says('Carrow Islands is archived.');
    await walker.click('Undo', 'button');
    await shownAre(['Carrow Islands', 'Tolvane Ferries']);
  });

  it('deletes only by the name, by keys alone', async () => {
    const { walker } = demo;
    await walker.page.goto(PROGRAM);
    await shownAre(['Carrow Islands', 'Tolvane Ferries']);
    await walker.tabTo('Actions: Carrow Islands');
    await walker.press('Enter');
    await walker.page.waitForSelector('[role=menu]');
    await walker.press('End');
    await walker.press('Enter');
    await walker.says('This cannot be undone.');
    await walker.page.keyboard.type('Carrow');
    await walker.press('Enter');
    await walker.says('Type Carrow Islands, as it is written here.');
    await walker.page.keyboard.type(' Islands');
    await walker.press('Enter');
    await shownAre(['Tolvane Ferries']);
    await walker.page.reload();
    await shownAre(['Tolvane Ferries']);
  });
});
