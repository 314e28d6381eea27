import { expect, test } from './app.ts';

test('a map is begun from nothing, and every kind of thing survives a restart', async ({ page, empty }) => {
  await page.goto(empty.url);
  await page.getByRole('button', { name: 'Start the map' }).click();
  await expect(page.getByText('give it a name')).toBeVisible();
  await page.getByLabel('Name of the map').fill('My half guard');
  await page.getByRole('button', { name: 'Start the map' }).click();
  await expect(page.getByRole('heading', { name: 'An empty map' })).toBeVisible();

  await page.keyboard.press('n');
  await page.getByLabel('Name', { exact: true }).fill('Knee shield');
  await page.keyboard.press('Enter');
  const position = page.getByRole('complementary', { name: 'The position' });
  await position
    .getByRole('group', { name: 'Holds of bottom' })
    .getByRole('button', { name: 'hold' })
    .click();
  await position.getByRole('button', { name: 'left hand', exact: true }).click();
  await position.getByLabel('On', { exact: true }).selectOption('wrist');
  await position.getByRole('button', { name: 'Add the hold' }).click();
  await expect(
    position.getByRole('group', { name: 'Holds of bottom' }).getByText('left hand grips the near wrist'),
  ).toBeVisible();

  // One hand on two holds is saved, flagged and named, never silently kept.
  await position
    .getByRole('group', { name: 'Holds of bottom' })
    .getByRole('button', { name: 'hold', exact: true })
    .click();
  await position.getByRole('button', { name: 'left hand', exact: true }).click();
  await position.getByLabel('On', { exact: true }).selectOption('ankle');
  await position.getByRole('button', { name: 'Add the hold' }).click();
  await expect(position.getByText('left hand holds the near wrist and the near ankle')).toBeVisible();
  await expect(page.getByText('1 error')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('1 error')).toHaveCount(0);

  await page.getByRole('button', { name: 'Add something else' }).click();
  await page.getByRole('button', { name: 'Reaction', exact: true }).click();
  await page.getByRole('dialog').getByLabel('Name').fill('Crossface');
  await page.keyboard.press('Enter');
  const reaction = page.getByRole('complementary', { name: 'The reaction' });
  await reaction.getByLabel('How bottom feels it coming').fill('The shoulder comes under the chin.');
  await page.keyboard.press('Tab');

  await page.locator('button.position-card', { hasText: 'Knee shield' }).click();
  await position.getByRole('button', { name: 'move that starts in its own way' }).click();
  const move = page.getByRole('complementary', { name: 'The move' });
  await move.getByLabel('Name', { exact: true }).fill('Underhook and come up');
  await page.keyboard.press('Enter');
  await move.getByLabel('Add an answer').selectOption({ label: 'Crossface' });
  const exchange = page.getByRole('complementary', { name: 'The answer' });
  await exchange.getByLabel('If it works').selectOption({ label: 'on top in side control' });
  await exchange.getByLabel('Chance').fill('140');
  await page.keyboard.press('Enter');
  await expect(exchange.getByText('Give a chance from 0 to 100 %.')).toBeVisible();
  await exchange.getByLabel('Chance').fill('35');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();

  await empty.stop();
  await empty.start();
  await page.goto(empty.url);
  await page.getByRole('link', { name: 'Map' }).click();
  await page.locator('button.position-card', { hasText: 'Knee shield' }).click();
  await expect(
    position.getByRole('group', { name: 'Holds of bottom' }).getByText('left hand grips the near wrist'),
  ).toBeVisible();
  await expect(
    position.getByRole('button', { name: 'Crossface → on top in side control 35 %' }),
  ).toBeVisible();
});

test('a hole is seen as a gap and answered from the sheet', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick?fold=none&sel=position.x-guard`);
  const sheet = page.getByRole('complementary', { name: 'The position' });
  const count = page.getByRole('button', { name: /^What needs work/ });
  await expect(count).toContainText('3 holes');
  await sheet.getByRole('button', { name: 'Widens the base no answer yet' }).click();
  await expect(page.getByRole('complementary', { name: 'The answer' })).toBeVisible();
  await expect(count).toContainText('2 holes');
});

test('what is removed can be had back, and with it what hung on it', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick?fold=none&sel=position.triangle`);
  await page.getByRole('button', { name: 'Remove this position' }).click();
  await expect(page.locator('button.position-card', { hasText: 'Triangle locked' })).toHaveCount(0);
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('button.position-card', { hasText: 'Triangle locked' })).toBeVisible();
  await page.locator('button.position-card', { hasText: 'Triangle locked' }).click();
  await expect(page.getByText('Finish the triangle')).toBeVisible();
});

test('one system at a time, and the first cards within reach', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick`);
  await expect(page.locator('button.position-card').first()).toBeVisible();
  const painted = await page.evaluate(() => performance.now());
  console.log(`map of the demo on screen after ${Math.round(painted)} ms`);
  await expect(page.locator('.card-group.system')).toHaveCount(7);
  // Each says its way in, its best end, what it holds and what it is worth.
  const collar = page.locator('button.position-card', { hasText: /^Collar and sleeve/ });
  await expect(collar).toContainText(/way in.*ends in ▲.*6 positions/);
  await expect(collar.getByRole('img').first()).toBeVisible();
  await collar.click();
  await expect(page).toHaveURL(/system=collar-and-sleeve/);
  await expect(page.locator('.card-group.position')).toHaveCount(7);
  await expect(page.locator('.card-group.gate').first()).toBeVisible();
  // Filters leave what fits, and say how many are in use.
  await page.getByRole('button', { name: 'Filters, 0 in use' }).click();
  await page.getByRole('group', { name: 'Filters' }).getByLabel('Level').selectOption('novice');
  await expect(page.locator('button.position-card', { hasText: 'Triangle locked' })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Filters, 1 in use' })).toBeVisible();
});

test('what fails is drawn, steps back when asked, and is lit with its card', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick?system=collar-and-sleeve`);
  // The cards stand where they will stay.
  await expect(page.getByRole('group', { name: 'Chart of the guard systems' })).toHaveAttribute(
    'aria-busy',
    'false',
  );
  const failing = page.locator('path.edge', { has: page.locator('title', { hasText: 'when they fail' }) });
  await expect(failing.first()).toBeAttached();
  const shownAt = () => failing.evaluateAll((lines) => lines.map((line) => getComputedStyle(line).opacity));
  const before = await shownAt();
  await page.getByRole('button', { name: 'Filters, 0 in use' }).click();
  await page.getByLabel('Failed moves in the chart').selectOption('faded');
  await page.keyboard.press('Escape');
  const fainter = async () =>
    (await shownAt()).every((opacity, i) => Number(opacity) > 0 && Number(opacity) < Number(before[i]));
  await expect.poll(fainter).toBe(true);
  expect(await shownAt()).toHaveLength(before.length);
  await page.locator('button.position-card', { hasText: 'Triangle locked' }).hover();
  await expect
    .poll(async () => (await shownAt()).filter((opacity) => opacity === '1').length)
    .toBeGreaterThan(0);
});
