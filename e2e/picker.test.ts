import { describe, expect, it } from '@jest/globals';
import type { Frame } from 'puppeteer-core';
import { PROGRAM, until, walkDemo } from './support/program.ts';

const demo = walkDemo();
const DOGS = '[data-node=feature-dogs]';

const bench = () => demo.walker.page.$eval('aside[aria-label=Bench]', it => it.textContent ?? '');
const value = (label: string) =>
  demo.walker.page.$eval(`::-p-aria([name="${label}"][role="combobox"])`, it =>
    it instanceof HTMLInputElement ? it.value : '',
  );
const options = () =>
  demo.walker.page.$$eval('[role=listbox] [role=option]', all =>
    all.map(it => it.getAttribute('data-label') ?? ''),
  );

describe('the picker of a value', () => {
  let canvas: Frame;

  it('lists the scale that is for it beside the row, and says what a choice changes', async () => {
    const { walker } = demo;
    await walker.open('pages/home?node=feature-dogs&part=box&find=padding');
    canvas = await walker.frame('Page');
    await walker.click('Padding', 'combobox');
    await until(options, all => all.includes('Three'), 'the tokens of the scale');
    await walker.says('Changes Dogs only.');
    expect(await walker.violations()).toEqual([]);
    await walker.press('Escape');
    await until(options, all => all.length === 0, 'it is closed');
  });

  it('takes the nearest token where what was typed is close, for all sides at once', async () => {
    const { walker } = demo;
    await walker.type('Padding', '23px', null);
    await until(
      options,
      all => all[0] === 'Three' && all[1] === 'Use 23px',
      'the nearest first, what was typed behind',
    );
    await walker.press('Enter');
    for (const side of ['top', 'right', 'bottom', 'left'])
      await walker.styleIs(canvas, DOGS, `padding-${side}`, '24px');
    expect(await value('Padding')).toBe('Three');
    await walker.click('Undo');
  });

  it('keeps what was typed where it is far from every token, and ties it afterwards in one step', async () => {
    const { walker } = demo;
    await walker.type('Padding', '200');
    await walker.styleIs(canvas, DOGS, 'padding-left', '200px');
    await until(bench, text => text.includes('loose'), 'it is told to be loose');
    const tie = await walker.page.waitForSelector('button[aria-label$=" for padding"]');
    await tie?.click();
    await walker.styleIs(canvas, DOGS, 'padding-left', it => it !== '200px');
    await until(bench, text => !text.includes('loose'), 'it follows a token');
    await walker.click('Undo');
    await walker.click('Undo');
  });

  it('takes what it shows: a name, a group and a name, a path, a role', async () => {
    const { walker } = demo;
    await walker.find('fill');
    for (const [typed, color] of [
      ['Hull', 'rgb(42, 58, 95)'],
      ['brand.lamp', 'rgb(244, 196, 58)'],
      ['{color.brand.rope}', 'rgb(111, 59, 140)'],
    ] as const) {
      await walker.type('Fill', typed);
      await walker.styleIs(canvas, DOGS, 'background-color', color);
    }
    await walker.type('Fill', 'Raised surface');
    await until(
      () => value('Fill'),
      it => it === 'Raised surface',
      'the role by its name',
    );
    for (let i = 0; i < 4; i++) await walker.click('Undo');
    await walker.kept();
  });

  it('is worked by keys alone: opened, walked, taken, stepped along the scale', async () => {
    const { walker } = demo;
    await walker.find('padding top');
    const field = await walker.page.waitForSelector('input[role=combobox][aria-label="Padding top"]');
    await field?.focus();
    const before = await value('Padding top');
    await walker.press('ArrowUp');
    await until(
      () => value('Padding top'),
      it => it !== before,
      'the next step of the scale',
    );
    await walker.press('ArrowDown');
    await until(
      () => value('Padding top'),
      it => it === before,
      'the step before',
    );
    await walker.press('Alt', 'ArrowDown');
    await until(options, all => all.length > 3, 'the list');
    await walker.press('ArrowDown');
    await walker.press('ArrowDown');
    await walker.press('Enter');
    await until(options, all => all.length === 0, 'it is taken');
    for (let i = 0; i < 3; i++) await walker.click('Undo');
    await walker.kept();
  });

  it('has a border as one row of width, style and colour', async () => {
    const { walker } = demo;
    await walker.open('pages/home?node=feature-cars&part=box&find=border');
    canvas = await walker.frame('Page');
    const cars = '[data-node=feature-cars]';
    await walker.type('Border width', '2');
    await walker.choose('Border style', 'dashed');
    await walker.type('Border colour', 'Rope');
    for (const side of ['top', 'left']) {
      await walker.styleIs(canvas, cars, `border-${side}-style`, 'dashed');
      await walker.styleIs(canvas, cars, `border-${side}-color`, 'rgb(111, 59, 140)');
    }
    await walker.click('Border: each side');
    await walker.choose('Border left style', 'none');
    await walker.styleIs(canvas, cars, 'border-left-style', 'none');
    await walker.styleIs(canvas, cars, 'border-right-style', 'dashed');
    expect(await walker.violations()).toEqual([]);
    for (let i = 0; i < 4; i++) await walker.click('Undo');
    await walker.kept();
  });
});

