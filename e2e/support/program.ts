import { afterAll, beforeAll } from '@jest/globals';
import axe from 'axe-core';
import {
  type Browser,
  type ElementHandle,
  type Frame,
  type KeyInput,
  type Page,
  TimeoutError,
} from 'puppeteer-core';
import { launchBrowser } from '../../scripts/lib/browser.mjs';
import { type ScratchServer, startScratch } from '../../scripts/lib/scratch.mjs';
import { watchPage } from './failures.ts';

// Each file of tests has a program and demo of its own, so that none meets what another left.
const scratch = await startScratch({ copyOf: JSON.parse(process.env.COVE_TEST_ORIGINAL ?? 'null') });
const others: ScratchServer[] = [];
afterAll(async () => {
  await Promise.all(others.map(it => it.stop()));
  await scratch.end();
}, 30_000);
export const PROGRAM = scratch.program.address;
export const SITES = scratch.program.sites;
/** Another server process at the same database. */
export async function startSecond(): Promise<ScratchServer> {
  const second = await scratch.startOne();
  others.push(second);
  return second;
}

/** How long something may take before it is held to have failed: long enough for a machine that does four times as much beside. */
const PATIENCE = 30_000;

/** How often what bears a name is looked for, each time for an equal part of that time. */
const ATTEMPTS = 3;
/** What the browser answers where it never came to the tree of names: its own doing, and nothing of the page's. */
const UNANSWERED = 'Accessibility.queryAXTree timed out';

/**
 * Acts on what bears a name, and asks the browser again where it has not answered: under load, a question that waits for
 * a frame to be drawn can be left without one.
 */
async function patiently<T>(act: (timeout: number) => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt++)
    try {
      return await act(PATIENCE / ATTEMPTS);
    } catch (error) {
      if (!(error instanceof TimeoutError) || attempt === ATTEMPTS) throw error;
    }
}

/** Waits until something holds, asking again and again. */
export async function until<T>(
  ask: () => Promise<T>,
  holds: (value: T) => boolean,
  what: string,
): Promise<T> {
  const end = Date.now() + PATIENCE;
  let value = await ask();
  while (!holds(value)) {
    if (Date.now() > end)
      throw new Error(
        `${what}; it is ${typeof value === 'string' || Array.isArray(value) ? JSON.stringify(value) : String(value)}`,
      );
    await new Promise(resolve => setTimeout(resolve, 40));
    value = await ask();
  }
  return value;
}

/** Words for what one does in the program. */
export class Walker {
  private readonly note: (line: string) => void;

  constructor(
    readonly page: Page,
    readonly program = PROGRAM,
  ) {
    this.note = watchPage(page);
  }

  async enterDemo(): Promise<void> {
    await this.page.goto(this.program);
    await this.click('Enter the demo');
    await this.frame('Specimen');
  }

  async open(path: string): Promise<void> {
    this.note(`open ${path}`);
    await this.page.goto(`${this.program}/sites/tolvane/${path}`);
  }

  private locator(name: string, role: string | undefined, timeout: number) {
    return this.page
      .locator(`::-p-aria([name="${name}"]${role ? `[role="${role}"]` : ''})`)
      .setTimeout(timeout);
  }

  /** Clicks what bears this name. */
  async click(name: string, role?: string): Promise<void> {
    this.note(`click ${name}`);
    await patiently(timeout => this.locator(name, role, timeout).click());
  }

  /** The document in a frame of the program, once it holds something; another one than `before`, which is about to go. */
  async frame(title: string, before?: Frame): Promise<Frame> {
    // One that is about to go may still be found, and has no document any more.
    const found = async () => (await this.page.waitForSelector(`iframe[title="${title}"]`))?.contentFrame();
    const frame = await until(found, it => it != null && it !== before, `a frame ${title}`);
    if (!frame) throw new Error(`no frame ${title}`);
    await frame.waitForSelector('[data-part]');
    return frame;
  }

  /** Writes into a field in place of what stands there. */
  async type(name: string, text: string, finish: 'Enter' | null = 'Enter'): Promise<void> {
    this.note(`type ${text} into ${name}`);
    // A field with a list of choices is a combobox.
    await patiently(timeout =>
      this.page
        .locator(`::-p-aria([name="${name}"][role="textbox"]), ::-p-aria([name="${name}"][role="combobox"])`)
        .setTimeout(timeout)
        .click({ count: 3 }),
    );
    await this.page.keyboard.type(text);
    if (finish) await this.page.keyboard.press(finish);
  }

