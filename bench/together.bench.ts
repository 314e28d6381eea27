import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { browser } from '../playwright.config.ts';
// @ts-expect-error A script without types: it also runs before anything is installed.
import { needChromium } from '../scripts/chromium.mjs';
import { median } from './timed.ts';

/** An edit on the board of the demo's map, from the Enter that ends it to where it is seen. */
const BOARD = 'map/kelpwick?view=board&system=butterfly';
const ROUNDS = 20;

needChromium();
const folder = mkdtempSync(path.join(tmpdir(), 'aftersquall-bench-'));
const server = spawn(process.execPath, ['apps/server/dist/main.js'], {
  env: {
    ...process.env,
    AFTERSQUALL_PORT: '0',
    AFTERSQUALL_DATABASE: path.join(folder, 'bench.db'),
    AFTERSQUALL_SEED: 'demo',
  },
});
const url = await new Promise<string>((resolve) => {
  server.stdout.on('data', (text) => {
    const found = /http:\/\/[\d.]+:\d+/.exec(String(text));
    if (found) resolve(found[0]);
  });
});
const driven = await chromium.launch(browser.launchOptions);
const open = async (): Promise<Page> => {
  const page = await (await driven.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.goto(`${url}/${BOARD}`);
  await cell(page).waitFor();
  return page;
};
const cell = (page: Page) => page.getByRole('gridcell', { name: /^One-hook sweep, Nothing/ });
/** When the cell first says a chance, by the machine's clock. */
const seen = (page: Page, chance: number) =>
  page.evaluate(
    (words) =>
      new Promise<number>((resolve) => {
        new MutationObserver((_, watch) => {
          const found = [...document.querySelectorAll('[role="gridcell"]')].some((one) => {
            const name = one.getAttribute('aria-label') ?? '';
            return name.startsWith('One-hook sweep, Nothing') && name.includes(words);
          });
          if (!found) return;
          watch.disconnect();
          requestAnimationFrame(() => resolve(Date.now()));
        }).observe(document.body, { subtree: true, attributes: true, childList: true });
      }),
    `, ${chance} %`,
  );

const [one, two] = [await open(), await open()];
await one.evaluate(() => {
  addEventListener(
    'keydown',
    ({ key }) => {
      if (key === 'Enter') Object.assign(window, { entered: Date.now() });
    },
    true,
  );
});
const here: number[] = [];
const there: number[] = [];
for (let round = 0; round < ROUNDS; round++) {
  const chance = 21 + round;
  await cell(one).click();
  await one.keyboard.type(`top-mount ${chance}%`);
  const shown = [seen(one, chance), seen(two, chance)];
  await one.keyboard.press('Enter');
  const [first, second] = (await Promise.all(shown)) as [number, number];
  const entered = await one.evaluate(() => (window as unknown as { entered: number }).entered);
  here.push(first - entered);
  there.push(second - entered);
}
console.log(`\nFrom Enter in a cell to the picture, the middle of ${ROUNDS}`);
console.log(`  ${median(here)} ms in the browser itself`);
console.log(
  `  ${median(there)} ms in another browser on the same machine (slowest ${Math.max(...there)}; aim: under 1000), ${(median(there) / median(here)).toFixed(1)} times as long`,
);
await driven.close();
server.kill();
rmSync(folder, { recursive: true });
