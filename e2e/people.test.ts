import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { Browser, HTTPRequest } from 'puppeteer-core';
import { launchBrowser } from '../scripts/lib/browser.mjs';
import type { ScratchServer } from '../scripts/lib/scratch.mjs';
import { PROGRAM, startSecond, until, Walker } from './support/program.ts';

const INES = 'ines@tolvane.example';
/** Fields that change what is seen and nothing else. */
/** Choices of how something is looked at. */
const VIEW_CHOICES = ['In the middle', 'Columns', 'Width of the page', 'Part', 'State', 'Width'];
const VIEW = ['Show presets for', 'Filter rows', 'Find a property', 'Size', 'Width in pxpx'];
const PASSWORD = 'harbour-at-noon';

let browser: Browser;
let second: ScratchServer;
/** The designer at one server process, and Ines at another. */
let designer: Walker;
let ines: Walker;

/** A browser of its own: nothing is shared with the other, not even a window that would be in the background. */
async function somebody(program: string): Promise<Walker> {
  const context = await browser.createBrowserContext();
  return new Walker(await context.newPage(), program);
}
beforeAll(async () => {
  [browser, second] = await Promise.all([launchBrowser(), startSecond()]);
  designer = await somebody(PROGRAM);
  ines = await somebody(second.address);
  await designer.enterDemo();
});
afterAll(() => browser.close());

const addressOf = (walker: Walker) => walker.page.evaluate(() => location.pathname);

/** Reads the newest letter to somebody and follows its link, at the process that serves them. */
async function followLetter(walker: Walker, to: string): Promise<void> {
  await walker.page.goto(`${walker.program}/outbox`);
  await walker.says(`to ${to}`);
  const letter = await walker.page.$$eval(
    'li',
    (letters, to) => letters.find(it => it.textContent.includes(`to ${to}`))?.textContent ?? '',
    to,
  );
  const link = new URL(/https?:\/\/\S+/.exec(letter)?.[0] ?? '');
  await walker.page.goto('about:blank');
  await walker.page.goto(walker.program + link.pathname + link.hash);
}

describe('an invitation', () => {
  it('is sent to an address, and shows how it stands', async () => {
    await designer.click('People');
    await designer.says('the only designer');
    await designer.type('Email', INES);
    await designer.says(`Sent to ${INES}`);
    await designer.page.waitForSelector('[aria-label="Open invitations"] li');
    expect(await designer.violations()).toEqual([]);
    await designer.page.keyboard.press('Escape');
  });

  it('leads by way of an account into the site, and opens once', async () => {
    await followLetter(ines, INES);
    await ines.says('You are invited as keeper.');
    const joining = await ines.page.evaluate(() => location.hash);
    await ines.click('Create an account to join');
    await ines.type('Email', INES);
    await ines.says('We sent a link');
    await followLetter(ines, INES);
    await ines.type('Display name', 'Ines', null);
    await ines.type('Password (10 characters or more)', PASSWORD);
    await ines.click('Join');
    await until(
      () => addressOf(ines),
      path => path.startsWith('/sites/tolvane/pages'),
      'she should be at the site',
    );
    await ines.frame('Page');
    await ines.page.goto(`${second.address}/join${joining}`);
    await ines.says('This invitation is no longer valid');
  });
});

describe('a keeper', () => {
  const sent: string[] = [];
  const noteSent = (request: HTTPRequest) => {
    if (request.method() === 'POST' && request.url().endsWith('/changes'))
      sent.push(request.postData() ?? '');
  };
  beforeAll(() => {
    ines.page.on('request', noteSent);
  });
  afterAll(() => {
    ines.page.off('request', noteSent);
  });

  /** Names of the fields in which something could be altered: all but those that only change the view. */
  const alterable = () =>
    ines.page.$$eval(
      'main :is(input, select, textarea, [role=slider], [contenteditable=true])',
      (all, view, choices) =>
        all
          .filter(it => !choices.includes(it.closest('[role=radiogroup]')?.ariaLabel ?? ''))
          .filter(it => it.checkVisibility() && !it.matches(':disabled, [readonly], [aria-disabled=true]'))
          .map(it => {
            const field =
              it instanceof HTMLInputElement ||
              it instanceof HTMLSelectElement ||
              it instanceof HTMLTextAreaElement;
            return it.ariaLabel ?? (field ? it.labels?.[0]?.textContent : null) ?? it.outerHTML;
          })
          .filter(name => !view.includes(name)),
      VIEW,
      VIEW_CHOICES,
    );

  it('sees the guide and can alter nothing there', async () => {
    await ines.open('guide');
    await ines.frame('Specimen');
    await ines.click('Swatch Rope');
    await ines.says('Rope');
    expect(await alterable()).toEqual([]);
    expect(await ines.violations()).toEqual([]);
    await ines.page.keyboard.press('Escape');
  });

  it('writes words, and neither a key nor a field does more', async () => {
    await ines.open('pages/home?node=welcome-title');
    const canvas = await ines.frame('Page');
    await ines.row('The early boat', true).catch(() => {});
    expect(await alterable()).toEqual(['Words', 'Level']);
    await ines.clickOnCanvas('[data-node=welcome-title]');
    for (const key of ['Delete', 'Backspace', 'ArrowDown'] as const) await ines.page.keyboard.press(key);
    await ines.page.keyboard.down('Control');
    for (const key of ['KeyD', 'KeyG', 'KeyX'] as const) await ines.page.keyboard.press(key);
    await ines.page.keyboard.up('Control');
    expect(await canvas.$('[data-node=welcome-title]')).not.toBeNull();
    await ines.type('Words', 'The boat at dawn');
    await until(
      () => canvas.$eval('[data-node=welcome-title]', it => it.textContent),
      text => text === 'The boat at dawn',
      'her words should stand there',
    );
    await ines.kept();
    expect(sent.length).toBe(1);
    expect(await ines.violations()).toEqual([]);
  });

  it('may choose and style as far as the designer allows, from the moment they do', async () => {
    await designer.click('Ines is here');
    await designer.choose('A keeper may change', 'everything but the guide');
    await until(alterable, fields => fields.length > 4, 'she should be able to style');
    await designer.choose('A keeper may change', 'words and pictures');
    await until(alterable, fields => fields.length === 2, 'only words should be left to her');
    await designer.page.keyboard.press('Escape');
  });
});