  /** Adds a widget from the library, found by its name. */
  add(name: string): Promise<void> {
    return this.addFrom('widget', name, 'Add a widget…');
  }

  /** Adds a ready section, or one that was kept; in place of what stands in the area of a header or footer, if not below it. */
  addSection(name: string, { opener = 'Section', below = false } = {}): Promise<void> {
    return this.addFrom('section', name, opener, below ? /^Below what/ : null);
  }

  /** Adds a ready page, or an empty one, and opens it. */
  addPage(name: string): Promise<void> {
    return this.addFrom('page', name, 'New page');
  }

  private async addFrom(
    noun: 'widget' | 'section' | 'page',
    name: string,
    opener: string,
    choice: RegExp | null = null,
  ): Promise<void> {
    this.note(`add the ${noun} ${name}`);
    await this.click(opener, 'button');
    await this.findToAdd(noun, name);
    if (choice)
      await until(
        () =>
          this.page.$$eval(
            '[data-choices] label',
            (all, words) => {
              const found = all.find(it => new RegExp(words).test(it.textContent ?? ''));
              found?.click();
              return found !== undefined;
            },
            choice.source,
          ),
        it => it,
        'a choice',
      );
    await (await this.page.$('[aria-label="Library"] [role=combobox]'))?.focus();
    await this.page.keyboard.press('Enter');
    await until(
      () => this.page.$('[aria-label="Library"]'),
      it => it === null,
      'the library should close',
    );
  }

  /** The words of some elements in the pictures of the library that is open. */
  async pictured(selector: string): Promise<(string | null)[]> {
    const frame = await (await this.page.$('[aria-label="Library"] iframe[title=Pictures]'))?.contentFrame();
    return frame ? frame.$$eval(selector, all => all.map(it => it.textContent)) : [];
  }

  /** Types a name in the library that is open, until it is what is highlighted. */
  async findToAdd(noun: 'widget' | 'section' | 'page', name: string): Promise<void> {
    const field = await patiently(timeout =>
      this.locator(`Find a ${noun}`, 'combobox', timeout).waitHandle(),
    );
    await field.type(name);
    await until(
      () => this.page.$eval('[role=option][aria-selected=true] [data-called]', it => it.textContent),
      it => it === name,
      `${name} should be found`,
    );
  }

  /** Chooses a picture in the library that a button opens. */
  async choosePicture(opener: string, name: string): Promise<void> {
    this.note(`choose the picture ${name}`);
    await this.click(opener);
    await this.click(name, 'option');
    await this.click('Use this picture');
  }

  /** Chooses in a list of values, or in a menu of things to do. */
  async choose(name: string, option: string): Promise<void> {
    this.note(`choose ${option} of ${name}`);
    const named = await until(
      () =>
        this.page.$(
          `::-p-aria([name="${name}"][role="combobox"]), button[aria-haspopup=menu][aria-label="${name}"]`,
        ),
      it => it !== null,
      `${name} should be there`,
    );
    if (await named?.evaluate(it => it.getAttribute('aria-haspopup') === 'menu')) {
      await named?.click();
      await this.click(option, 'menuitem');
      return;
    }
    if (await named?.evaluate(it => it instanceof HTMLInputElement)) {
      await this.type(name, option, null);
      await this.take(option);
      return;
    }
    const offered = async () => {
      const list = await patiently(timeout => this.locator(name, 'combobox', timeout).waitHandle());
      const value = await list.evaluate(
        (element, wanted) =>
          element instanceof HTMLSelectElement
            ? ([...element.options].find(it => it.textContent === wanted)?.value ?? null)
            : null,
        option,
      );
      return { list: list as ElementHandle<HTMLSelectElement>, value };
    };
    const { list, value } = await until(offered, it => it.value !== null, `${name} should offer ${option}`);
    await list.select(value ?? '');
  }

