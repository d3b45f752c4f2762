import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';
import { BROWSER } from './tools/browser.ts';

export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.e2e.ts',
  build: { external: ['**/.cache/**'] },
  outputDir: '.e2e-out',
  workers: 2,
  timeout: 240_000,
  // Long enough for a machine that does other work as well.
  expect: { timeout: 60_000 },
  reporter: [['list'], ['json', { outputFile: '.e2e-out/report.json' }]],
  use: {
    baseURL: 'http://localhost:4399',
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    // What only moves takes a tenth of the time of tests.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: BROWSER,
  },
  webServer: {
    command: 'node dist/node/server.mjs',
    // What it knows of printers is kept apart from the user's own; it looks for devices here alone.
    env: {
      PORT: '4399',
      XDG_CONFIG_HOME: mkdtempSync(join(tmpdir(), 'peel-config-')),
      LOOK_IN: '127.0.0.1',
    },
    url: 'http://localhost:4399/api/health',
  },
});
