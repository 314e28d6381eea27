import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { bigMap } from '../packages/core/src/test/bigMap.ts';
import { expect, test } from './app.ts';

const entryValue = (page: Page) =>
  page.getByRole('region', { name: 'Values' }).locator('.entry-value b').first();
const weighed = (page: Page) =>
  expect(page.getByRole('status').filter({ hasText: /^Weighed$/ })).toBeAttached();

/** A number as it is shown, with a true minus. */
const numberOf = (text: string | null | undefined) => Number(text?.replace('−', '-'));
const entry = async (page: Page) => numberOf(await entryValue(page).textContent());

test('a what-if moves the value of the map at once', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/weigh?see=what-if`);
  await expect(entryValue(page)).toHaveText(/^−?\d+\.\d\d$/);
  await weighed(page);
  const before = await entry(page);

  const worth = page.getByRole('slider', { name: /^A submission is worth/ });
  await worth.focus();
  await page.keyboard.press('End');
  await expect(worth).toHaveAccessibleName('A submission is worth 20 points');
  // Bottom attacks more than top does in this map, and the dearest submissions are its own.
  await expect.poll(() => entry(page)).toBeGreaterThan(before);
  const dear = await entry(page);

  // What is not allowed can only cost bottom; what top leaves out can only help.
  const take = page.getByLabel('Take away');
  await take.selectOption('Without far hooks');
  await expect.poll(() => entry(page)).toBeLessThan(dear);
  const hooked = await entry(page);
  await take.selectOption('Top never: Drives forward');
  await expect.poll(() => entry(page)).toBeGreaterThan(hooked);
  const taken = page.getByRole('list', { name: 'Taken away' });
  await expect(taken.getByRole('listitem')).toHaveText(['Without far hooks', 'Top never: Drives forward']);
  await taken.getByRole('button', { name: 'Give back: Top never: Drives forward' }).click();
  await expect.poll(() => entry(page)).toBe(hooked);

  const knee = page.getByRole('button', { name: 'knee', exact: true });
  await knee.click();
  await expect(knee).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByText('is for a licensed clinician to say')).toBeVisible();
});

test('one chance is asked about, from the guesses that matter most', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/weigh`);
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
  await page.goto(`${demo.url}/kelpwick/weigh?see=what-if`);
  await weighed(page);
  const before = await entry(page);
  await page.getByLabel('Take away').selectOption('Without collar grips');
  await expect.poll(() => entry(page)).toBeLessThan(before);
  const without = await entry(page);
  const whatIf = page.getByLabel('What-if', { exact: true });
  await expect(whatIf.getByRole('option', { selected: true })).toHaveText('Changed, not kept');
  await page.getByRole('button', { name: 'Keep' }).click();
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

  await page.getByLabel('Beside').selectOption('Beside: the map as it is');
  const note = page.getByRole('region', { name: 'Values' }).getByRole('note');
  await expect(note).toContainText('on “The map as it is”');
  const difference = numberOf(await note.locator('b').textContent());
  expect(difference).toBeCloseTo(without - before, 1);
  expect(difference).toBeLessThan(0);
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
  await page.goto(`${demo.url}/kelpwick/weigh?see=opponent&at=collar-sleeve-standing`);
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

  const trust = page.getByRole('slider', { name: /^Trust in these habits/ });
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