describe('two people at two server processes', () => {
  const title = (walker: Walker) => async () =>
    (await walker.frame('Page')).$eval('[data-node=welcome-title]', it => it.textContent);

  it('see each other’s edits within a second, and where the other is', async () => {
    await designer.open('pages/home?node=welcome-title');
    await designer.frame('Page');
    await designer.says('Ines is here');
    await designer.click('Ines is here');
    await designer.says('Home');
    await designer.page.keyboard.press('Escape');
    await ines.says('Demo designer is here');
    await designer.type('Words', 'Seen at once', null);
    const began = Date.now();
    await designer.page.keyboard.press('Enter');
    await until(title(ines), text => text === 'Seen at once', 'Ines should see it');
    expect(Date.now() - began).toBeLessThan(1000);
  });

  it('of the same words the later stand, and the other is told and can bring theirs back', async () => {
    // Ines is cut off while the designer writes, and writes without having seen it.
    await ines.page.setOfflineMode(true);
    await ines.type('Words', 'As Ines wrote it');
    await ines.says('1 edit waiting');
    await designer.type('Words', 'As the designer wrote it');
    await designer.kept();
    await ines.page.setOfflineMode(false);
    await ines.kept();
    await until(title(designer), text => text === 'As Ines wrote it', 'the later words should stand');
    await designer.says('Ines changed the words of');
    await designer.says('As the designer wrote it');
    expect(await designer.violations()).toEqual([]);
    await designer.click('Restore mine');
    await until(title(ines), text => text === 'As the designer wrote it', 'the words should be back');
  });

  it('undo each their own, also after a reload', async () => {
    await ines.type('Words', 'Before the reload');
    await ines.kept();
    await designer.open('pages/home?node=fares-title');
    await ines.page.reload();
    await ines.frame('Page');
    await until(title(ines), text => text === 'Before the reload', 'it should still stand');
    await ines.click('Undo');
    await until(
      title(ines),
      text => text === 'As the designer wrote it',
      'her last words should be taken back',
    );
    await ines.kept();
  });
});

describe('who may no longer', () => {
  it('a session is ended from elsewhere, and what was made meanwhile waits in the browser', async () => {
    const elsewhere = await somebody(PROGRAM);
    await elsewhere.page.goto(PROGRAM);
    await elsewhere.type('Email', INES, null);
    await elsewhere.type('Password', 'not-her-password');
    await elsewhere.page.waitForSelector('[role=alert]');
    await elsewhere.type('Password', PASSWORD);
    await elsewhere.says('keeper');
    await elsewhere.page.goto(`${PROGRAM}/account`);
    await elsewhere.says('Active sessions');
    expect(await elsewhere.violations()).toEqual([]);
    await elsewhere.click('End');
    await until(
      () => addressOf(ines),
      path => path === '/',
      'she should be at the door',
    );
    await ines.type('Email', INES, null);
    await ines.type('Password', PASSWORD);
    await until(
      () => addressOf(ines),
      path => path.startsWith('/sites/tolvane'),
      'and back where she was',
    );
    await elsewhere.page.close();
  });

  it('a keeper made a reviewer sees the words as words, and one taken out sees the site no more', async () => {
    await ines.open('pages/home?node=welcome-title');
    await ines.frame('Page');
    await designer.click('Ines is here');
    await designer.choose('Role of Ines', 'Reviewer');
    const fields = () =>
      ines.page.$$eval('main input:not(:disabled):not([readonly])', all => all.map(it => it.ariaLabel));
    await until(fields, all => !all.includes('Words'), 'no words to write for a reviewer');
    await designer.click('Take Ines out');
    await ines.says('This site does not exist, or you do not have access to it.');
    await until(
      () => designer.text(),
      text => !text.includes('Take Ines out') && !text.includes(INES),
      'she should be gone from the list',
    );
  });
});

describe('the pages before the site', () => {
  it.each(['/', '/account/ask', '/account/link#nothing', '/join#nothing', '/outbox'])(
    '%s has nothing that axe-core finds wrong',
    async path => {
      const stranger = await somebody(PROGRAM);
      await stranger.page.goto(PROGRAM + path);
      await stranger.page.waitForSelector('h1');
      expect(await stranger.violations()).toEqual([]);
      await stranger.page.close();
    },
  );
});
