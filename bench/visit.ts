import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { gzipSync } from 'node:zlib';
import { ELEMENTS } from '@cove/core';
import type { Browser, Page } from 'puppeteer-core';
import { launchBrowser } from '../scripts/lib/browser.mjs';
import { startScratch } from '../scripts/lib/scratch.mjs';
import { release } from './release';
import { head, least, limit, median, row } from './statistics';
import { visitor } from './visitor';

/**
 * What a visitor waits for on the published demo, beside a page of the same words, pictures and fonts as somebody would
 * write it by hand; both from one plain server, over a connection of 40 ms and 10 Mbit/s.
 */
const scratch = await startScratch({ environment: { COVE_LOG_LEVEL: 'silent' } });
const browser = await launchBrowser({ width: 1280, height: 800 });
const files = new Map<string, { type: string; body: Buffer }>();

/** Keeps all that a page asks for, under the address it is asked for. */
async function keep(address: string): Promise<void> {
  const page = await browser.newPage();
  page.on('response', async response => {
    const { pathname } = new URL(response.url());
    if (!response.ok() || response.url().startsWith('data:')) return;
    files.set(pathname, {
      type: response.headers()['content-type'] ?? '',
      body: await response.buffer(),
    });
  });
  await page.goto(address, { waitUntil: 'networkidle0' });
  // What is drawn only as it is scrolled to, too.
  await page.evaluate(async () => {
    for (let y = 0; y < document.body.scrollHeight; y += 400) {
      scrollTo(0, y);
      await new Promise(resolve => setTimeout(resolve, 60));
    }
  });
  await page.waitForNetworkIdle();
  await page.close();
}

/** The same content with a sheet of some lines, as it would be written by hand. */
async function writtenByHand(address: string): Promise<string> {
  const page = await browser.newPage();
  await page.goto(address, { waitUntil: 'networkidle0' });
  const html = await page.evaluate(() => {
    const plain = (element: Element): string => {
      const picture = element.matches('picture') ? element : null;
      if (picture) {
        const copy = picture.cloneNode(true);
        if (copy instanceof Element)
          for (const it of [copy, ...copy.querySelectorAll('*')]) it.removeAttribute('class');
        return copy instanceof Element ? copy.outerHTML : '';
      }
      if (element.matches('h1,h2,h3,h4,p,a,li,figcaption,td,th,caption,summary')) {
        const tag = element.localName;
        const href = tag === 'a' ? ` href="${element.getAttribute('href')}"` : '';
        return `<${tag}${href}>${element.textContent}</${tag}>`;
      }
      const inner = [...element.children].map(plain).join('\n');
      return element.matches('header,nav,main,section,footer,ul,ol,table,tr')
        ? `<${element.localName}>${inner}</${element.localName}>`
        : inner;
    };
    const fonts = [...document.querySelectorAll('link[rel=preload]')].map(it => it.outerHTML).join('\n');
    const faces = [...document.styleSheets]
      .flatMap(sheet => [...sheet.cssRules])
      .filter(it => it instanceof CSSFontFaceRule)
      .map(it => it.cssText.replaceAll('url("fonts/', 'url("../tolvane/fonts/'))
      .join('\n');
    const voice = (selector: string) => {
      const found = document.querySelector(selector);
      return found ? getComputedStyle(found).fontFamily : 'serif';
    };
    return `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>By hand</title><base href="/tolvane/">${fonts}<style>${faces}
body{margin:0;font:1.125rem/1.55 ${voice('main p')};background:#f5fbff;color:#151c2f}
header{display:flex;gap:2rem;padding:1rem 4vw}section{padding:4rem 4vw;background:#f5fbff}section:nth-child(2n){background:#d4e5ef}
h1,h2,h3{font-family:${voice('h1')};line-height:1.15}h1{font-size:3rem}h2{font-size:2rem}img{max-width:100%;height:auto}
</style></head><body>${[...document.body.children].map(plain).join('\n')}</body></html>`;
  });
  await page.close();
  return html;
}

/** How late fonts come, in ms. */
let fontsLate = 0;
const server = createServer((request, response) => {
  const { pathname } = new URL(request.url ?? '/', 'http://localhost');
  const file = files.get(pathname);
  if (!file) return void response.writeHead(404).end();
  const text = /^text|javascript|svg/.test(file.type);
  const body = text ? gzipSync(file.body) : file.body;
  setTimeout(
    () =>
      response
        .writeHead(200, {
          'content-type': file.type,
          'content-length': body.length,
          ...(text && { 'content-encoding': 'gzip' }),
        })
        .end(body),
    pathname.includes('/fonts/') ? fontsLate : 0,
  );
});
await new Promise<void>(resolve => server.listen(0, '127.0.0.1', resolve));
const { port } = server.address() as AddressInfo;

interface Seen {
  first: number;
  largest: number;
  shift: number;
}

