import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { expect, test } from './app.ts';
import { saved } from './http.ts';

const menuOf = (page: Page) => page.getByRole('button', { name: 'Kelpwick Harbour Grappling' });

/** The text of a file that a press of a menu entry gives. */
async function downloaded(page: Page, entry: string): Promise<{ name: string; content: Buffer }> {
  const download = page.waitForEvent('download');
  await menuOf(page).click();
  await page.getByRole('button', { name: entry, exact: true }).click();
  const file = await download;
  return { name: file.suggestedFilename(), content: readFileSync(await file.path()) };
}

async function takeIn(page: Page, name: string, text: string): Promise<void> {
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'aftersquall-')), name);
  writeFileSync(file, text);
  const chooser = page.waitForEvent('filechooser');
  await menuOf(page).click();
  await page.getByRole('button', { name: 'Read a guard book…' }).click();
  await (await chooser).setFiles(file);
}

test('a map goes out as a guard book, is changed in any editor, previewed, taken in, and had back with one undo', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/map/kelpwick?system=butterfly`);
  const { name, content } = await downloaded(page, 'Export as a guard book');
  expect(name).toBe('kelpwick.md');
  const text = content.toString();
  expect(text).toContain('## Position: Two hooks, over and under (butterfly-two)');

  await takeIn(page, 'kelpwick.md', text);
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('No differences.');
  await dialog.getByRole('button', { name: 'Cancel' }).click();

  const edited = text
    .replace(
      '## Position: Two hooks, over and under (butterfly-two)',
      '## Position: Over and under, two hooks (butterfly-two)',
    )
    .concat(
      '\n# Shared\n\n## Position: Turtle (turtle)\n\n- note: Come up or roll through.\n- drift: passed\n',
    );
  await takeIn(page, 'kelpwick.md', edited);
  const changes = page.getByRole('list', { name: 'What the book changes' });
  await expect(changes).toContainText('1 changed position Over and under, two hooks');
  await expect(changes).toContainText('1 new position Turtle');
  await dialog.getByRole('button', { name: 'Change the map' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  const after = (await saved(page.request, demo.url, 'map/kelpwick')).document;
  expect(after.positions.find(({ id }) => id === 'turtle')).toMatchObject({
    note: 'Come up or roll through.',
  });

  await page.keyboard.press('Control+z');
  await expect
    .poll(async () =>
      (await saved(page.request, demo.url, 'map/kelpwick')).document.positions.map(({ id }) => id),
    )
    .not.toContain('turtle');
});

test('mistakes in a book are said by file, line and column, all at once, and nothing is changed', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/map/kelpwick`);
  await takeIn(
    page,
    'notes.md',
    '# System: Notes (notes)\n\n## Position: P (p)\n\n- lead: X\n- holds: handR grib collar.R\n',
  );
  const mistakes = page.getByRole('list', { name: 'Mistakes' });
  await expect(mistakes.getByRole('listitem')).toHaveCount(2);
  await expect(mistakes).toContainText('notes.md:5:9 "X" is no side; expected L, R');
  await expect(mistakes).toContainText('notes.md:6:16 "grib" is no action');
  await expect(page.getByRole('button', { name: 'Change the map' })).toHaveCount(0);
  const { revision } = await saved(page.request, demo.url, 'map/kelpwick');
  expect(revision).toBe(1);
});

