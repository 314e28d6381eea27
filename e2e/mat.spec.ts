import { expect, test } from './app.ts';

test('the clock rings, changes over and goes on where it was after the tablet went dark', async ({
  page,
  demo,
}) => {
  await page.addInitScript(() => localStorage.setItem('aftersquall.bell', 'silent'));
  await page.clock.install({ time: new Date('2026-03-02T18:00:00Z') });
  await page.goto(`${demo.url}/club/mat`);
  await page.getByRole('link', { name: /^Tuesday/ }).click();
  const rings = () => page.evaluate(() => document.documentElement.dataset.rings);
  await expect(page.getByRole('timer')).toHaveText('1:00');
  await page.clock.pauseAt(new Date('2026-03-02T19:00:00Z'));
  await page.keyboard.press('Space');
  expect(await rings()).toBe('start');
  await page.clock.runFor(60_500);
  await expect(page.getByText('Partner A on the bottom', { exact: true })).toBeVisible();
  await expect(page.getByText('Side as shown')).toBeVisible();
  expect(await rings()).toBe('start start');
  const seconds = (text: string) => text.split(':').reduce((sum, part) => sum * 60 + Number(part), 0);
  const reading = async () => {
    await expect(page.getByRole('timer')).toBeVisible();
    return page.evaluate(() => [document.querySelector('[role=timer]')!.textContent!, Date.now()] as const);
  };
  const [left, then] = await reading();

  // The tablet sleeps, and the page is loaded anew: the wall clock went on meanwhile.
  await page.clock.resume();
  await page.clock.fastForward(5_000);
  await page.reload();
  const [later, now] = await reading();
  expect(now - then).toBeGreaterThanOrEqual(5_000);
  expect(Math.abs(seconds(left) - seconds(later) - (now - then) / 1000)).toBeLessThanOrEqual(1.2);

  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Change over', { exact: true })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Partner B on the bottom', { exact: true })).toBeVisible();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByText('Change over', { exact: true })).toBeVisible();
});

test('a class without blocks to run says what to do', async ({ page, empty }) => {
  await page.goto(`${empty.url}/club/mat`);
  await expect(page.getByText('No class is saved yet.')).toBeVisible();
});

test('nothing is cut on a phone', async ({ page, demo }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${demo.url}/club/mat/tuesday`);
  await expect(page.getByRole('timer')).toBeInViewport({ ratio: 1 });
  await expect(page.getByRole('button', { name: 'Full screen' })).toBeInViewport({ ratio: 1 });
  await expect(page.getByText(/^0:00 of/)).toBeInViewport({ ratio: 1 });
});
