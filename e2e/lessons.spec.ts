import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, test } from './app.ts';

/** Opens the form behind the proposals, and says where the class starts. */
async function startFrom(page: Page, start: string) {
  await page.getByText('Something else').click();
  await page.getByLabel('Starts from').selectOption(start);
}

test('from nothing to a printed sheet: a place, an hour, and the whole class with its reasons', async ({
  page,
  shipped,
}) => {
  await page.goto(`${shipped.url}/club/classes`);
  await startFrom(page, 'Cross-sleeve guard, top standing');
  await page.getByLabel(/Start with:/).uncheck();
  await page.getByRole('button', { name: 'Make the class' }).click();
  const tree = page.getByRole('region', { name: 'What it teaches' });
  await expect(tree).toContainText(/By the end: \w+/);
  const steps = tree.locator('li[aria-label]');
  const taught = await steps.count();
  expect(taught).toBeGreaterThanOrEqual(3);
  expect(taught).toBeLessThanOrEqual(5);
  await expect(tree).toContainText('The attack that the class is about.');
  await expect(page.getByText(/^\d+:\d\d of 60:00$/)).toBeVisible();

  // The sheet on paper has every block, and so has the Markdown.
  const blocks = page.getByRole('list', { name: 'Time line' }).getByRole('listitem');
  const titles = await blocks.evaluateAll((items) => items.map((item) => item.getAttribute('aria-label')!));
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Markdown' }).click();
  const text = readFileSync(await (await download).path(), 'utf8');
  for (const title of titles) expect(text).toContain(title);
  await page.emulateMedia({ media: 'print' });
  const sheet = page.getByRole('article', { name: 'Class sheet' });
  await expect(sheet).toBeVisible();
  for (const title of titles) await expect(sheet).toContainText(title);
  for (const words of ['Start:', 'Do:', 'Coach calls:', 'Bottom wins:', 'Limit:'])
    await expect(sheet).toContainText(words);
  await expect(page.getByRole('navigation', { name: 'Classes' })).toBeHidden();
});

test('a move is pinned, left out or known already, and the class and its worth answer; one undo takes it back', async ({
  page,
  shipped,
}) => {
  await page.goto(`${shipped.url}/club/classes`);
  await startFrom(page, 'Single-leg X');
  await page.getByRole('button', { name: 'Make the class' }).click();
  const tree = page.getByRole('region', { name: 'What it teaches' });
  const first = tree.locator('li[aria-label]').first();
  const name = (await first.getAttribute('aria-label'))!;
  const taught = () =>
    tree
      .locator('li[aria-label]')
      .evaluateAll((items) => items.map((item) => item.getAttribute('aria-label')));
  const before = await taught();
  await tree.getByRole('button', { name: `Leave out ${name}` }).click();
  await expect(tree.getByRole('button', { name: `left out: ${name}` })).toBeVisible();
  await expect(tree.locator(`li[aria-label="${name}"]`)).toHaveCount(0);
  expect(await taught()).not.toEqual(before);
  await page.getByRole('heading', { name: 'Lessons' }).click();
  await page.keyboard.press('Control+z');
  await expect.poll(taught).toEqual(before);
  await expect(tree.locator(`li[aria-label="${name}"]`)).toHaveCount(1);
});

test('three classes are proposed, each with a picture and its aim, and each is made at a tap', async ({
  page,
  shipped,
}) => {
  await page.goto(`${shipped.url}/club/classes`);
  const proposed = page.getByRole('list', { name: 'Proposed classes' });
  const make = proposed.getByRole('button', { name: /^Make this class/ });
  await expect(make).toHaveCount(2, { timeout: 40_000 });
  const cards = proposed.getByRole('listitem');
  await expect(cards).toHaveCount(3);
  await expect(cards.nth(0)).toContainText(/Planned for Tuesday \d+ \w+, 18:30\./);
  await expect(cards.nth(1)).toContainText('What the Log asks for');
  for (const at of [1, 2]) {
    await expect(cards.nth(at)).toContainText(/By the end: \w.*\./);
    await expect(cards.nth(at).getByRole('img')).toBeVisible();
  }
  for (const at of [0, 1]) {
    await expect(make).toHaveCount(2, { timeout: 40_000 });
    const start = (await cards.nth(at + 1).getAttribute('aria-label'))!;
    await make.nth(at).click();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue(start);
    await expect(page.getByText(/^\d+:\d\d of 60:00$/)).toBeVisible();
    await page.getByRole('link', { name: 'New class' }).click();
  }
  await cards.nth(0).getByRole('link', { name: 'Open the class' }).click();
  await expect(page.getByRole('list', { name: 'Time line' })).toBeVisible();
});

test('a lesson that cannot be says why and what to do', async ({ page, empty, demo }) => {
  await page.goto(empty.url);
  await page.getByLabel('Name of the map').fill('Mine');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Mine' })).toBeVisible();
  await page.getByRole('link', { name: 'Lessons' }).click();
  await expect(page.getByText('The map has no moves yet')).toBeVisible();
  await page.goto(`${demo.url}/club/classes`);
  await page.getByLabel('People').fill('0');
  await page.getByLabel('Minutes').fill('soon');
  await page.getByRole('button', { name: 'Make the class' }).click();
  await expect(page.getByText('at least 1')).toBeVisible();
  await expect(page.getByText('minutes: give a number')).toBeVisible();
});

