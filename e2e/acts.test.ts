import { SCHEMA } from '@cove/core';
import { describe, expect, it } from '@jest/globals';
import type { KeyInput } from 'puppeteer-core';
import { howMuch, type Random, seeded, seedOr } from '../packages/core/test/support/random.ts';
import { until, walkDemo } from './support/program.ts';

const demo = walkDemo();
/** Acts go on until so many changes were made of them: what one act comes to is never the same. */
const CHANGES = howMuch(20, 300);
const SEED = seedOr(1);

const PLACES = ['pages/home', 'pages/islands', 'pages/fares', 'guide', 'guide?element=feature'];
const KEYS: readonly (readonly KeyInput[])[] = [
  ['Escape'],
  ['Delete'],
  ['ArrowDown'],
  ['Shift', 'ArrowDown'],
  ['Enter'],
  ['Tab'],
  ['Control', 'z'],
  ['Control', 'y'],
  ['Control', 'd'],
  ['Control', 'g'],
  ['Control', 'Shift', 'g'],
  ['Alt', 'ArrowUp'],
  ['Alt', 'ArrowDown'],
  ['Alt', 'ArrowLeft'],
  ['Alt', 'ArrowRight'],
];
const TYPED = [
  '12px',
  '1.5rem',
  '0',
  '-3',
  'red',
  '{color.brand.lamp}',
  'role.accent',
  '50%',
  'none',
  'Sant Bree',
  '',
];
/** What leaves the site, or is no act on it. */
const AWAY = /Preview|Publish|People|Sign|Save as your own|Save this guide|Take a snapshot|Forget/;

/** Records of the site as the server has them, each with one spelling. */
async function records(): Promise<Map<string, string>> {
  const read: unknown = await demo.walker.page.evaluate(async schema => {
    const answer = await fetch(`/api/sites/tolvane?schema=${schema}`);
    return (await answer.json()).records;
  }, SCHEMA);
  const sorted = (it: unknown): unknown =>
    Array.isArray(it)
      ? it.map(sorted)
      : typeof it === 'object' && it !== null
        ? Object.fromEntries(
            Object.entries(it)
              .sort(([a], [b]) => (a < b ? -1 : 1))
              .map(([key, value]) => [key, sorted(value)]),
          )
        : it;
  const list = Array.isArray(read) ? read : [];
  return new Map(list.map(it => [String(it.id), JSON.stringify(sorted(it))]));
}

/** Clicks something of the page or specimen in the middle; of words sometimes twice, and writes in them. */
async function pickInFrame(random: Random): Promise<string> {
  const { page } = demo.walker;
  const frame = page.frames().find(it => it !== page.mainFrame());
  if (!frame) return 'no frame';
  const writes = random.int(5) === 0;
  const did = await frame.evaluate(
    (share, events, selector) => {
      const all = [...document.querySelectorAll(selector)];
      const it = all[Math.floor(share * all.length)];
      for (const event of events)
        it?.dispatchEvent(new MouseEvent(event, { bubbles: true, cancelable: true }));
      return `${it?.getAttribute('data-node') ?? ''} ${it?.getAttribute('data-part') ?? ''}`;
    },
    random.next(),
    writes ? ['click', 'dblclick'] : ['click'],
    writes
      ? 'main p[data-node], main [data-part=words], main td, main th, main h2[data-node]'
      : '[data-part]',
  );
  if (!writes) return `pick ${did}`;
  // The editor comes when it is asked for the first time; a picture among the words has none.
  await frame.waitForSelector('[contenteditable]', { timeout: 500 }).catch(() => null);
  const keys = random.pick([['Escape'], ['Enter'], ['Tab'], [], []] as const);
  await page.keyboard.type('Mind the step. ');
  for (const key of keys) await page.keyboard.press(key);
  return `write in ${did} ${keys.join()}`;
}

