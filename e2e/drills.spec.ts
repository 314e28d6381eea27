import { expect, test } from './app.ts';

test('any two of reps, minutes and seconds give the third, and bad numbers say why', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/kelpwick/drills`);
  await page.getByLabel('Minutes').fill('3');
  await page.getByLabel('All of Triangle locked').check();
  await page.getByRole('button', { name: 'Build the class' }).click();
  await expect(page.getByText('at least 5')).toBeVisible();
  await page.getByLabel('Minutes').fill('45');
  await page.getByRole('button', { name: 'Build the class' }).click();

  await expect(page.getByLabel('Name')).toHaveValue('Triangle locked');
  const block = page.getByRole('list').getByRole('listitem').filter({ hasText: 'strangle' }).first();
  await block.getByLabel('Minutes of work').fill('4');
  await page.keyboard.press('Enter');
  const seconds = Number(await block.getByLabel('Seconds a rep').inputValue());
  await expect(block.getByLabel('Reps each')).toHaveValue(String(Math.floor(240 / (4 * seconds))));
  await block.getByLabel('Reps each').fill('0');
  await page.keyboard.press('Enter');
  await expect(block).toContainText('must be above zero');
  await block.getByLabel('Reps each').fill('200');
  await page.keyboard.press('Enter');
  await expect(page.getByText('too long')).toBeVisible();
  await expect(page.getByText('over', { exact: true }).first()).toBeVisible();
});

test('what does not fit is listed for another class, and a removed class comes back', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/kelpwick/drills`);
  await page.getByLabel('Minutes').fill('20');
  await page.getByRole('button', { name: /Cover all of Cross-sleeve/ }).click();
  await page.getByRole('button', { name: 'Build the class' }).click();
  await expect(page.getByRole('heading', { name: /Did not fit: \d+ for another class/ })).toBeVisible();
  await page.getByRole('button', { name: 'Remove' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Removed' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: /Did not fit/ })).toBeVisible();
});

test('blocks are dragged into another order, also by keyboard', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/drills/tuesday`);
  const blocks = page.getByRole('list').getByRole('listitem');
  const before = await blocks.evaluateAll((items) => items.map((item) => item.getAttribute('aria-label')));
  const grip = blocks.first().getByRole('button', { name: /^Drag/ });
  await grip.focus();
  await page.keyboard.press('Space');
  await expect(grip).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText(/was moved over droppable area/)).toBeAttached();
  await page.keyboard.press('Space');
  await expect(blocks.first()).toHaveAttribute('aria-label', before[1]!);
  await page.reload();
  await expect(blocks.nth(1)).toHaveAttribute('aria-label', before[0]!);
});

test('without the jacket what needs it is left out, and one side takes half the time', async ({
  page,
  demo,
}) => {
  const total = async () => {
    const text = await page.getByText(/^\d+:\d\d of 30:00$/).textContent();
    const [minutes, seconds] = text!.split(' ')[0]!.split(':').map(Number);
    return minutes! * 60 + seconds!;
  };
  await page.goto(`${demo.url}/kelpwick/drills?goal=cross-choke--strip-collar,cross-choke--posture-up`);
  await expect(page.getByText('2 exchanges to cover')).toBeVisible();
  await page.getByLabel('Minutes').fill('30');
  await page.getByRole('button', { name: 'No-gi' }).click();
  await page.getByRole('button', { name: 'Build the class' }).click();
  await expect(
    page.getByRole('status').filter({ hasText: 'are not played no-gi and were left out' }),
  ).toBeVisible();
  await expect(page.getByText('Nothing fits into 30 minutes.')).toBeVisible();

  await page.getByRole('link', { name: 'New class' }).click();
  await page.getByLabel('Minutes').fill('30');
  await page.getByRole('button', { name: 'Gi', exact: true }).click();
  await page.getByLabel('All of Triangle locked').check();
  await page.getByRole('button', { name: 'Build the class' }).click();
  const block = page.getByRole('list').getByRole('listitem').first();
  await expect(block).toBeVisible();
  const both = await total();
  await block
    .getByRole('group', { name: /^Sides of/ })
    .getByRole('button', { name: 'One' })
    .click();
  await expect.poll(total).toBeLessThan(both);
  await page.getByRole('button', { name: 'Add water' }).click();
  const water = page.getByRole('listitem', { name: 'Water' }).last();
  await water.getByLabel('Seconds').fill('90');
  await page.keyboard.press('Enter');
  await expect(water.getByLabel('Seconds')).toHaveValue('90');
  const wet = await total();
  await water.getByRole('button', { name: 'Take out: Water' }).click();
  await expect.poll(total).toBe(wet - 90);
});

test('a class changed in two places keeps both versions until one is chosen', async ({
  page,
  demo,
  request,
}) => {
  await page.goto(`${demo.url}/kelpwick/drills/tuesday`);
  await expect(page.getByLabel('Name')).toHaveValue(/^Tuesday/);
  const address = `${demo.url}/api/classes/tuesday`;
  const stored = await (await request.get(address)).json();
  const put = await request.put(address, {
    data: { ...stored, plan: { ...stored.plan, name: 'Tuesday, theirs' } },
  });
  expect(put.ok()).toBe(true);
  const rename = async (name: string) => {
    await page.getByLabel('Name').fill(name);
    await page.getByLabel('Name').press('Enter');
  };
  await rename('Tuesday, mine');
  await expect(page.getByText('Theirs: “Tuesday, theirs”')).toBeVisible();
  await page.getByRole('button', { name: 'Keep mine' }).click();
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
  expect((await (await request.get(address)).json()).plan.name).toBe('Tuesday, mine');
});
