import { launchBrowser } from '../scripts/lib/browser.mjs';
import { startScratch } from '../scripts/lib/scratch.mjs';
import { Demo } from './demo';
import { longestScript } from './longestScript';
import { longPage } from './longPage';
import { head, limit, median, quantile } from './statistics';

/** Working on a page of a thousand widgets in fifty sections, in a browser on loopback. */
const scratch = await startScratch({ environment: { COVE_LOG_LEVEL: 'silent' } });
const browser = await launchBrowser({ width: 1280, height: 800 });
const PAGE = 'long';

try {
  const page = await browser.newPage();
  const demo = await Demo.enter(page, scratch.program.address);
  await demo.change('bench-long-page', longPage(PAGE));
  const frame = await demo.open(PAGE);
  const handle = await page.$('iframe[title=Page]');
  const size = await frame.evaluate(() => ({
    sections: document.querySelectorAll('main > [data-node]').length,
    widgets: new Set(
      [...document.querySelectorAll('main [data-node]')].map(it => it.getAttribute('data-node')),
    ).size,
  }));

  console.log(head(`Working on a page of ${size.sections} sections, ${size.widgets} things in all`));

  /** From the click in the outline until the bench shows the thing that was clicked. */
  const selected = await page.evaluate(async () => {
    const rows = [...document.querySelectorAll<HTMLElement>('[aria-label="On this page"] [role=treeitem]')];
    const times: number[] = [];
    for (let i = 0; i < 40; i++) {
      const row = rows[20 + ((i * 37) % (rows.length - 40))];
      if (!row || row.ariaSelected === 'true') continue;
      const began = performance.now();
      row.click();
      await new Promise<void>(resolve => {
        const look = () =>
          row.ariaSelected === 'true' && document.querySelector('[aria-label="Bench"] [data-property]')
            ? resolve()
            : requestAnimationFrame(look);
        look();
      });
      times.push(performance.now() - began);
      await new Promise(resolve => setTimeout(resolve, 60));
    }
    return times;
  });
  console.log(limit('selecting a thing until the bench shows it, median', median(selected), 50));
  console.log(limit('the same, p95', quantile(selected, 0.95), 50));

  /** The longest run of our script while one types into a text that stands on the page. */
  await frame.$eval('main h2[data-part=text], main [data-part=text]', it =>
    it.scrollIntoView({ block: 'center' }),
  );
  await frame.$eval('main h2[data-part=text], main [data-part=text]', it => {
    it.dispatchEvent(new MouseEvent('dblclick', { bubbles: true }));
  });
  const typing = await longestScript(page, () =>
    page.keyboard.type('The boat leaves at six, and the tea with it.', { delay: 30 }),
  );
  const keeping = await longestScript(page, () => page.keyboard.press('Enter'));
  console.log(limit('typing into a text: the longest run of script', typing, 32));
  console.log(limit('keeping what was typed: the longest run of script', keeping, 32));

  /** Frames a second while a section is dragged over the others. */
  await page.keyboard.press('Escape');
  const first = await frame.$eval('main > [data-node]:nth-child(3) [data-part]', it => {
    it.scrollIntoView({ block: 'center' });
    const { x, y, height } = it.getBoundingClientRect();
    return { x: x + 6, y: y + height / 2, wide: innerWidth };
  });
  const box = await handle?.boundingBox();
  if (!box) throw new Error('no frame');
  const scale = box.width / first.wide;
  const start = { x: box.x + first.x * scale, y: box.y + first.y * scale };
  const drag = async (pressed: boolean): Promise<number> => {
    await page.mouse.move(start.x, start.y);
    if (pressed) await page.mouse.down();
    const counted = page.evaluate(
      () =>
        new Promise<number>(resolve => {
          let frames = 0;
          const began = performance.now();
          const step = () => {
            frames++;
            if (performance.now() - began < 3000) requestAnimationFrame(step);
            else resolve((frames / (performance.now() - began)) * 1000);
          };
          requestAnimationFrame(step);
        }),
    );
    let going = true;
    void counted.then(() => {
      going = false;
    });
    for (let i = 0; going; i++) await page.mouse.move(start.x + (i % 40), start.y + 120 * Math.sin(i / 12));
    if (pressed) {
      await page.keyboard.press('Escape');
      await page.mouse.up();
    }
    return counted;
  };
  const bare = await drag(false);
  const dragged = await drag(true);
  console.log(limit('dragging a section, frames a second', dragged, 50, '/s').replace('at most', 'at least'));
  console.log(`   the same pointer with nothing pressed: ${bare.toFixed(1)} frames a second`);

  /** From choosing a purpose until its six ready sections are drawn in the site's guide. */
  await page.locator('::-p-aria([name="Section"][role="button"])').click();
  await page.waitForSelector('iframe[title="Sections: Opening"]');
  const drawn = await page.evaluate(async () => {
    const choose = (name: string) =>
      [...document.querySelectorAll<HTMLElement>('[role=dialog] [role=radiogroup] label')]
        .find(it => it.textContent === name)
        ?.click();
    const times: number[] = [];
    for (let i = 0; i < 8; i++) {
      choose('Opening');
      await new Promise(resolve => setTimeout(resolve, 500));
      const began = performance.now();
      choose('Content');
      await new Promise<void>(resolve => {
        const look = () => {
          const inside = document.querySelector<HTMLIFrameElement>('iframe[title="Sections: Content"]');
          const count = inside?.contentDocument?.querySelectorAll('main > [data-node]').length ?? 0;
          if (count >= 6) resolve();
          else requestAnimationFrame(look);
        };
        look();
      });
      times.push(performance.now() - began);
    }
    return times;
  });
  console.log(limit('ready sections: the first six drawn', median(drawn), 300));
} finally {
  await browser.close();
  await scratch.end();
}
