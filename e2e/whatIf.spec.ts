import { readFileSync } from 'node:fs';
import { expect, test } from './app.ts';
import { entry, entryValue, numberOf, openWhatIfs, weighed } from './weighing.ts';

test('a what-if moves the value of the map at once', async ({ page, demo }) => {
  const before = await openWhatIfs(page, demo.url);
  await expect(entryValue(page)).toHaveText(/^−?\d+\.\d\d$/);

  const worth = page.getByRole('slider', { name: /^A submission is worth/ });
  await worth.focus();
  await page.keyboard.press('End');
  await expect(worth).toHaveAccessibleName('A submission is worth 20 points');
  // Bottom attacks more than top does in this map, and the dearest submissions are its own.
  await expect.poll(() => entry(page)).toBeGreaterThan(before);
  const dear = await entry(page);

  // What is not allowed can only cost bottom; what top leaves out can only help.
  const take = page.getByLabel('Without', { exact: true });
  await take.selectOption('Without far hooks');
  await expect.poll(() => entry(page)).toBeLessThan(dear);
  const hooked = await entry(page);
  await take.selectOption('Top never: Drives forward');
  await expect.poll(() => entry(page)).toBeGreaterThan(hooked);
  const taken = page.getByRole('list', { name: 'Left out' });
  await expect(taken.getByRole('listitem')).toHaveText(['Without far hooks', 'Top never: Drives forward']);
  await taken.getByRole('button', { name: 'Put back: Top never: Drives forward' }).click();
  await expect.poll(() => entry(page)).toBe(hooked);

  const knee = page.getByRole('button', { name: 'knee', exact: true });
  await knee.click();
  await expect(knee).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByText('A licensed clinician decides who may train.')).toBeVisible();
});

test('one chance is asked about, from the guesses that matter most', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick/weigh`);
  await weighed(page);
  const before = await entry(page);
  const guesses = page.getByRole('list', { name: 'Guesses that matter most' }).getByRole('listitem');
  const name = await guesses.first().getByRole('link').textContent();
  await expect(guesses.first().locator('b')).toHaveText(/^\+/);
  await guesses.first().getByRole('button', { name: 'what if…' }).click();
  const slider = page.getByRole('slider', { name: name! });
  await slider.focus();
  await page.keyboard.press('End');
  await expect.poll(() => entry(page)).toBeGreaterThan(before);
  await page.getByRole('button', { name: `As mapped: ${name}` }).click();
  await expect.poll(() => entry(page)).toBe(before);
});

test('a what-if is kept under a name, laid beside the map as it is, and taken back', async ({
  page,
  demo,
}) => {
  const before = await openWhatIfs(page, demo.url);
  await page.getByLabel('Without', { exact: true }).selectOption('Without collar grips');
  await expect.poll(() => entry(page)).toBeLessThan(before);
  const without = await entry(page);
  const whatIf = page.getByLabel('What-if', { exact: true });
  await expect(whatIf.getByRole('option', { selected: true })).toHaveText('Changed, not saved');
  await page.getByRole('button', { name: 'Save this what-if under a name' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Collar worn out');
  await page.keyboard.press('Enter');
  await expect(whatIf).toHaveValue('collar-worn-out');
  // What is moved on from a scenario says so, and the scenario can be gone back to.
  await page.getByRole('button', { name: 'ankle', exact: true }).click();
  await expect(whatIf.getByRole('option', { selected: true })).toHaveText('Collar worn out, changed');
  await whatIf.selectOption('Collar worn out');
  await expect(page.getByRole('button', { name: 'ankle', exact: true })).toHaveAttribute(
    'aria-pressed',
    'false',
  );

  await page.getByLabel('Compare with').selectOption('Compare with: the map as it is');
  const note = page.getByRole('region', { name: 'Values' }).getByRole('note');
  await expect(note).toContainText('on “The map as it is”');
  const difference = numberOf(await note.locator('b').textContent());
  expect(difference).toBeCloseTo(without - before, 1);
  expect(difference).toBeLessThan(0);
  await page
    .getByRole('region', { name: 'Values' })
    .getByRole('button', { name: /^X-guard/ })
    .first()
    .click();
  await expect(page.getByRole('region', { name: 'The plan' })).toContainText(
    'In “The map as it is” it is worth',
  );

  // It is in the map: another visit finds it, and it can be removed and had back.
  await page.reload();
  await weighed(page);
  expect(await entry(page)).toBe(before);
  await page.getByLabel('What-if', { exact: true }).selectOption('Collar worn out');
  await expect.poll(() => entry(page)).toBe(without);
  await page.getByRole('button', { name: 'Remove the what-if “Collar worn out”' }).click();
  await expect.poll(() => entry(page)).toBe(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('What-if', { exact: true }).getByRole('option')).toContainText([
    'Collar worn out',
  ]);
});

test('an opponent’s habits are written down, trusted and gained from, at a risk', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick/weigh?see=opponent&at=collar-sleeve-standing`);
  await weighed(page);
  await page.getByRole('button', { name: 'New opponent' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Bracken');
  await page.keyboard.press('Enter');
  const look = page.getByRole('form', { name: 'Push the hip, pull the collar' });
  const inputs = look.getByRole('spinbutton');
  await inputs.nth(0).fill('60');
  await inputs.nth(1).fill('30');
  await expect(look.getByRole('alert')).toHaveText('These add up to 90 %: 10 % too little.');
  await expect(look.getByRole('button', { name: 'Keep' })).toBeDisabled();

  // The same as it was counted needs no adding up.
  await look.getByRole('button', { name: 'times seen' }).click();
  await look.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByRole('button', { name: 'Not known' })).toBeVisible();
  await expect(page.getByText('Known in:')).toContainText('Collar and sleeve, top standing');

  const trust = page.getByRole('slider', { name: /^How sure you are/ });
  const chart = page.getByRole('img', { name: /trust: .* against the habits/ });
  const read = async (percent: number) => {
    await expect(chart).toHaveAccessibleName(new RegExp(`^At ${percent} % trust`));
    const [gain, worst] = (await chart.getAttribute('aria-label'))!.match(/−?\d+\.\d\d/g)!.map(numberOf);
    return { gain: gain!, worst: worst! };
  };
  await trust.focus();
  await page.keyboard.press('Home');
  const careful = await read(0);
  await page.keyboard.press('End');
  const bold = await read(100);
  expect(bold.gain).toBeGreaterThanOrEqual(careful.gain);
  expect(bold.worst).toBeLessThanOrEqual(careful.worst);
  await expect(page.getByRole('region', { name: 'Values' })).toContainText('against this opponent’s habits');
});

