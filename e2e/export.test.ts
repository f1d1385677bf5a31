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
