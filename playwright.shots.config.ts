import { defineConfig } from '@playwright/test';
import { browser } from './playwright.config.ts';

export default defineConfig({
  testDir: 'e2e/shots',
  testMatch: '*.shot.ts',
  workers: 1,
  timeout: 120_000,
  reporter: [['list']],
  use: { ...browser, viewport: { width: 1280, height: 800 } },
});
