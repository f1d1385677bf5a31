import { describe, expect, it } from '@jest/globals';
import { PROGRAM, walkDemo } from './support/program.ts';

const demo = walkDemo();

/** Every view of the program, by its address and the frame that it waits for; what opens over a view is clicked open. */
const VIEWS: readonly {
  name: string;
  path: string;
  frame?: string;
  says?: string;
  click?: string;
  opens?: string;
}[] = [
  { name: 'the list of sites', path: '/', says: 'New site' },
  { name: 'a new site', path: '/new', says: 'Brand values' },
  { name: 'the account', path: '/account', says: 'Active sessions' },
  { name: 'the mail', path: '/outbox', says: 'No real mail is sent' },
  { name: 'a link asked for', path: '/account/ask', says: 'Send link' },
  { name: 'the guide', path: '/sites/tolvane/guide', frame: 'Specimen' },
  { name: 'an element', path: '/sites/tolvane/guide?element=button', frame: 'Specimen', says: 'Set here' },
  { name: 'a swatch', path: '/sites/tolvane/guide?token=lamp', frame: 'Specimen', says: 'Lightness' },
  { name: 'a scheme', path: '/sites/tolvane/guide?scheme=daymark', frame: 'Specimen', says: 'Solve from' },
  { name: 'a text style', path: '/sites/tolvane/guide?style=style-h1', frame: 'Specimen' },
  { name: 'a preset', path: '/sites/tolvane/guide?preset=ticket', frame: 'Specimen' },
  { name: 'the ground of the site', path: '/sites/tolvane/guide?ground', frame: 'Specimen' },
  { name: 'guides and snapshots', path: '/sites/tolvane/guide?guides', frame: 'Specimen' },
  { name: 'a set from a scale', path: '/sites/tolvane/guide', frame: 'Specimen', click: 'Set from a scale…' },
  { name: 'a page', path: '/sites/tolvane/pages/home', frame: 'Page' },
  { name: 'a thing on a page', path: '/sites/tolvane/pages/home?node=feature-dogs', frame: 'Page' },
  {
    name: 'the sections',
    path: '/sites/tolvane/pages/home',
    frame: 'Page',
    click: 'Section',
    opens: '[aria-label=Library]',
  },
  {
    name: 'the settings of a page',
    path: '/sites/tolvane/pages/home',
    frame: 'Page',
    click: 'Page settings…',
  },
  { name: 'the overrides', path: '/sites/tolvane/pages/home', frame: 'Page', click: 'Overrides…' },
  { name: 'the people', path: '/sites/tolvane/pages/home', frame: 'Page', click: 'People' },
  { name: 'the search', path: '/sites/tolvane/pages/home', frame: 'Page', click: 'Find' },
  { name: 'the releases', path: '/sites/tolvane/release', says: 'Publish' },
];

describe('in both themes', () => {
  it.each(VIEWS)(
    'nothing is wrong with $name, by axe-core',
    async ({ path, frame, says, click, opens = '[role=dialog]' }) => {
      const { walker } = demo;
      await walker.page.goto(`${PROGRAM}${path}`);
      if (frame) await walker.frame(frame);
      if (says) await walker.says(says);
      if (click) {
        await walker.click(click, 'button');
        await walker.page.waitForSelector(opens);
      }
      for (const theme of ['light', 'dark']) {
        await walker.page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: theme }]);
        expect([theme, ...(await walker.violations())]).toEqual([theme]);
      }
    },
  );
});
