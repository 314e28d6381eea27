import type { Browser, Page } from '@playwright/test';
import { setFields } from '../packages/core/src/documents/index.ts';
import { expect, test } from './app.ts';
import { change, saved } from './http.ts';

const BOARD = 'map/kelpwick?view=board&system=butterfly';
const SHEET = 'map/kelpwick?sel=exchange.one-hook-sweep--none';
const cell = (page: Page, move: string, met: string) =>
  page.getByRole('gridcell', { name: new RegExp(`^${move}, ${met}`) });
const answered = (page: Page) => cell(page, 'One-hook sweep', 'Top does nothing');
const isSaved = (page: Page) => expect(page.getByText('Saved', { exact: true })).toBeVisible();
const field = (page: Page, label: string) =>
  page.getByRole('complementary', { name: 'The answer' }).getByLabel(label, { exact: true });

/** The name of a position in its sheet, to be changed. */
async function openTriangle(page: Page, url: string) {
  await page.goto(`${url}/map/kelpwick?sel=position.triangle`);
  const name = page.getByRole('complementary', { name: 'The position' }).getByLabel('Name', { exact: true });
  await expect(name).toHaveValue('Triangle locked');
  return name;
}

/** Two browsers that share nothing but the server. */
async function twoBrowsers(browser: Browser): Promise<[Page, Page]> {
  const contexts = await Promise.all([browser.newContext(), browser.newContext()]);
  return (await Promise.all(contexts.map((context) => context.newPage()))) as [Page, Page];
}

async function write(page: Page, label: string, text: string): Promise<void> {
  await field(page, label).fill(text);
  await field(page, label).press('Tab');
}

test('one Enter in a cell is one change, one revision and one undo', async ({ page, demo, request }) => {
  await page.goto(`${demo.url}/${BOARD}`);
  const before = (await answered(page).getAttribute('aria-label'))!;
  await answered(page).click();
  await page.keyboard.type('top-mount 20%');
  await page.keyboard.press('Enter');
  await expect(answered(page)).toHaveAccessibleName(/mount, 20 %/);
  await isSaved(page);
  expect((await saved(request, demo.url)).revision).toBe(2);
  await page.keyboard.press('Control+z');
  await expect(answered(page)).toHaveAccessibleName(before);
  await isSaved(page);
  expect((await saved(request, demo.url)).revision).toBe(3);

  // A name likewise, whether it is ended by a key or by going elsewhere.
  const head = page.getByRole('rowheader', { name: /One-hook sweep/ });
  await head.dblclick().catch(() => undefined);
  await head.click();
  await page.keyboard.press('Enter');
  await page.getByRole('textbox', { name: 'Name of the move' }).fill('One-hook lift');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('rowheader', { name: /One-hook lift/ })).toBeVisible();
  await isSaved(page);
  expect((await saved(request, demo.url)).revision).toBe(4);
});

test('a change in one browser is seen in the other without a reload, with who and what', async ({
  browser,
  demo,
}) => {
  const [one, two] = await twoBrowsers(browser);
  for (const page of [one, two]) {
    await page.goto(`${demo.url}/${BOARD}`);
    await expect(answered(page)).toBeVisible();
  }
  await one.evaluate(() => {
    const settings = JSON.parse(localStorage.getItem('aftersquall.settings') ?? '{}');
    localStorage.setItem('aftersquall.settings', JSON.stringify({ ...settings, coach: 'Coach Tern' }));
  });
  await one.reload();
  await answered(one).click();
  await one.keyboard.type('top-mount 20%');
  await one.keyboard.press('Enter');
  await expect(answered(two)).toHaveAccessibleName(/mount, 20 %/);
  await expect(two.getByText(/^Coach Tern a moment ago: .*One-hook sweep/)).toBeVisible();
  // Two tabs of one browser share a line to the server, and hear the same.
  const tab = await two.context().newPage();
  await tab.goto(`${demo.url}/${BOARD}`);
  await answered(one).click();
  await one.keyboard.type('top-mount 25%');
  await one.keyboard.press('Enter');
  for (const page of [two, tab]) await expect(answered(page)).toHaveAccessibleName(/mount, 25 %/);
  await Promise.all([one, two].map((page) => page.context().close()));
});