/** Uses a control that can be used now: those of a sheet, where one is open. */
async function useControl(random: Random): Promise<string> {
  const { walker } = demo;
  const did = await walker.page.evaluate(
    (which, option, away) => {
      const scope = document.querySelector('[role=dialog]') ?? document;
      const nameOf = (it: HTMLElement) =>
        it.getAttribute('aria-label') ?? it.closest('label')?.textContent ?? it.textContent ?? '';
      const all = [
        ...scope.querySelectorAll<HTMLElement>('button,select,summary,input,[role=menuitem],[role=treeitem]'),
      ].filter(
        it =>
          it.offsetParent !== null &&
          !it.matches(':disabled,[type=file],[type=range]') &&
          !new RegExp(away).test(nameOf(it)),
      );
      const it = all[Math.floor(which * all.length)];
      if (!it) return 'nothing';
      const name = nameOf(it).slice(0, 40);
      if (it instanceof HTMLSelectElement) {
        const chosen = it.options[Math.floor(option * it.options.length)];
        if (chosen) it.value = chosen.value;
        // React looks at what it set itself, unless the value is set past it.
        Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value')?.set?.call(it, chosen?.value);
        it.dispatchEvent(new Event('change', { bubbles: true }));
        return `choose ${name} ${chosen?.textContent}`;
      }
      if (it instanceof HTMLInputElement && !it.matches('[type=radio],[type=checkbox]')) {
        it.focus();
        it.select();
        return `type ${name}`;
      }
      it.click();
      return `click ${name}`;
    },
    random.next(),
    random.next(),
    AWAY.source,
  );
  if (!did.startsWith('type ')) return did;
  const text = random.pick(TYPED);
  await walker.page.keyboard.type(text);
  await walker.press('Enter');
  return `${did} ${text}`;
}

async function act(random: Random): Promise<string> {
  const { walker } = demo;
  const dice = random.next();
  if (dice < 0.02) {
    const place = random.pick(PLACES);
    await walker.open(place);
    await walker.page.waitForSelector('iframe');
    return `open ${place}`;
  }
  if (dice < 0.3) return pickInFrame(random);
  if (dice < 0.45) {
    const keys = random.pick(KEYS);
    await walker.press(...keys);
    return keys.join('+');
  }
  return useControl(random);
}

describe('what is done in the very moment before the page is left', () => {
  it.each([
    ['Duplicate', 4],
    ['Delete', 2],
  ])('%s: it is there when one comes back, and can be undone', async (name, count) => {
    const { walker } = demo;
    const cards = async () => {
      const canvas = await walker.frame('Page');
      return canvas.$$eval('[data-node=before-row] > [data-node]', all => all.length);
    };
    for (let i = 0; i < 2; i++) {
      await walker.open('pages/home?node=feature-dogs');
      await until(cards, n => n === 3, 'three cards');
      // In one breath: nothing that is to be written later is written before the page goes.
      await walker.page.evaluate(label => {
        const button = [...document.querySelectorAll('button')].find(it => it.textContent === label);
        button?.click();
        location.reload();
      }, name);
      await walker.page.waitForNavigation();
      await until(cards, n => n === count, `${count} cards`);
      await walker.click('Undo');
      await until(cards, n => n === 3, 'as it was');
      await walker.kept();
    }
  });
});

describe('whatever is done, in whatever order', () => {
  it('nothing breaks, the server takes all of it, and undo brings back what was there', async () => {
    const { walker } = demo;
    const random = seeded(SEED);
    const refused: string[] = [];
    let changes = 0;
    walker.page.on('response', answer => {
      if (answer.status() >= 400 && answer.url().includes('/api/'))
        refused.push(`${answer.status()} ${answer.url()}`);
      if (answer.request().method() === 'POST' && answer.url().endsWith('/changes')) changes++;
    });
    await walker.open('pages/home');
    const before = await records();
    expect(before.size).toBeGreaterThan(100);
    const done: string[] = [];
    while (changes < CHANGES) {
      // A frame may go while something in it is asked for.
      done.push(await act(random).catch(error => `nothing, since ${String(error).slice(0, 80)}`));
      if (random.int(12) === 0) await walker.press('Escape');
      const lately = done.slice(-5).join(' | ');
      expect({ lately, errors: demo.errors, refused }).toEqual({ lately, errors: [], refused: [] });
      if (!walker.page.url().includes('/sites/tolvane/')) await walker.open('pages/home');
    }
    expect(await walker.text()).not.toContain('could not be displayed');
    await walker.open('pages/home');
    await walker.frame('Page');
    const undo = () =>
      walker.page.evaluate(() => {
        const button = [...document.querySelectorAll('header button')].find(
          it => it.textContent?.trim() === 'Undo',
        );
        if (!(button instanceof HTMLButtonElement) || button.disabled) return false;
        button.click();
        return true;
      });
    while (await undo());
    await walker.kept();
    const changed = async () => {
      const after = await records();
      return [...new Set([...before.keys(), ...after.keys()])]
        .filter(id => before.get(id) !== after.get(id))
        .map(id => `${before.get(id)} became ${after.get(id)}`);
    };
    await until(changed, all => all.length === 0, `as it was, after ${done.slice(-40).join(' | ')}`);
  });
});
