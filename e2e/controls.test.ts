import { type Color, contrast, parseColor, renderPreview, type Site } from '@cove/core';
import { SiteBuilder } from '@cove/core/starters';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import { launchBrowser } from '../scripts/lib/browser.mjs';

const BASES = { assets: '/a/', fonts: '/f/' };

/** A page with a field and a list, dressed by a preset for texts and by values of their own. */
function site(): Site {
  const b = new SiteBuilder();
  b.token('color', 'sea', 'Brand', 'Sea', 'rgb(32 64 96)');
  b.token('color', 'foam', 'Brand', 'Foam', 'rgb(240 248 255)');
  b.token('color', 'lamp', 'Brand', 'Lamp', 'rgb(200 120 0)');
  b.token('dimension', 'base', 'Text', 'Base', '1rem');
  b.token('number', 'ratio', 'Text', 'Ratio', '1.25');
  b.scheme('day', 'Day', 'light', { surface: 'foam', text: 'sea', accent: 'lamp', dangerLine: 'lamp' });
  b.settings({
    name: 'Tolvane Ferries',
    language: 'en',
    home: 'home',
    defaultScheme: 'day',
    mediumTo: 900,
    narrowTo: 600,
    fluidFrom: 360,
    fluidTo: 1280,
    textBase: 'base',
    textRatio: 'ratio',
  });
  b.preset('lit', 'Lit', { 'text/color': '{color.brand.lamp}', 'icon/color': 'rgb(1 2 3)' });
  b.page('home', '', 'Home', '');
  b.section('one', 'home', 'One');
  b.widget(
    'mail',
    'one',
    'field',
    {
      kind: 'email',
      label: 'Mail',
      name: 'mail',
      placeholder: 'you@tolvane.example',
      help: 'For the ticket.',
      message: 'Write a mail address.',
      required: 'yes',
    },
    { wears: ['lit'] },
  );
  b.widget(
    'items',
    'one',
    'list',
    { order: 'free' },
    { wears: ['lit'], styles: { 'marker/fontSize': '30px' } },
  );
  b.widget('cars', 'items', 'listItem', { text: [[{ text: 'Cars' }]] });
  b.widget(
    'story',
    'one',
    'text',
    { text: [[{ text: 'Cars board first.' }], [{ text: 'Bikes go last.' }]] },
    { styles: { 'dropCap/initialLetter': 3, 'dropCap/color': '{color.brand.lamp}' } },
  );
  return b.site();
}

describe('pseudo-elements and controls, in Chromium', () => {
  let browser: Browser;
  let page: Page;
  beforeAll(async () => {
    browser = await launchBrowser();
    page = await browser.newPage();
    const made = site();
    const home = made.kinds.page.get('home');
    if (!home) throw new Error('no home');
    await page.setContent(renderPreview(made, home, BASES));
  });
  afterAll(() => browser.close());
  const style = (selector: string, property: string, pseudo?: string) =>
    page.$eval(
      selector,
      (element, name, of) => getComputedStyle(element, of ?? undefined).getPropertyValue(name),
      property,
      pseudo ?? null,
    );

  it('a placeholder and a list’s mark take styles of their own, also from presets by kind of part', async () => {
    expect(await style('.field-control', 'color', '::placeholder')).toBe('rgb(200, 120, 0)');
    expect(await style('.listItem-item', 'color', '::marker')).toBe('rgb(1, 2, 3)');
    expect(await style('.listItem-item', 'font-size', '::marker')).toBe('30px');
  });
  it('what is said of them does not reach the element they stand on', async () => {
    expect(await style('.field-control', 'color')).toBe('rgb(32, 64, 96)');
    expect(await style('.listItem-item', 'font-size')).toBe('16px');
  });
  it('the first letter of the first paragraph drops, and that of no other', async () => {
    expect(await style('.text-paragraph', 'initial-letter', '::first-letter')).toBe('3');
    expect(await style('.text-paragraph', 'color', '::first-letter')).toBe('rgb(200, 120, 0)');
    expect(await style('.text-paragraph + .text-paragraph', 'initial-letter', '::first-letter')).toBe(
      'normal',
    );
    expect(await style('.text-paragraph', 'color')).toBe('rgb(32, 64, 96)');
  });
  it('a field shows its message and its line when the answer will not do, and not before', async () => {
    expect(await style('.field-message', 'display')).toBe('none');
    await page.type('.field-control', 'not a mail address');
    await page.keyboard.press('Tab');
    expect(await style('.field-message', 'display')).toBe('block');
    expect(await style('.field-control', 'border-top-color')).toBe('rgb(200, 120, 0)');
  });
  it('a label and its control belong together, and say their help', async () => {
    const control = await page.$('.field-control');
    if (!control) throw new Error('no control');
    // The star before the eyes is no part of its name: what is required is told by itself.
    const told = await page.accessibility.snapshot({ root: control });
    expect(told).toMatchObject({ role: 'textbox', name: 'Mail', required: true });
    const described = await control.evaluate(element =>
      element
        .getAttribute('aria-describedby')
        ?.split(' ')
        .map(id => document.getElementById(id)?.textContent),
    );
    expect(described).toEqual(['For the ticket.', 'Write a mail address.']);
  });
  it('colours of every space are what Chromium takes them for (CSS Color 4)', async () => {
    for (const text of [
      'color(a98-rgb 0.3 0.5 0.4)',
      'color(prophoto-rgb 0.3 0.5 0.4)',
      'color(xyz-d50 0.2 0.3 0.1)',
      'color(display-p3 0.3 0.5 0.4)',
      'lch(50 30 200)',
    ]) {
      const pixel = await page.evaluate(css => {
        const context = new OffscreenCanvas(1, 1).getContext('2d');
        if (!context) throw new Error('no context');
        context.fillStyle = css;
        context.fillRect(0, 0, 1, 1);
        return [...context.getImageData(0, 0, 1, 1).data];
      }, text);
      const [r = 0, g = 0, b = 0] = pixel;
      const shown: Color = { space: 'srgb', coords: [r / 255, g / 255, b / 255], alpha: 1 };
      const ours = parseColor(text);
      expect(ours && contrast(ours, shown)).toBeLessThan(1.02);
    }
  });
});
