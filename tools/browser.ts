import type { Page } from '@playwright/test';

/** Debian's Chromium without its windows: how tests, benchmarks and pictures start it. */
export const BROWSER = {
  executablePath: '/usr/bin/chromium-headless-shell',
  args: [
    '--no-sandbox',
    '--disable-dev-shm-usage',
    '--disable-gpu',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--no-first-run',
  ],
};

/** Opens an address of a server that may still be starting. */
export async function visit(page: Page, url: string): Promise<void> {
  for (let tries = 0; tries < 100; tries++) {
    const isThere = await page.goto(url).then(
      () => true,
      () => false,
    );
    if (isThere) return;
    await new Promise((go) => setTimeout(go, 200));
  }
  throw new Error(`Nothing answers at ${url}.`);
}
