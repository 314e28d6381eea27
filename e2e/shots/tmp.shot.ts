import { test } from '../app.ts';

test('log', async ({ page, shipped }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto(`${shipped.url}/map/kelpwick`);
  await page.getByRole('link', { name: 'Log' }).click();
  for (const part of ['next', 'evidence', 'faults', 'kept']) {
    await page.goto(`${shipped.url}/club/log?part=${part}&weeks=26`);
    await page.waitForTimeout(1800);
    await page.screenshot({ path: `/tmp/l-${part}.png` });
  }
  await page.goto(`${shipped.url}/club/log?session=demo-class-14&weeks=26`);
  await page.waitForTimeout(1800);
  await page.screenshot({ path: '/tmp/l-session.png' });
  await page.goto(`${shipped.url}/club/mat/tuesday`);
  await page.waitForTimeout(1500);
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Space');
  await page.waitForTimeout(1500);
  await page.screenshot({ path: '/tmp/m-run.png' });
  await page.keyboard.press('c');
  await page.waitForTimeout(800);
  await page.screenshot({ path: '/tmp/m-count.png' });
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${shipped.url}/recall/kelpwick?group=evening`);
  await page.getByLabel('What you go by').fill('Gull');
  await page.keyboard.press('Enter');
  await page.waitForTimeout(2500);
  await page.locator('section button').first().click();
  await page.waitForTimeout(500);
  await page.screenshot({ path: '/tmp/recall.png' });
});
