import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import type { ElementHandle } from 'puppeteer-core';
import { PROGRAM, until, type Walker, walkDemo } from './support/program.ts';

const demo = walkDemo();
let walker: Walker;
const folder = mkdtempSync(join(tmpdir(), 'cove-whole-'));
const path = join(folder, 'tolvane-site.zip');
beforeAll(async () => {
  walker = demo.walker;
  writeFileSync(path, await whole('tolvane'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** A whole site as it is downloaded. */
async function whole(site: string): Promise<Buffer> {
  const text = await walker.page.evaluate(async address => {
    const response = await fetch(address);
    const bytes = new Uint8Array(await response.arrayBuffer());
    return Array.from(bytes, it => String.fromCharCode(it)).join('');
  }, `/api/sites/${site}/whole.zip`);
  return Buffer.from(text, 'latin1');
}

async function open(file: string): Promise<void> {
  const input = await walker.page.waitForSelector('input[type=file][aria-label="File of a whole site"]');
  if (!input) throw new Error('nowhere to open a file');
  await (input as ElementHandle<HTMLInputElement>).uploadFile(file);
}
describe('a whole site from a file', () => {
  it('is seen before it is created, and becomes a site with the same bytes', async () => {
    await walker.page.goto(`${PROGRAM}/new`);
    await walker.click('A whole site from a file', 'radio');
    await walker.click('Create site');
    await walker.says('Open the file of a whole site, or start from something else.');
    await open(path);
    await walker.says('13 pages');
    const preview = await walker.frame('Preview: the site in the file');
    await until(
      () =>
        preview
          .$eval('main img', it => (it instanceof HTMLImageElement ? it.naturalWidth : 0))
          .catch(() => 0),
      width => width > 0,
      'a picture out of the file',
    );
    expect(await walker.violations()).toEqual([]);
    await walker.click('Create site');
    await walker.frame('Specimen');
    expect(walker.page.url()).toBe(`${PROGRAM}/sites/tolvane-ferries/guide`);
    expect(Buffer.compare(await whole('tolvane-ferries'), readFileSync(path))).toBe(0);
  });

  it('that is broken says where, and nothing begins as it', async () => {
    const files = unzipSync(new Uint8Array(readFileSync(path)));
    const text = strFromU8(files['site.json'] ?? new Uint8Array());
    const broken = join(folder, 'broken.zip');
    writeFileSync(
      broken,
      zipSync({ ...files, 'site.json': strToU8(text.replace('"kind":"asset"', '"kind":"x"')) }),
    );
    await walker.page.goto(`${PROGRAM}/new`);
    await walker.click('A whole site from a file', 'radio');
    await open(broken);
    await walker.says('cannot be read');
    writeFileSync(broken, 'PK not an archive');
    await open(broken);
    await walker.says('It cannot be unpacked. It may be broken.');
    await walker.click('Create site');
    expect(walker.page.url()).toBe(`${PROGRAM}/new`);
  });
});

describe('a site that is replaced', () => {
  it('shows what would change, can be stopped, and is kept as a snapshot first', async () => {
    await walker.page.goto(`${PROGRAM}/new`);
    await walker.click('A ready-made site', 'radio');
    await walker.type('Name', 'Old boat', null);
    await walker.click('Create site');
    await walker.frame('Specimen');
    await walker.page.goto(`${PROGRAM}/sites/old-boat/release`);
    await walker.click('Replace it from a file…');
    await open(path);
    await walker.says('things would be added');
    await walker.says('The site as it is now is kept as a snapshot first.');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Before and after of Home');
    const after = await walker.frame('After: Home');
    expect(await after.$eval('main h1', it => it.textContent)).toContain('The early boat');
    await walker.page.keyboard.press('Escape');

    const before = await whole('old-boat');
    // Slow enough to be stopped.
    const line = await walker.page.createCDPSession();
    await line.send('Network.enable');
    const slow = (bytes: number) =>
      line.send('Network.emulateNetworkConditions', {
        offline: false,
        latency: 0,
        downloadThroughput: -1,
        uploadThroughput: bytes,
      });
    await slow(20_000);
    await walker.click('Replace the site', 'button');
    await walker.says('Sending');
    await walker.page.locator('[role=dialog] ::-p-text(Cancel)').click();
    await until(
      () => walker.page.$eval('[role=dialog]', it => it.textContent ?? ''),
      text => text.includes('Replace the site') && !text.includes('Sending'),
      'that it was stopped',
    );
    await slow(-1);
    await line.detach();
    expect(Buffer.compare(await whole('old-boat'), before)).toBe(0);

    await walker.click('Replace the site', 'button');
    await walker.says('“Tolvane Ferries” is laid over the site.');
    expect(Buffer.compare(await whole('old-boat'), readFileSync(path))).toBe(0);
    await walker.page.goto(`${PROGRAM}/sites/old-boat/pages`);
    const page = await walker.frame('Page');
    expect(await page.$eval('main h1', it => it.textContent)).toContain('The early boat');
    await walker.page.goto(`${PROGRAM}/sites/old-boat/guide?guides`);
    await walker.says('Before “Tolvane Ferries” was laid over it');
    await walker.page.goto(`${PROGRAM}/sites/old-boat/release?replace`);
    await open(path);
    await walker.says('The site is the same already.');
  });
});
