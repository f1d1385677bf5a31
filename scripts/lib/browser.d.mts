import type { Browser } from 'puppeteer-core';

/** Debian's Chromium, without a monitor; see browser.mjs. */
export function launchBrowser(viewport?: { width: number; height: number }): Promise<Browser>;
