import { bigMap } from '../packages/core/src/test/bigMap.ts';
import { expect, test } from './app.ts';
import { board, cell } from './board.ts';

test('a system is read downwards, a table a position; the wide grid is a second look', async ({
  page,
  shipped,
}) => {
  await page.goto(`${shipped.url}/map/kelpwick?view=board&system=collar-and-sleeve`);
  const heads = board(page).getByRole('row').filter({ hasText: 'Collar and sleeve, top kneeling' });
  await expect(heads.getByRole('img')).toBeVisible();
  await expect(heads.getByRole('columnheader')).toHaveCount(8);
  const overflow = () => board(page).evaluate((grid) => grid.scrollWidth - grid.clientWidth);
  expect(await overflow()).toBe(0);
  // From a cell of one table down into the next: the position's name is passed, the column kept.
  await cell(page, 'Fist to the belly, triangle', 'Drives forward').click();
  const column = await board(page).getAttribute('aria-activedescendant');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(cell(page, 'Tripod sweep', 'Pulls the sleeve hand free')).toHaveAttribute(
    'aria-selected',
    'true',
  );
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  expect(await board(page).getAttribute('aria-activedescendant')).toBe(column);

  await page.getByRole('button', { name: 'Wide grid' }).click();
  await expect(cell(page, 'Fist to the belly, triangle', 'Drives forward')).toHaveAttribute(
    'aria-selected',
    'true',
  );
  expect(await overflow()).toBeGreaterThan(1000);
  await page.getByRole('button', { name: 'One table a position' }).click();
  await expect.poll(overflow).toBe(0);
});

test('a crowded board is drawn in part and answers every key', async ({ page, empty, request }) => {
  const map = bigMap({ positions: 150, reactions: 40 });
  await request.post(`${empty.url}/api/documents/map`, { data: map });
  await page.goto(`${empty.url}/map/crowded?view=board`);
  await expect(board(page)).toHaveAttribute('aria-rowcount', '451');
  expect(await board(page).getByRole('row').count()).toBeLessThan(60);
  await page.getByRole('button', { name: 'Wide grid' }).click();
  await expect(board(page)).toHaveAttribute('aria-colcount', '42');
  expect(await board(page).getByRole('row').count()).toBeLessThan(60);
  await board(page).focus();
  for (const key of ['Control+End', 'ArrowUp', 'ArrowLeft']) await page.keyboard.press(key);
  await expect(board(page).locator('.board-cell.here')).toBeVisible();

  // From the key to the picture, as the browser saw it; reported, not asserted.
  await page.keyboard.type('p');
  await expect(page.getByRole('combobox', { name: /^Answer of/ })).toBeFocused();
  const painted = await page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const field = document.activeElement as HTMLInputElement;
        field.addEventListener('input', () => {
          const typed = performance.now();
          requestAnimationFrame(() => requestAnimationFrame(() => resolve(performance.now() - typed)));
        });
        document.execCommand('insertText', false, 'o');
      }),
  );
  console.log(`key to picture on a board of 450 rows and 41 columns: ${painted.toFixed(0)} ms`);
  await page.keyboard.type('sition 7 50%');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
});