describe('a gradient', () => {
  it('has stops that are added, coloured and moved, and is drawn as they are', async () => {
    const { walker } = demo;
    await walker.open('guide');
    await walker.frame('Specimen');
    await walker.click('Add a gradient');
    await walker.click('Add a stop');
    await walker.type('Colour of stop 2', 'Lamp');
    const written = () => value('Value');
    await until(written, it => /\{color\.brand\.lamp\} 50%/.test(it), 'the stop in the middle');
    await (await walker.page.waitForSelector('::-p-aria([name="Place of stop 2"][role="slider"])'))?.focus();
    await walker.press('ArrowRight');
    await until(written, it => it.includes('51%'), 'the stop has moved');
    expect(await walker.violations()).toEqual([]);
    await walker.click('Remove stop 2');
    await until(written, it => !it.includes('lamp'), 'it is gone');
    await walker.press('Escape');
    for (let i = 0; i < 5; i++) await walker.click('Undo');
    await walker.kept();
  });
});

describe('the guard', () => {
  const drag = (lightness: number, done: boolean) =>
    demo.walker.page.evaluate(
      (at, end) => {
        const slider = [...document.querySelectorAll<HTMLInputElement>('input[type=range]')].find(
          it => it.labels?.[0]?.textContent === 'Lightness',
        );
        Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(slider, String(at));
        slider?.dispatchEvent(new Event('input', { bubbles: true }));
        if (end) slider?.dispatchEvent(new PointerEvent('pointerup', { bubbles: true }));
      },
      lightness,
      done,
    );
  const told = (selector: string) =>
    demo.walker.page.$eval(selector, it => it.getAttribute('aria-description') ?? it.textContent ?? '');

  it('tells what a swatch makes unreadable while it is dragged, and counts it until it is mended', async () => {
    const { walker } = demo;
    await walker.page.goto(`${PROGRAM}/sites/tolvane/guide?token=rope`);
    const sheet = await walker.frame('Specimen');
    await walker.page.waitForSelector('::-p-aria([name="Lightness"][role="slider"])');
    await drag(0.9, false);
    await walker.says('unreadable');
    await drag(0.9, true);
    await walker.says('below the required contrast');
    expect(await told('button[aria-label="Swatch Rope"]')).toMatch(
      /^\d+ roles? below the required contrast$/,
    );
    await until(
      () => sheet.$eval('[role=columnheader]:nth-child(2)', it => it.textContent ?? ''),
      text => /\d+ unreadable/.test(text),
      'the count over the column of the scheme',
    );
    const count = async () => Number.parseInt(await told('button[aria-label="Swatch Rope"]'), 10) || 0;
    const before = await count();
    const fix = await walker.page.waitForSelector(
      '[data-radix-popper-content-wrapper] [role=status] li button',
    );
    await fix?.click();
    await until(count, n => n < before, 'one less');
    expect(await walker.violations()).toEqual([]);
    await walker.press('Escape');
    await walker.click('Undo');
    await walker.click('Undo');
    await until(count, n => n === 0, 'none once it is undone');
    await walker.kept();
  });
});
