import { expect, test } from './app.ts';

test('opens on tonight: the next class to run, print or change, and the one thing to work on', async ({
  page,
  shipped,
}) => {
  await page.addInitScript(() => {
    window.print = () => document.documentElement.setAttribute('data-printed', 'yes');
  });
  await page.goto(shipped.url);
  const next = page.getByRole('region', { name: 'The next class' });
  await expect(next).toContainText(/You teach “.+”/);
  await expect(next).toContainText(/\d+ minutes, gi\. Planned for \d+; \d+ usually come\./);
  await expect(next.getByRole('link', { name: 'Run' })).toHaveAttribute('href', /^\/club\/mat\/.+/);

  const last = page.getByRole('region', { name: 'From last time' });
  await expect(last.getByRole('link', { name: /times in four weeks$/ })).toHaveCount(3);
  await expect(last.getByRole('link', { name: /^Not reached last time/ }).first()).toBeVisible();

  const month = page.getByRole('region', { name: 'This month' });
  await expect(month).toContainText(
    /^Work on this month.*This hurts your people most: top .+ in “.+”.* points a round\. A sweep is 2 points\./,
  );
  await month.getByRole('link', { name: 'See the answers' }).click();
  await expect(page.getByRole('region', { name: 'Answers' }).getByRole('article').first()).toBeVisible();

  await page.keyboard.press('0');
  await next.getByRole('link', { name: 'Print' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-printed', 'yes');
  await expect(page).toHaveURL(/\/club\/classes\/[^?]+$/);
});

test('with no class planned it proposes three, and one tap makes one', async ({ page, demo }) => {
  await page.goto(`${demo.url}/club`);
  const next = page.getByRole('region', { name: 'The next class' });
  await expect(next.getByRole('button', { name: /^Make this class: / })).toHaveCount(3);
  await next
    .getByRole('button', { name: /^Make this class: / })
    .first()
    .click();
  await expect(page.getByRole('list', { name: 'Time line' })).toBeVisible();
});

test('with an empty map it is the way in', async ({ page, empty }) => {
  await page.goto(empty.url);
  await page.getByLabel('Name of the map').fill('Mine');
  await page.getByRole('button', { name: 'Start the map' }).click();
  await page.getByRole('link', { name: 'Tonight' }).click();
  await page.getByRole('link', { name: 'Write the first position' }).click();
  await expect(page.getByRole('heading', { name: 'An empty map' })).toBeVisible();
});
