import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { setFields } from '../packages/core/src/documents/index.ts';
import { expect, test } from './app.ts';
import { board, cell } from './board.ts';
import { change, saved } from './http.ts';

async function beginMap(page: Page, url: string) {
  await page.goto(url);
  await page.getByLabel('Name of the map').fill('Mine');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'An empty map' })).toBeVisible();
}

test('a small system is written from nothing in the board, by keyboard alone', async ({ page, empty }) => {
  await beginMap(page, empty.url);
  const { keyboard } = page;
  await keyboard.press('n');
  await keyboard.type('Knee shield');
  await keyboard.press('Enter');
  await expect(page.getByRole('complementary', { name: 'The position' })).toBeFocused();
  await keyboard.press('Escape');
  await keyboard.press('b');
  await expect(board(page)).toBeFocused();

  // A move, named on the spot; then its answer when nobody opposes it.
  await keyboard.press('+');
  await keyboard.type('Underhook and come up');
  await keyboard.press('Enter');
  await keyboard.type('top-side 60%');
  await keyboard.press('Tab');
  await expect(cell(page, 'Underhook and come up', 'Top does nothing')).toHaveAccessibleName(
    /on top in side control, 60 %/,
  );

  // A second move that starts the same, then what top does about both: two holes at once.
  await keyboard.press('&');
  await keyboard.type('Roll under');
  await keyboard.press('Enter');
  await keyboard.type('back 30% 9s');
  await keyboard.press('Enter');
  await keyboard.press('|');
  await keyboard.type('Crossfaces');
  await keyboard.press('Enter');
  await expect(cell(page, 'Roll under', 'Crossfaces')).toHaveAccessibleName(/no answer yet/);
  await expect(page.getByRole('button', { name: 'What needs work: 2 holes' })).toBeVisible();

  // A hole is filled by typing; what is new says so before it is made.
  await keyboard.type('new Half guard flat 55% else passed');
  await keyboard.press('Enter');
  await expect(cell(page, 'Roll under', 'Crossfaces')).toHaveAccessibleName(
    /Half guard flat, 55 %, your guess, if it fails: guard passed/,
  );
  await keyboard.press('ArrowUp');
  await keyboard.type('half');
  await expect(page.getByRole('option', { name: 'Half guard flat position' })).toBeVisible();
  await keyboard.press('ArrowDown');
  await keyboard.press('Enter');
  await keyboard.type('140%');
  await keyboard.press('Enter');
  await expect(page.getByText('more than certain')).toBeVisible();
  for (let i = 0; i < 4; i++) await keyboard.press('Backspace');
  await keyboard.type('40%');
  await keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'What needs work: 0 holes' })).toBeVisible();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();

  await page.reload();
  await expect(cell(page, 'Underhook and come up', 'Crossfaces')).toHaveAccessibleName(
    /Half guard flat, 40 %/,
  );
  const { document: map } = await saved(page.request, empty.url, 'map/mine');
  expect(map.positions.map(({ name }) => name)).toEqual(['Knee shield', 'Half guard flat']);
  expect(map.positions[0]!.looks).toHaveLength(1);
  expect(map.exchanges).toHaveLength(4);
});

test('the same is written in lines: errors where they are, a preview, and one undo for the lot', async ({
  page,
  empty,
}) => {
  await beginMap(page, empty.url);
  await page.getByRole('button', { name: 'Write lines' }).click();
  const pane = page.getByRole('complementary', { name: 'Lines' });
  const editor = pane.getByRole('textbox', { name: 'Lines of the system' });
  await editor.click();
  await page.keyboard.insertText(
    'Knee shield: Underhook | Crossfaces -> Half guard flat 40% else passed\nKnee shield Underhook -> top-side',
  );
  await expect(pane.getByText('Line 2, column')).toBeVisible();
  await expect(pane.getByRole('button', { name: /^Apply/ })).toBeDisabled();
  await page.keyboard.press('Home');
  for (let i = 0; i < 'Knee shield'.length; i++) await page.keyboard.press('ArrowRight');
  await page.keyboard.insertText(':');
  const changes = pane.getByRole('list', { name: 'What this changes' });
  await expect(changes.getByRole('listitem')).toHaveText([
    /new position Knee shield/,
    /new position Half guard flat/,
    /new reaction Crossfaces/,
    /new move Underhook/,
    /new exchange Underhook/,
    /new exchange Underhook/,
  ]);
  await page.keyboard.press('Control+Enter');
  await expect(pane.getByText('No differences.')).toBeVisible();
  await page.getByRole('button', { name: 'Board', exact: true }).click();
  await expect(cell(page, 'Underhook', 'Crossfaces')).toHaveAccessibleName(/Half guard flat, 40 %/);

  // A change on the board is a change of the lines, and the other way round.
  await cell(page, 'Underhook', 'Top does nothing').click();
  await page.keyboard.press('Delete');
  await expect(editor).not.toContainText('top-side');
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(editor).toContainText('top-side');
  await page.getByRole('banner').or(page.locator('.place-bar')).getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: 'An empty map' })).toBeVisible();
});

