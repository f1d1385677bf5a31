import { writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { SCHEMA } from '@cove/core';
import { beforeAll, describe, expect, it } from '@jest/globals';
import type { ElementHandle, Frame } from 'puppeteer-core';
import { SITES, until, type Walker, walkDemo } from './support/program.ts';

const demo = walkDemo();
const { errors } = demo;
let walker: Walker;
let sheet: Frame;
beforeAll(async () => {
  walker = demo.walker;
  await walker.page.evaluate(() => localStorage.clear());
  sheet = await walker.frame('Specimen');
});

const swatches = (group: string) =>
  walker.page.$$eval(
    'section[aria-label=Colours] section',
    (sections, wanted) =>
      [
        ...(sections
          .find(it => it.querySelector('h3')?.textContent?.startsWith(wanted))
          ?.querySelectorAll('button[aria-label^="Swatch "]') ?? []),
      ].map(it => it.getAttribute('aria-label')?.slice(7) ?? ''),
    group,
  );
const pressEscape = () => walker.page.keyboard.press('Escape');
const write = async (name: string, text: string) => {
  await walker.page.locator(`::-p-aria([name="${name}"])`).click();
  await walker.page.keyboard.down('Control');
  await walker.page.keyboard.press('a');
  await walker.page.keyboard.up('Control');
  await walker.page.keyboard.sendCharacter(text);
};
/** Back to the guide as it was laid, by undoing all that a test did. */
async function undoAll(): Promise<void> {
  await walker.kept();
  for (let i = 0; i < 60; i++) {
    const able = await walker.page.$eval('button[title^="Undo"], button[title="Nothing to undo"]', it =>
      it instanceof HTMLButtonElement ? !it.disabled : false,
    );
    if (!able) break;
    await walker.click('Undo');
  }
  await walker.kept();
}
const fresh = async (query = '') => {
  await walker.open(`guide${query}`);
  sheet = await walker.frame('Specimen');
};
const alt = async (key: 'ArrowRight' | 'ArrowLeft' | 'ArrowUp') => {
  await walker.page.keyboard.down('Alt');
  await walker.page.keyboard.press(key);
  await walker.page.keyboard.up('Alt');
};

describe('swatches', () => {
  it('are put in order by drag, and by Alt with an arrow key', async () => {
    const centre = async (name: string) => {
      const box = await (
        await walker.page.waitForSelector(`button[aria-label="Swatch ${name}"]`)
      )?.boundingBox();
      if (!box) throw new Error(name);
      return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    };
    const before = await swatches('Brand');
    const [from, to] = [await centre('Rope'), await centre('Hull')];
    await walker.page.mouse.move(from.x, from.y);
    await walker.page.mouse.down();
    await walker.page.mouse.move(to.x + 4, to.y, { steps: 8 });
    await until(
      () => walker.page.$eval('button[aria-label="Swatch Hull"]', it => it.style.transform),
      transform => /translate3d\([1-9]/.test(transform),
      'Hull should make room',
    );
    await walker.page.mouse.up();
    await until(
      () => swatches('Brand'),
      list => list[0] === 'Rope',
      'Rope should stand first',
    );
    await walker.page.focus('button[aria-label="Swatch Rope"]');
    await alt('ArrowRight');
    await until(
      () => swatches('Brand'),
      list => list[1] === 'Rope',
      'a key should move it one on',
    );
    await undoAll();
    await until(
      () => swatches('Brand'),
      list => list.join() === before.join(),
      'all undone',
    );
  });

  it('are pasted as a list, seen before they are taken', async () => {
    await walker.click('Paste or import…');
    await write('Colours or tokens', 'Kelp #3f5d4a\n--gull: #f2f2ee;\nseaweed soup');
    await walker.says('Adds 2.');
    await walker.says('1 value could not be read');
    await walker.click('1 value could not be read');
    await walker.says('“seaweed soup” holds no colour.');
    await walker.click('Import 2');
    await until(
      () => swatches('Pasted'),
      list => list.join() === 'Kelp,Gull',
      'two swatches in a group',
    );
    await undoAll();
  });

  it('come from a token file; a broken one is told with its place, and nothing is changed', async () => {
    await walker.click('Paste or import…');
    await write('Colours or tokens', '{\n  "a": { "$type": "color", "$value": "{b.c}" }\n}');
    await walker.says('Nothing was imported.');
    await walker.click('1 value could not be read');
    await walker.says('There is no token b.c');
    await walker.says('line 2');
    const file = {
      color: {
        $type: 'color',
        brand: {
          hull: { $value: { colorSpace: 'srgb', components: [0, 0.4, 0.3] } },
          buoy: { $value: '{color.brand.hull}' },
        },
      },
    };
    await write('Colours or tokens', JSON.stringify(file));
    await walker.says('Adds 1, updates 1');
    await walker.says('would look different');
    await walker.click('Import 2');
    await walker.styleIs(sheet, '.cell', '--t-hull', value => value !== '#2a3a5f');
    expect(await swatches('Brand')).toContain('Buoy');
    await undoAll();
  });

  it('are made in a row that follows one, and each step follows when it alters', async () => {
    await walker.click('Swatch Heather');
    await walker.choose('Make a ramp', '9 steps');
    await pressEscape();
    const made = await until(
      () => swatches('Heather ramp'),
      list => list.length === 9,
      'nine steps',
    );
    expect(made[0]).toBe('Heather 1');
    await undoAll();
  });

  it('tell their reach as a list that leads to each use', async () => {
    await walker.click('Swatch Lamp');
    await until(
      () => walker.text(),
      text => /\d+ uses on 13 pages/.test(text),
      'the reach should be told',
    );
    await walker.page.locator('::-p-text(uses on 13 pages)').click();
    await walker.says('Book a crossing');
    await pressEscape();
  });

  it('in use go only when another takes their place; what that alters is told first', async () => {
    const ground = () => walker.style(sheet, '[data-column=heather-moor]', 'background-color');
    expect(await ground()).toBe('rgb(97, 53, 108)');
    await walker.click('Swatch Heather');
    await walker.click('Delete…');
    await walker.choose('What takes its place', 'color.brand.hull');
    await until(
      () => walker.text(),
      text => /\d+ things? on \d+ pages? would look different/.test(text),
      'impact',
    );
    await walker.click('Replace and delete');
    await until(ground, value => value === 'rgb(42, 58, 95)', 'the scheme should wear the replacement');
    expect(await swatches('Brand')).not.toContain('Heather');
    await undoAll();
    await until(ground, value => value === 'rgb(97, 53, 108)', 'undone');
  });

  it('leave rows out of sight alone while one is dragged, and only then; what is in sight looks the same', async () => {
    await fresh('?token=rope');
    await walker.page.waitForSelector('::-p-aria([name="Lightness"][role="slider"])');
    const last = () =>
      sheet.$$eval('.row[data-anchor]', rows => {
        const row = rows.at(-1);
        return row ? getComputedStyle(row).contentVisibility : 'none';
      });
    expect(await last()).toBe('auto');
    // In one go, as a hand moves: a drag is what follows within a moment, on a busy machine too.
    const seen = await walker.page.evaluate(async () => {
      const slider = [...document.querySelectorAll<HTMLInputElement>('input[type=range]')].find(
        it => it.labels?.[0]?.textContent === 'Lightness',
      );
      const rows = document
        .querySelector<HTMLIFrameElement>('iframe[title=Specimen]')
        ?.contentDocument?.querySelectorAll('.row[data-anchor]');
      const row = [...(rows ?? [])].at(-1);
      const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
      for (let i = 0; row && i < 400; i++) {
        set?.call(slider, String(0.4 + (i % 20) / 100));
        slider?.dispatchEvent(new Event('input', { bubbles: true }));
        await new Promise(resolve => setTimeout(resolve, 10));
        if (getComputedStyle(row).contentVisibility === 'hidden') return 'hidden';
      }
      return 'all that is out of sight still alters';
    });
    expect(seen).toBe('hidden');
    await until(last, it => it === 'auto', 'all is there again after the drag');
    const picture = async (dragged: boolean) => {
      await sheet.evaluate(on => document.documentElement.classList.toggle('dragged', on), dragged);
      // Of the window as it is: a picture of the frame alone would make the window as small as it.
      const clip = await (await walker.page.$('iframe[title="Specimen"]'))?.boundingBox();
      if (!clip) throw new Error('no specimen');
      // Frames are drawn for pictures alone while nothing moves: the first one has rows learn that they are in sight.
      const take = () => walker.page.screenshot({ clip, captureBeyondViewport: false, encoding: 'base64' });
      await take();
      return take();
    };
    // What the change does is told below the specimen, which becomes lower by that.
    await until(
      () => walker.effect(),
      it => it.includes('would look different'),
      'what it does should be told',
    );
    // What lies over it is drawn to its end first.
    let usual = await picture(false);
    for (let again = ''; again !== usual; ) {
      again = usual;
      await new Promise(resolve => setTimeout(resolve, 300));
      usual = await picture(false);
    }
    expect(await picture(true)).toBe(usual);
    await picture(false);
    await pressEscape();
    await fresh();
    await undoAll();
  });

  it('that can hardly be told apart are pointed out, and merged with all their uses', async () => {
    await walker.click('Paste or import…');
    await write('Colours or tokens', 'Twin #2a3a60');
    await walker.click('Import 1');
    await walker.click('Two swatches are nearly the same');
    await walker.says('Keep Twin');
    await walker.click('Keep Twin');
    await until(
      () => walker.text(),
      text => text.includes('Merge: Hull becomes Twin'),
      'the merge is offered',
    );
    await walker.click('Merge: Hull becomes Twin');
    await walker.says('None left.');
    await pressEscape();
    expect(await swatches('Brand')).not.toContain('Hull');
    await undoAll();
  });
});

describe('schemes', () => {
  it('are worked out from the palette, seen before they are made', async () => {
    await walker.click('New scheme from the palette…');
    await walker.choose('Surface', 'Lamp');
    await walker.says('Where no swatch fits');
    await walker.click('Make it');
    await until(
      () => sheet.$$eval('[role=columnheader]', heads => heads.map(it => it.firstChild?.textContent)),
      heads => heads.includes('New scheme'),
      'a column more',
    );
    await walker.says('All text is readable.');
    await undoAll();
  });

  it('tell a role that cannot be read, and mend it with the nearest swatch or by moving its lightness', async () => {
    await fresh('?scheme=daymark');
    await walker.choose('Text', 'Mist');
    await walker.says('Below 4.5 on');
    await walker.says('below the required contrast');
    const [move] = await walker.page.$$eval('aside[aria-label=Bench] button', all =>
      all.map(it => it.textContent ?? '').filter(it => it.startsWith('Move Mist')),
    );
    await walker.click(move ?? '');
    await walker.says('All text is readable.');
    await undoAll();
  });

  it('are solved again, but for what is pinned or set by hand, and say why', async () => {
    await fresh('?scheme=daymark');
    const bench = () => walker.page.$eval('aside[aria-label=Bench]', it => it.textContent ?? '');
    await walker.click('Solve from the palette');
    await until(
      bench,
      text => /\d+ roles are pinned or set by hand and will stay/.test(text),
      'what stays is told',
    );
    await walker.click('Pin muted text', 'button');
    await walker.click('Explain each choice');
    await until(bench, text => text.includes('Set by hand; solving again leaves it'), 'reasons');
    await walker.click('Solve those set by hand too');
    await until(bench, text => text.includes('1 role is pinned or set by hand'), 'all else is solved');
    await walker.says('The same as main button fill, so that one edit changes both');
    await walker.says('All text is readable.');
    await walker.choose('Counterpart, dark', 'Make a dark one…');
    await walker.says('Daymark, dark');
    await until(bench, text => text.includes('All text is readable.'), 'the counterpart reads');
    expect(await walker.violations()).toEqual([]);
    await undoAll();
  });

  it('may have roles of the guide’s own', async () => {
    await fresh('?scheme=daymark');
    await walker.click('Add a custom role');
    await walker.type('What the colour is for', 'Ticket edge');
    await walker.click('Add', 'button');
    await walker.says('role.ticketEdge');
    await walker.choose('Ticket edge', 'Lamp');
    await walker.styleIs(
      sheet,
      '[data-column=daymark]',
      '--r-ticketEdge',
      value => value.includes('lamp') || value !== '',
    );
    expect(await walker.violations()).toEqual([]);
    await undoAll();
  });

  it('are put in order and deleted, with another in their place', async () => {
    await fresh('?scheme=fog-bank');
    await walker.click('Earlier', 'button');
    const heads = () => sheet.$$eval('[role=columnheader]', all => all.map(it => it.firstChild?.textContent));
    await until(heads, all => all[1] === 'Fog bank', 'it should stand first');
    await walker.click('Delete…');
    await walker.choose('What wears it then wears', 'Night run');
    await until(
      () => walker.text(),
      text => text.includes('would look different'),
      'impact',
    );
    await walker.click('Delete Fog bank');
    await until(heads, all => !all.includes('Fog bank'), 'gone');
    await undoAll();
    await until(heads, all => all[2] === 'Fog bank', 'undone');
  });
});

describe('text styles', () => {
  it('are added, ordered by keys, and deleted with another in their place', async () => {
    await fresh();
    const listed = () =>
      walker.page.$$eval('ul[aria-label="Text styles"] button', all => all.map(it => it.textContent ?? ''));
    await walker.click('New text style', 'button');
    await walker.type('Text style', 'Log');
    await until(listed, all => all.at(-1) === 'Log', 'a style more');
    await walker.type('Letter spacing', '0.1em');
    await (await walker.page.waitForSelector('::-p-aria([name="Text style Log"])'))?.focus();
    await alt('ArrowUp');
    await until(listed, all => all.at(-2) === 'Log', 'one up');
    // One that nothing wears goes at once.
    await walker.click('Delete', 'button');
    await until(listed, all => !all.includes('Log'), 'gone');
    await undoAll();
    const size = () =>
      walker.style(sheet, '[data-row="heading.look-h1"][data-column=daymark] h2', 'font-size');
    const before = await size();
    await fresh('?style=style-h1');
    await walker.click('Delete…');
    await walker.choose('What wears it', 'wears Heading 3');
    await walker.says('would look different');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Delete Heading 1');
    await until(size, it => it !== before, 'the look of heading 3');
    await undoAll();
    await until(size, it => it === before, 'as it was');
  });
});

describe('voices', () => {
  const family = () => walker.style(sheet, '[data-row=heading][data-column=daymark] h2', 'font-family');
  it('are chosen from the catalogue by kind, seen in the guide while one points at them', async () => {
    await fresh();
    await walker.click('Choose families…');
    await walker.choose('Kind', 'slab');
    await until(
      () => walker.page.$$eval('ul[aria-label=Families] li', all => all.length),
      n => n === 2,
      'the slabs',
    );
    await until(
      async () => {
        // The list moves while letters arrive.
        await (await walker.page.waitForSelector('button[aria-label=Bitter]'))?.hover();
        return family();
      },
      it => it.startsWith('Bitter'),
      'shown while pointed at',
    );
    await walker.click('Bitter', 'button');
    await walker.click('Pairings', 'radio');
    await walker.click('Pairing Lamp room');
    await until(family, it => it.startsWith('"Playfair Display"'), 'the pairing is taken');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Done');
    await undoAll();
  });

  it('may be fonts of one’s own; what is none is refused with the reason', async () => {
    await walker.click('Choose families…');
    await walker.click('Your fonts', 'radio');
    const require = createRequire(import.meta.url);
    const font = join(
      dirname(require.resolve('@fontsource-variable/unbounded/package.json')),
      'files/unbounded-latin-wght-normal.woff2',
    );
    const broken = join(tmpdir(), `broken-${process.pid}.ttf`);
    writeFileSync(broken, 'no font');
    const input = await walker.page.waitForSelector('input[aria-label="Font files"]');
    if (!input) throw new Error('no input');
    await (input as import('puppeteer-core').ElementHandle<HTMLInputElement>).uploadFile(font, broken);
    await walker.says('This is no font file.');
    await until(
      () => walker.page.$$eval('ul[aria-label="Your fonts"] li', all => all.map(it => it.textContent)),
      all => all.length === 1 && (all[0] ?? '').startsWith('Unbounded'),
      'the good one is kept',
    );
    await walker.click('Done');
    await undoAll();
  });
});

describe('presets', () => {
  it('are made empty, hold others, are set, and let go when they are deleted', async () => {
    await fresh();
    await walker.click('New preset', 'button');
    await walker.type('Preset', 'Buoyed');
    await walker.choose('Put a preset into it', 'Ticket');
    await walker.says('Sets space, line, box.');
    await walker.click('Take out');
    await walker.says('Sets nothing yet');
    expect(await walker.violations()).toEqual([]);
    await undoAll();
    await fresh('?preset=ticket');
    await until(
      () => walker.text(),
      text => text.includes('4 uses on 2 pages'),
      'reach',
    );
    // A text style is one of the things it can hold.
    await walker.click('Heading', 'radio');
    await walker.choose('Text style', 'Lead');
    await walker.says('Sets type, space, line, box, heading.');
    await walker.kept();
    await fresh('?preset=ticket');
    // What it sets is taken out of it again, one by one.
    const set = () =>
      walker.page.$$eval('section[aria-label="Set here"] li[data-property]', all => all.length);
    const values = await set();
    await walker.click('Remove padding top');
    await until(set, n => n === values - 1, 'one value less');
    await undoAll();
    await until(set, n => n === values, 'all of them again');
    await walker.says('Sets space, line, box.');
    await walker.click('Delete…');
    await walker.says('Nothing on the pages would look different.');
    await walker.click('Delete Ticket');
    await walker.kept();
    await walker.open('pages/sailings');
    const canvas = await walker.frame('Page');
    await walker.styleIs(canvas, '[data-node=sailing-hesk]', 'border-top-style', 'dashed');
    await undoAll();
  });
});

describe('presets that could go', () => {
  it('are listed: those that nothing wears, and those nearly alike', async () => {
    await fresh();
    const listed = () =>
      walker.page.$$eval('ul[aria-label=Presets] li button', all =>
        all.map(it => it.firstChild?.textContent ?? ''),
      );
    expect(await listed()).toEqual(['Ticket', 'Low tide']);
    await walker.choose('Show presets for', 'not used (1)');
    expect(await listed()).toEqual(['Low tide']);
    await fresh('?preset=ticket');
    await walker.click('Duplicate', 'button');
    await walker.choose('Show presets for', 'nearly alike (1)');
    await until(listed, all => all.join() === 'Ticket,Ticket 2', 'the two alike');
    await undoAll();
  });
});

describe('the rows of the specimen', () => {
  it('stand under what they are for, are left out by it, and found by it', async () => {
    await fresh();
    const bands = () => sheet.$$eval('.band', all => all.map(it => it.textContent));
    const rows = () => sheet.$$eval('.row[data-anchor]', all => all.length);
    expect(await bands()).toEqual([
      'Text',
      'Pointing out',
      'Pictures and icons',
      'Taking turns',
      'Buttons',
      'Forms',
      'Navigation',
      'Structure',
    ]);
    const all = await rows();
    await walker.click('View', 'button');
    await walker.click('Structure', 'checkbox');
    expect(await walker.violations()).toEqual([]);
    await pressEscape();
    await until(bands, it => !it.includes('Structure'), 'no structure');
    expect(await rows()).toBeLessThan(all);
    // Large words are made smaller rather than cut or broken.
    await walker.click('View', 'button');
    await walker.choose('Size', '100 %');
    await pressEscape();
    const title = await sheet.waitForSelector('[data-row="heading.look-h1"][data-column=daymark] .inner');
    if (!title) throw new Error('no title');
    await until(
      () => title.evaluate(it => it.scrollWidth <= it.clientWidth && getComputedStyle(it).zoom !== '1'),
      fits => fits,
      'the longest word fits its cell',
    );
    await walker.page.locator('::-p-aria([name="Filter rows"])').fill('navigation');
    await until(bands, it => it.join() === 'Navigation', 'what is found by its kind');
  });
});

describe('rules', () => {
  const fill = (column: string) =>
    walker.style(sheet, `[data-row=button][data-column=${column}] .button-box`, 'background-color');
  it('can hold on one scheme alone, and say how far they reach', async () => {
    await fresh('?element=button');
    await walker.choose('Where', 'on Night run alone');
    await walker.says('Nothing is set here yet.');
    const before = await fill('daymark');
    await walker.find('fill');
    await walker.type('Fill', 'rgb(10 20 30)');
    await until(
      () => fill('night-run'),
      it => it === 'rgb(10, 20, 30)',
      'on that scheme',
    );
    expect(await fill('daymark')).toBe(before);
    await undoAll();
  });

  it('are reset by part, rule, element or all, each saying what it takes away', async () => {
    await fresh('?element=button');
    const radius = () =>
      walker.style(sheet, '[data-row=button][data-column=daymark] .button-box', 'border-top-left-radius');
    expect(await radius()).toBe('6px');
    await walker.click('Reset…');
    await walker.says('values would be removed');
    await walker.click('All its rules', 'radio');
    await until(
      () => walker.text(),
      text => text.includes('would look different'),
      'impact',
    );
    await walker.click('Reset', 'button');
    await until(radius, it => it === '8px', 'the program’s own');
    await undoAll();
    await until(radius, it => it === '6px', 'undone');
  });
  it('open on a variant from its place in the address', async () => {
    await fresh('?element=button&variants=kind-outlined');
    await walker.says('Outlined only');
  });
});

describe('icons, marks and notes', () => {
  it('a mark is read from an SVG, tied to swatches, and drawn in a divider; what is no drawing is refused', async () => {
    await fresh();
    const good = join(tmpdir(), `quay-rope-${process.pid}.svg`);
    const bad = join(tmpdir(), `photo-${process.pid}.svg`);
    writeFileSync(
      good,
      `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 10" onload="alert(1)"><script>alert(2)</script>
        <g transform="translate(5 0)"><path d="M0 5h30" stroke="#6f3b8c" stroke-width="2" fill="none"/></g>
        <circle cx="5" cy="5" r="3"/></svg>`,
    );
    writeFileSync(
      bad,
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 4 4"><image href="https://away.example/x.png"/></svg>',
    );
    await walker.click('Add to marks');
    const input = await walker.page.waitForSelector('input[aria-label="SVG files"]');
    await (input as import('puppeteer-core').ElementHandle<HTMLInputElement>).uploadFile(good, bad);
    await walker.says('It contains a bitmap');
    await until(
      () => walker.page.$$eval('ul[aria-label=Marks] li', all => all.length),
      n => n === 3,
      'the good one is there, beside the two of the demo',
    );
    await walker.kept();
    const drawing = await walker.page.evaluate(async schema => {
      const { records } = (await (await fetch(`/api/sites/tolvane?schema=${schema}`)).json()) as {
        records: {
          id: string;
          kind: string;
          name: string;
          paths?: { d: string; stroke: unknown; fill: unknown }[];
        }[];
      };
      return records.find(it => it.kind === 'drawing' && it.name.startsWith('Quay rope'));
    }, SCHEMA);
    expect(drawing?.paths).toEqual([
      expect.objectContaining({ d: 'M5 5H35', stroke: { type: 'token', token: 'rope' }, fill: null }),
      expect.objectContaining({ fill: { type: 'keyword', value: 'currentcolor' }, stroke: null }),
    ]);
    await walker.open('pages/home?node=crossing-line');
    const canvas = await walker.frame('Page');
    const [option] = await walker.page.$$eval('select option', all =>
      all.map(it => it.textContent ?? '').filter(it => /^Quay rope.*\(own\)$/.test(it)),
    );
    await walker.choose('Mark in the middle', option ?? '');
    // Rope, in sRGB.
    await walker.styleIs(canvas, '[data-node=crossing-line] path', 'stroke', 'rgb(111, 59, 140)');
    await undoAll();
  });

  it('the icon set is swapped everywhere at once', async () => {
    await fresh();
    const path = () => sheet.$eval('[data-row=icon][data-column=daymark] path', it => it.getAttribute('d'));
    const before = await path();
    await walker.choose('Icon set', 'Chart');
    await until(path, it => it !== before, 'another drawing of the same name');
    await undoAll();
    await until(path, it => it === before, 'undone');
  });

  it('notes are written and go with the guide', async () => {
    await walker.click('New note');
    await write('Words', 'Plain words, no exclamation marks.');
    await walker.page.keyboard.press('Tab');
    await walker.kept();
    await fresh();
    await walker.says('Plain words, no exclamation marks.');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Open note New note');
    await walker.click('Delete', 'button');
    await walker.kept();
  });
});

describe('any picker', () => {
  it('keeps a colour as a swatch in one step, and changes a swatch where it stands, its reach beside it', async () => {
    await walker.open('pages/home?node=feature-dogs&part=box');
    const canvas = await walker.frame('Page');
    const fill = (wanted: string) =>
      walker.styleIs(canvas, '[data-node=feature-dogs]', 'background-color', wanted);
    // Far from every swatch, it is taken as it was typed.
    await walker.type('Fill', 'rgb(1 200 3)');
    await fill('rgb(1, 200, 3)');
    await walker.says('loose');
    await walker.click('Fill', 'combobox');
    await walker.take('Add #01c803 as a token…');
    expect(await walker.violations()).toEqual([]);
    await walker.type('Name', 'Deck tar');
    await walker.click('Fill', 'combobox');
    await walker.take('Edit Deck tar…');
    await walker.says('1 use on 1 page');
    await walker.type('Name', 'Deck paint');
    await walker.type('Value', 'rgb(3 2 1)');
    await fill('rgb(3, 2, 1)');
    await walker.says('Edit Deck paint');
    await pressEscape();
    await pressEscape();
    for (let i = 0; i < 4; i++) await walker.click('Undo');
    await fill('rgb(201, 213, 227)');
    await walker.kept();
  });
});

describe('the site’s ground', () => {
  const open = async () => {
    await fresh('?ground');
    await walker.click('Page', 'radio');
    return walker.frame('Page');
  };
  it('is a drawing in an ink of one’s choice, repeats, and is told in the thread', async () => {
    const canvas = await open();
    await walker.click('Choose ground');
    await walker.click('Swell', 'button');
    const svg = await walker.styleIs(canvas, 'body', 'background-image', it => it.startsWith('url("data:'));
    expect(
      await canvas.evaluate(async css => {
        const image = new Image();
        image.src = css.slice(5, -2);
        await image.decode();
        return [image.naturalWidth, image.naturalHeight];
      }, svg),
    ).toEqual([48, 20]);
    await walker.choose('Ink', 'Lamp');
    await walker.styleIs(
      canvas,
      'body',
      'background-image',
      it => it !== svg && decodeURIComponent(it).includes('stroke="#f4c43a"'),
    );
    await pressEscape();
    expect(await walker.violations()).toEqual([]);
    await undoAll();
    await walker.styleIs(canvas, 'body', 'background-image', 'none');
  });

  it('is a picture that is added on the spot, under a colour laid over it, with another one on small screens', async () => {
    const canvas = await open();
    await walker.click('Choose ground');
    const picture = join(tmpdir(), 'harbour-wall.png');
    writeFileSync(
      picture,
      await walker.page.screenshot({
        clip: { x: 0, y: 0, width: 64, height: 40 },
        captureBeyondViewport: false,
      }),
    );
    await walker.click('Picture: none');
    const input = await walker.page.waitForSelector('input[aria-label="Pictures, files"]');
    if (!input) throw new Error('no file field');
    await (input as ElementHandle<HTMLInputElement>).uploadFile(picture);
    await walker.click('Use this picture');
    await walker.styleIs(canvas, 'body', 'background-image', it =>
      /^url\(".*\/assets\/[a-f0-9]{32}\.webp"\)$/.test(it),
    );
    await walker.choose('Overlay', 'Night');
    await walker.styleIs(canvas, 'body', 'background-image', it => it.includes('/ 0.5'));
    await (await walker.page.waitForSelector('::-p-aria([name="How much it covers"])'))?.focus();
    for (let i = 0; i < 5; i++) await walker.page.keyboard.press('ArrowRight');
    await walker.styleIs(canvas, 'body', 'background-image', it => it.includes('/ 0.55'));
    await pressEscape();
    await until(
      () =>
        walker.page.$$eval('section[aria-label="Behind every page"] input', all => all.map(it => it.value)),
      all => all.includes('Harbour wall'),
      'the field shows the picture by its name',
    );
    await until(
      () => walker.page.$$eval('[data-radix-popper-content-wrapper]', all => all.length),
      n => n === 0,
      'the first choice should be closed',
    );
    const small = await walker.page.waitForSelector(
      'section[aria-label="On small screens"] button[aria-label="Choose ground"]',
    );
    await small?.click();
    await walker.click('Beacon', 'button');
    await pressEscape();
    await walker.click('Narrow', 'radio');
    await walker.styleIs(canvas, 'body', 'background-image', it => it.includes('url("data:'));
    await walker.click('Wide', 'radio');
    await walker.styleIs(canvas, 'body', 'background-image', it => it.includes('/assets/'));
    await undoAll();
  });

  it('shows beside pages that are boxed on it', async () => {
    const canvas = await open();
    const room = () => canvas.$eval('[data-part=sheet]', it => innerWidth - it.clientWidth);
    expect(await room()).toBe(0);
    await walker.click('Boxed', 'radio');
    await until(room, it => it > 40, 'room at the sides');
    await walker.click('Full width', 'radio');
    await until(room, it => it === 0, 'none left');
    await undoAll();
  });
});

describe('motion', () => {
  it('lets sections come in as they are scrolled into view, and plays each movement', async () => {
    await fresh();
    await walker.click('Sways: play it');
    await walker.choose('Entrance of sections', 'Rises');
    await walker.kept();
    await walker.open('release');
    await walker.click('Publish');
    await walker.says('Release 1');
    const visitor = await walker.page.browser().newPage();
    await visitor.setViewport({ width: 1280, height: 700 });
    const opacities = () =>
      visitor.$$eval('main .section-inner', all => all.map(it => Number(getComputedStyle(it).opacity)));
    const moved = await until(
      async () => {
        await visitor.goto(`${SITES}/tolvane/`);
        return opacities();
      },
      all => all.some(it => it < 1),
      'a section below the window waits to come in',
    );
    expect(moved[0]).toBe(1);
    await visitor.evaluate(() =>
      document.querySelectorAll('main > section')[1]?.scrollIntoView({ block: 'center' }),
    );
    await until(opacities, all => all[1] === 1, 'it stands there once it is in view');
    await visitor.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
    await visitor.reload();
    expect(await opacities()).toEqual(moved.map(() => 1));
    await visitor.close();
    await fresh();
    await undoAll();
  });
});

describe('pinned pictures', () => {
  it('stand with a note, and are taken off again', async () => {
    await fresh();
    await walker.click('New note');
    await walker.choosePicture('Pin a picture…', 'Early boat');
    const pinned = () =>
      walker.page.$$eval('ul[aria-label^="Pictures of"] img', all => all.map(it => it.getAttribute('src')));
    await until(pinned, all => all.length === 1, 'pinned');
    await walker.kept();
    await walker.click('Take Early boat off');
    await until(pinned, all => all.length === 0, 'taken off');
    await undoAll();
  });
});

describe('before and after', () => {
  it('of any page that an edit would alter, side by side, before it is made', async () => {
    await fresh('?guides');
    await walker.click('Guide Selvedge', 'button');
    await walker.click('Before and after of Fares', 'button');
    const before = await walker.frame('Before: Fares');
    const after = await walker.frame('After: Fares');
    const ground = (frame: Frame) => walker.style(frame, 'body', 'background-color');
    // Foam of the demo, in sRGB.
    expect(await ground(before)).toBe('rgb(245, 251, 255)');
    expect(await ground(after)).not.toBe(await ground(before));
    expect(await walker.violations()).toEqual([]);
    await pressEscape();
    await walker.click('Close');
  });

  it('of the whole sheet, beside another guide: both scroll to the same element', async () => {
    await fresh();
    await walker.click('View');
    await walker.choose('Beside it', 'In Regatta');
    await pressEscape();
    const beside = await walker.frame('Specimen beside');
    await walker.styleIs(beside, '.cell', 'background-color', 'rgb(255, 255, 255)');
    const seen = (frame: Frame) =>
      frame.$$eval('.row[data-anchor]', rows =>
        rows.findLast(it => it.getBoundingClientRect().top <= 1)?.getAttribute('data-anchor'),
      );
    await sheet.evaluate(() => {
      if (document.scrollingElement) document.scrollingElement.scrollTop = 1500;
    });
    const here = await until(
      () => seen(sheet),
      it => it !== undefined,
      'scrolled',
    );
    await until(
      () => seen(beside),
      it => it === here,
      `at ${here}`,
    );
    const boxes = async () => {
      const places = await Promise.all(
        ['Specimen beside', 'Specimen'].map(title =>
          walker.page.$eval(`iframe[title="${title}"]`, it => {
            const { x, y } = it.getBoundingClientRect();
            return { x, y };
          }),
        ),
      );
      return places;
    };
    const [over, under] = await boxes();
    expect(over?.x).toBe(under?.x);
    await walker.click('View');
    await walker.choose('It stands', 'At the left');
    await pressEscape();
    await until(
      boxes,
      ([left, right]) => left !== undefined && right !== undefined && left.x < right.x && left.y >= right.y,
      'one at the left of the other',
    );
  });
});

describe('long words', () => {
  it('keep their lines: a plan is edited as it stands', async () => {
    await walker.open('pages/sailings?node=sailings-table');
    const canvas = await walker.frame('Page');
    await walker.add('Preformatted');
    const text = () => canvas.$eval('main pre', it => it.textContent ?? '');
    await canvas.waitForSelector('main pre');
    const before = await text();
    const field = '::-p-aria([name="Text"][role="textbox"])';
    await walker.page.locator(field).click();
    await walker.page.keyboard.down('Control');
    await walker.page.keyboard.press('End');
    await walker.page.keyboard.up('Control');
    await walker.page.keyboard.type('\n  ramp → deck 2');
    await walker.page.keyboard.press('Tab');
    await until(text, it => it === `${before}\n  ramp → deck 2`, 'a line more');
    await undoAll();
  });
});

describe('guides', () => {
  const ground = () => walker.style(sheet, '.cell', 'background-color');
  it('are seen on the station before they are taken, and leave nothing when they are left', async () => {
    await fresh('?guides');
    const before = await ground();
    await walker.click('Guide Regatta', 'button');
    await until(ground, it => it !== before, 'the specimen should wear it');
    await until(
      () => walker.text(),
      text => text.includes('would look different'),
      'impact',
    );
    expect(await walker.violations()).toEqual([]);
    await walker.click('Close');
    await until(ground, it => it === before, 'left');
  });

  it('are taken with a snapshot to go back to, overrides kept', async () => {
    await fresh('?guides');
    const before = await ground();
    await walker.click('Guide Log book', 'button');
    await walker.click('Dark face', 'radio');
    await until(
      () => walker.text(),
      text => text.includes('would look different'),
      'impact',
    );
    await walker.click('Take Log book');
    await walker.says('The previous one is kept as a snapshot.');
    await until(ground, it => it !== before, 'worn');
    await walker.kept();
    await walker.open('pages/home');
    const canvas = await walker.frame('Page');
    // The knot on the card of the dogs names Mist of the guide of before, which stays for it.
    await walker.styleIs(canvas, '[data-node=feature-dogs]', 'background-color', 'rgb(201, 213, 227)');
    await fresh('?guides');
    await walker.click('Before the guide “Log book”', 'button');
    await walker.click('Restore its guide');
    await until(ground, it => it === before, 'back');
  });

  it('of a snapshot bring back one foundation alone, and leave the others', async () => {
    await fresh('?guides');
    await walker.click('Take a snapshot');
    await walker.says('By hand,');
    await walker.kept();
    await walker.click('Swatch Foam');
    await walker.type('Value', 'rgb(255 240 200)');
    await until(ground, it => it === 'rgb(255, 240, 200)', 'another ground');
    await pressEscape();
    await walker.click('Ratio', 'textbox');
    await walker.type('Ratio', '1.5');
    await walker.kept();
    await fresh('?guides');
    await walker.page.locator('section[aria-label=Snapshots] button ::-p-text(By hand,)').click();
    await walker.click('Choose parts…');
    await walker.choose('Take', 'Colours alone');
    await walker.click('Take 1 selected');
    await until(ground, it => it === 'rgb(245, 251, 255)', 'the ground of before');
    await walker.kept();
    await walker.click('Undo', 'button');
    await until(ground, it => it === 'rgb(255, 240, 200)', 'the other ground again');
    // The same from the foundation itself, as the site began.
    await fresh();
    await walker.click('Reset colours');
    await walker.says('as the site began');
    await walker.click('Take 1 selected');
    await until(ground, it => it === 'rgb(245, 251, 255)', 'the ground of the beginning');
    await walker.click('Close');
    const ratio = () =>
      walker.page.$eval('::-p-aria([name="Ratio"])', it => (it instanceof HTMLInputElement ? it.value : ''));
    expect(await ratio()).toBe('1.5');
    await undoAll();
  });

  it('are kept for the next site, and compared part by part', async () => {
    await fresh('?guides');
    await walker.click('Save this guide…');
    await walker.type('Name of the guide', 'Ferry guide');
    await walker.says('version 1');
    await walker.click('Close');
    await walker.click('Swatch Rope');
    await walker.type('Value', '#0a7d5a');
    await pressEscape();
    await walker.kept();
    await fresh('?guides');
    await walker.click('Guide Ferry guide', 'button');
    await walker.says('Adds 0, changes 1, removes 0');
    await walker.says('#0a7d5a → #6f3b8c');
    await walker.click('Forget the guide Ferry guide');
    await undoAll();
  });
});

describe('a page in view', () => {
  it('is dressed while the guide is edited, and a click on a thing lands on its rule', async () => {
    await fresh();
    await walker.click('Page', 'radio');
    const canvas = await walker.frame('Page');
    await walker.clickOnCanvas('[data-node=book]');
    await walker.says('Large only');
    await walker.click('Swatch Lamp');
    await walker.type('Value', '#00ff88');
    await walker.styleIs(canvas, '[data-node=book]', 'background-color', 'rgb(0, 255, 136)');
    await pressEscape();
    await undoAll();
  });
  it('throws no error on the way', () => {
    expect(errors).toEqual([]);
  });
});
