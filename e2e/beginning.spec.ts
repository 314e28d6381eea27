import { readFileSync } from 'node:fs';
import { expect, test } from './app.ts';
import { saved } from './http.ts';

test('the first map begins with the systems one teaches, from the book that ships', async ({
  page,
  empty,
}) => {
  await page.goto(empty.url);
  await page.getByLabel('Name of the map').fill('Ours');
  const book = page.getByRole('group', { name: 'Guard systems of the book' });
  await expect(book.getByRole('checkbox')).toHaveCount(11);
  await expect(book).toContainText('9 positions');
  await book.getByRole('checkbox', { name: /^Butterfly/ }).check();
  await book.getByRole('checkbox', { name: /^Half guard/ }).check();
  await page.getByRole('button', { name: 'Begin with 2 of the systems' }).click();
  await expect(page.getByRole('button', { name: 'Ours', exact: true })).toBeVisible();
  const { document: map } = await saved(page.request, empty.url, 'map/ours');
  expect(map.systems.map(({ id }) => id)).toEqual(['butterfly', 'half-guard']);
  expect(map.positions.find(({ id }) => id === 'slx')).toMatchObject({ looks: [], systems: [] });

  // Another system is added the same way; what both have is joined.
  await page.getByRole('button', { name: 'Ours', exact: true }).click();
  await page.getByRole('button', { name: 'Add from the book…' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('checkbox', { name: /^Single-leg X/ }).check();
  await expect(dialog.getByRole('list', { name: 'What the book changes' })).toContainText('changed position');
  await expect(dialog.getByRole('list', { name: 'What the book changes' })).toContainText(
    '1 new system Single-leg X and X',
  );
  await dialog.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  const after = (await saved(page.request, empty.url, 'map/ours')).document;
  expect(after.positions.filter(({ id }) => id === 'slx')).toHaveLength(1);
  expect(after.positions.find(({ id }) => id === 'slx')!.looks.length).toBeGreaterThan(0);
  await page.keyboard.press('Control+z');
  await expect
    .poll(async () => (await saved(page.request, empty.url, 'map/ours')).document.systems.map(({ id }) => id))
    .toEqual(['butterfly', 'half-guard']);
});

test('the first map may be a file, too; what is none says so', async ({ page, empty }) => {
  await page.goto(empty.url);
  await page
    .getByLabel('Map file')
    .setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('hello') });
  await expect(page.getByText(/This is not a map file/)).toBeVisible();
  const buffer = readFileSync('testing/club/kelpwick.map.json');
  await page
    .getByLabel('Map file')
    .setInputFiles({ name: 'club.map.json', mimeType: 'application/json', buffer });
  await expect(page.getByRole('button', { name: 'Kelpwick Harbour Grappling' })).toBeVisible();
});