test('a hole is found among the findings, jumped to, and filled with a suggested answer', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/map/kelpwick`);
  await page.getByRole('button', { name: 'What needs work: 3 holes' }).click();
  const findings = page.getByRole('complementary', { name: 'What needs work' });
  await findings
    .getByRole('button', { name: /you have no answer with "Pull the sleeve, tip over the near side"/ })
    .click();
  const hole = cell(page, 'Pull the sleeve, tip over the near side', 'Widens the base');
  await expect(hole).toHaveAttribute('aria-selected', 'true');
  await expect(page.getByRole('complementary', { name: 'The move' })).toBeVisible();
  await hole.dblclick();
  const suggestion = page.locator('.suggested button').first();
  await expect(suggestion.locator('small')).not.toBeEmpty();
  await suggestion.click();
  await expect(page.getByRole('button', { name: 'What needs work: 2 holes' })).toBeVisible();
  await expect(hole).not.toHaveAccessibleName(/no answer/);
});

test('a finding with a sure mend is mended at once; rules bring their own', async ({
  page,
  demo,
  request,
}) => {
  await change(request, demo.url, [setFields('move', 'cross-choke', [{ path: ['hazards'], value: [] }])]);
  await page.goto(`${demo.url}/map/kelpwick?pane=findings`);
  const findings = page.getByRole('complementary', { name: 'What needs work' });
  const finding = findings.getByText('"Cross-collar choke" attacks a joint or the neck and names no hazard.');
  await expect(finding).toBeVisible();
  await findings.getByRole('button', { name: 'Fix it' }).click();
  await expect(finding).toHaveCount(0);
  await findings.getByLabel('Rules').selectOption({ index: 1 });
  await findings.locator('summary', { hasText: 'barred move' }).click();
  await expect(findings.getByText(/is barred under/).first()).toBeVisible();
  await expect(findings.getByText(/From the same position .* is allowed/).first()).toBeVisible();
  await expect(findings.getByText('current rule book decides')).toBeVisible();
});

test('the history names who changed what, and any revision comes back', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick?fold=none&sel=position.triangle&pane=history`);
  const history = page.getByRole('complementary', { name: 'History' });
  await history.getByLabel('Your name in the history').fill('Coach Tern');
  await page.keyboard.press('Enter');
  const name = page.getByRole('complementary', { name: 'The position' }).getByLabel('Name', { exact: true });
  for (const next of ['Triangle one', 'Triangle two']) {
    await name.fill(next);
    await page.keyboard.press('Enter');
    await expect(history.getByText(`→ “${next}”`)).toBeVisible();
  }
  await expect(history.getByText('Coach Tern')).toHaveCount(2);
  await history.getByRole('button', { name: /Back to revision 2/ }).click();
  await expect(name).toHaveValue('Triangle one');
  await expect(history.getByText('Revision 2 restored')).toBeVisible();
  await history.getByRole('button', { name: 'As it was at the start' }).click();
  await expect(name).toHaveValue('Triangle locked');
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
  await expect(name).toHaveValue('Triangle one');
});

test('anything is found by any of its names', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick/weigh`);
  await expect(page.getByRole('heading', { name: 'Weigh' })).toBeVisible();
  await page.keyboard.press('/');
  await page.keyboard.type('sankaku');
  await expect(page.getByRole('listbox', { name: 'Found' }).getByRole('option').first()).toContainText(
    'Triangle locked',
  );
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/map\/kelpwick\?sel=position\.triangle/);
  await expect(page.getByRole('complementary', { name: 'The position' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('/');
  await page.keyboard.type('kimura grip');
  await page.keyboard.press('Enter');
  await expect(
    page.getByRole('complementary', { name: 'The move' }).getByLabel('Name', { exact: true }),
  ).toHaveValue('Figure-four the crossfacing arm');
});

test('a map goes out as a file and comes in again; a bad one changes nothing and says where', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/map/kelpwick`);
  const menu = page.getByRole('button', { name: 'Kelpwick Harbour Grappling' });
  await menu.click();
  const entry = page.getByRole('button', { name: 'Export as a map file' });
  await expect(entry).toBeVisible();
  const download = page.waitForEvent('download');
  await entry.click();
  const file = await (await download).path();
  expect(readFileSync(file, 'utf8')).toBe(readFileSync('testing/club/kelpwick.map.json', 'utf8'));

  const chooser = page.waitForEvent('filechooser');
  await menu.click();
  await page.getByRole('button', { name: 'Import a map file' }).click();
  await (await chooser).setFiles(file);
  await expect(page).toHaveURL(/map\/kelpwick-2/);
  await expect(page.locator('button.position-card').first()).toBeVisible();

  const bad = JSON.parse(readFileSync(file, 'utf8'));
  bad.exchanges[0].chance = 3;
  bad.positions[0].leadSide = 'up';
  await page.getByLabel('Map file').setInputFiles({
    name: 'bad.map.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(bad)),
  });
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('exchanges.0.chance');
  await expect(dialog).toContainText('positions.0.leadSide');
  await expect(dialog).toContainText('Nothing was changed');
  await dialog.getByRole('button', { name: 'Close' }).click();

  // A map is removed, and had back.
  await menu.click();
  await page.getByRole('button', { name: 'Remove this map' }).click();
  await expect(page).toHaveURL(/map\/kelpwick/);
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
  await expect(page).toHaveURL(/map\/kelpwick-2/);
});

