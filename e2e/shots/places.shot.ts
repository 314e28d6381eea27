import type { Page } from '@playwright/test';
import { expect, test } from '../app.ts';

/** The chart in its computed places, no longer in its first ones. */
const isLaidOut = (page: Page) =>
  expect(page.getByRole('group', { name: 'Chart of the guard systems' })).toHaveAttribute(
    'aria-busy',
    'false',
  );
const shot = (name: string) => ({ path: `docs/screenshots/${name}.png` });

test('pictures of every place, from the demo', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick`);
  await expect(page.locator('.card-group.system')).toHaveCount(7);
  await expect(page.locator('.edge title').first()).toContainText('times a round');
  await isLaidOut(page);
  await page.screenshot(shot('map'));

  await page.goto(`${demo.url}/map/kelpwick?system=half-guard`);
  await expect(page.locator('button.position-card', { hasText: 'Half guard, knee shield' })).toBeVisible();
  await expect(page.locator('.worth').first()).toBeVisible();
  await isLaidOut(page);
  await page.screenshot(shot('map-system'));

  await page.goto(`${demo.url}/map/kelpwick?system=cross-sleeve&sel=position.cross-sleeve`);
  await expect(page.getByRole('complementary')).toBeVisible();
  await isLaidOut(page);
  await page.screenshot(shot('map-sheet'));

  await page.goto(`${demo.url}/map/kelpwick?view=board&system=cross-sleeve&cell=x-tip.widen-base`);
  await expect(page.locator('.board-cell.hole.here')).toBeVisible();
  await page.locator('.board-cell.hole.here').dblclick();
  await page.keyboard.type('top');
  await expect(page.getByRole('listbox')).toBeVisible();
  await page.screenshot(shot('board'));

  await page.goto(`${demo.url}/map/kelpwick?view=board&system=butterfly&pane=lines`);
  await page.getByRole('textbox', { name: 'Lines of the system' }).click();
  await page.keyboard.press('Control+End');
  await page.keyboard.insertText(
    'Two hooks, over and under: Sit-up sweep | tripods -> top-side 30% else Single-leg X',
  );
  await expect(page.getByText('new move Sit-up sweep')).toBeVisible();
  await page.screenshot(shot('lines'));

  await page.goto(`${demo.url}/map/kelpwick/read?at=collar-sleeve&met=strip-collar`);
  await expect(page.getByRole('heading', { name: 'Ready now' })).toBeVisible();
  await expect(page.locator('.worth').first()).toBeVisible();
  await page.screenshot(shot('read'));

  await page.goto(`${demo.url}/map/kelpwick/read?at=cross-sleeve`);
  await page
    .getByRole('group', { name: 'How to say where we are' })
    .getByRole('button', { name: 'Holds' })
    .click();
  await page.getByRole('button', { name: 'our right foot, holding' }).press('Enter');
  await page.getByRole('button', { name: 'let go' }).click();
  await page.getByRole('button', { name: 'Stands up' }).click();
  await expect(page.getByRole('heading', { name: 'Ready now' })).toBeVisible();
  await page.screenshot(shot('read-holds'));

  await page.goto(`${demo.url}/map/kelpwick/weigh?at=triangle&see=dilemmas`);
  await page.getByText('What to train so that they look the same').first().click();
  await page.screenshot(shot('weigh'));

  await page.goto(`${demo.url}/map/kelpwick/weigh?at=collar-sleeve-standing&see=opponent`);
  await page.getByLabel('What-if', { exact: true }).selectOption('Marten again');
  await page.getByLabel('Beside').selectOption('Beside: the map as it is');
  await expect(page.getByRole('note')).toBeVisible();
  await page.screenshot(shot('weigh-opponent'));

  await page.goto(`${demo.url}/map/kelpwick/balance?move=over-under-sweep`);
  await expect(page.getByRole('group', { name: 'Top from above on the mat' })).toBeVisible();
  await page.screenshot(shot('balance'));

  await page.goto(`${demo.url}/club/classes/tuesday`);
  await expect(page.getByRole('listitem').first()).toBeVisible();
  await page.screenshot(shot('drills'));

  await page.goto(`${demo.url}/club/mat/tuesday`);
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('timer')).toBeVisible();
  await page.screenshot(shot('mat'));
});
