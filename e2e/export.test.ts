import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { EXPORTS } from '@cove/core';
import { describe, expect, it } from '@jest/globals';
import { until, walkDemo } from './support/program.ts';

const demo = walkDemo();
const { errors } = demo;

describe('the guide on its way out', () => {
  const preview = () =>
    demo.walker.page.$eval('section[aria-label^="Preview of"]', it => it.textContent ?? '').catch(() => '');
  const heading = () =>
    demo.walker.page.$eval('[role=dialog] h2', it => it.textContent ?? '').catch(() => '');

  it.each(['export', 'tokens', 'css', 'download'])('is found from the palette by “%s”', async word => {
    const { walker } = demo;
    await walker.click('Find', 'button');
    await walker.page.waitForSelector('[cmdk-input]');
    await walker.page.keyboard.type(word);
    await until(
      () => walker.text(),
      text => text.includes('Export the guide: design tokens, CSS, Tailwind, TypeScript'),
      'the act is found',
    );
    await walker.page.locator('::-p-text(Export the guide: design tokens)').click();
    await until(heading, text => text === 'Export the guide', 'the sheet is open');
    await walker.page.keyboard.press('Escape');
    await until(heading, text => text === '', 'and closed');
  });

  it('shows each format of the draft before it is downloaded', async () => {
    const { walker } = demo;
    await walker.open('release');
    await walker.click('Export the guide…', 'button');
    for (const { label, file } of EXPORTS) {
      await walker.page.locator(`::-p-xpath(//label[contains(., "${file}")])`).click();
      await until(preview, text => text.length > 1000, `${label} is shown`);
      await walker.says(`Download ${file}`);
    }
    expect(await preview()).toContain('export const tokens = {');
    expect(await walker.violations()).toEqual([]);
    await walker.page.keyboard.press('Escape');
  });

  it('is one page that stands alone: every font in it, nothing asked for, readable by everybody', async () => {
    const { walker } = demo;
    await walker.open('release?export');
    const folder = mkdtempSync(join(tmpdir(), 'cove-specimen-'));
    const cdp = await walker.page.createCDPSession();
    await cdp.send('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: folder });
    await walker.click('Download the specimen', 'button');
    const path = join(folder, 'tolvane-ferries-guide.html');
    await until(
      async () => existsSync(path),
      there => there,
      'the specimen is downloaded',
    );
    const page = await walker.page.browser().newPage();
    const asked: string[] = [];
    page.on('request', request => {
      if (!request.url().startsWith('data:')) asked.push(request.url());
    });
    await page.setOfflineMode(true);
    await page.goto(`file://${path}`);
    await page.evaluate(() => document.fonts.ready.then(() => undefined));
    const fonts = await page.evaluate(() => [...document.fonts].filter(it => it.status === 'loaded').length);
    expect(fonts).toBeGreaterThan(1);
    expect(asked).toEqual([`file://${path}`]);
    expect(await page.$$eval('h2', all => all.map(it => it.textContent))).toContain('Schemes');
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
    await page.addScriptTag({ path: createRequire(import.meta.url).resolve('axe-core/axe.min.js') });
    const found = await page.evaluate(async () => {
      const { axe } = window as unknown as { axe: typeof import('axe-core') };
      // Samples of elements repeat headings and landmarks, as samples do.
      const { violations } = await axe.run('.sg', { runOnly: ['wcag2a', 'wcag2aa'] });
      return violations.map(it => it.id);
    });
    expect(found).toEqual([]);
    await page.close();
    rmSync(folder, { recursive: true, force: true });
  });

  it('is that of a release where that is asked for, and the archive says which it holds', async () => {
    const { walker } = demo;
    await walker.open('release');
    await walker.click('Publish', 'button');
    await walker.says('What visitors see: release 1');
    await walker.says('Download the draft');
    await walker.says('Download release 1');
    await walker.open('guide?token=hull');
    await walker.type('Value', '#123456');
    await walker.kept();
    await walker.open('release?export');
    const choose = (words: string) =>
      walker.page.locator(`::-p-xpath(//label[contains(., "${words}")])`).click();
    await choose('guide.css');
    await until(preview, text => text.includes('--color-brand-hull: #123456'), 'the draft is shown');
    await choose('Release 1, live');
    await until(preview, text => text.includes('--color-brand-hull: #2a3a5f'), 'the release is shown');
    await walker.says('/tolvane/guide/guide.css');
    expect(errors).toEqual([]);
  });
});
