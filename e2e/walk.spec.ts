import { expect, test } from './app.ts';

test('from the map to the mat, and all of it is there after a restart', async ({ page, demo }) => {
  await page.addInitScript(() => localStorage.setItem('aftersquall.bell', 'silent'));
  await page.goto(`${demo.url}/map/kelpwick`);

  // Follow the system on the chart.
  await expect(page.getByRole('heading', { name: 'Kelpwick Harbour Grappling' })).toBeVisible();
  await page.locator('.card-group.system button', { hasText: /^Collar and sleeve/ }).click();
  await page.locator('button.position-card', { hasText: 'Collar and sleeve, top kneeling' }).click();
  const sheet = page.getByRole('complementary', { name: 'The position' });
  await expect(
    sheet
      .getByRole('group', { name: 'Holds of bottom' })
      .getByText('right hand grips the near collar (cross, deep)'),
  ).toBeVisible();
  await expect(page).toHaveURL(/sel=position\.collar-sleeve/);

  // Ask: they stripped the collar, what now? Position, reaction, answer.
  await page.keyboard.press('2');
  await expect(page.getByRole('heading', { name: 'Where are you?' })).toBeVisible();
  await page.getByRole('button', { name: /^Collar and sleeve \d/ }).click();
  await page.getByRole('button', { name: 'Collar and sleeve, top kneeling' }).click();
  await page.getByRole('button', { name: 'Strips the collar grip' }).click();
  const ready = page.getByRole('region', { name: 'Ready now' });
  await expect(ready.getByRole('article').first()).toContainText('Collar hand joins on the sleeve');
  await expect(ready.getByRole('article').first()).toContainText('8times in 10');
  await ready.getByRole('button', { name: 'Two hands on one sleeve' }).click();
  await expect(page).toHaveURL(/at=two-on-one/);

  // Build a class that fits its minutes.
  await page.keyboard.press('5');
  await page.getByRole('button', { name: 'A review' }).click();
  await expect(page.getByRole('heading', { name: 'What do you want to go through again?' })).toBeVisible();
  await page.getByLabel('Name').fill('Friday: the sleeve');
  await page.getByLabel('Minutes').fill('40');
  await page.getByRole('button', { name: /Cover all of Collar and sleeve/ }).click();
  await page.getByRole('button', { name: 'Build the class' }).click();
  await expect(page).toHaveURL(/club\/classes\/friday-the-sleeve$/);
  await expect(page.getByText(/of 40:00/)).toBeVisible();
  await expect(page.getByText(/which is the least possible/)).toBeVisible();
  await expect(page.getByText('too long')).toHaveCount(0);
  const blocks = page.getByRole('list', { name: 'Time line' }).getByRole('listitem');
  const second = (await blocks.nth(1).getAttribute('aria-label'))!;
  await blocks.nth(1).getByRole('button').click();
  await page.getByRole('button', { name: `Earlier: ${second}` }).click();
  await expect(blocks.first()).toHaveAttribute('aria-label', second);
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();

  // Run it.
  await page.clock.install({ time: new Date('2026-03-02T18:00:00Z') });
  await page.getByRole('link', { name: 'Run on the mat' }).click();
  const timer = page.getByRole('timer');
  await expect(timer).toHaveText('1:00');
  await page.clock.pauseAt(new Date('2026-03-02T19:00:00Z'));
  await page.keyboard.press('Space');
  // Counted down to for five seconds, then twenty of it.
  await page.clock.runFor(25_000);
  await expect(timer).toHaveText('0:40');
  await page.keyboard.press('Space');
  await page.clock.runFor(60_000);
  await expect(timer).toHaveText('0:40');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Partner A on the bottom', { exact: true })).toBeVisible();

  // The application ends and begins again: the class and where it stood are still there.
  await page.clock.resume();
  await demo.stop();
  await demo.start();
  await page.goto(`${demo.url}/club/classes/friday-the-sleeve`);
  await expect(blocks.first()).toHaveAttribute('aria-label', second);
});