test('two browsers change different fields of one exchange at once: both are kept, and nobody is asked', async ({
  browser,
  demo,
  request,
}) => {
  const [one, two] = await twoBrowsers(browser);
  for (const page of [one, two]) await page.goto(`${demo.url}/${SHEET}`);
  for (const page of [one, two]) await expect(field(page, 'Chance')).toBeVisible();
  await Promise.all([write(one, 'Chance', '33'), write(two, 'Note', 'Head on the inside')]);
  for (const page of [one, two]) {
    await expect(field(page, 'Chance')).toHaveValue('33');
    await expect(field(page, 'Note')).toHaveValue('Head on the inside');
    await isSaved(page);
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
  const { document, revision } = await saved(request, demo.url);
  expect(revision).toBe(3);
  expect(document.exchanges.find(({ id }) => id === 'one-hook-sweep--none')).toMatchObject({
    chance: 0.33,
    note: 'Head on the inside',
  });
});

test('both change the same chance: one question about one field, in words', async ({
  page,
  context,
  demo,
  request,
}) => {
  await page.goto(`${demo.url}/${SHEET}`);
  await expect(field(page, 'Chance')).toBeVisible();
  await context.setOffline(true);
  await write(page, 'Chance', '33');
  await write(page, 'Note', 'Head on the inside');
  await expect(page.getByRole('alert')).toContainText('kept on this device');
  const theirs = setFields('exchange', 'one-hook-sweep--none', [
    { path: ['chance'], value: 0.44 },
    { path: ['seconds'], value: 9 },
  ]);
  await change(request, demo.url, [theirs], { who: 'Coach Tern' });
  await context.setOffline(false);

  const dialog = page.getByRole('dialog', { name: 'Two people changed this' });
  await expect(dialog.getByText('chance of answer “One-hook sweep when top does nothing”')).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Yours: 33 %' })).toHaveAttribute('aria-pressed', 'true');
  await expect(dialog.getByRole('group')).toHaveCount(1);
  await dialog.getByRole('button', { name: /: 44 %$/ }).click();
  await dialog.getByRole('button', { name: 'Go on' }).click();
  await expect(dialog).toBeHidden();
  await expect(field(page, 'Chance')).toHaveValue('44');
  await isSaved(page);
  const { document } = await saved(request, demo.url);
  expect(document.exchanges.find(({ id }) => id === 'one-hook-sweep--none')).toMatchObject({
    chance: 0.44,
    seconds: 9,
    note: 'Head on the inside',
  });
});

test('ten edits without the network, the tab closed, opened again: ten edits arrive, once each', async ({
  page,
  context,
  demo,
  request,
}) => {
  const name = await openTriangle(page, demo.url);
  await context.setOffline(true);
  for (let i = 1; i <= 10; i++) {
    await name.fill(`Triangle ${i}`);
    await name.press('Enter');
  }
  await expect(page.getByRole('alert')).toContainText('10 changes are kept on this device');
  await page.close();

  await context.setOffline(false);
  const again = await context.newPage();
  await again.goto(`${demo.url}/map/kelpwick?sel=position.triangle`);
  await expect(again.getByLabel('Name', { exact: true }).first()).toHaveValue('Triangle 10');
  await isSaved(again);
  const { revision, document } = await saved(request, demo.url);
  expect(revision).toBe(11);
  expect(document.positions.find(({ id }) => id === 'triangle')!.name).toBe('Triangle 10');
});

test('with the server stopped the places go on, and what was changed is saved by itself when it is back', async ({
  page,
  demo,
  request,
}) => {
  const name = await openTriangle(page, demo.url);
  // Every place is fetched in the quiet after the first one stands.
  await expect
    .poll(() =>
      page.evaluate(() =>
        performance
          .getEntriesByType('resource')
          .map((entry) => entry.name)
          .join(' '),
      ),
    )
    .toContain('planner.worker');
  await demo.stop();
  await name.fill('Triangle, alone');
  await name.press('Enter');
  await expect(page.getByRole('alert')).toContainText('One change is kept on this device');
  for (const place of ['Read', 'Weigh', 'Balance', 'Lessons']) {
    await page.getByRole('link', { name: place, exact: true }).click();
    await expect(page.getByRole('heading', { level: 1, name: place, exact: true })).toBeVisible();
    // Where the map is edited, it goes on saying what waits.
    if (place === 'Read' || place === 'Weigh')
      await expect(page.getByRole('alert')).toContainText('One change is kept on this device');
    await expect(page.getByText('could not be shown')).toHaveCount(0);
  }
  await page.getByRole('link', { name: 'Map', exact: true }).click();
  await demo.start();
  await isSaved(page);
  expect((await saved(request, demo.url)).document.positions.find(({ id }) => id === 'triangle')!.name).toBe(
    'Triangle, alone',
  );
});

test('an undo in the notice takes back what it speaks of, and nothing else', async ({ page, demo }) => {
  await page.goto(`${demo.url}/${BOARD}&sel=move.one-hook-sweep`);
  await page.getByRole('button', { name: 'Remove this move' }).click();
  const notice = page.getByRole('status').filter({ hasText: 'Removed “One-hook sweep”' });
  await expect(notice).toBeVisible();
  const row = (name: string) => page.getByRole('rowheader', { name: new RegExp(name) });
  await expect(row('One-hook sweep')).toHaveCount(0);
  // Something else is done before the offer is taken up.
  const other = page.getByRole('complementary', { name: 'The position' }).getByLabel('Name', { exact: true });
  const old = await other.inputValue();
  await other.fill('Renamed since');
  await other.press('Enter');
  await notice.getByRole('button', { name: 'Undo' }).click();
  await expect(row('One-hook sweep')).toBeVisible();
  await expect(other).toHaveValue('Renamed since');
  expect(old).not.toBe('Renamed since');
});
