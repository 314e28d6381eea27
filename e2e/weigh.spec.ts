import type { Page } from '@playwright/test';
import { bigMap } from '../packages/core/src/test/bigMap.ts';
import { expect, test } from './app.ts';
import { entry, entryValue, numberOf, weighed } from './weighing.ts';

test('top’s sheet says what top should do and what gives most away', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick/weigh`);
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

test('work that would never end is stopped at once and begun again', async ({ page, demo }) => {
  // A worker that is busy for ever.
  await page.route(/weigher\.worker/, (route) =>
    route.fulfill({ contentType: 'text/javascript', body: 'for (;;) {}' }),
  );
  await page.goto(`${demo.url}/map/kelpwick/weigh`);
  const took = await page.getByRole('button', { name: 'Stop' }).evaluate(async (button: HTMLElement) => {
    const from = performance.now();
    button.click();
    while (!document.body.innerText.includes('Stopped. You see the result from before.'))
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
  await page.goto(`${demo.url}/map/kelpwick?system=collar-and-sleeve`);
  const card = page.getByRole('button', { name: /Seated, hand fighting/ });
  await expect(card).toContainText(/−?\d\.\d\d/);
  await page.goto(`${demo.url}/map/kelpwick?view=board&cell=arm-drag.drive-forward`);
  await expect(page.getByRole('gridcell', { name: /^Arm drag to the back, Drives forward/ })).toHaveAttribute(
    'title',
    /^Worth −?\d\.\d\d points, \d/,
  );

  await page.goto(`${demo.url}/map/kelpwick/read?at=collar-sleeve&met=posture-up`);
  const answers = page.getByRole('region', { name: 'Answers' });
  const ready = answers.getByRole('region', { name: 'Ready now' }).getByText(/^[+−]?\d+\.\d\d points$/);
  await expect(ready.nth(1)).toBeVisible();
  const worths = (await ready.allTextContents()).map((text) => numberOf(text.replace(' points', '')));
  expect(worths).toEqual([...worths].sort((a, b) => b - a));
});

test('a value opens down to the exchange it comes from', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick/weigh`);
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
  await expect(page).toHaveURL(/map\/kelpwick\?sel=exchange\./);
  await expect(page.getByRole('complementary').getByLabel('Chance').first()).toBeVisible();
});

