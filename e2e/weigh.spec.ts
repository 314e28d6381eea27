import type { Page } from '@playwright/test';
import { expect, test } from './app.ts';

const entryValue = (page: Page) =>
  page.getByRole('region', { name: 'Values' }).locator('.entry-value b').first();
const weighed = (page: Page) =>
  expect(page.getByRole('status').filter({ hasText: /^Weighed$/ })).toBeAttached();

test('a what-if moves the value of the map at once', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/weigh`);
  await expect(entryValue(page)).toHaveText(/^-?\d+\.\d\d$/);
  await weighed(page);
  const before = Number(await entryValue(page).textContent());

  const worth = page.getByRole('slider', { name: /^A submission is worth/ });
  await worth.focus();
  await page.keyboard.press('End');
  await expect(worth).toHaveAccessibleName('A submission is worth 20 points');
  // Bottom attacks more than top does in this map, and the dearest submissions are its own.
  await expect.poll(async () => Number(await entryValue(page).textContent())).toBeGreaterThan(before);
  const dear = Number(await entryValue(page).textContent());

  // What is not allowed can only cost bottom.
  await page.getByLabel('Without').selectOption('Without hooks');
  await expect.poll(async () => Number(await entryValue(page).textContent())).toBeLessThan(dear);
  const hooked = Number(await entryValue(page).textContent());
  await page.getByLabel('Without').selectOption('Top never: Drives forward');
  await expect.poll(async () => Number(await entryValue(page).textContent())).toBeGreaterThan(hooked);
});

test('a value opens down to the exchange it comes from', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/weigh`);
  await page
    .getByRole('region', { name: 'Values' })
    .getByRole('button', { name: /^X-guard, both hands/ })
    .click();
  const plan = page.getByRole('region', { name: 'The plan' });
  await expect(plan.getByRole('heading', { name: /^X-guard, both hands/ })).toBeVisible();
  await expect(page).toHaveURL(/at=x-both/);

  // The plan's shares are a mix: in each look they are whole.
  const look = plan.getByRole('article').first();
  const shares = await look.locator('tbody th .share').allTextContents();
  const sum = shares.reduce((all, text) => all + Number.parseInt(text, 10), 0);
  expect(Math.abs(sum - 100)).toBeLessThanOrEqual(shares.length);

  await look.getByRole('cell').getByRole('link').first().click();
  await expect(page).toHaveURL(/map\?sel=exchange\./);
  await expect(page.getByRole('complementary').getByLabel('Chance').first()).toBeVisible();
});

test('holes stand by what they cost, and lead to the cell that would mend them', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/weigh`);
  const fix = page.getByRole('region', { name: 'What to fix first' });
  await expect(fix.getByRole('heading', { name: 'Holes by what they cost' })).toBeVisible();
  const holes = fix.getByRole('list').first().getByRole('listitem');
  await expect(holes.first()).toBeVisible();
  const stakes = (await holes.locator('b').allTextContents()).map(Number);
  expect(stakes).toEqual([...stakes].sort((a, b) => b - a));

  await holes.first().getByRole('link').click();
  await expect(page.getByRole('grid', { name: 'Answer board' })).toBeVisible();
  await expect(page.locator('.board-cell.hole.here')).toBeVisible();
});

test('what the game rests on, and how its rounds end', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/weigh?at=x-guard`);
  await page.getByRole('button', { name: 'Holds', exact: true }).click();
  await page.getByRole('button', { name: 'Take them away one by one' }).click();
  const lost = page.getByRole('list', { name: 'Lost without' }).getByRole('listitem');
  await expect(lost).toHaveCount(10);
  const differences = (await lost.locator('b').allTextContents()).map(Number);
  expect(differences).toEqual([...differences].sort((a, b) => b - a));
  expect(differences[0]).toBeGreaterThan(0);

  await page.getByRole('button', { name: 'How it ends' }).click();
  await expect(page.getByRole('heading', { name: 'How rounds end from X-guard' })).toBeVisible();
  const rows = page.getByRole('table', { name: 'Chance of each end' }).locator('tbody').getByRole('row');
  await expect(rows.first().getByRole('cell').nth(1)).toHaveText(/± \d/);
  let whole = 0;
  for (const row of await rows.all()) {
    const [exact, played] = await row.getByRole('cell').allTextContents();
    const [share, error] = played!.split('±').map(Number.parseFloat);
    whole += Number.parseFloat(exact!);
    // Rounded to a tenth of a per cent on both sides.
    expect(Math.abs(share! - Number.parseFloat(exact!))).toBeLessThanOrEqual(4 * error! + 0.3);
  }
  expect(whole).toBeCloseTo(100, 0);
});

test('the likeliest chains to an end, each step open to its exchange', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/weigh?at=collar-sleeve`);
  await page.getByRole('button', { name: 'Best chains' }).click();
  await page.getByLabel('Ending').selectOption('top-side');
  const chains = page.getByRole('list', { name: 'Best chains' }).getByRole('listitem');
  await expect(chains.first()).toBeVisible();
  const chances = (await chains.locator('b').allTextContents()).map(Number.parseFloat);
  expect(chances).toHaveLength(5);
  expect(chances).toEqual([...chances].sort((a, b) => b - a));

  await chains.first().getByRole('link').last().click();
  await expect(page).toHaveURL(/map\?sel=exchange\./);
});

test('an empty map says why it cannot be weighed, a chosen rules profile who decides', async ({
  page,
  empty,
}) => {
  await page.goto(empty.url);
  await page.getByLabel('Name of the map').fill('Mine');
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: 'Weigh' }).click();
  await expect(page.getByRole('heading', { name: 'This map cannot be weighed yet' })).toBeVisible();
  await expect(page.getByText('give at least one an entry weight')).toBeVisible();
  await page.getByLabel('Rules').selectOption({ index: 1 });
  await expect(page.getByText('The event’s current rule book decides.')).toBeVisible();
  await page.getByRole('main').getByRole('link', { name: 'To the map' }).click();
  await expect(page.getByRole('heading', { name: 'An empty map' })).toBeVisible();
});
