import { setFields } from '../packages/core/src/documents/index.ts';
import { expect, test } from './app.ts';
import { change, saved } from './http.ts';

test('any two of reps, minutes and seconds give the third, and bad numbers say why', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/club/classes?as=review`);
  await page.getByLabel('Minutes').fill('3');
  await page.getByLabel('All of Triangle locked').check();
  await page.getByRole('button', { name: 'Build the class' }).click();
  await expect(page.getByText('at least 5')).toBeVisible();
  await page.getByLabel('Minutes').fill('45');
  await page.getByRole('button', { name: 'Build the class' }).click();

  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Triangle locked');
  await page
    .getByRole('list', { name: 'Time line' })
    .getByRole('listitem')
    .last()
    .getByRole('button')
    .click();
  const block = page.locator('section', { has: page.getByLabel('Reps each') }).last();
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
  await page.goto(`${demo.url}/club/classes?as=review`);
  await page.getByLabel('Minutes').fill('20');
  await page.getByRole('button', { name: /Cover all of Cross-sleeve/ }).click();
  await page.getByRole('button', { name: 'Build the class' }).click();
  await expect(page.getByRole('heading', { name: /Did not fit: \d+ for another class/ })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Did not fit' }).getByRole('listitem').first()).toContainText(
    /It takes \d+:\d\d; you lack \d+:\d\d\. Make the class \d+ minutes/,
  );
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
    await page.goto(`${demo.url}/club/classes?as=review`);
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
  await expect(page.getByRole('status').filter({ hasText: 'does not answer' })).toBeVisible();
  await demo.start();
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Name')).toHaveValue(/^Tuesday/);
});

test('blocks are dragged into another order on the time line, by mouse and by keyboard', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/club/classes/tuesday`);
  const blocks = page.getByRole('list', { name: 'Time line' }).getByRole('listitem');
  await expect(blocks.first()).toBeVisible();
  const names = () => blocks.evaluateAll((items) => items.map((item) => item.getAttribute('aria-label')));
  const before = await names();
  await blocks.first().getByRole('button').focus();
  await page.keyboard.press('Alt+ArrowRight');
  await expect(blocks.first()).toHaveAttribute('aria-label', before[1]!);
  await page.reload();
  await expect(blocks.nth(1)).toHaveAttribute('aria-label', before[0]!);
  await page.keyboard.press('Control+z');

  const again = await names();
  const from = (await blocks.nth(0).boundingBox())!;
  const to = (await blocks.nth(2).boundingBox())!;
  await page.mouse.move(from.x + from.width / 2, from.y + 30);
  await page.mouse.down();
  await page.mouse.move(to.x + to.width / 2, to.y + 30, { steps: 8 });
  await page.mouse.up();
  await expect.poll(names).not.toEqual(again);
});

