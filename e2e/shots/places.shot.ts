import type { Page } from '@playwright/test';
import { expect, test } from '../app.ts';

/** The chart in its computed places, no longer in its first ones. */
const isLaidOut = (page: Page) =>
  expect(page.getByRole('group', { name: 'Chart of the guard systems' })).toHaveAttribute(
    'aria-busy',
    'false',
  );
/** Every picture in sight is drawn: no glyph stands in its place. */
const pictured = (page: Page) =>
  page.waitForFunction(() =>
    [...document.querySelectorAll('.limb-glyph')].every((glyph) => {
      const { top, bottom, left, right } = glyph.getBoundingClientRect();
      return bottom < 0 || right < 0 || top > innerHeight || left > innerWidth;
    }),
  );
const shot = (name: string) => ({ path: `docs/screenshots/${name}.png` });

test('pictures of every place, from the demo', async ({ page, shipped }) => {
  // Nothing halfway to where it goes.
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.goto(shipped.url);
  await expect(page.getByRole('link', { name: 'See the answers' })).toBeVisible();
  await pictured(page);
  await page.screenshot(shot('tonight'));

  await page.goto(`${shipped.url}/map/kelpwick`);
  await expect(page.locator('.card-group.system')).toHaveCount(11);
  await expect(page.locator('.edge title').first()).toContainText('round');
  await isLaidOut(page);
  await pictured(page);
  await page.screenshot(shot('map'));

  await page.goto(`${shipped.url}/map/kelpwick?system=half-guard`);
  await expect(page.locator('button.position-card', { hasText: 'Half guard, knee shield' })).toBeVisible();
  await expect(page.locator('.worth').first()).toBeVisible();
  await isLaidOut(page);
  await pictured(page);
  await page.screenshot(shot('map-system'));

  await page.goto(`${shipped.url}/map/kelpwick?system=cross-sleeve&sel=position.cross-sleeve-kneeling`);
  await expect(page.getByRole('complementary')).toBeVisible();
  await isLaidOut(page);
  await pictured(page);
  await page.screenshot(shot('map-sheet'));

  await page.goto(`${shipped.url}/map/kelpwick?view=board&system=butterfly&cell=one-hook-sweep.none`);
  await expect(page.getByRole('grid', { name: 'Answer board' })).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.type('flatt');
  await expect(page.getByRole('listbox')).toBeVisible();
  await page.screenshot(shot('board'));

  await page.goto(`${shipped.url}/map/kelpwick?view=board&system=butterfly&pane=lines`);
  await page.getByRole('textbox', { name: 'Lines of the system' }).click();
  await page.keyboard.press('Control+Home');
  await page.keyboard.insertText(
    'Over and under, two hooks: Sit-up sweep | Widens the base -> top-side 30% else Single-leg X\n',
  );
  await expect(page.getByText('new move Sit-up sweep')).toBeVisible();
  await page.screenshot(shot('lines'));

  await page.goto(`${shipped.url}/map/kelpwick?view=handbook&system=butterfly`);
  await expect(page.getByRole('article', { name: 'Handbook' })).toBeVisible();
  await pictured(page);
  await page.screenshot(shot('handbook'));

  await page.goto(`${shipped.url}/club/term`);
  await expect(page.getByRole('region', { name: 'Still fresh' })).toBeVisible();
  await pictured(page);
  await page.screenshot(shot('term'));

  await page.goto(`${shipped.url}/map/kelpwick/read`);
  await expect(page.getByRole('group', { name: 'Closed guard' })).toBeVisible();
  await pictured(page);
  await page.screenshot(shot('read-wall'));

  await page.goto(`${shipped.url}/map/kelpwick/read?at=collar-sleeve-kneeling&met=strip-collar`);
  await expect(page.getByRole('heading', { name: 'Ready now' })).toBeVisible();
  await expect(page.locator('.worth').first()).toBeVisible();
  await pictured(page);
  await page.screenshot(shot('read'));

  await page.goto(`${shipped.url}/map/kelpwick/read?at=cross-sleeve-kneeling`);
  await page
    .getByRole('group', { name: 'How to say where you are' })
    .getByRole('button', { name: 'Holds' })
    .click();
  await page.getByRole('button', { name: 'our right foot, holding' }).press('Enter');
  await page.getByRole('button', { name: 'let go' }).click();
  await page.getByRole('button', { name: 'Stands up' }).click();
  await expect(page.getByRole('heading', { name: 'Ready now' })).toBeVisible();
  await pictured(page);
  await page.screenshot(shot('read-holds'));

  await page.goto(`${shipped.url}/map/kelpwick/weigh`);
  await expect(page.getByRole('region', { name: 'What hurts it' })).toBeVisible();
  await pictured(page);
  await page.screenshot(shot('weigh-round'));

  await page.goto(`${shipped.url}/map/kelpwick/weigh?at=butterfly&see=dilemmas`);
  await page.getByText('What to train so that they start the same').first().click();
  await page.screenshot(shot('weigh'));

  await page.goto(`${shipped.url}/map/kelpwick/weigh?at=collar-sleeve-standing&see=opponent`);
  await page.getByLabel('What-if', { exact: true }).selectOption('Marten again');
  await page.getByLabel('Compare with').selectOption('Compare with: the map as it is');
  await expect(page.getByRole('note')).toBeVisible();
  await page.screenshot(shot('weigh-opponent'));

  await page.goto(`${shipped.url}/map/kelpwick/balance?move=scissor`);
  await expect(page.getByRole('group', { name: 'Top from above on the mat' })).toBeVisible();
  await pictured(page);
  await page.screenshot(shot('balance'));

  await page.goto(`${shipped.url}/club/classes/tuesday`);
  await expect(page.getByRole('region', { name: 'What it teaches' })).toBeVisible();
  await pictured(page);
  await page.screenshot(shot('lesson'));

  await page.goto(`${shipped.url}/club/mat/tuesday`);
  await expect(page.getByRole('timer')).toBeVisible();
  await page.getByRole('button', { name: 'Who is here', exact: true }).click();
  await page
    .getByRole('group', { name: 'Who is here' })
    .getByRole('button', { name: /^All of/ })
    .click();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Go to a block' }).click();
  await page
    .getByRole('group', { name: 'Go to' })
    .getByRole('button', { name: /^Lasso sweep/ })
    .click();
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await expect(page.getByText('Partner A on the bottom')).toBeVisible();
  await pictured(page);
  await page.keyboard.press('b');
  await page.keyboard.press('c');
  const counting = page.getByRole('region', { name: 'Count what you see' });
  await counting.getByLabel('Who tried').selectOption('Gull');
  await counting.getByRole('button', { name: 'Worked' }).click();
  await counting.getByRole('button').first().click();
  await expect(counting.getByRole('button').first()).toContainText('1');
  await page.keyboard.press('b');
  await page.screenshot(shot('mat'));

  await page.goto(`${shipped.url}/club/log?weeks=all`);
  await expect(page.getByRole('region', { name: 'Fading' }).getByRole('listitem').first()).toBeVisible();
  await page.screenshot(shot('log'));
  await page.goto(`${shipped.url}/club/log?part=evidence&weeks=all`);
  await expect(page.getByRole('button', { name: /^Use the counted results for all/ })).toBeVisible();
  await page.screenshot(shot('log-evidence'));
});