test('top’s sheet says what top should do and what gives most away', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/weigh`);
  await weighed(page);
  await page.keyboard.press('t');
  const sheet = page.getByRole('region', { name: 'Top’s sheet' });
  const rows = sheet.getByRole('row');
  await expect(rows.nth(1)).toContainText('the plan');
  for (const row of (await rows.all()).slice(1, 6)) {
    const [, leaves, , gives] = await row.getByRole('cell').allTextContents();
    if (gives) expect(numberOf(gives)).toBeGreaterThan(numberOf(leaves));
  }
  await rows.nth(2).getByRole('button').click();
  await expect(page).toHaveURL(/at=/);
});

test('what was weighed goes out as files, under the what-if on screen', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/weigh`);
  await weighed(page);
  await page.getByLabel('What-if', { exact: true }).selectOption('No jacket');
  await weighed(page);
  const shown = await entry(page);
  const take = async (name: string) => {
    await page.getByRole('button', { name: 'Take along as a file' }).click();
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

test('work that would never end is stopped at once and begun again', async ({ page, demo }) => {
  // A worker that is busy for ever.
  await page.route(/weigher\.worker/, (route) =>
    route.fulfill({ contentType: 'text/javascript', body: 'for (;;) {}' }),
  );
  await page.goto(`${demo.url}/kelpwick/weigh`);
  const took = await page.getByRole('button', { name: 'Stop' }).evaluate(async (button: HTMLElement) => {
    const from = performance.now();
    button.click();
    while (!document.body.innerText.includes('Stopped: what is shown is from before.'))
      await new Promise(requestAnimationFrame);
    return performance.now() - from;
  });
  console.log(`a weighing that would never end is stopped after ${Math.round(took)} ms`);
  await page.unroute(/weigher\.worker/);
  await page.getByRole('button', { name: 'Weigh again' }).click();
  await weighed(page);
  await expect(entryValue(page)).toHaveText(/^−?\d+\.\d\d$/);
});

test('worths reach the map and the answers, and the order of the answers', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/map?system=collar-and-sleeve`);
  const card = page.getByRole('button', { name: /Seated, hand fighting/ });
  await expect(card).toContainText(/−?\d\.\d\d/);
  await page.goto(`${demo.url}/kelpwick/map?view=board&cell=arm-drag.drive-forward`);
  await expect(page.getByRole('gridcell', { name: /^Arm drag to the back, Drives forward/ })).toHaveAttribute(
    'title',
    /^Worth −?\d\.\d\d points, comes up \d/,
  );

  await page.goto(`${demo.url}/kelpwick/read?at=collar-sleeve&met=posture-up`);
  const answers = page.getByRole('region', { name: 'Answers' });
  const ready = answers.getByRole('region', { name: 'Ready now' }).getByText(/^[+−]?\d+\.\d\d points$/);
  await expect(ready.nth(1)).toBeVisible();
  const worths = (await ready.allTextContents()).map((text) => numberOf(text.replace(' points', '')));
  expect(worths).toEqual([...worths].sort((a, b) => b - a));
});

test('a value opens down to the exchange it comes from', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/weigh`);
  await page
    .getByRole('region', { name: 'Values' })
    .getByRole('button', { name: /^X-guard, both hands/ })
    .click();
  const plan = page.getByRole('region', { name: 'The plan' });
  await expect(plan.getByRole('heading', { name: /^X-guard, both hands/ })).toBeVisible();
  await expect(page).toHaveURL(/at=x-both/);

  // The plan's shares are a mix: in each look they are whole.
  const look = plan.getByRole('article').first();
  const shares = await look.locator('tbody th .share').allTextContents();
  const sum = shares.reduce((all, text) => all + Number.parseInt(text, 10), 0);
  expect(Math.abs(sum - 100)).toBeLessThanOrEqual(shares.length);

  await look.getByRole('cell').getByRole('link').first().click();
  await expect(page).toHaveURL(/map\?sel=exchange\./);
  await expect(page.getByRole('complementary').getByLabel('Chance').first()).toBeVisible();
});

