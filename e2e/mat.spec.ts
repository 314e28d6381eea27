import { expect, test } from './app.ts';

test('the clock rings, changes over and goes on where it was after the tablet went dark', async ({
  page,
  demo,
}) => {
  await page.addInitScript(() => localStorage.setItem('aftersquall.bell', 'silent'));
  await page.clock.install({ time: new Date('2026-03-02T18:00:00Z') });
  await page.goto(`${demo.url}/kelpwick/mat`);
  await page.getByRole('link', { name: /^Tuesday/ }).click();
  const rings = () => page.evaluate(() => document.documentElement.dataset.rings);
  await page.keyboard.press('Space');
  expect(await rings()).toBe('start');
  await page.clock.runFor(60_500);
  await expect(page.getByText('Partner A on the bottom', { exact: true })).toBeVisible();
  await expect(page.getByText('Side as shown')).toBeVisible();
  expect(await rings()).toBe('start start');
  const left = await page.getByRole('timer').textContent();

  // The tab was asleep for five seconds and was then loaded anew: the wall clock went on.
  await page.reload();
  await page.clock.runFor(5_000);
  const [minutes, seconds] = left!.split(':').map(Number);
  const later = minutes! * 60 + seconds! - 5;
  const shown = (await page.getByRole('timer').textContent())!.split(':').map(Number);
  expect(Math.abs(shown[0]! * 60 + shown[1]! - later)).toBeLessThanOrEqual(1);

  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Change over', { exact: true })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Partner B on the bottom', { exact: true })).toBeVisible();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByText('Change over', { exact: true })).toBeVisible();
});

test('a class without blocks to run says what to do', async ({ page, empty, request }) => {
  await request.post(`${empty.url}/api/maps`, { data: { id: 'mine', name: 'Mine' } });
  await page.goto(`${empty.url}/mine/mat`);
  await expect(page.getByText('No class is saved for this map yet.')).toBeVisible();
});
