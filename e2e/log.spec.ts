import type { Practice } from '@aftersquall/core/model';
import type { Page } from '@playwright/test';
import { expect, test } from './app.ts';
import { saved } from './http.ts';
import { countOnMat } from './onMat.ts';

/** The record of the demo's last class. */
const openLastClass = (page: Page, url: string) =>
  page.goto(`${url}/club/log?session=demo-class-20&weeks=all`);

test('the next class begins from what was carried over, counted, fading and thinly known', async ({
  page,
  shipped,
}) => {
  await page.goto(`${shipped.url}/club/log?weeks=all`);
  const box = (name: string) => page.getByRole('region', { name, exact: true });
  await expect(box('Not reached').getByRole('listitem').first()).toContainText('planned for');
  await expect(box('Fix first').getByRole('listitem').first()).toContainText('in all');
  await expect(box('Fading').getByRole('listitem').first()).toContainText(/% still fresh.*, last on/);
  await expect(box('Needs tries').getByRole('listitem')).toHaveCount(5);
  await page.getByRole('link', { name: /^Plan “Tuesday: from the sleeve to the back” on/ }).click();
  await expect(page).toHaveURL(/club\/term/);
});

test('the guess that proves wrong is seen, and the blend becomes the map’s chance with an undo', async ({
  page,
  shipped,
  request,
}) => {
  await page.goto(`${shipped.url}/club/log?part=evidence&weeks=all`);
  const first = page.getByRole('row').nth(1);
  await expect(first.getByRole('img')).toHaveAccessibleName(/guess 50 %, tries .* both/);
  const name = (await first.getByRole('rowheader').innerText()).split('\n')[0]!;
  const chance = async () => {
    const { document: map } = await saved(request, shipped.url, 'map/kelpwick');
    const move = map.moves.find((one) => one.name === name)!;
    const { chance: now, basis } = map.exchanges.find(
      (one) => one.move === move.id && one.reaction === 'none',
    )!;
    return [now, basis ?? ''] as const;
  };
  const [before] = await chance();
  await first.getByRole('button', { name: /^Use the counted results for/ }).click();
  await expect(first.getByText('taken')).toBeVisible();
  await expect.poll(async () => (await chance())[1]).toBe('blended');
  expect((await chance())[0]).toBeLessThan(before - 0.1);
  // The guess is still the coach's own, and not blended twice.
  await expect(first).toContainText('50 %');
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect.poll(async () => (await chance())[0]).toBe(before);
  // One athlete's tries say something of the athlete, and never become the map's.
  await page.getByLabel('Athlete', { exact: true }).selectOption('Gull');
  await expect(page.getByText('These are one athlete’s tries.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Take the blend/ })).toHaveCount(0);
  await page.getByLabel('Athlete', { exact: true }).selectOption('the whole group');
  // All of them at once, as one change.
  await page.getByRole('button', { name: /^Use the counted results for all/ }).click();
  await expect(page.getByRole('button', { name: 'Use the counted results for all 0' })).toBeDisabled();
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await expect.poll(async () => (await chance())[0]).toBe(before);
});

test('faults over the weeks and what fades are seen, and graded in the coach’s words', async ({
  page,
  shipped,
}) => {
  await page.goto(`${shipped.url}/club/log?part=faults&weeks=all`);
  await expect(page.getByRole('img', { name: /by week/ })).toBeVisible();
  await page.getByRole('button', { name: 'Taught and fading' }).click();
  const rows = page.getByRole('row');
  await expect(rows.nth(1)).toContainText('%');
  const name = await rows.nth(1).getByRole('rowheader').innerText();
  await rows.nth(1).getByRole('button', { name: 'sharp' }).click();
  await expect(rows.nth(1).getByRole('rowheader')).not.toHaveText(name);
});

test('the record of a class is finished: who was there, what was tried, a note; mistakes are taken back', async ({
  page,
  shipped,
  request,
}) => {
  await openLastClass(page, shipped.url);
  const sheet = page.getByRole('region', { name: 'Record of the class' });
  const counts = async () => {
    const answer = await request.get(`${shipped.url}/api/practice?map=kelpwick`);
    const session = ((await answer.json()) as Practice).sessions.find(
      (one) => one.session === 'demo-class-20',
    )!;
    return [session.trials, session.notes.length];
  };
  const [trials, notes] = (await counts()) as [number, number];
  await sheet.getByRole('combobox', { name: 'What was tried' }).fill('scissor');
  await page.keyboard.press('Enter');
  await sheet.getByRole('button', { name: 'Worked', exact: true }).click();
  await expect.poll(counts).toEqual([trials + 1, notes]);
  await sheet
    .getByRole('button', { name: /^Undo:/ })
    .first()
    .click();
  await expect.poll(counts).toEqual([trials, notes]);
  await sheet.getByRole('textbox', { name: 'A note on the class' }).fill('good noise');
  await page.keyboard.press('Enter');
  await expect.poll(counts).toEqual([trials, notes + 1]);
  const who = sheet.getByRole('group', { name: 'Who was there' });
  const gull = who.getByRole('button', { name: 'Gull' });
  const there = await gull.getAttribute('aria-pressed');
  await gull.click();
  await expect(gull).not.toHaveAttribute('aria-pressed', there!);
});

test('tries come in as CSV once every line is accepted, and are not counted twice', async ({
  page,
  shipped,
  request,
}) => {
  await page.goto(`${shipped.url}/club/log?part=evidence&weeks=all`);
  const total = async () => {
    const answer = await request.get(`${shipped.url}/api/practice?map=kelpwick`);
    return ((await answer.json()) as Practice).trials.reduce((sum, { tried }) => sum + tried, 0);
  };
  const before = await total();
  const file = (lines: string[]) => ({
    name: 'tries.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['date,exchange,worked,resistance', ...lines].join('\n')),
  });
  const field = page.getByLabel('Tries from CSV');
  await field.setInputFiles(
    file(['2026-11-24,no-such,yes,full', '2026-11-24,join-two--posture-up,maybe,full']),
  );
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Line 2: the map has no answer "no-such"');
  await expect(dialog).toContainText('Line 3');
  await expect(dialog.getByRole('button', { name: /^Keep/ })).toBeDisabled();
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  expect(await total()).toBe(before);
  for (let i = 0; i < 2; i++) {
    await field.setInputFiles(
      file(['2026-11-24,join-two--posture-up,yes,full', '2026-11-24,join-two--posture-up,no,light']),
    );
    await dialog.getByRole('button', { name: 'Keep them' }).click();
    await expect.poll(total).toBe(before + 2);
  }
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Tries as CSV' }).click();
  expect((await download).suggestedFilename()).toBe('tries.csv');
});

test('athletes are asked ten pictures by an alias; what they answer is knowledge and no evidence', async ({
  browser,
  shipped,
  request,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await page.goto(`${shipped.url}/recall/kelpwick?group=evening`);
  await page.getByLabel('Your nickname').fill('Gull');
  await page.getByRole('button', { name: 'Begin' }).click();
  const sums = async () => {
    const answer = await request.get(`${shipped.url}/api/practice?map=kelpwick`);
    return (await answer.json()) as Practice;
  };
  const trials = JSON.stringify((await sums()).trials);
  for (let i = 1; i <= 10; i++) {
    const card = page.getByRole('region', { name: `Picture ${i} of 10` });
    await expect(card.getByRole('img').first()).toBeVisible();
    await card.getByRole('button').first().click();
    await expect(card.getByRole('status')).toContainText(/Right\.|Not this time\./);
    await card.getByRole('button', { name: i < 10 ? 'Next' : 'Done' }).click();
  }
  await expect(page.getByRole('heading', { name: /of 10 right/ })).toBeVisible();
  await expect.poll(async () => (await sums()).recalled.reduce((sum, { asked }) => sum + asked, 0)).toBe(10);
  expect(JSON.stringify((await sums()).trials)).toBe(trials);
  await context.close();
});

test('a whole turn: a class is run, logged and blended, and the map is weighed on what was seen', async ({
  page,
  shipped,
}) => {
  await page.clock.install();
  const counting = await countOnMat(page, shipped.url, /^First: /);
  // What went wrong is mended with help, which is no evidence: what is tried in earnest is said so.
  await counting.getByRole('button', { name: 'full', exact: true }).click();
  for (let i = 0; i < 3; i++)
    await counting.getByRole('button', { name: 'Not', exact: false }).last().click();
  // Four minutes of it are run.
  await page.clock.fastForward('04:00');
  await page.getByRole('button', { name: 'Go to a block' }).click();
  await page.getByRole('button', { name: 'End the class here' }).click();
  await page.getByRole('link', { name: 'Finish the record in the Log' }).click();
  const sheet = page.getByRole('region', { name: 'Record of the class' });
  await expect(sheet.getByText('not', { exact: true })).toHaveCount(3);
  await expect(sheet.getByText('not reached').first()).toBeVisible();
  await page.getByRole('button', { name: 'Evidence' }).click();
  await page.getByRole('button', { name: /^Use the counted results for all/ }).click();
  await expect(page.getByRole('button', { name: 'Use the counted results for all 0' })).toBeDisabled();
  // Weighed on the coach's own guesses it is worth something else than on what was seen.
  await page.goto(`${shipped.url}/map/kelpwick/weigh`);
  const values = page.getByRole('region', { name: 'Values' });
  await expect(values).toBeVisible();
  const worth = () => values.innerText();
  const seen = await worth();
  await page.getByLabel('Where the figures come from').selectOption('coach');
  await expect(page).toHaveURL(/figures=coach/);
  await expect.poll(worth).not.toBe(seen);
  // And the next class begins from what was not reached.
  await page.goto(`${shipped.url}/club/log`);
  await expect(page.getByRole('region', { name: 'Not reached' }).getByRole('listitem').first()).toBeVisible();
  // What was just run is not planned anew: the one after it is, from what was counted.
  await page.getByRole('link', { name: /^Plan “Knee cut, just begun” on / }).click();
  const card = page.getByRole('complementary', { name: 'The class' });
  await expect(card).toContainText('Thursday');
  await card.getByRole('button', { name: 'Plan it and the 6 after it again' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Planned 7 classes again.' })).toBeVisible({
    timeout: 45_000,
  });
  await expect(card.getByRole('heading', { name: 'Starts with' })).toBeVisible();
  await expect(card.getByRole('listitem').filter({ hasText: 'not reached' }).first()).toBeVisible();
});

test('what an opponent does is counted from the log', async ({ page, shipped }) => {
  await page.goto(`${shipped.url}/map/kelpwick/weigh?at=collar-sleeve-standing&see=opponent`);
  await page.getByLabel('What-if', { exact: true }).selectOption('Marten again');
  await page
    .getByRole('button', { name: /^As logged \(\d+ seen\)/ })
    .first()
    .click();
  const form = page.getByRole('form').filter({ hasText: 'As logged' }).first();
  const typed = await form
    .getByRole('spinbutton')
    .evaluateAll((fields) => fields.map((field) => Number((field as HTMLInputElement).value)));
  const said = Number(/\((\d+) seen\)/.exec(await form.innerText())![1]);
  expect(typed.reduce((sum, count) => sum + count, 0)).toBe(said);
});

test('an empty log says how it is filled', async ({ page, demo }) => {
  await page.goto(`${demo.url}/club/log`);
  await expect(page.getByText('No records in this period.')).toBeVisible();
});

test('a roll is written line by line: what the map has is counted, what it has not is added, and one undo takes that out', async ({
  page,
  shipped,
  request,
}) => {
  await openLastClass(page, shipped.url);
  const sheet = page.getByRole('region', { name: 'Record of the class' });
  await sheet.getByText('A whole roll or match, line by line').click();
  await sheet.getByLabel('Who', { exact: true }).selectOption('Gull');
  const lines = sheet.getByRole('textbox', { name: 'A roll, line by line' });
  await lines.click();
  await page.keyboard.insertText(
    'Over and under, two hooks: Over-under sweep failed\nOver and under, two hooks: Log roll under',
  );
  await expect(sheet.getByRole('list', { name: 'Errors' })).toContainText('say where it led');
  await expect(sheet.getByRole('button', { name: /^Keep/ })).toBeDisabled();
  await page.keyboard.insertText(' | none -> top-side');
  const changes = sheet.getByRole('list', { name: 'What this changes' });
  await expect(changes).toContainText('new move Log roll under');
  await expect(sheet.getByRole('list', { name: 'Tries in this roll' }).getByRole('listitem')).toHaveText([
    /^not Over-under sweep/,
    /^worked Log roll under/,
  ]);
  // What is typed outlives the page.
  await page.reload();
  await sheet.getByLabel('Who', { exact: true }).selectOption('Gull');
  await sheet.getByRole('button', { name: 'Keep 2 tries, and add what is new to the map' }).click();
  const row = (text: RegExp) => sheet.getByRole('listitem').filter({ hasText: text });
  await expect(row(/worked Log roll under full, Gull/)).toHaveCount(1);
  await expect(row(/not Over-under sweep full, Gull/)).toHaveCount(1);
  const moves = async () => {
    const answer = await request.get(`${shipped.url}/api/documents/map/kelpwick`);
    const { document } = (await answer.json()) as { document: { moves: { name: string }[] } };
    return document.moves.filter(({ name }) => name === 'Log roll under').length;
  };
  await expect.poll(moves).toBe(1);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect.poll(moves).toBe(0);
  // The try keeps the name it had.
  await expect(row(/worked Log roll under/)).toHaveCount(1);
});

test('reps that were not as planned are put right in the record', async ({ page, shipped, request }) => {
  await openLastClass(page, shipped.url);
  // A record opens at its head: nothing further down takes the page along.
  await expect(page.getByRole('heading', { name: /^Thursday: Single-leg X/ })).toBeInViewport();
  const reps = page.getByLabel('Reps each of Turn the knee in', { exact: true });
  await reps.fill('some');
  await page.keyboard.press('Enter');
  await expect(page.getByText('whole reps')).toBeVisible();
  await reps.fill('3');
  await page.keyboard.press('Enter');
  await expect
    .poll(async () => {
      const answer = await request.get(`${shipped.url}/api/records?session=demo-class-20`);
      const { records } = (await answer.json()) as {
        records: { kind: string; title?: string; reps?: number }[];
      };
      return records.flatMap((one) =>
        one.kind === 'block' && one.title === 'Turn the knee in' ? [one.reps] : [],
      );
    })
    .toEqual([3]);
  await page.reload();
  await expect(reps).toHaveValue('3');
});

test('the map is weighed on what one athlete was seen to do', async ({ page, shipped }) => {
  await page.goto(`${shipped.url}/map/kelpwick/weigh?figures=logged`);
  const values = page.getByRole('region', { name: 'Values' });
  const whose = page.getByLabel('Whose tries');
  const worth = async () => {
    await expect(page.locator('[aria-busy="true"]')).toHaveCount(0);
    return values.innerText();
  };
  await expect(values).toBeVisible();
  const everybody = await worth();
  await whose.selectOption('Skua’s');
  await expect(page).toHaveURL(/whose=skua/);
  await expect.poll(worth).not.toBe(everybody);
  // The map's own figures are nobody's.
  await page.getByLabel('Where the figures come from').selectOption('');
  await expect(whose).toBeHidden();
  await expect(page).not.toHaveURL(/whose/);
});

test('a record that should not be is taken back as a whole, and put back', async ({
  page,
  shipped,
  request,
}) => {
  const sums = async () => {
    const answer = await request.get(`${shipped.url}/api/practice?map=kelpwick`);
    const { sessions, trials, taught } = (await answer.json()) as Practice;
    const tried = trials.reduce((sum, one) => sum + one.tried, 0);
    return [sessions.length, tried, taught.length];
  };
  const before = await sums();
  await openLastClass(page, shipped.url);
  await page.getByRole('button', { name: 'Undo the whole record' }).click();
  await expect(page.getByText('This record was undone.')).toBeVisible();
  await expect.poll(sums).not.toEqual(before);
  expect((await sums())[0]).toBe(before[0]! - 1);
  await page.getByRole('button', { name: 'Restore it' }).click();
  await expect(page.getByRole('heading', { name: /^Thursday: Single-leg X/ })).toBeVisible();
  await expect.poll(sums).toEqual(before);
});

test('a fault that was not tapped on the mat is found by its words and counted', async ({
  page,
  shipped,
  request,
}) => {
  await openLastClass(page, shipped.url);
  const sheet = page.getByRole('region', { name: 'Record of the class' });
  const field = sheet.getByLabel('A fault you saw');
  await field.fill('pulls without leaving');
  await sheet
    .getByRole('option', { name: /pulls without leaving/ })
    .first()
    .click();
  const total = async () => {
    const answer = await request.get(`${shipped.url}/api/practice?map=kelpwick`);
    const { faults } = (await answer.json()) as Practice;
    return faults.reduce((sum, one) => (one.fault === 'pulls without leaving' ? sum + one.count : sum), 0);
  };
  await expect.poll(total).toBe(69);
  await expect(field).toHaveValue('');
});

test('without the log, a choice of its figures says that the map’s own are shown', async ({ page, demo }) => {
  await page.route('**/api/practice?*', (route) => route.abort());
  await page.goto(`${demo.url}/map/kelpwick/weigh?figures=logged`);
  const notice = page.getByRole('status').filter({ hasText: 'The counted results do not load' });
  await expect(notice).toContainText('You see your guesses');
  await page.getByLabel('Where the figures come from').selectOption('');
  await expect(notice).toHaveCount(0);
});
