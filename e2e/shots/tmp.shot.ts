import { test } from '../app.ts';

test('pics', async ({ page, shipped }) => {
  page.on('pageerror', (e) => console.log('E', e.stack?.slice(0, 900)));
  page.on('console', (m) => m.type() === 'error' && console.log('C', m.text().slice(0, 300)));
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${shipped.url}/map/kelpwick/read`);
  await page.waitForTimeout(9000);
  await page.screenshot({ path: '/tmp/p1.png' });
  await page.goto(`${shipped.url}/map/kelpwick/read?at=collar-sleeve-kneeling&met=strip-collar`);
  await page.waitForTimeout(5000);
  await page.screenshot({ path: '/tmp/p2.png' });
  await page.goto(`${shipped.url}/map/kelpwick?system=cross-sleeve&sel=position.cross-sleeve-kneeling`);
  await page.waitForTimeout(6000);
  await page.screenshot({ path: '/tmp/p3.png' });
  await page.goto(`${shipped.url}/club/classes/tuesday`);
  await page.waitForTimeout(4000);
  await page.screenshot({ path: '/tmp/p4.png' });
});
