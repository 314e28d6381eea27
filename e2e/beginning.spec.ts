import { readFileSync } from 'node:fs';
import { emptyMap } from '@aftersquall/core/model';
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
  await expect(book).toContainText('10 positions');
  await book.getByRole('checkbox', { name: /^Butterfly/ }).check();
  await book.getByRole('checkbox', { name: /^Half guard/ }).check();
  await page.getByRole('button', { name: 'Start with 2 systems' }).click();
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
  const refused = page.getByRole('alert').filter({ hasText: 'This file is not a map' });
  await expect(refused).toContainText('this is not a JSON file');
  const bad = { ...emptyMap('bad', 'Bad'), positions: [{ id: 'p', name: 'P', leadSide: 'up' }] };
  await page.getByLabel('Map file').setInputFiles({
    name: 'bad.map.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(bad)),
  });
  await expect(refused).toContainText('positions.0.leadSide');
  const buffer = readFileSync('testing/club/kelpwick.map.json');
  await page
    .getByLabel('Map file')
    .setInputFiles({ name: 'club.map.json', mimeType: 'application/json', buffer });
  await expect(page.getByRole('button', { name: 'Kelpwick Harbour Grappling' })).toBeVisible();
});

test('a map file of the version in which mechanics were only names is taken in, with its mechanics', async ({
  page,
  empty,
}) => {
  const { map } = JSON.parse(readFileSync('apps/server/fixtures/before-documents.json', 'utf8')).map;
  expect(map.mechanics).toBeUndefined();
  const names = map.moves.flatMap(({ mechanics = [] }: { mechanics?: string[] }) => mechanics);
  expect(names.length).toBeGreaterThan(0);
  await page.goto(empty.url);
  await page.getByLabel('Map file').setInputFiles({
    name: 'old.map.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(map)),
  });
  await expect(page.getByRole('button', { name: map.name })).toBeVisible();
  const { document } = await saved(page.request, empty.url, 'map/old-club');
  expect(document.mechanics.map(({ name }) => name).sort()).toEqual([...new Set(names)].sort());
});