test('holes stand by what an answer brings, and lead to the cell that would mend them', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/map/kelpwick/weigh`);
  const fix = page.getByRole('region', { name: 'What to fix first' });
  await expect(fix.getByRole('heading', { name: 'Holes, the dearest first' })).toBeVisible();
  const holes = fix.getByRole('list').first().getByRole('listitem');
  await expect(holes.first()).toBeVisible();
  const stakes = (await holes.locator('b').allTextContents()).map(Number);
  expect(stakes).toEqual([...stakes].sort((a, b) => b - a));

  await holes.first().getByRole('link').click();
  await expect(page.getByRole('grid', { name: 'Answer board' })).toBeVisible();
  await expect(page.locator('.board-cell.hole.here')).toBeVisible();
});

test('opens with what a round comes to: words, a bar, a path, and each line opens down to its place', async ({
  page,
  shipped,
}) => {
  await page.goto(`${shipped.url}/map/kelpwick/weigh`);
  await weighed(page);
  const story = page.getByRole('region', { name: 'A round in short' });
  const sentences = story.getByRole('list', { name: 'In five sentences' }).getByRole('listitem');
  await expect(sentences).toHaveText([
    /^“.+” from “.+” carries your game\. Without it a round loses \d\.\d+ points\.$/,
    /^What hurts most: top .+ in “.+”, .+\. It costs \d\.\d+ points a round\.$/,
    /^Close this hole first: .+ An answer brings \d\.\d+ points a round\.$|^No answer here would change the result\.$/,
    /^Drill this first this month: .+\. Its first minute brings \d\.\d+ points a round\.$/,
    /^So far every figure is your guess\./,
  ]);
  await expect(
    story.getByRole('heading', { name: /^Of a hundred rounds with your plan against/ }),
  ).toBeVisible();
  const bar = story.getByRole('figure', { name: 'What becomes of a hundred rounds' });
  const titles = await bar
    .locator('[title]')
    .evaluateAll((parts) => parts.map((part) => part.getAttribute('title')));
  const rounds = titles.map((title) => Number.parseInt(title!, 10));
  expect(rounds.reduce((a, b) => a + b, 0)).toBe(100);
  await expect(
    story.getByRole('list', { name: 'Best way through' }).getByRole('button').first(),
  ).toBeVisible();
  await expect(story.getByRole('region', { name: 'What carries it' })).toContainText('without it');
  await expect(story.getByRole('region', { name: 'What hurts it' }).getByRole('button')).toHaveCount(3);

  await story.getByLabel('System').selectOption('Butterfly');
  await expect(story.getByRole('heading', { name: 'A round from Butterfly' })).toBeVisible();
  const hurt = story.getByRole('region', { name: 'What hurts it' }).getByRole('button').first();
  const place = (await hurt.textContent())!.match(/“(.+)”/)![1]!;
  await hurt.click();
  const plan = page.getByRole('region', { name: 'The plan' });
  await expect(plan.getByRole('heading', { name: place })).toBeVisible();
  await page.getByRole('button', { name: /^The whole round/ }).click();
  await expect(story.getByRole('heading', { name: 'A round from Butterfly' })).toBeVisible();
});

test('a level changes what a round is worth in every place, and is kept with a what-if', async ({
  page,
  shipped,
}) => {
  await page.goto(`${shipped.url}/map/kelpwick/weigh`);
  await weighed(page);
  const club = await entry(page);
  const level = page.getByLabel('Level: how often both pick the better answer');
  const values = page.getByRole('region', { name: 'Values' });
  await expect(values).toContainText('if only they play perfectly');
  await level.selectOption('Both play perfectly');
  await expect(values).toContainText('With perfect play on both sides.');
  await weighed(page);
  const best = await entry(page);
  expect(best).toBeLessThan(club);
  await level.selectOption('Them: new');
  await expect.poll(() => entry(page)).toBeGreaterThan(club);
  await page.getByRole('button', { name: 'Save this what-if under a name' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Open mat');
  await page.keyboard.press('Enter');
  await level.selectOption('Both play perfectly');
  await expect.poll(() => entry(page)).toBe(best);

  // Read goes by it, too.
  await page.goto(`${shipped.url}/map/kelpwick/read?at=collar-sleeve-kneeling&met=posture-up`);
  await expect(page.locator('.worth').first()).toHaveAttribute(
    'title',
    /with perfect play on both sides\. A sweep is 2 points\.$/,
  );
  await page.goto(`${shipped.url}/map/kelpwick/weigh`);
  await page.getByLabel('What-if', { exact: true }).selectOption('Open mat');
  await expect(level).toHaveValue('new, keeps to the plan');
  await expect.poll(() => entry(page)).toBeGreaterThan(club);
});

test('dilemmas say what they are worth and what makes them look the same', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick/weigh?see=dilemmas`);
  const dilemmas = page.getByRole('list', { name: 'Dilemmas' }).locator('> li');
  const triangle = dilemmas.filter({ hasText: 'Finish the triangle and Arm lock from the triangle' });
  await expect(triangle).toContainText(/\+0\.\d\d/);
  await expect(triangle).toContainText('Top does best: postures up tall and drives forward');
  await triangle.getByText('What to train so that they start the same').click();
  await expect(triangle).toContainText(/start the same/);
  await triangle.getByRole('button', { name: 'Triangle locked' }).click();
  await expect(page.getByRole('region', { name: 'The plan' })).toContainText('A dilemma');
});

test('what is won when top never does something; many things only when asked for, and stopped', async ({
  page,
  demo,
  request,
}) => {
  await page.goto(`${demo.url}/map/kelpwick/weigh?see=rests`);
  await page.getByRole('button', { name: 'Reactions' }).click();
  const won = page.getByRole('list', { name: 'What a round loses' }).getByRole('listitem');
  await expect(won.filter({ hasText: 'top never: Drives forward' })).toContainText(/^\+/);
  await page.getByRole('button', { name: 'Joints' }).click();
  await expect(won).toHaveCount(7);

  // A crowded map has work for longer than it takes to stop it.
  const crowded = bigMap({ positions: 120, reactions: 40 });
  await request.post(`${demo.url}/api/documents/map`, { data: crowded });
  await page.goto(`${demo.url}/map/crowded/weigh?see=rests`);
  const ask = page.getByRole('button', { name: 'Try without each' });
  await page.getByRole('button', { name: 'Moves' }).click();
  await ask.click();
  await expect(won.first()).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(ask).toBeVisible();
  expect(await won.count()).toBeLessThan(crowded.moves.length);
});