test('a block is made longer at its edge, split, doubled and taken out; the total follows', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/club/classes/tuesday`);
  const blocks = page.getByRole('list', { name: 'Time line' }).getByRole('listitem');
  await expect(blocks.first()).toBeVisible();
  const total = async () => {
    const text = await page.getByText(/^\d+:\d\d of \d+:00$/).textContent();
    const [minutes, seconds] = text!.split(' ')[0]!.split(':').map(Number);
    return minutes! * 60 + seconds!;
  };
  const before = await total();
  const box = (await blocks.nth(1).boundingBox())!;
  await page.mouse.move(box.x + box.width, box.y + 60);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width + 60, box.y + 60, { steps: 5 });
  await page.mouse.up();
  await expect.poll(total).toBeGreaterThan(before);
  await page.getByRole('heading', { name: 'Lessons' }).click();
  await page.keyboard.press('Control+z');
  await expect.poll(total).toBe(before);

  const count = await blocks.count();
  const bar = blocks.nth(1).getByRole('button');
  await bar.focus();
  await page.keyboard.press('+');
  await expect.poll(total).toBeGreaterThan(before);
  await page.keyboard.press('Alt+d');
  await expect(blocks).toHaveCount(count + 1);
  await bar.focus();
  await page.keyboard.press('Alt+s');
  await expect(blocks).toHaveCount(count + 2);
  await page.keyboard.press('Delete');
  await expect(blocks).toHaveCount(count + 1);
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
  await expect(page.getByText('2 answers to cover')).toBeVisible();
  await page.getByLabel('Minutes').fill('30');
  await page.getByRole('button', { name: 'No-gi' }).click();
  await page.getByRole('button', { name: 'Build the class' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'they are not played no-gi' })).toBeVisible();
  await expect(page.getByText('Nothing fits into 30 minutes.')).toBeVisible();

  await page.getByRole('link', { name: 'New class' }).click();
  await page.getByRole('button', { name: 'A review' }).click();
  await expect(page.getByRole('heading', { name: 'What do you want to go through again?' })).toBeVisible();
  await page.getByLabel('Minutes').fill('30');
  await page.getByRole('button', { name: 'Gi', exact: true }).click();
  await page.getByLabel('All of Triangle locked').check();
  await page.getByRole('button', { name: 'Build the class' }).click();
  await page
    .getByRole('list', { name: 'Time line' })
    .getByRole('listitem')
    .last()
    .getByRole('button')
    .click();
  const block = page.locator('section', { has: page.getByLabel('Reps each') }).last();
  await expect(block).toBeVisible();
  const both = await total();
  await block
    .getByRole('group', { name: /^Sides of/ })
    .getByRole('button', { name: 'One' })
    .click();
  await expect.poll(total).toBeLessThan(both);
  await page.getByRole('button', { name: 'Add a block' }).click();
  await page.getByRole('option', { name: /^Water/ }).click();
  const water = page.getByRole('region', { name: 'Water' });
  await water.getByLabel('Seconds').fill('90');
  await page.keyboard.press('Enter');
  await expect(water.getByLabel('Seconds')).toHaveValue('90');
  const wet = await total();
  await water.getByRole('button', { name: 'Remove: Water' }).click();
  await expect.poll(total).toBe(wet - 90);
});

test('anything of the map is put into a class: by a search, or from its sheet', async ({ page, shipped }) => {
  await page.goto(`${shipped.url}/club/classes/tuesday`);
  const blocks = page.getByRole('list', { name: 'Time line' }).getByRole('listitem');
  await expect(blocks.first()).toBeVisible();
  const count = await blocks.count();
  const add = async (typed: string, option: RegExp) => {
    await page.getByRole('button', { name: 'Add a block' }).click();
    await page.getByLabel('What to add').fill(typed);
    await page.getByRole('option', { name: option }).first().click();
  };
  await add('hip bump', /^Hip bump drill/);
  await expect(page.getByRole('region', { name: /hip bump/i }).getByLabel('Start')).toHaveValue(/wrist/);
  await expect(blocks).toHaveCount(count + 1);
  await add('single-leg x', /^Single-leg X game from here/);
  await expect(page.getByRole('region', { name: /^Game: / }).getByLabel('Bottom')).not.toHaveValue('');
  await add('granby', /movement/);
  await expect(blocks).toHaveCount(count + 3);

  await page.goto(`${shipped.url}/map/kelpwick?sel=move.lasso-tilt`);
  await page.getByRole('button', { name: 'Add it to a class' }).click();
  await page.getByRole('button', { name: /^Tuesday/ }).click();
  await expect(page).toHaveURL(/classes\/tuesday$/);
  await expect(blocks).toHaveCount(count + 4);
  await page.getByRole('heading', { name: 'Lessons' }).click();
  await page.keyboard.press('Control+z');
  await expect(blocks).toHaveCount(count + 3);
});

test('a class is undone as a map is, and the map is left alone', async ({ page, demo, request }) => {
  await page.goto(`${demo.url}/club/classes/tuesday`);
  const blocks = page.getByRole('list', { name: 'Time line' }).getByRole('listitem');
  await expect(blocks.first()).toBeVisible();
  const count = await blocks.count();
  await page.getByRole('button', { name: 'Add a block' }).click();
  await page.getByRole('option', { name: /^Water/ }).click();
  await expect(blocks).toHaveCount(count + 1);
  await page.getByLabel('Minutes', { exact: true }).fill('75');
  await page.getByLabel('Minutes', { exact: true }).press('Enter');
  await expect(page.getByText(/of 75:00/)).toBeVisible();
  await page.getByRole('heading', { name: 'Lessons' }).click();
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

test('a block is read as a score: lanes of what each limb holds, the steps under a play head', async ({
  page,
  shipped,
}) => {
  await page.goto(`${shipped.url}/club/classes/tuesday`);
  await page
    .getByRole('list', { name: 'Time line' })
    .getByRole('listitem', { name: /^Lasso sweep/ })
    .getByRole('button')
    .click();
  const score = page.getByRole('figure', { name: 'Hold score' });
  await expect(score).toContainText('right hand');
  await score.getByRole('slider', { name: 'Moment shown' }).fill('4');
  await expect(score).toContainText('the near sleeve at the cuff');
});

test('what the rules of a class bar is done only for a reason that is kept and printed', async ({
  page,
  demo,
  request,
}) => {
  await page.goto(`${demo.url}/club/classes`);
  await page.getByText('Something else').click();
  await page.getByLabel('Rules').selectOption({ label: 'Youth, gi' });
  await page.getByRole('button', { name: 'A review' }).click();
  await page.getByLabel('All of Half guard, shoulder-lock grip').check();
  await page.getByRole('button', { name: 'Build the class' }).click();
  const barred = page.getByRole('note', { name: 'Against the rules' });
  await expect(barred.first()).toContainText('shoulder lock: against Youth, gi.');
  await expect(barred).toContainText('Remove it, or write');
  await barred.getByRole('button').first().click();
  await page.getByLabel('Reason for doing it anyway').fill('Positions only, no squeeze; both coaches watch.');
  await page.keyboard.press('Enter');
  await expect(barred.first()).toContainText(
    'Allowed anyway: Positions only, no squeeze; both coaches watch.',
  );
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('article', { name: 'Class sheet' })).toContainText(
    'Against this class’s rules. Allowed anyway: Positions only, no squeeze; both coaches watch.',
  );
  await page.emulateMedia({ media: 'screen' });
  await expect
    .poll(async () =>
      JSON.stringify((await saved(request, demo.url, 'class/half-guard-shoulder-lock-grip')).document),
    )
    .toContain('both coaches watch');
});

test('a class gets a day, and goes on paper for the wall and for the pocket', async ({ page, shipped }) => {
  await page.addInitScript(() => {
    window.print = () => document.body.setAttribute('data-printed', 'yes');
  });
  await page.goto(`${shipped.url}/club/classes/tuesday`);
  await page.getByLabel('Day', { exact: true }).fill('2027-01-12');
  await page.getByLabel('Starts at').fill('19:00');
  await page.keyboard.press('Enter');
  const nav = page.getByRole('navigation', { name: 'Classes' });
  await expect(nav.getByRole('link', { name: /sleeve to the back/ })).toContainText('12 Jan, 19:00');
  const printed = async (name: string) => {
    await page.getByRole('button', { name: 'Print' }).click();
    await page.getByRole('button', { name, exact: true }).click();
    await expect(page.locator('body')).toHaveAttribute('data-printed', 'yes');
    await page.emulateMedia({ media: 'print' });
    const paper = page.getByRole('article', { name });
    await expect(paper).toBeVisible();
    const text = await paper.innerText();
    await page.emulateMedia({ media: 'screen' });
    return text;
  };
  const wall = await printed('Wall sheet');
  expect(wall).toContain('2027-01-12, 19:00');
  expect(wall).toContain('Today: cross-sleeve guard');
  expect(wall).toContain('Coach calls:');
  expect(await printed('Handout for the pocket')).toContain('Thread the lasso');
  const assistant = await printed('Assistant’s sheet');
  expect(assistant).toMatch(/Look for:\s*\S/);
  expect(assistant).toContain('→');
  expect(assistant).not.toContain('Today: cross-sleeve guard');
  expect(await printed('Hold scores')).toContain('right hand');
  await page.getByLabel('Day', { exact: true }).fill('');
  await expect(nav.getByRole('link', { name: /sleeve to the back/ })).not.toContainText('Jan');
});

test('a block is begun on the other side, and says so', async ({ page, shipped }) => {
  await page.goto(`${shipped.url}/club/classes/tuesday`);
  const pane = page.getByRole('region', { name: 'First: what went wrong' });
  await page.getByRole('button', { name: 'First: what went wrong', exact: true }).click();
  await pane.getByRole('button', { name: /^Other side: / }).click();
  await expect(pane).toContainText(/review flow, \d:\d\d, other side/);
  await pane.getByRole('button', { name: /^Other side: / }).click();
  await expect(pane).not.toContainText('other side');
});

test('a movement down the mat says lanes, waves and lengths of the club’s mat', async ({ page, shipped }) => {
  const down = [{ path: ['form'], value: 'line' }];
  await change(page.request, shipped.url, [setFields('block', 'move-arm-chop', down)], {
    address: 'class/term-2',
  });
  await page.goto(`${shipped.url}/club/classes/term-2`);
  await page
    .getByRole('list', { name: 'Time line' })
    .getByRole('button', { name: /Chop to the centre/ })
    .first()
    .click();
  // Fourteen people in five lanes of a metre and a half: three waves of 24 s, each once in two minutes.
  await expect(page.getByRole('region', { name: 'Chop to the centre' })).toContainText(
    'On the main mat (12 × 8 m): 5 lanes, 3 waves, 1 length each.',
  );
});
