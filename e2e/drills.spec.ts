import { expect, test } from './app.ts';
import { saved } from './http.ts';

test('any two of reps, minutes and seconds give the third, and bad numbers say why', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/club/classes`);
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
  await page.goto(`${demo.url}/club/classes`);
  await page.getByLabel('Minutes').fill('20');
  await page.getByRole('button', { name: /Cover all of Cross-sleeve/ }).click();
  await page.getByRole('button', { name: 'Build the class' }).click();
  await expect(page.getByRole('heading', { name: /Did not fit: \d+ for another class/ })).toBeVisible();
  await page.getByRole('button', { name: 'Remove' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Removed' })).toBeVisible();
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: /Did not fit/ })).toBeVisible();
});

test('a class is removed and built again under the same name, and both can be had', async ({
  page,
  demo,
  request,
}) => {
  const build = async () => {
    await page.goto(`${demo.url}/club/classes`);
    await page.getByLabel('Minutes').fill('20');
    await page.getByLabel('All of Triangle locked').check();
    await page.getByRole('button', { name: 'Build the class' }).click();
    await expect(page.getByLabel('Name')).toHaveValue('Triangle locked');
    return page.url();
  };
  const first = await build();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Removed' })).toBeVisible();
  const second = await build();
  expect(second).not.toBe(first);
  const id = new URL(first).pathname.split('/').at(-1);
  await request.post(`${demo.url}/api/documents/class/${id}/restore`);
  await expect(
    page.getByRole('navigation', { name: 'Classes' }).getByRole('link', { name: /^Triangle locked/ }),
  ).toHaveCount(2);
});

test('what cannot be had back for want of the server is still offered once it is there', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/club/classes/tuesday`);
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  const notice = page.getByRole('status').filter({ hasText: 'Removed' });
  await expect(notice).toBeVisible();
  await demo.stop();
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'cannot be reached' })).toBeVisible();
  await demo.start();
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Name')).toHaveValue(/^Tuesday/);
});

test('blocks are dragged into another order, also by keyboard', async ({ page, demo }) => {
  await page.goto(`${demo.url}/club/classes/tuesday`);
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
  await page.goto(`${demo.url}/club/classes?goal=cross-choke--strip-collar,cross-choke--posture-up`);
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

test('a class is undone as a map is, and the map is left alone', async ({ page, demo, request }) => {
  await page.goto(`${demo.url}/club/classes/tuesday`);
  const blocks = page.getByRole('list').getByRole('listitem');
  await expect(blocks.first()).toBeVisible();
  const count = await blocks.count();
  await page.getByRole('button', { name: 'Add water' }).click();
  await expect(blocks).toHaveCount(count + 1);
  await page.getByLabel('Minutes', { exact: true }).fill('75');
  await page.getByLabel('Minutes', { exact: true }).press('Enter');
  await expect(page.getByText(/of 75:00/)).toBeVisible();
  await page.getByRole('heading', { name: 'Drills' }).click();
  await expect(page.getByRole('button', { name: 'Undo', exact: true })).toHaveAttribute(
    'title',
    'Undo: minutes 60 → 75 (Ctrl Z)',
  );
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/of 60:00/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(blocks).toHaveCount(count);
  await page.keyboard.press('Control+Shift+z');
  await expect(blocks).toHaveCount(count + 1);
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  expect((await saved(request, demo.url)).revision).toBe(1);
  expect((await saved(request, demo.url, 'class/tuesday')).revision).toBe(6);
});

test('what is typed for the next class is there when one comes back to it', async ({ page, demo }) => {
  await page.goto(`${demo.url}/club/classes/tuesday`);
  await page.getByRole('link', { name: 'New class' }).click();
  const form = page.getByRole('form', { name: 'New class' });
  await form.getByLabel('Minutes').fill('45');
  await page.getByRole('link', { name: /^Tuesday/ }).click();
  await page.getByRole('link', { name: 'New class' }).click();
  await expect(form.getByLabel('Minutes')).toHaveValue('45');
});
