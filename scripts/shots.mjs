import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { launchBrowser } from './lib/browser.mjs';
import { ROOT } from './lib/paths.mjs';
import { startScratch } from './lib/scratch.mjs';

/** One picture of each main view, from the demo as it is laid. */
const scratch = await startScratch();
const browser = await launchBrowser();
const page = await browser.newPage();
const { address: program, sites } = scratch.program;
const into = join(ROOT, 'docs/screenshots');
mkdirSync(into, { recursive: true });
const named = (name, role) => page.locator(`::-p-aria([name="${name}"]${role ? `[role="${role}"]` : ''})`);
const rest = () => new Promise(resolve => setTimeout(resolve, 900));
const shot = async name => {
  await page.mouse.move(640, 20);
  await rest();
  await page.screenshot({ path: join(into, `${name}.png`) });
};
const frame = async title => (await page.waitForSelector(`iframe[title="${title}"]`)).contentFrame();

/** Somebody with a browser of their own who has opened an invitation as keeper. */
async function invited(email, name) {
  const context = await browser.createBrowserContext();
  const theirs = await context.newPage();
  const send = (from, path, body) =>
    from.evaluate(
      async (path, body) => {
        const response = await fetch(path, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(body),
        });
        return response.json().catch(() => null);
      },
      path,
      body,
    );
  await page.goto(program);
  const { link } = await send(page, '/api/sites/tolvane/invitations', { email, role: 'keeper' });
  await theirs.goto(program);
  await send(theirs, '/api/account/link', { email });
  const letters = await theirs.evaluate(async () => (await fetch('/api/outbox/open')).json());
  const secret = /\/account\/link#(\S+)/.exec(letters.find(it => it.body.includes('/account/link#')).body)[1];
  await send(theirs, '/api/account', { secret, name, password: 'harbour-at-noon' });
  await send(theirs, '/api/invitations/accept', { secret: new URL(link).hash.slice(1) });
  return theirs;
}

async function write(where, words) {
  await where.locator('::-p-aria([name="Words"][role="textbox"])').click({ count: 3 });
  await where.keyboard.type(words);
  await where.keyboard.press('Enter');
}

/** Somebody writes words that somebody else, who has not seen them, writes over. */
async function overtake(theirs, first, second) {
  await page.setOfflineMode(true);
  await write(page, second);
  await theirs.bringToFront();
  await write(theirs, first);
  await theirs.waitForSelector('::-p-text(Saved)');
  await page.setOfflineMode(false);
}

