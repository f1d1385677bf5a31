import puppeteer from 'puppeteer-core';

/** Debian's Chromium, without a monitor and without asking anything of the network. */
export const launchBrowser = (viewport = { width: 1280, height: 800 }) =>
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
    defaultViewport: viewport,
  });
