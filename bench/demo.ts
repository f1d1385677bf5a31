import { type Edit, SCHEMA } from '@cove/core';
import type { Frame, Page } from 'puppeteer-core';

/** The demo in a browser. */
export class Demo {
  private constructor(
    private readonly page: Page,
    private readonly address: string,
  ) {}

  static async enter(page: Page, address: string): Promise<Demo> {
    await page.goto(address);
    await page.locator('::-p-aria([name="Enter the demo"])').click();
    await page.waitForSelector('iframe[title=Specimen]');
    return new Demo(page, address);
  }

  /** Makes a change to it; throws where it is refused. */
  async change(id: string, edits: readonly Edit[]): Promise<void> {
    const status = await this.page.evaluate(
      async (change, schema) => {
        const answer = await fetch(`/api/sites/tolvane/changes?schema=${schema}`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(change),
        });
        return `${answer.status} ${answer.ok ? '' : await answer.text()}`;
      },
      { id, edits: [...edits] },
      SCHEMA,
    );
    if (!status.startsWith('200')) throw new Error(status);
  }

  /** Opens a page of it, and waits until that is drawn. */
  async open(path: string): Promise<Frame> {
    await this.page.goto(`${this.address}/sites/tolvane/pages/${path}`);
    const handle = await this.page.waitForSelector('iframe[title=Page]');
    const frame = await handle?.contentFrame();
    if (!frame) throw new Error('no page');
    await frame.waitForSelector('main [data-node] [data-part]');
    return frame;
  }
}