test('what the game rests on, and how its rounds end', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick/weigh?at=x-guard`);
  await page.getByRole('button', { name: 'Without…' }).click();
  const lost = page.getByRole('list', { name: 'What a round loses' }).getByRole('listitem');
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
    .getByText(/^A round from here/)
    .textContent();
  expect(average!.match(/−?\d+\.\d\d/)![0]).toBe(worth!.match(/−?\d+\.\d\d/)![0]);
  expect(average).toMatch(/moves, \d+ s\.$/);
});

test('the likeliest chains to an end, each step open to its exchange', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick/weigh?at=collar-sleeve`);
  await page.getByRole('button', { name: 'Chains', exact: true }).click();
  await page.getByLabel('Ending').selectOption('top-side');
  const chains = page.getByRole('list', { name: 'Best chains' }).getByRole('listitem');
  await expect(chains.first()).toBeVisible();
  const chances = (await chains.locator('b').allTextContents()).map(Number.parseFloat);
  expect(chances).toHaveLength(5);
  expect(chances).toEqual([...chances].sort((a, b) => b - a));

  await chains.first().getByRole('link').last().click();
  await expect(page).toHaveURL(/map\/kelpwick\?sel=exchange\./);
});

test('on a phone a picked value leads to its plan', async ({ page, demo }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${demo.url}/map/kelpwick/weigh`);
  await weighed(page);
  const plan = page.getByRole('region', { name: 'The plan' });
  await expect(page.getByRole('heading', { name: 'A round', exact: true })).toBeInViewport();
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
  await expect(page.getByRole('heading', { name: 'The program cannot weigh this map yet' })).toBeVisible();
  await expect(page.getByText('rounds can start nowhere')).toBeVisible();
  await page.getByLabel('Rules').selectOption({ index: 1 });
  await expect(page.getByText('The event’s current rule book decides.')).toBeVisible();
  await page.getByRole('main').getByRole('link', { name: 'To the map' }).click();
  await expect(page.getByRole('heading', { name: 'An empty map' })).toBeVisible();
});

/** Opens Weigh with a position taken out of the map and had back, so that redo and undo take it out and bring it back. */
async function withRemovable(page: Page, url: string, id: string): Promise<void> {
  await page.goto(`${url}/map/kelpwick?sel=position.${id}`);
  await page.getByRole('button', { name: 'Remove this position' }).click();
  await expect(page.getByText('and what depends on it.')).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.getByRole('link', { name: 'Weigh' }).click();
  await weighed(page);
}

test('what is taken out of the map while its worth is shown does no harm', async ({ page, demo }) => {
  await withRemovable(page, demo.url, 'seated');
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

test('nor does it where dilemmas, ends and top’s sheet tell of it', async ({ page, demo }) => {
  await withRemovable(page, demo.url, 'triangle');
  const gone = page.getByRole('region', { name: 'Values' }).getByRole('button', { name: /^Triangle locked/ });
  const insights = page.getByRole('region', { name: 'What to fix first' });
  await gone.click();
  for (const view of ['Dilemmas', 'Ends', 'Opponent']) {
    await insights.getByRole('button', { name: view, exact: true }).click();
    if (view !== 'Opponent') await expect(insights).toContainText('Triangle locked');
    await page.keyboard.press('Control+Shift+z');
    await expect(gone).toBeHidden();
    await page.keyboard.press('Control+z');
    await expect(gone).toBeVisible();
  }
  await page.keyboard.press('t');
  const sheet = page.getByRole('region', { name: 'Top’s sheet' });
  await expect(sheet).toContainText('Triangle locked');
  await page.keyboard.press('Control+Shift+z');
  await expect(gone).toBeHidden();
  await expect(sheet).not.toContainText('Triangle locked');
});
