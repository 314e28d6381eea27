import { expect, test } from '../app.ts';

const shot = (name: string) => ({ path: `docs/screenshots/${name}.png` });

test('pictures of every place, from the demo', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/map`);
  await expect(page.getByRole('button', { name: 'Cross-sleeve guard' })).toBeVisible();
  await page.screenshot(shot('map'));

  await page.goto(`${demo.url}/kelpwick/map?sel=position.collar-sleeve`);
  await expect(page.getByRole('complementary')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Cross-sleeve guard' })).toBeVisible();
  await page.screenshot(shot('map-sheet'));

  await page.goto(`${demo.url}/kelpwick/read?at=collar-sleeve&met=strip-collar`);
  await expect(page.getByRole('heading', { name: 'Ready now' })).toBeVisible();
  await page.screenshot(shot('read'));

  await page.goto(`${demo.url}/kelpwick/drills/tuesday`);
  await expect(page.getByRole('listitem').first()).toBeVisible();
  await page.screenshot(shot('drills'));

  await page.goto(`${demo.url}/kelpwick/mat/tuesday`);
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('timer')).toBeVisible();
  await page.screenshot(shot('mat'));
});
