import { test } from '../app.ts';

test('term', async ({ page, shipped }) => {
  page.on('pageerror', (e) => console.log('E', e.stack?.slice(0, 900)));
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${shipped.url}/club/term`);
  await page.waitForTimeout(2500);
  await page.screenshot({ path: '/tmp/term1.png' });
  await page.getByRole('button', { name: 'Plan a term' }).click({ timeout: 4000 });
  await page.waitForTimeout(500);
  await page.screenshot({ path: '/tmp/term2.png' });
  await page.locator('main > div').evaluate((e) => e.scrollTo(0, 5000));
  await page.waitForTimeout(500);
  await page.screenshot({ path: '/tmp/term3.png' });
});
