import { expect, test } from './app.ts';

test('three taps from cold to an answer; sides and jackets are one key', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/read`);
  await page.getByRole('button', { name: 'Collar and sleeve, top kneeling' }).click();
  await page.getByRole('button', { name: 'Postures up tall' }).click();
  const answers = page.getByRole('region', { name: 'Answers' });
  const choke = answers.getByRole('article').filter({ hasText: 'Cross-collar choke' });
  await expect(choke).toContainText("Missing: top's stance kneeling.");
  await expect(choke).toContainText('strangle');

  await page.keyboard.press('f');
  await expect(
    page.getByText('left hand grips the near collar (cross, deep)', { exact: true }),
  ).toBeVisible();
  await expect(page).toHaveURL(/side=other/);
  await expect(choke).toContainText('Missing');

  await page.keyboard.press('g');
  await expect(answers).toContainText('Without the jacket');
  await expect(choke).toContainText('not without a jacket');
  await page.keyboard.press('Escape');
  await expect(page.getByText('First say where you are.')).toBeVisible();
});

test('rules take a move out of the front, with the reason', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/read?at=shoulder-lock&met=none`);
  const first = page.getByRole('region', { name: 'Ready now' }).getByRole('article').first();
  await expect(first).toContainText('Tip over the trapped shoulder');
  await page.getByLabel('Rules').selectOption({ label: 'Rules: Youth, gi' });
  const finish = page.getByRole('article').filter({ hasText: 'Finish the shoulder lock' });
  await expect(finish).toContainText('shoulder lock is barred under Youth, gi');
  await expect(page.getByText('The event’s current rule book decides.')).toBeVisible();
});

test('on a phone, one thing at a time', async ({ page, demo }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${demo.url}/kelpwick/read`);
  await page.getByRole('button', { name: 'Cross-sleeve guard' }).click();
  await expect(page.getByRole('button', { name: 'Cross-sleeve guard' })).toBeHidden();
  await page.getByRole('button', { name: 'Stands up' }).click();
  await expect(page.getByRole('heading', { name: 'Ready now' })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.getByRole('button', { name: 'Back to reactions' }).click();
  await expect(page.getByRole('button', { name: 'Stands up' })).toBeVisible();
});
