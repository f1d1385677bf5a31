import puppeteer, { type Browser } from 'puppeteer-core';

/** Debian's Chromium, without a monitor and without asking anything of the network. */
export const launch = (): Promise<Browser> =>
  puppeteer.launch({
    executablePath: process.env.COVE_CHROMIUM ?? '/usr/bin/chromium',
    args: [
      '--headless',
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
    defaultViewport: { width: 1280, height: 800 },
  });