test('holes stand by what they cost, and lead to the cell that would mend them', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/weigh`);
  const fix = page.getByRole('region', { name: 'What to fix first' });
  await expect(fix.getByRole('heading', { name: 'Holes by what they cost' })).toBeVisible();
  const holes = fix.getByRole('list').first().getByRole('listitem');
  await expect(holes.first()).toBeVisible();
  const stakes = (await holes.locator('b').allTextContents()).map(Number);
  expect(stakes).toEqual([...stakes].sort((a, b) => b - a));

  await holes.first().getByRole('link').click();
  await expect(page.getByRole('grid', { name: 'Answer board' })).toBeVisible();
  await expect(page.locator('.board-cell.hole.here')).toBeVisible();
});

test('dilemmas say what they are worth and what makes them look the same', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/weigh?see=dilemmas`);
  const dilemmas = page.getByRole('list', { name: 'Dilemmas' }).locator('> li');
  const triangle = dilemmas.filter({ hasText: 'Finish the triangle and Arm lock from the triangle' });
  await expect(triangle).toContainText(/\+0\.\d\d/);
  await expect(triangle).toContainText('Top does best: postures up tall and drives forward');
  await triangle.getByText('What to train so that they look the same').click();
  await expect(triangle).toContainText(/begin alike/);
  await triangle.getByRole('button', { name: 'Triangle locked' }).click();
  await expect(page.getByRole('region', { name: 'The plan' })).toContainText('A real dilemma');
});

test('what is won when top never does something; many things only when asked for, and stopped', async ({
  page,
  demo,
  request,
}) => {
  await page.goto(`${demo.url}/kelpwick/weigh?see=rests`);
  await page.getByRole('button', { name: 'Reactions' }).click();
  const won = page.getByRole('list', { name: 'Lost without' }).getByRole('listitem');
  await expect(won.filter({ hasText: 'top never: Drives forward' })).toContainText(/^\+/);
  await page.getByRole('button', { name: 'Joints' }).click();
  await expect(won).toHaveCount(7);

  // A crowded map has work for longer than it takes to stop it.
  const crowded = bigMap({ positions: 120, reactions: 40 });
  await request.post(`${demo.url}/api/maps/import`, { data: crowded });
  await page.goto(`${demo.url}/crowded/weigh?see=rests`);
  const ask = page.getByRole('button', { name: 'Take them away one by one' });
  await page.getByRole('button', { name: 'Moves' }).click();
  await ask.click();
  await expect(won.first()).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(ask).toBeVisible();
  expect(await won.count()).toBeLessThan(crowded.moves.length);
});

test('what the game rests on, and how its rounds end', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/weigh?at=x-guard`);
  await page.getByRole('button', { name: 'Rests on' }).click();
  const lost = page.getByRole('list', { name: 'Lost without' }).getByRole('listitem');
  await expect(page.getByRole('progressbar', { name: 'Weighed without' })).toBeHidden();
  await expect(lost.filter({ hasText: 'without hooks on the thigh' })).toBeVisible();
  const differences = (await lost.locator('b').allTextContents()).map(Number);
  expect(differences).toEqual([...differences].sort((a, b) => b - a));
  expect(differences[0]).toBeGreaterThan(0);

  await page.getByRole('button', { name: 'Ends' }).click();
  await expect(page.getByRole('heading', { name: 'How rounds end from X-guard' })).toBeVisible();
  const rows = page.getByRole('table', { name: 'Chance of each end' }).locator('tbody').getByRole('row');
  await expect(rows.first().getByRole('cell').nth(1)).toHaveText(/± \d/);
  let whole = 0;
  for (const row of await rows.all()) {
    const [exact, played] = await row.getByRole('cell').allTextContents();
    const [share, error] = played!.split('±').map(Number.parseFloat);
    whole += Number.parseFloat(exact!);
    // Rounded to a tenth of a per cent on both sides.
    expect(Math.abs(share! - Number.parseFloat(exact!))).toBeLessThanOrEqual(4 * error! + 0.3);
  }
  expect(whole).toBeCloseTo(100, 0);

  // What rounds bring on average is what the position is worth.
  const points = page.getByRole('table', { name: 'Points of a round from here' });
  const chances = (await points.locator('td:last-child').allTextContents()).map(Number.parseFloat);
  expect(chances.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(100, 0);
  const average = await page.getByText(/^On average/).textContent();
  const worth = await page
    .getByRole('region', { name: 'The plan' })
    .getByText(/^Worth/)
    .textContent();
  expect(average!.match(/−?\d+\.\d\d/)![0]).toBe(worth!.match(/−?\d+\.\d\d/)![0]);
  expect(average).toMatch(/exchanges, \d+ s\.$/);
});

test('the likeliest chains to an end, each step open to its exchange', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/weigh?at=collar-sleeve`);
  await page.getByRole('button', { name: 'Chains', exact: true }).click();
  await page.getByLabel('Ending').selectOption('top-side');
  const chains = page.getByRole('list', { name: 'Best chains' }).getByRole('listitem');
  await expect(chains.first()).toBeVisible();
  const chances = (await chains.locator('b').allTextContents()).map(Number.parseFloat);
  expect(chances).toHaveLength(5);
  expect(chances).toEqual([...chances].sort((a, b) => b - a));

  await chains.first().getByRole('link').last().click();
  await expect(page).toHaveURL(/map\?sel=exchange\./);
});