async function visit(browser: Browser, path: string, width: number, scroll = false): Promise<Seen> {
  const context = await browser.createBrowserContext();
  const page: Page = await context.newPage();
  await page.setViewport({ width, height: 800 });
  const cdp = await page.createCDPSession();
  await cdp.send('Network.enable');
  await cdp.send('Network.emulateNetworkConditions', {
    offline: false,
    latency: 40,
    downloadThroughput: 1.25e6,
    uploadThroughput: 1.25e6,
  });
  await page.evaluateOnNewDocument(() => {
    const seen = { first: 0, largest: 0, shift: 0 };
    Object.assign(window, { seen });
    new PerformanceObserver(list => {
      for (const it of list.getEntries()) if (it.name === 'first-contentful-paint') seen.first = it.startTime;
    }).observe({ type: 'paint', buffered: true });
    new PerformanceObserver(list => {
      for (const it of list.getEntries()) seen.largest = it.startTime;
    }).observe({ type: 'largest-contentful-paint', buffered: true });
    new PerformanceObserver(list => {
      for (const it of list.getEntries()) if ('value' in it) seen.shift += Number(it.value);
    }).observe({ type: 'layout-shift', buffered: true });
  });
  await page.goto(`http://127.0.0.1:${port}${path}`, { waitUntil: 'networkidle0' });
  if (scroll)
    await page.evaluate(async () => {
      for (let y = 0; y < document.body.scrollHeight; y += 400) {
        scrollTo(0, y);
        await new Promise(resolve => setTimeout(resolve, 80));
      }
    });
  await new Promise(resolve => setTimeout(resolve, 300));
  const seen = await page.evaluate(() => Reflect.get(window, 'seen') as Seen);
  await context.close();
  return seen;
}

const { sites, address } = scratch.program;
await release(await visitor(address), 'tolvane');
await keep(`${sites}/tolvane/`);
files.set('/by-hand/', {
  type: 'text/html; charset=utf-8',
  body: Buffer.from(await writtenByHand(`${sites}/tolvane/`)),
});
await visit(browser, '/tolvane/', 1280);
await visit(browser, '/by-hand/', 1280);
const times = { ours: [] as Seen[], floor: [] as Seen[] };
for (let i = 0; i < 9; i++) {
  times.ours.push(await visit(browser, '/tolvane/', 1280));
  times.floor.push(await visit(browser, '/by-hand/', 1280));
}
const of = (all: readonly Seen[], what: keyof Seen) => median(all.map(it => it[what]));
console.log(head('Visiting the published demo'));
console.log(row('first contentful paint', of(times.ours, 'first'), of(times.floor, 'first'), 1.1));
console.log(row('largest contentful paint', of(times.ours, 'largest'), of(times.floor, 'largest'), 1.2));
fontsLate = 2000;
for (const width of [1280, 820, 360])
  console.log(
    limit(
      `layout shift at ${width} px, fonts 2 s late, scrolled to its end`,
      (await visit(browser, '/tolvane/', width, true)).shift,
      0.01,
      '',
    ),
  );
fontsLate = 0;

/** Frames a second while a row of pictures is dragged by a mouse, and while one is scrolled that nothing else moves along with. */
async function framesWhileDragged(path: string, selector: string): Promise<number> {
  const page = await browser.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await page.goto(`http://127.0.0.1:${port}${path}`, { waitUntil: 'networkidle0' });
  const box = await page.$eval(selector, it => {
    it.scrollIntoView({ block: 'center' });
    const { left, top, width, height } = it.getBoundingClientRect();
    return { x: left + width / 2, y: top + height / 2 };
  });
  const counted = page.evaluate(
    () =>
      new Promise<number>(resolve => {
        let frames = 0;
        const began = performance.now();
        const count = () => {
          frames++;
          const taken = performance.now() - began;
          if (taken < 2000) requestAnimationFrame(count);
          else resolve((frames / taken) * 1000);
        };
        requestAnimationFrame(count);
      }),
  );
  await page.mouse.move(box.x, box.y);
  await page.mouse.down();
  for (let i = 0; i < 120; i++) await page.mouse.move(box.x + 300 * Math.sin(i / 10), box.y);
  await page.mouse.up();
  const frames = await counted;
  await page.close();
  return frames;
}
await keep(`${sites}/tolvane/on-board/`);
const dragged = await framesWhileDragged('/tolvane/on-board/', '.slides-row');
const still = await framesWhileDragged('/by-hand/', 'main');
console.log(least('slides dragged: frames a second', dragged, Math.min(60, still), 'fps'));

const bytes = gzipSync(files.get('/tolvane/')?.body ?? '').byteLength / 1e3;
const css = [...files].filter(([name]) => name.endsWith('.css'));
const cssBytes = css.reduce((sum, [, it]) => sum + gzipSync(it.body).byteLength, 0) / 1e3;
console.log(limit('the page and its sheets, compressed', bytes + cssBytes, 30, 'KB'));
const behaviours = ELEMENTS.flatMap(it => it.behaviour ?? []);
console.log(
  limit(
    `all ${behaviours.length} behaviours together, compressed`,
    gzipSync(behaviours.join('\n')).byteLength / 1e3,
    12,
    'KB',
  ),
);
await browser.close();
server.close();
await scratch.end();
process.exit(0);
