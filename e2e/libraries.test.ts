import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import type { ElementHandle } from 'puppeteer-core';
import sharp from 'sharp';
import { until, walkDemo } from './support/program.ts';

const demo = walkDemo();
const folder = mkdtempSync(join(tmpdir(), 'cove-pictures-'));

/** A picture of one colour, as a file. */
async function pictureFile(name: string, color: string): Promise<string> {
  const path = join(folder, name);
  await sharp({ create: { width: 60, height: 40, channels: 3, background: color } })
    .png()
    .toFile(path);
  return path;
}
async function give(label: string, ...paths: string[]): Promise<void> {
  const input = await demo.walker.page.waitForSelector(`input[aria-label="${label}"]`);
  if (!input) throw new Error(`no ${label}`);
  await (input as ElementHandle<HTMLInputElement>).uploadFile(...paths);
}
const names = () =>
  demo.walker.page.$$eval('[role=listbox][aria-label=Pictures] [role=option]', all =>
    all.map(it => it.textContent ?? ''),
  );
const chosen = () =>
  demo.walker.page.$$eval('[role=listbox][aria-label=Pictures] [aria-selected=true]', all =>
    all.map(it => it.textContent ?? ''),
  );

describe('the library of pictures', () => {
  it('is walked by keys, takes several files, tells which of them is none, and keeps the others', async () => {
    const { walker } = demo;
    await walker.open('pages/aboard');
    await walker.frame('Page');
    await walker.click('Pictures of the site…');
    await until(names, all => all.includes('Early boat') && all.includes('On deck'), 'all pictures');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Early boat', 'option');
    await walker.press('ArrowRight');
    await until(chosen, all => all.join() === 'Hesk', 'the next picture');
    const broken = join(folder, 'broken.png');
    writeFileSync(broken, 'This is no picture.');
    await give('Pictures, files', await pictureFile('red-quay.png', '#c02020'), broken);
    await walker.says('broken.png: ');
    await until(
      names,
      all => all.includes('Red quay') && !all.includes('Broken'),
      'the one that is a picture',
    );
    expect(await chosen()).toEqual(['Red quay']);
    await walker.says('Not used');
    await walker.type('Alt text', 'A quay in red');
    await walker.click('Unused', 'radio');
    await until(names, all => all.includes('Red quay') && !all.includes('Hesk'), 'what nothing uses');
    await walker.click('Close');
    await walker.kept();
  });

  it('replaces a picture wherever it is used, and takes that back as one step', async () => {
    const { walker } = demo;
    const canvas = await walker.frame('Page');
    const sources = () =>
      canvas.$$eval('[data-node=view-hesk] img, [data-node=picture-hesk] img', all =>
        all.map(it => it.getAttribute('src') ?? ''),
      );
    const before = await sources();
    expect(before).toHaveLength(2);
    await walker.click('Pictures of the site…');
    await walker.click('Hesk', 'option');
    await give('Other picture, file', await pictureFile('green.png', '#208020'));
    await until(sources, all => all.every((it, i) => it !== before[i]), 'another picture in both places');
    await walker.click('Close');
    await walker.kept();
    await walker.click('Undo', 'button');
    await until(sources, all => all.join() === before.join(), 'the old one');
    await walker.kept();
  });

  it('tells what stays in view, which holds wherever the picture is cropped, and is followed from there', async () => {
    const { walker } = demo;
    await walker.open('pages/home?node=welcome-picture&part=picture&find=object-position');
    const canvas = await walker.frame('Page');
    const position = () => walker.style(canvas, 'img[data-node=welcome-picture]', 'object-position');
    expect(await position()).toBe('50% 50%');
    await walker.click('Pictures of the site…');
    await walker.click('Early boat', 'option');
    const point = await walker.page.waitForSelector('::-p-aria([name="Focus of Early boat"][role="slider"])');
    await point?.focus();
    await walker.press('Shift', 'ArrowRight');
    await until(position, it => it === '60% 50%', 'a point further on');
    await walker.press('ArrowUp');
    await until(position, it => it === '60% 49%', 'a point further up');
    expect(await walker.violations()).toEqual([]);
    await walker.kept();
    await walker.click('Reset to the middle');
    await until(position, it => it === '50% 50%', 'the middle');
    await walker.click('Close');
    await walker.click('Undo', 'button');
    await until(position, it => it === '60% 49%', 'as it was');
    await walker.click('Thread of Focus: where its value comes from', 'button');
    await walker.says('picture Early boat');
    await walker.kept();
  });

  it('takes pictures of the library outside and from an address, and tells what is none', async () => {
    const { walker } = demo;
    await walker.open('pages/home');
    await walker.frame('Page');
    await walker.click('Pictures of the site…');
    await walker.click('Picture library');
    const offered = () =>
      walker.page.$$eval('ul[aria-label="Pictures of the library"] li', all => all.map(it => it.textContent));
    await until(offered, all => all.length === 60, 'many pictures');
    await walker.type('Find a picture', 'lighthouse fog');
    await until(offered, all => all.join() === 'Lighthouse in fog', 'the one that is meant');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Lighthouse in fog');
    await walker.click('Add to the site');
    await until(chosen, all => all.join() === 'Lighthouse in fog', 'it is there and selected');
    await until(
      () => walker.page.$$eval('input', all => all.map(it => it.value)),
      all => all.includes('A lighthouse on a rock, in fog'),
      'its alt text',
    );

    await walker.type('Web address', 'https://pictures.example/buoy-at-noon.jpg');
    await until(chosen, all => all.join() === 'Buoy at noon', 'the one from the address');
    await walker.type('Web address', 'https://pictures.example/broken.jpg');
    await walker.says('The file is broken, or no picture that can be read.');
    await walker.type('Web address', 'javascript:alert(1)');
    await walker.says('This is no web address');
    await walker.click('Close');
    await walker.click('Undo');
    await walker.click('Undo');
    await walker.kept();
  });

  it('draws a file of shapes, and runs and asks for nothing that stands in it', async () => {
    const { walker } = demo;
    await walker.open('pages/home');
    await walker.frame('Page');
    await walker.click('Pictures of the site…');
    const shapes = join(folder, 'two squares.svg');
    writeFileSync(
      shapes,
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 20" onload="document.title=1"><script>document.title=2</script><image href="https://stray.example/a.png" width="9" height="9"/><rect width="20" height="20" fill="#b1434a"/></svg>',
    );
    const asked: string[] = [];
    walker.page.on('request', request => asked.push(request.url()));
    await give('Pictures, files', shapes);
    await until(chosen, all => all.join() === 'Two squares', 'it is drawn');
    await walker.says('1600 × 800 px, WEBP');
    expect(asked.filter(it => it.includes('stray.example'))).toEqual([]);
    expect(await walker.page.title()).not.toMatch(/^[12]$/);
    await walker.click('Close');
    await walker.click('Undo');
    await walker.kept();
  });

  it('is where a widget has its picture from', async () => {
    const { walker } = demo;
    await walker.open('pages/aboard');
    const canvas = await walker.frame('Page');
    await walker.clickOnCanvas('[data-node=tea] img');
    await walker.openContent();
    await walker.choosePicture('Picture: Early boat', 'Red quay');
    await until(
      () => canvas.$eval('[data-node=tea] img', it => it.getAttribute('width')),
      width => width === '60',
      'the other picture',
    );
    await walker.click('Undo', 'button');
    await walker.kept();
  });
});

describe('a section', () => {
  const sections = async () =>
    (await demo.walker.frame('Page')).$$eval('main > [data-node]', all =>
      all.map(it => it.getAttribute('data-node')),
    );
  it('is split before what is selected, and joined again with the one below', async () => {
    const { walker } = demo;
    await walker.open('pages/aboard');
    await walker.frame('Page');
    const before = await sections();
    await walker.clickOnCanvas('[data-node=counted]');
    expect(await walker.page.$('::-p-aria([name="Split here"][role="button"])')).toBeNull();
    await walker.open('pages/aboard?node=said');
    await walker.click('Split here');
    const after = await until(sections, all => all.length === before.length + 1, 'a section more');
    const at = before.indexOf('aboard-said');
    expect(after[at]).toBe('aboard-said');
    const canvas = await walker.frame('Page');
    expect(
      await canvas.$eval(
        `[data-node="${after[at + 1]}"]`,
        it => it.querySelector('[data-node=said]') !== null,
      ),
    ).toBe(true);
    await walker.page.keyboard.down('Shift');
    await (await walker.row('What people say')).click();
    await walker.page.keyboard.up('Shift');
    await walker.click('Join');
    await until(sections, all => all.join() === before.join(), 'one section again');
    await walker.kept();
  });
});
