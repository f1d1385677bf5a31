import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import sharp from 'sharp';
import { PROGRAM, until, walkDemo } from './support/program.ts';

const demo = walkDemo();
let folder = '';
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'cove-brand-'));
});
afterAll(() => rm(folder, { recursive: true, force: true }));

const values = () => demo.walker.page.$eval('textarea', it => it.value);
const give = async (label: string, path: string) => {
  const input = await demo.walker.page.$(`input[type=file][aria-label="${label}"]`);
  if (!input) throw new Error(label);
  await (input as unknown as import('puppeteer-core').ElementHandle<HTMLInputElement>).uploadFile(path);
};

describe('a site from its brand', () => {
  it('shows what was read while it is typed, and says what could not be', async () => {
    const { walker } = demo;
    await walker.page.goto(`${PROGRAM}/new`);
    await walker.says('a page in its guide appears here');
    expect(await walker.violations()).toEqual([]);
    await walker.type('Name', 'Carrow Bakehouse', null);
    await walker.type(
      'Brand values',
      'Identity #7a2e1d, action #1f6f4a\nsuccess #2f7d32, warning #8a5a00, danger #b3261e\nheadings Fraunces, text Work Sans\nbase 17px, ratio 60',
      null,
    );
    await walker.says('ratio has to be between 1.02 and 2');
    await walker.says('every text meets its contrast');
    const page = await walker.frame('Preview: A business with opening hours');
    await until(
      () => walker.style(page, 'h1', 'font-family').catch(() => ''),
      family => family.startsWith('Fraunces'),
      'headings in their family',
    );
    expect(await walker.violations()).toEqual([]);
  });

  it('is created with swatches under the names that were typed, and no text that cannot be read', async () => {
    const { walker } = demo;
    await walker.choose('Purpose of Identity', 'Identity');
    await walker.click('Create site');
    const sheet = await walker.frame('Specimen');
    expect(walker.page.url()).toBe(`${PROGRAM}/sites/carrow-bakehouse/guide`);
    const swatches = await walker.page.$$eval('button[aria-label^="Swatch "]', all =>
      all.map(it => it.getAttribute('aria-label')?.slice(7)),
    );
    expect(swatches).toEqual(expect.arrayContaining(['Identity', 'Action', 'Success', 'Warning', 'Danger']));
    expect(await walker.style(sheet, '[data-row=button] a', 'background-color')).toBe('rgb(31, 111, 74)');
    // Words of the demo are not for other sites.
    expect(await sheet.$eval('body', it => it.textContent ?? '')).not.toMatch(/island|ferr|\bboat/i);
  });

  it('reads a token file and a style sheet', async () => {
    const { walker } = demo;
    await walker.page.goto(`${PROGRAM}/new`);
    const tokens = join(folder, 'brand.tokens.json');
    await writeFile(
      tokens,
      JSON.stringify({
        color: { $type: 'color', moss: { $value: { colorSpace: 'srgb', components: [0.2, 0.4, 0.25] } } },
        font: { heading: { $type: 'fontFamily', $value: ['Literata', 'serif'] } },
        radius: { small: { $type: 'dimension', $value: { value: 3, unit: 'px' } } },
      }),
    );
    await give('Token or CSS file', tokens);
    await until(
      values,
      it => /Moss #336640/.test(it) && /headings Literata/.test(it) && /corners 3px/.test(it),
      'its values',
    );
    const sheet = join(folder, 'brand.css');
    await writeFile(sheet, ':root {\n  --brand-clay: #a0522d;\n  --font-body: "DM Sans", sans-serif;\n}\n');
    await give('Token or CSS file', sheet);
    await until(
      values,
      it => /Brand clay #a0522d/.test(it) && /text DM Sans/.test(it),
      'those of the style sheet behind them',
    );
    const broken = join(folder, 'broken.json');
    await writeFile(broken, '{"color": {');
    await give('Token or CSS file', broken);
    await until(
      () => walker.page.$$('[role=alert]'),
      all => all.length > 0,
      'what is wrong with it',
    );
  });

  it('takes the colours of a picture and of a drawing, the greatest first', async () => {
    const { walker } = demo;
    await walker.page.goto(`${PROGRAM}/new`);
    const picture = join(folder, 'logo.png');
    const [width, height] = [400, 300];
    const right = await sharp({ create: { width: 100, height, channels: 3, background: '#e8863c' } })
      .png()
      .toBuffer();
    await sharp({ create: { width, height, channels: 3, background: '#0f4c5c' } })
      .composite([{ input: right, left: 300, top: 0 }])
      .png()
      .toFile(picture);
    await give('Logo or picture', picture);
    await until(values, it => it === 'Identity #0f4c5c\nAccent #e8863c', 'the two colours of it');
    const drawing = join(folder, 'mark.svg');
    await writeFile(
      drawing,
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10"><circle cx="5" cy="5" r="5" fill="#663399"/></svg>',
    );
    await give('Logo or picture', drawing);
    await until(values, it => it.endsWith('#663399'), 'the colour of the drawing behind them');
    const none = join(folder, 'none.png');
    await writeFile(none, 'not a picture');
    await give('Logo or picture', none);
    await walker.says('This picture cannot be read');
  });

  it('starts in a ready-made guide, too', async () => {
    const { walker } = demo;
    await walker.page.goto(`${PROGRAM}/new`);
    await walker.click('A guide', 'radio');
    await walker.click('Lichen', 'radio');
    await walker.type('Name', 'Little Hesk wool', null);
    await walker.click('Create site');
    await walker.frame('Specimen');
    await walker.page.waitForSelector('button[aria-label="Swatch Moss"]');
  });
});
