import { availableParallelism } from 'node:os';
import { defineConfig } from '@playwright/test';
// @ts-expect-error A script without types: it also runs before anything is installed.
import { chromium } from './scripts/chromium.mjs';

/** The browser that Debian ships, told to keep to itself. */
export const browser = {
  browserName: 'chromium' as const,
  launchOptions: {
    executablePath: chromium() ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  },
};

export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  fullyParallel: true,
  workers: availableParallelism(),
  timeout: 60_000,
  expect: { timeout: 10_000 },
  reporter: [['list']],
  use: {
    ...browser,
    viewport: { width: 1280, height: 800 },
    // Tests that take the server away want to see the page itself; the one of the shell lets it in.
    serviceWorkers: 'block',
    trace: process.env.AFTERSQUALL_TRACE ? 'retain-on-failure' : 'off',
    actionTimeout: 15_000,
  },
});
