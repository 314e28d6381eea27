import { test } from '../app.ts';

test('sheet', async ({ page, shipped }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto(`${shipped.url}/map/kelpwick?system=butterfly&sel=position.butterfly`);
  await page.getByRole('complementary', { name: 'The position' }).waitFor();
  await page.goto(`${shipped.url}/map/kelpwick/balance`);
  await page.getByLabel('Sweep', { exact: true }).selectOption({ index: 4 });
  await page.waitForTimeout(3500);
  await page.screenshot({ path: '/tmp/b1.png' });
});