test('a class says what has changed in the map since, and takes it over', async ({ page, shipped }) => {
  await page.goto(`${shipped.url}/map/kelpwick?sel=move.lasso-tilt`);
  const name = page.getByRole('complementary').getByLabel('Name', { exact: true });
  await name.fill('Tip them over the laced arm');
  await name.press('Enter');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.goto(`${shipped.url}/club/classes/tuesday`);
  const note = page.getByRole('note').filter({ hasText: 'The map has changed since' });
  await expect(note).toContainText('Tip them over the laced arm');
  await note.getByRole('button').click();
  await expect(note).toHaveCount(0);
});

test('a position that is weighed becomes a lesson; an odd number says what the third does', async ({
  page,
  shipped,
}) => {
  await page.goto(`${shipped.url}/map/kelpwick/weigh?at=butterfly`);
  await page.getByRole('link', { name: 'Make a lesson of it' }).click();
  await expect(page.getByLabel('Starts from')).toHaveValue('butterfly');
  await page.getByLabel('People').fill('15');
  await page.getByRole('button', { name: 'Make the class' }).click();
  await expect(page.getByRole('region', { name: 'What it teaches' })).toContainText(
    'Over and under, two hooks',
  );
  await page
    .getByRole('list', { name: 'Time line' })
    .getByRole('listitem', { name: /^Game 1/ })
    .getByRole('button')
    .click();
  await expect(page.getByText(/^One group of three: two work, the third counts faults. They/)).toBeVisible();
});

test('a lesson along a chain that was kept, forward and from its end; another theme is taken at a tap', async ({
  page,
  shipped,
}) => {
  await page.goto(`${shipped.url}/club/classes`);
  await startFrom(page, 'From the sleeve to the shoulder');
  await page.getByRole('button', { name: 'Make the class' }).click();
  const tree = page.getByRole('region', { name: 'What it teaches' });
  const chain = tree.getByRole('group', { name: 'The chain it goes along' });
  await expect(chain).toContainText('Along “From the sleeve to the shoulder”, from its start');
  const line = page.getByRole('list', { name: 'Time line' });
  const titles = () =>
    line.getByRole('listitem').evaluateAll((items) => items.map((item) => item.getAttribute('aria-label')!));
  expect(await titles()).toContain('The whole way');
  const answers = async () => (await titles()).filter((title) => /hug the near leg|log roll/i.test(title));
  expect(await answers()).toEqual([expect.stringMatching(/hug/i), expect.stringMatching(/log roll/i)]);
  await chain.getByRole('button', { name: /turn it round/ }).click();
  await expect(chain).toContainText('from its end');
  expect(await answers()).toEqual([expect.stringMatching(/log roll/i), expect.stringMatching(/hug/i)]);

  await page.goto(`${shipped.url}/club/classes`);
  await startFrom(page, 'Cross-sleeve guard, top standing');
  await page.getByRole('button', { name: 'Make the class' }).click();
  const other = tree.getByRole('group', { name: 'Other themes' }).getByRole('button').first();
  const [first] = /(?<=or: )[^;,]+/.exec((await other.textContent())!)!;
  await other.click();
  await expect(page.getByRole('list', { name: 'Time line' })).toContainText(new RegExp(first, 'i'));
  await expect(tree.getByRole('button', { name: /^Pin /, pressed: true }).first()).toBeVisible();
});

test('a class begins from the log: the faults first, what comes back, and nothing that is known; on whose figures is kept', async ({
  page,
  shipped,
}) => {
  await page.goto(`${shipped.url}/club/classes`);
  await startFrom(page, 'Single-leg X');
  await expect(
    page.getByLabel(/Start with: the 3 faults you saw most, .* They already know \d+ moves\.$/),
  ).toBeChecked();
  await page.getByLabel('Where the figures come from').selectOption('blended');
  await page.getByRole('button', { name: 'Make the class' }).click();
  const tree = page.getByRole('region', { name: 'What it teaches' });
  await expect(tree).toContainText('Chosen with your guesses and what was counted.');
  const blocks = page.getByRole('list', { name: 'Time line' }).getByRole('listitem');
  const titles = await blocks.evaluateAll((items) => items.map((item) => item.getAttribute('aria-label')!));
  const drilled = titles.slice(titles.indexOf('First: what went wrong'));
  expect(drilled[0]).toBe('First: what went wrong');
  expect(drilled[1]).toMatch(/^Again: /);
  await expect(page.getByRole('article').filter({ hasText: 'First: what went wrong' }).first()).toContainText(
    'Instead:',
  );
  await tree.getByText(/^\d+ moves they already know$/).click();
  await expect(tree.getByRole('button', { name: /^known: / }).first()).toBeVisible();
  await page.reload();
  await expect(tree).toContainText('Chosen with your guesses and what was counted.');
});