test('on a phone a picked value leads to its plan', async ({ page, demo }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${demo.url}/kelpwick/weigh`);
  await weighed(page);
  const plan = page.getByRole('region', { name: 'The plan' });
  await expect(plan.getByRole('heading').first()).not.toBeInViewport();
  await page
    .getByRole('region', { name: 'Values' })
    .getByRole('button', { name: /^X-guard, both hands/ })
    .click();
  await expect(plan.getByRole('heading', { name: /^X-guard, both hands/ })).toBeInViewport();
});

test('an empty map says why it cannot be weighed, a chosen rules profile who decides', async ({
  page,
  empty,
}) => {
  await page.goto(empty.url);
  await page.getByLabel('Name of the map').fill('Mine');
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: 'Weigh' }).click();
  await expect(page.getByRole('heading', { name: 'This map cannot be weighed yet' })).toBeVisible();
  await expect(page.getByText('give at least one an entry weight')).toBeVisible();
  await page.getByLabel('Rules').selectOption({ index: 1 });
  await expect(page.getByText('The event’s current rule book decides.')).toBeVisible();
  await page.getByRole('main').getByRole('link', { name: 'To the map' }).click();
  await expect(page.getByRole('heading', { name: 'An empty map' })).toBeVisible();
});

test('what is taken out of the map while its worth is shown does no harm', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/map?sel=position.seated`);
  await page.getByRole('button', { name: 'Remove this position' }).click();
  await expect(page.getByText('and what hung on it.')).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.getByRole('link', { name: 'Weigh' }).click();
  await weighed(page);
  const values = page.getByRole('region', { name: 'Values' });
  const gone = values.getByRole('button', { name: /^Seated, hand fighting/ });
  const insights = page.getByRole('region', { name: 'What to fix first' });
  const drag = insights.getByRole('link', { name: /^Arm drag/ }).first();
  const open = async (view: string) => {
    await insights.getByRole('button', { name: view, exact: true }).click();
    if (view !== 'Chains') return;
    await values.getByRole('button', { name: /^Collar and sleeve, top kneeling/ }).click();
    await page.getByLabel('Ending').selectOption('on the back');
  };
  for (const view of ['Chains', 'Holes']) {
    await open(view);
    await expect(drag).toBeVisible();
    await page.keyboard.press('Control+Shift+z');
    await expect(gone).toBeHidden();
    await expect(drag).toBeHidden();
    await page.keyboard.press('Control+z');
    await expect(gone).toBeVisible();
    await expect(drag).toBeVisible();
  }
});

test('an ending can be made worth less than nothing, and too much is refused in words', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/kelpwick/weigh?see=what-if`);
  await weighed(page);
  const before = await entry(page);
  await page.getByText('Worth of an ending beside the points').click();
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
  await page.goto(`${demo.url}/kelpwick/weigh?see=opponent&at=collar-sleeve`);
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

  await page.getByRole('button', { name: 'Keep', exact: true }).first().click();
  await page.getByLabel('Name', { exact: true }).fill('Against Sedge');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Remove Sedge' }).click();
  await expect(page.getByText('A what-if is kept about Sedge: remove that first.')).toBeVisible();
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
