import { expect, test } from './app.ts';

test('a sweep is opened from Read with stance, holds and direction set, and judged', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/map/kelpwick/read?at=butterfly-two&met=widen-base`);
  const sweep = page.getByRole('article').filter({ hasText: 'Over-under sweep' });
  await sweep.getByRole('link', { name: /Where top is weakest/ }).click();
  await expect(page).toHaveURL(/balance\?move=over-under-sweep&met=widen-base/);
  await expect(page.getByLabel('Stance')).toHaveValue('kneeling');
  const posts = page.getByRole('group', { name: 'Posts' });
  await expect(
    posts.getByRole('group', { name: 'left hand' }).getByRole('button', { name: 'held' }),
  ).toHaveAttribute('aria-pressed', 'true');
  const answer = page.getByRole('region', { name: 'What it takes' });
  await expect(answer).toContainText('front left, over the trapped arm (300°)');
  await expect(answer).toContainText('This is where top is weakest');
  await expect(answer).toContainText('Top has nothing left to post with on this side.');
  await expect(answer).toContainText(/about \d+ kg of pull/);
  // The bodies of the sweep, turned with the push.
  const bodies = answer.getByRole('figure', { name: 'Both bodies, the push going right' });
  const shape = () => bodies.locator('svg:not(.limb-glyph) path').nth(1).getAttribute('d');
  // A first picture may stand there for a moment.
  await shape();
  await expect(bodies.locator('svg[aria-busy]')).toHaveCount(0);
  const seen = await shape();
  await page.getByRole('slider', { name: 'Direction of the push, in degrees' }).fill('90');
  await expect.poll(shape).not.toBe(seen);
  await page.getByRole('slider', { name: 'Direction of the push, in degrees' }).fill('300');
  await expect.poll(shape).toBe(seen);

  // The arm is given back: a hand can come down there, and the edge is further away.
  await posts.getByRole('group', { name: 'left hand' }).getByRole('button', { name: 'free' }).click();
  await expect(answer).toContainText('Still free: left hand');
  await expect(answer).not.toContainText('This is where top is weakest');
});

test('posts, lean and push change the answer; two set-ups stand side by side', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick/balance`);
  const answer = page.getByRole('region', { name: 'What it takes' });
  const pull = async () => Number(/about (\d+) kg/.exec(await answer.innerText())?.[1] ?? 0);
  await page.getByLabel('Stance').selectOption('kneeling-upright');
  await page.getByRole('slider', { name: 'Direction of the push, in degrees' }).fill('0');
  await expect(answer).toContainText("top's front (0°)");
  const upright = await pull();
  await page.getByRole('button', { name: 'Compare with this' }).click();
  await expect(page.getByRole('group', { name: 'The stance to compare with' })).toBeVisible();

  const middle = page.getByRole('button', { name: /^Centre of mass/ });
  await middle.focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowDown');
  await expect.poll(pull).toBeLessThan(upright);

  const posts = page.getByRole('group', { name: 'Posts' });
  await posts.getByRole('group', { name: 'head' }).getByRole('button', { name: 'posted' }).click();
  await expect.poll(pull).toBeGreaterThan(upright);
  await page.getByRole('button', { name: 'back to it' }).click();
  await expect.poll(pull).toBe(upright);
  await page.getByRole('group', { name: 'Pushed at' }).getByRole('button', { name: 'shoulders' }).click();
  await expect.poll(pull).toBeLessThan(upright);

  await page.getByLabel('Height').fill('3');
  await page.keyboard.press('Enter');
  await expect(page.getByText('From 1.2 to 2.2 m.')).toBeVisible();
});

test('what top did changes the set-up, and the map says who can still post', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick/balance`);
  await page.getByLabel('Sweep', { exact: true }).selectOption('Over-under sweep');
  await expect(page).toHaveURL(/move=over-under-sweep/);
  const posts = page.getByRole('group', { name: 'Posts' });
  const head = posts.getByRole('group', { name: 'head' });
  const answer = page.getByRole('region', { name: 'What it takes' });
  await expect(answer.locator('.sweep-verdict')).toContainText('Over-under sweep');
  const late = await answer.innerText();
  await page.getByLabel('What top did').selectOption({ value: 'smother-hooks' });
  await expect(page).toHaveURL(/met=smother-hooks/);
  await expect(answer).not.toHaveText(late, { useInnerText: true });
  await head.getByRole('button', { name: 'held' }).click();
  await expect(head.getByRole('button', { name: 'held' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Begin again' }).click();
  await expect(head.getByRole('button', { name: 'free' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByLabel('Stance')).toHaveValue('all-fours');
  await page.getByRole('link', { name: 'to the move' }).click();
  await expect(page.getByRole('complementary', { name: 'The move' })).toBeVisible();
});

test('a body table and a heavier top ask for more pull', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick/balance`);
  const answer = page.getByRole('region', { name: 'What it takes' });
  const pull = async () => Number(/([\d]+) N/.exec(await answer.innerText())?.[1] ?? 0);
  await expect.poll(pull).toBeGreaterThan(0);
  const usual = await pull();
  await page.getByLabel('Weight').fill('100');
  await page.keyboard.press('Enter');
  // Statics: the force goes with the weight.
  await expect.poll(pull).toBeGreaterThan(usual);
  expect(Math.abs((await pull()) / usual - 100 / 75)).toBeLessThan(0.02);
  await page.getByLabel('Weight').fill('heavy');
  await page.keyboard.press('Enter');
  await expect(answer.page().getByText(/^From \d+ to \d+ kg\.$/)).toBeVisible();
  const heavy = await pull();
  await page
    .getByRole('group', { name: 'Body table' })
    .getByRole('button', { name: 'women', exact: true })
    .click();
  await expect.poll(pull).not.toBe(heavy);
});