test('one system goes out by itself, the whole as a file a system', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick?system=butterfly`);
  const system = await downloaded(page, 'Export “Butterfly” as a guard book');
  expect(system.name).toBe('butterfly.md');
  expect(system.content.toString()).toContain('# System: Butterfly (butterfly)');
  expect(system.content.toString()).not.toContain('(half-guard)\n');
  const whole = await downloaded(page, 'Export as a guard book, a file a system');
  expect(whole.name).toBe('kelpwick-book.zip');
  expect(whole.content.subarray(0, 2).toString()).toBe('PK');
});

test('the handbook reads as a page: what a system is for, each position with its moves and answers', async ({
  page,
  shipped,
}) => {
  await page.goto(`${shipped.url}/map/kelpwick?system=butterfly`);
  await page.getByRole('button', { name: 'Handbook' }).click();
  const book = page.getByRole('article', { name: 'Handbook' });
  await expect(book.getByRole('heading', { name: 'Butterfly', exact: true })).toBeVisible();
  await expect(book).toContainText('Schools');
  const position = book.getByRole('region', { name: 'Over and under, two hooks' });
  await expect(position).toContainText('Over-under sweep');
  await expect(position.getByRole('columnheader', { name: 'if it works →' }).first()).toBeVisible();
  await expect(book).toContainText('Fake success:');
  await expect(book).toContainText('Practise under a qualified coach.');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden();
});

test('the club that ships opens in every place, has no error, and reads, weighs and balances', async ({
  page,
  shipped,
}) => {
  await page.goto(`${shipped.url}/map/kelpwick`);
  await page.getByRole('button', { name: /^What needs work: 0 holes/ }).click();
  const pane = page.getByRole('complementary', { name: 'What needs work' });
  await expect(pane.getByRole('region', { name: 'Warnings' })).toBeVisible();
  await expect(pane.getByRole('region', { name: 'Errors' })).toHaveCount(0);
  // Findings of one kind are folded together.
  await expect(pane.locator('summary', { hasText: 'worthless success' })).toBeVisible();
  await page.goto(`${shipped.url}/map/kelpwick/read?at=collar-sleeve-kneeling&met=posture-up`);
  await expect(page.getByRole('region', { name: 'Ready now' }).getByRole('article').first()).toBeVisible();
  await page.goto(`${shipped.url}/map/kelpwick/weigh`);
  await expect(page.getByText('points a round').first()).toBeVisible();
  await page.goto(`${shipped.url}/map/kelpwick/balance?move=scissor`);
  await expect(page.getByRole('region', { name: 'What it takes' })).toContainText(
    'This is where top is weakest',
  );
  await page.goto(`${shipped.url}/club/classes/tuesday`);
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Tuesday: from the sleeve to the back');
});

test('what the model can say is said on the sheets: mechanics, needs, own words, false positives, stops', async ({
  page,
  shipped,
}) => {
  await page.goto(`${shipped.url}/map/kelpwick?sel=move.scissor`);
  const move = page.getByRole('complementary', { name: 'The move' });
  await move.getByLabel('New fake success').fill('tips a partner who leans along');
  await page.keyboard.press('Enter');
  await move
    .getByLabel(/How to test it honestly/)
    .last()
    .fill('they sit back at will');
  await page.keyboard.press('Enter');
  await move.getByLabel('Another mechanic').selectOption({ label: 'a new one…' });
  await page.getByRole('dialog').getByLabel('Name').fill('Shin across the belt');
  await page.keyboard.press('Enter');
  const mechanic = page.getByRole('complementary', { name: 'The mechanic' });
  await mechanic.getByLabel('How it is done').fill('Shin level, toes hooked.');
  await page.keyboard.press('Tab');
  await mechanic.getByLabel('Drilled').selectOption('pair');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();

  await page.goto(`${shipped.url}/map/kelpwick?sel=reaction.widen-base`);
  await page
    .getByRole('group', { name: 'Limbs of top that must be free' })
    .getByRole('button', { name: 'left leg' })
    .click();
  await page.goto(`${shipped.url}/map/kelpwick?sel=exchange.scissor--widen-base`);
  await page.getByLabel('Stops after step').fill('3');
  await page.keyboard.press('Enter');
  await page.goto(`${shipped.url}/map/kelpwick?sel=position.collar-sleeve-kneeling`);
  await page
    .getByText(/^Our words for this position/)
    .first()
    .click();
  await page.getByLabel('How Strips the collar grip feels here').fill('Both hands on your wrist.');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await expect
    .poll(async () => {
      const { document: map } = await saved(page.request, shipped.url, 'map/kelpwick');
      const scissor = map.moves.find(({ id }) => id === 'scissor')!;
      const made = map.mechanics.at(-1)!;
      return [
        scissor.falsePositives.at(-1),
        scissor.mechanics.at(-1),
        [made.name, made.how, made.form],
        map.reactions.find(({ id }) => id === 'widen-base')!.needs.at(-1),
        map.exchanges.find(({ id }) => id === 'scissor--widen-base')!.stops,
        map.positions
          .find(({ id }) => id === 'collar-sleeve-kneeling')!
          .looks.flatMap(({ reactions }) => reactions)
          .find(({ id }) => id === 'strip-collar')!.feel,
      ];
    })
    .toEqual([
      { text: 'tips a partner who leans along', test: 'they sit back at will' },
      'shin-across-the-belt',
      ['Shin across the belt', 'Shin level, toes hooked.', 'pair'],
      { free: 'legL' },
      3,
      'Both hands on your wrist.',
    ]);
});
