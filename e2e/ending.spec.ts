import { expect, test } from './app.ts';
import { saved } from './http.ts';

test('an outcome gets a picture from what is held at the end, for its move or for all, and the movement ends in it', async ({
  page,
  demo,
  request,
}) => {
  await page.goto(`${demo.url}/map/kelpwick?sel=exchange.scissor--widen-base`);
  await page.getByRole('button', { name: 'Say how it looks at the end' }).click();
  const sheet = page.getByRole('complementary', { name: 'The ending' });
  await expect(sheet.getByLabel('Name', { exact: true })).toHaveValue('On top in side control');
  const moves = sheet.getByRole('group', { name: 'Moves that end so' });
  await expect(moves).toContainText('Scissor');
  const made = async () =>
    (await saved(request, demo.url)).document.endings.map(({ id: _, ...ending }) => ending);
  await expect.poll(made).toMatchObject([{ outcome: 'top-side', moves: ['scissor'] }]);
  expect((await made())[0]!.holds.length).toBeGreaterThan(0);

  await moves.getByRole('button', { name: /^Remove/ }).click();
  await expect(moves).toContainText('For every move that ends so');
  await sheet.getByLabel('Called across the mat').fill('Cross side');
  await sheet.getByLabel('Called across the mat').press('Tab');
  await expect.poll(made).toMatchObject([{ moves: [], short: 'Cross side' }]);

  await page.goto(`${demo.url}/map/kelpwick?sel=exchange.scissor--widen-base`);
  await expect(page.getByRole('figure', { name: 'From here to there' }).getByRole('img')).toBeVisible();
  await page.getByRole('button', { name: 'ends in: On top in side control' }).click();
  await page.getByRole('button', { name: 'Remove this ending' }).click();
  await expect.poll(made).toEqual([]);
});