try {
  await page.goto(program);
  await named('Enter the demo').click();
  const sheet = await frame('Specimen');
  await (await sheet.waitForSelector('[data-row=button][data-column=night-run]')).focus();
  await page.keyboard.press('Enter');
  await named('Thread of Fill: where its value comes from').click();
  await shot('guide');
  await named('Swatch Rope deep').click();
  await shot('guide-swatch');
  await page.goto(`${program}/sites/tolvane/guide?scheme=heather-moor`);
  await frame('Specimen');
  await shot('guide-scheme');
  await page.goto(`${program}/sites/tolvane/guide`);
  await frame('Specimen');
  await named('Choose families…').click();
  await named('Pairings', 'radio').click();
  await shot('voices');
  await page.goto(`${program}/sites/tolvane/guide?guides`);
  await frame('Specimen');
  await named('Guide Regatta', 'button').click();
  await page.waitForSelector('::-p-text(would look different)');
  await shot('guides');
  await page.goto(`${program}/sites/tolvane/guide?element=heading`);
  await frame('Specimen');
  await named('Text colour', 'combobox').click({ count: 3 });
  await page.keyboard.type('#c9d2e0');
  await page.keyboard.press('Enter');
  await page.waitForSelector('::-p-text(can no longer be read)');
  await shot('guard');
  await named('Undo this change').click();
  await page.goto(`${program}/sites/tolvane/pages/sailings?node=sailings-table&part=table`);
  await frame('Page');
  await named('Content').click();
  await named('Edit as a grid').click();
  await page.waitForSelector('[role=grid]');
  await rest();
  for (const key of ['ArrowDown', 'ArrowRight']) await page.keyboard.press(key);
  await page.keyboard.down('Shift');
  for (const key of ['ArrowDown', 'ArrowRight']) await page.keyboard.press(key);
  await page.keyboard.up('Shift');
  await shot('table');
  await page.goto(`${program}/sites/tolvane/pages/home?node=feature-dogs&part=box`);
  await frame('Page');
  await named('Knot of Fill: where its value comes from').click();
  await shot('pages');
  await page.goto(`${program}/sites/tolvane/pages/islands?node=morning-wide`);
  await frame('Page');
  await named('All three', 'radio').click();
  await frame('Page, narrow');
  await shot('pages-widths');
  await page.goto(`${program}/sites/tolvane/pages/home`);
  await frame('Page');
  await named('Section', 'button').click();
  await frame('Pictures');
  await shot('library');
  await page.goto(`${program}/sites/tolvane/pages/home?node=before-title`);
  await frame('Page');
  await named('Add a widget…', 'button').click();
  await named('Find a widget', 'combobox').fill('');
  await frame('Pictures');
  await shot('adding');
  await page.goto(`${program}/sites/tolvane/pages/home?node=book`);
  await frame('Page');
  await named('Browse looks…').click();
  await frame('Looks');
  await shot('looks');
  await page.goto(`${program}/sites/tolvane/pages/home?node=crossing`);
  await frame('Page');
  await named('Edges and layers behind it').click();
  await (await page.waitForSelector('select[aria-label="Top edge"]')).select('wave');
  await named('Find a property', 'searchbox').fill('background-image');
  await named('Ground', 'combobox').click({ count: 3 });
  await page.keyboard.type('picture(pic-early-boat)');
  await page.keyboard.press('Enter');
  await named('Find a property', 'searchbox').click({ count: 3 });
  await page.keyboard.press('Backspace');
  await page.waitForSelector('::-p-text(Add a tint)');
  await shot('section');
  for (let i = 0; i < 2; i++) await named('Undo').click();
  await page.waitForSelector('::-p-text(Saved)');
  await page.goto(`${program}/sites/tolvane/release`);
  await named('Publish').click();
  await page.waitForSelector('iframe[title="Release 1"]', { timeout: 15_000 });
  await shot('release');
  await page.goto(`${sites}/tolvane/`);
  await shot('published');
  await page.goto(program);
  await named('New site').click();
  await named('Name').fill('Carrow Bakehouse');
  await named('Brand values').fill(
    'Primary #0f4c5c, accent #e8863c\nheadings Fraunces, text Work Sans\nbase 17px, corners 4px',
  );
  await frame('Preview: A business with opening hours');
  await shot('new-site');
  await page.evaluate(async () => {
    const swatches = (...list) => list.map(([name, color, purpose]) => ({ name, color, purpose }));
    const rest = { code: null, base: '17px', ratio: 1.25, corners: '4px', space: null };
    const sites = [
      {
        name: 'Carrow Bakehouse',
        starter: 'business',
        brand: {
          swatches: swatches(['Primary', '#0f4c5c', 'identity'], ['Accent', '#e8863c', 'accent']),
          heading: 'Fraunces',
          text: 'Work Sans',
          ...rest,
        },
      },
      {
        name: 'Pell Street Prints',
        starter: 'portfolio',
        brand: {
          swatches: swatches(['Ink', '#2b2118', 'identity'], ['Press red', '#b3261e', 'action']),
          heading: 'Bricolage Grotesque',
          text: 'Literata',
          ...rest,
        },
      },
    ];
    for (const site of sites)
      await fetch('/api/sites', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(site),
      });
  });
  await page.goto(program);
  await frame('Pell Street Prints');
  await shot('sites');

  const ines = await invited('ines@tolvane.example', 'Ines');
  await ines.goto(`${program}/sites/tolvane/pages/home?node=welcome-title`);
  await ines.waitForSelector('iframe[title=Page]');
  await page.bringToFront();
  await page.goto(`${program}/sites/tolvane/pages/home?node=welcome-title`);
  await frame('Page');
  await named('Ines is here').wait();
  await write(page, 'Four islands before noon');
  await page.waitForSelector('::-p-text(Saved)');
  await overtake(ines, 'Three islands before noon', 'Four islands and a bell');
  await ines.bringToFront();
  await ines.waitForSelector('[aria-label="Overwritten by others"]');
  await ines.screenshot({ path: join(into, 'overtaken.png') });
  await page.bringToFront();
  await named('Ines is here').click();
  await page.waitForSelector('#members');
  await shot('people');
} finally {
  await browser.close();
  await scratch.end();
}