test('holds and signs are tapped on the plan, also with a thumb', async ({ browser, demo }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const page = await context.newPage();
  await page.goto(`${demo.url}/map/kelpwick?fold=none&sel=position.collar-sleeve`);
  const sheet = page.getByRole('complementary', { name: 'The position' });
  const plan = sheet.getByRole('group', { name: 'Both bodies, top facing us, bottom below' });
  const list = sheet.getByRole('group', { name: 'Holds of bottom' });
  expect((await plan.boundingBox())!.width).toBeGreaterThanOrEqual(320);
  await plan.getByRole('button', { name: 'our left hand, holding' }).tap();
  await plan.getByRole('button', { name: "top's right leg, free" }).tap();
  const chip = sheet
    .getByRole('group', { name: 'What it takes' })
    .getByRole('button', { name: 'the near ankle' });
  expect((await chip.boundingBox())!.height).toBeGreaterThanOrEqual(40);
  await chip.tap();
  await expect(list.getByText('left hand cups the near ankle')).toBeVisible();
  const does = sheet.getByRole('group', { name: 'What it does' });
  await does.getByRole('button', { name: 'grip' }).tap();
  await expect(list.getByText('left hand grips the near ankle (same-side)')).toBeVisible();
  await does.getByRole('button', { name: 'cup' }).tap();
  await sheet.getByRole('button', { name: 'deep', exact: true }).tap();
  await expect(list.getByText('left hand cups the near ankle (deep)')).toBeVisible();

  // What to take when the ankle is not to be had.
  const instead = sheet.getByRole('group', { name: 'If you cannot get it' });
  await instead.getByLabel('What is taken instead', { exact: true }).selectOption('heel');
  await expect(instead.getByText('the near heel')).toBeVisible();

  await sheet.getByRole('button', { name: 'Leave this limb' }).tap();
  await plan.getByRole('button', { name: "top's trunk" }).tap();
  await sheet.getByRole('group', { name: "top's stance" }).getByRole('button', { name: 'standing' }).tap();
  await expect(sheet.getByText("top's stance standing", { exact: true })).toBeVisible();

  // Without the jacket: what becomes of the collar is said.
  await sheet
    .getByRole('group', { name: 'Apparel on the plan' })
    .getByRole('button', { name: 'No-gi' })
    .tap();
  await expect(sheet.getByText(/grips the neck.* instead of the near collar/)).toBeVisible();
  await context.close();
});

test('a move is written step by step, with its order and its ways', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick?sel=move.arm-drag`);
  const sheet = page.getByRole('complementary', { name: 'The move' });
  await sheet.getByRole('button', { name: 'step', exact: true }).first().click();
  const step = sheet.getByRole('textbox', { name: 'Step 4', exact: true });
  await step.fill('Second hook, chest heavy.');
  await step.blur();
  await sheet.getByRole('button', { name: 'Holds and order of step 4' }).click();
  await sheet
    .getByRole('group', { name: 'Step 4 never before' })
    .getByRole('button', { name: 'step 3' })
    .click();
  await expect(sheet.getByText('after step 3')).toBeVisible();
  // Put before the step it must come after, it is an order fault, and says so.
  await sheet.getByRole('button', { name: 'Step 4 earlier' }).click();
  await expect(page.getByText(', 1 error')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText(', 1 error')).toHaveCount(0);

  await sheet.getByRole('button', { name: 'another variation' }).click();
  const way = sheet.getByRole('region', { name: 'Variation 1' });
  await way.getByRole('textbox', { name: 'Why' }).fill('Shorter arms reach the lat, not the shoulder.');
  await way.getByRole('button', { name: 'ours' }).click();
  await expect(way.getByRole('button', { name: 'ours' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
});