test('what was weighed goes out as files, under the what-if on screen', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick/weigh`);
  await weighed(page);
  await page.getByLabel('What-if', { exact: true }).selectOption('No jacket');
  await weighed(page);
  const shown = await entry(page);
  const take = async (name: string) => {
    await page.getByRole('button', { name: 'Save as a file' }).click();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name }).or(page.getByRole('button', { name })).click(),
    ]);
    return readFileSync(await download.path(), 'utf8');
  };
  expect(await take('Values and plans (CSV)')).toContain('position,value,if answered');
  const { entry: there } = JSON.parse(await take('All of it (JSON)')) as { entry: number };
  expect(there).toBeCloseTo(shown, 2);
});

test('an ending can be made worth less than nothing, and too much is refused in words', async ({
  page,
  demo,
}) => {
  const before = await openWhatIfs(page, demo.url);
  await page.getByText('What an ending is worth besides points').click();
  const passed = page.getByLabel('guard passed', { exact: true });
  await passed.fill('-101');
  await passed.press('Enter');
  await expect(page.getByText('From −100 to 100 points.')).toBeVisible();
  await passed.fill('-2,5');
  await passed.press('Enter');
  await expect.poll(() => entry(page)).toBeLessThan(before);
  await passed.fill('');
  await passed.press('Enter');
  await expect.poll(() => entry(page)).toBe(before);
});

test('habits can be scaled, forgotten and held by a what-if; an opponent comes back', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/map/kelpwick/weigh?see=opponent&at=collar-sleeve`);
  await weighed(page);
  await page.getByLabel('Opponent', { exact: true }).selectOption('Sedge');
  const look = page.getByRole('form', { name: 'Pull on the collar' });
  const inputs = look.getByRole('spinbutton');
  await expect(inputs.nth(0)).toHaveValue('30');
  await inputs.nth(1).fill('10');
  await expect(look.getByRole('alert')).toHaveText('These add up to 50 %: 50 % too little.');
  await look.getByRole('button', { name: 'Scale to 100 %' }).click();
  await expect(inputs.nth(0)).toHaveValue('60');
  await expect(inputs.nth(1)).toHaveValue('20');
  await look.getByRole('button', { name: 'Not known' }).click();
  await expect(inputs.nth(0)).toHaveValue('');
  await expect(look.getByRole('button', { name: 'Keep' })).toBeDisabled();
  await inputs.nth(2).fill('-1');
  await expect(look.getByRole('alert')).toHaveText('Give numbers from 0 up.');

  await page.getByRole('button', { name: 'Save this what-if under a name' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Against Sedge');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Remove Sedge' }).click();
  const refusal = page.getByRole('status').filter({ hasText: 'A saved what-if uses Sedge' });
  await expect(refusal).toContainText('Remove that first.');
  // Nothing was done, so there is nothing to take back.
  await expect(refusal.getByRole('button', { name: 'Undo' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Remove the what-if “Against Sedge”' }).click();
  await page.getByLabel('Opponent', { exact: true }).selectOption('Sedge');
  await page.getByRole('button', { name: 'Remove Sedge' }).click();
  await expect(
    page.getByLabel('Opponent', { exact: true }).getByRole('option', { name: 'Sedge' }),
  ).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(
    page.getByLabel('Opponent', { exact: true }).getByRole('option', { name: 'Sedge' }),
  ).toHaveCount(1);
});
