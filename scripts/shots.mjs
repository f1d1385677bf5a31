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

try {
  await page.goto(program);
  await named('Enter the demo').wait();
  await shot('welcome');
  await named('Enter the demo').click();
  const sheet = await frame('Specimen');
  await (await sheet.waitForSelector('[data-row=button][data-column=night-run]')).focus();
  await page.keyboard.press('Enter');
  await named('Thread of Fill: where its value comes from').click();
  await shot('guide');
  await named('States', 'radio').click();
  await shot('guide-states');
  await named('Schemes', 'radio').click();
  await named('Swatch Rope deep').click();
  await shot('guide-swatch');
  await page.goto(`${program}/sites/tolvane/guide?scheme=heather-moor`);
  await frame('Specimen');
  await shot('guide-scheme');
  await page.goto(`${program}/sites/tolvane/pages/home?node=feature-dogs&part=box`);
  await frame('Page');
  await named('Knot of Fill: where its value comes from').click();
  await shot('pages');
  await page.goto(`${program}/sites/tolvane/pages/islands`);
  await frame('Page');
  await named('Narrow', 'radio').click();
  await shot('pages-narrow');
  await page.goto(`${program}/sites/tolvane/guide?preset=ticket`);
  await frame('Specimen');
  await shot('preset');
  await page.goto(`${program}/sites/tolvane/release`);
  await named('Publish').click();
  await page.waitForSelector('iframe[title="Release 1"]', { timeout: 15_000 });
  await shot('release');
  await page.goto(`${sites}/tolvane/`);
  await shot('published');
} finally {
  await browser.close();
  await scratch.end();
}