  /** Takes a line of the list that belongs to a field, by what it is called. */
  async take(option: string): Promise<void> {
    this.note(`take ${option}`);
    await this.page.locator(`[role=option][data-label="${option}"]`).setTimeout(PATIENCE).click();
  }

  /** A row of the outline whose text begins so; once it is there, and picked where that is asked. */
  async row(label: string, picked = false): Promise<ElementHandle<HTMLElement>> {
    const handle = await this.page.waitForFunction(
      (start, mustBePicked) =>
        [...document.querySelectorAll<HTMLElement>('[role=treeitem]')].find(
          it => it.textContent.startsWith(start) && (!mustBePicked || it.ariaSelected === 'true'),
        ) ?? false,
      // Frames are not drawn for a tab in the background, so they are no clock.
      { polling: 50 },
      label,
      picked,
    );
    return handle as ElementHandle<HTMLElement>;
  }

  /** Where a point of the page in the canvas is on the screen: the frame is drawn smaller, which the driver does not reckon with. */
  async onCanvas(x: number, y: number): Promise<{ x: number; y: number }> {
    const frame = await this.frame('Page');
    const box = await (await this.page.$('iframe[title=Page]'))?.boundingBox();
    if (!box) throw new Error('no canvas');
    const scale = box.width / (await frame.evaluate(() => innerWidth));
    return { x: box.x + x * scale, y: box.y + y * scale };
  }

  async clickOnCanvas(selector: string, count = 1): Promise<void> {
    const frame = await this.frame('Page');
    const place = () =>
      frame.$eval(selector, element => {
        element.scrollIntoView({ block: 'center' });
        const { x, y, width, height } = element.getBoundingClientRect();
        return { x: x + Math.min(width / 2, 60), y: y + height / 2 };
      });
    // What scrolls into view takes its real height only then, and may move what it was scrolled for.
    let at = await place();
    let before = { x: -1, y: -1 };
    while (Math.abs(at.x - before.x) + Math.abs(at.y - before.y) > 0.5) {
      before = at;
      await new Promise(resolve => setTimeout(resolve, 60));
      at = await place();
    }
    const { x, y } = await this.onCanvas(at.x, at.y);
    await this.page.mouse.click(x, y, { count });
  }

  /** Where the middle of something in the canvas is on the screen, once it is in view and stands still. */
  async place(selector: string): Promise<{ x: number; y: number }> {
    const frame = await this.frame('Page');
    const middle = () =>
      frame.$eval(selector, element => {
        const { x, y, width, height } = element.getBoundingClientRect();
        return { x: x + width / 2, y: y + height / 2 };
      });
    const { x, y } = await middle();
    return this.onCanvas(x, y);
  }

  /** Drags from one point of the screen to another, as a hand does, and lets go once `shown` says that the target is marked. */
  async drag(
    from: { x: number; y: number },
    to: { x: number; y: number },
    shown?: () => Promise<unknown>,
  ): Promise<void> {
    await this.page.mouse.move(from.x, from.y);
    await this.page.mouse.down();
    await this.page.mouse.move(from.x + 4, from.y + 8, { steps: 3 });
    await this.page.mouse.move(to.x, to.y, { steps: 8 });
    await shown?.();
    await this.page.mouse.up();
  }

  /** Presses keys together, such as `Control`, `Shift` and `g`. */
  async press(...keys: KeyInput[]): Promise<void> {
    this.note(`press ${keys.join('+')}`);
    const held = keys.slice(0, -1);
    const last = keys.at(-1);
    for (const key of held) await this.page.keyboard.down(key);
    if (last) await this.page.keyboard.press(last);
    for (const key of held) await this.page.keyboard.up(key);
  }

  /** Walks on with the Tab key until what bears this name has the focus. */
  async tabTo(name: string): Promise<void> {
    const focused = () =>
      this.page.evaluate(() => {
        const element = document.activeElement;
        const label = element && 'labels' in element ? (element.labels as NodeListOf<Element> | null) : null;
        const said = element?.getAttribute('aria-label') ?? label?.[0]?.textContent ?? element?.textContent;
        return (said ?? '').trim();
      });
    const passed: string[] = [];
    for (let i = 0; i < 300; i++) {
      await this.press('Tab');
      const at = await focused();
      if (at === name) return;
      if (at.length < 60) passed.push(at);
    }
    throw new Error(`the Tab key never came to ${name}; it came past ${[...new Set(passed)].join(' · ')}`);
  }

  /** Walks to a list and through it by keys until it shows an option. */
  async tabToChoose(name: string, option: string): Promise<void> {
    await this.tabTo(name);
    const shown = () =>
      this.page.evaluate(() =>
        document.activeElement instanceof HTMLSelectElement
          ? (document.activeElement.selectedOptions[0]?.textContent ?? '')
          : '',
      );
    await this.press('Home');
    for (let i = 0; i < 60; i++) {
      if ((await shown()) === option) return;
      await this.press('ArrowDown');
    }
    throw new Error(`${name} never came to ${option}`);
  }

  /** Opens what a widget says on the bench; once somebody has opened it, it is open for the next one. */
  async openContent(): Promise<void> {
    const fold = await this.page.waitForSelector(
      '::-p-xpath(//details[summary[normalize-space()="Content"]])',
    );
    if (await fold?.evaluate(it => it instanceof HTMLDetailsElement && it.open)) return;
    await this.click('Content');
  }

  /** Searches the bench for a property. */
  async find(words: string): Promise<void> {
    await patiently(timeout => this.locator('Find a property', 'searchbox', timeout).click({ count: 3 }));
    await this.page.keyboard.type(words);
    // The fields listed for the first letters go, and the focus with them
    await this.page.waitForFunction(() => document.querySelector('[aria-busy="true"]') === null);
  }

  /** Leaves the search, so that the bench shows all it has. */
  async clearSearch(): Promise<void> {
    await this.find('');
    await this.page.keyboard.press('Backspace');
  }

  style(frame: Frame, selector: string, property: string): Promise<string> {
    return frame.$eval(
      selector,
      (element, name) => getComputedStyle(element).getPropertyValue(name),
      property,
    );
  }

  /** Waits until a style is (or is no longer) something. */
  async styleIs(
    frame: Frame,
    selector: string,
    property: string,
    wanted: string | ((value: string) => boolean),
  ): Promise<string> {
    const holds = typeof wanted === 'string' ? (value: string) => value === wanted : wanted;
    return until(
      () => this.style(frame, selector, property).catch(() => 'nothing there'),
      holds,
      `${property} of ${selector} should be ${wanted}`,
    );
  }

  /** What is told of the last change of the guide. */
  effect(): Promise<string> {
    return this.page.$eval('[aria-label="Effect of the last change"]', it => it.textContent ?? '');
  }

  async kept(): Promise<void> {
    const words = () => this.page.$$eval('output', all => all.map(it => it.textContent));
    await until(words, all => all.includes('Saved'), 'all should be kept');
  }

  text(): Promise<string> {
    return this.page.evaluate(() => document.body.textContent ?? '');
  }

  async says(words: string): Promise<void> {
    await until(
      () => this.text(),
      text => text.includes(words),
      `the page should say “${words}”`,
    );
  }

  /** What axe-core finds on what is open; serious and lesser findings alike. */
  async violations(): Promise<string[]> {
    await this.page.evaluate(axe.source);
    return this.page.evaluate(async () => {
      const { violations } = await (globalThis as unknown as { axe: typeof import('axe-core') }).axe.run(
        // Samples show the site's own colours, those that cannot be read among them.
        { include: [document], exclude: [['[data-sample]']] },
        { iframes: false },
      );
      return violations.map(it => `${it.id}: ${it.nodes.map(node => node.target.join(' ')).join(', ')}`);
    });
  }
}

/** A browser of a file's own with the demo open in it; what its pages throw is kept. */
export function walkDemo(): { readonly walker: Walker; readonly errors: readonly string[] } {
  const errors: string[] = [];
  let browser: Browser | null = null;
  let walker: Walker | null = null;
  beforeAll(async () => {
    browser = await launchBrowser();
    const page = await browser.newPage();
    page.on('pageerror', error => {
      if (!String(error).includes(UNANSWERED)) errors.push(String(error));
    });
    walker = new Walker(page);
    await walker.enterDemo();
  });
  afterAll(() => browser?.close());
  return {
    errors,
    get walker() {
      if (!walker) throw new Error('the demo is not open yet');
      return walker;
    },
  };
}
