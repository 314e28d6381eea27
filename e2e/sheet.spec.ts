import type { GuardMap } from '@aftersquall/core/model';
import type { APIRequestContext, Page } from '@playwright/test';
import { expect, test } from './app.ts';
import { saved as savedDocument } from './http.ts';

/** The map as the server keeps it, once everything is saved. */
async function saved(page: Page, request: APIRequestContext, url: string): Promise<GuardMap> {
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  return (await savedDocument(request, url)).document;
}

test('what a move needs, hurts and suits is written on its sheet', async ({ page, demo, request }) => {
  await page.goto(`${demo.url}/map/kelpwick?sel=move.arm-drag`);
  const sheet = page.getByRole('complementary', { name: 'The move' });

  await sheet.getByLabel('Another sign it needs').selectOption('top.weight');
  const sign = sheet.getByRole('group', { name: /^top's weight/ });
  await sign.getByRole('button', { name: 'must' }).click();
  await expect(sign.getByRole('button', { name: 'helps' })).toHaveAttribute('aria-pressed', 'false');

  const held = sheet.getByRole('group', { name: 'Holds it needs' });
  await expect(held.getByRole('button', { name: 'Add' })).toBeDisabled();
  await held.getByLabel('Holds it needs: action').selectOption('grip');
  await held.getByLabel('Holds it needs: part').selectOption('upper-arm');
  await held.getByRole('button', { name: 'Add' }).click();
  await expect(held).toContainText('upper arm');

  await sheet.getByLabel('Taught before').selectOption({ label: 'Collar drag' });
  await expect(sheet.getByRole('button', { name: 'Remove: Collar drag' })).toBeVisible();

  await sheet.getByLabel('New fault').fill('The elbow is pulled past the hip.');
  await page.keyboard.press('Enter');
  const mend = sheet.getByLabel(/^What mends it: fault/).last();
  await mend.fill('Pull it to your own chest.');
  await page.keyboard.press('Enter');
  await sheet.getByRole('group', { name: 'Hazards' }).getByRole('button', { name: 'shoulder lock' }).click();
  await expect(sheet.getByText('Finish slowly; release at the tap')).toBeVisible();

  await sheet.getByRole('button', { name: 'whom it suits' }).click();
  await sheet.getByRole('button', { name: 'Add', exact: true }).last().click();
  await expect(sheet.getByText('say why')).toBeVisible();
  await sheet.getByLabel('About').selectOption('height');
  await sheet.getByLabel('That is').selectOption('short');
  await sheet.getByLabel('Effect').selectOption('made for it');
  await sheet.getByLabel('Why', { exact: true }).last().fill('Less way under the arm.');
  await sheet.getByRole('button', { name: 'Add', exact: true }).last().click();

  const { moves } = await saved(page, request, demo.url);
  const move = moves.find(({ id }) => id === 'arm-drag')!;
  expect(move.needs.at(-1)).toMatchObject({ facet: 'top.weight', mark: 'helps' });
  expect(move.needsHolds.at(-1)).toEqual({ action: 'grip', part: 'upper-arm' });
  expect(move.requires.at(-1)).toEqual({ move: 'collar-drag' });
  expect(move.faults.at(-1)).toMatchObject({ mend: 'Pull it to your own chest.' });
  expect(move.hazards).toContain('shoulder-lock');
  expect(move.fits.at(-1)).toMatchObject({ about: 'height', value: 'short', effect: 2 });

  // Each is taken out again by its cross.
  for (const name of ['Remove: Collar drag', 'Remove: height short', 'Remove: a grip on the upper arm']) {
    await sheet.getByRole('button', { name }).click();
    await expect(sheet.getByRole('button', { name })).toHaveCount(0);
  }
  const after = (await saved(page, request, demo.url)).moves.find(({ id }) => id === 'arm-drag')!;
  expect(after.requires).toEqual(move.requires.slice(0, -1));
  expect(after.fits).toEqual(move.fits.slice(0, -1));
  expect(after.needsHolds).toEqual(move.needsHolds.slice(0, -1));
});

test('a reaction says what it changes, breaks and takes, and where it is listed', async ({
  page,
  demo,
  request,
}) => {
  await page.goto(`${demo.url}/map/kelpwick?sel=reaction.posture-up`);
  const sheet = page.getByRole('complementary', { name: 'The reaction' });
  await sheet.getByLabel('How a partner gives it in a drill').fill('Lift the head, then the chest.');
  await page.keyboard.press('Tab');
  await sheet.getByLabel('Signs after it: add a sign').selectOption('top.facing');
  await sheet.getByLabel('Signs after it: its value').selectOption('turned-left');
  const breaks = sheet.getByRole('group', { name: 'Holds it breaks', exact: true });
  await breaks.getByLabel('Holds it breaks: part').selectOption('wrist');
  await breaks.getByLabel('Holds it breaks: side').selectOption('near');
  await breaks.getByRole('button', { name: 'Add' }).click();
  const takes = sheet.getByRole('group', { name: 'Holds that top takes' });
  await takes.getByRole('button', { name: 'hold', exact: true }).click();
  await takes.getByRole('button', { name: 'Add the hold' }).click();
  await expect(takes.locator('.invalid-feedback')).toBeVisible();
  await takes.getByRole('button', { name: 'right hand', exact: true }).click();
  await takes.getByLabel('On', { exact: true }).selectOption('hip');
  await takes.getByRole('button', { name: 'Add the hold' }).click();
  await sheet.getByRole('group', { name: 'Hazards' }).getByRole('button', { name: 'slam' }).click();

  const { reactions } = await saved(page, request, demo.url);
  const reaction = reactions.find(({ id }) => id === 'posture-up')!;
  expect(reaction.script).toBe('Lift the head, then the chest.');
  expect(Object.keys(reaction.changes)).toContain('top.facing');
  expect(reaction.breaks.at(-1)).toEqual({ part: 'wrist', side: 'R' });
  expect(reaction.topTakes.at(-1)).toMatchObject({ contacts: ['handR'], target: { of: 'own', part: 'hip' } });
  expect(reaction.hazards).toEqual(['slam']);

  await sheet.getByRole('button', { name: 'Collar and sleeve, top kneeling' }).click();
  await expect(page).toHaveURL(/sel=position\.collar-sleeve/);
});

test('a position says where waiting leads, what is taken instead, and can be had twice', async ({
  page,
  demo,
  request,
}) => {
  await page.goto(`${demo.url}/map/kelpwick?sel=position.collar-sleeve`);
  const sheet = page.getByRole('complementary', { name: 'The position' });
  const holds = sheet.getByRole('group', { name: 'Holds of bottom' });
  await holds.getByRole('button', { name: /^Change: right hand grips the near collar/ }).click();
  const instead = holds.getByRole('group', { name: 'If you cannot get it' });
  await instead.getByLabel('Side of what is taken instead').selectOption('left');
  await instead.getByLabel('What is taken instead', { exact: true }).selectOption('wrist');
  await expect(instead).toContainText('wrist');
  await holds.getByRole('button', { name: 'Change the hold' }).click();

  await sheet.getByLabel('If you wait').selectOption('guard passed');
  await sheet.getByLabel('Points for waiting here').fill('lots');
  await page.keyboard.press('Enter');
  await expect(sheet.locator('.invalid-feedback').last()).toBeVisible();
  await page.keyboard.press('Escape');
  await sheet.getByLabel('Rounds start here (weight)').fill('2,5');
  await page.keyboard.press('Enter');
  await sheet.getByLabel('Played in').selectOption('gi only');
  await sheet.getByLabel('Level').selectOption('expert');
  await sheet.getByRole('group', { name: 'Near side' }).getByRole('button', { name: 'left' }).click();
  const systems = sheet.getByRole('group', { name: 'Guard systems' });
  await systems.getByRole('button', { name: 'Butterfly' }).click();

  const before = await saved(page, request, demo.url);
  const position = before.positions.find(({ id }) => id === 'collar-sleeve')!;
  expect(position).toMatchObject({
    drift: { outcome: 'passed' },
    entry: 2.5,
    apparel: 'gi',
    level: 'expert',
    leadSide: 'L',
  });
  expect(position.rest).toBeUndefined();
  expect(position.systems).toContain('butterfly');
  expect(position.holds[0]!.fallbacks?.at(-1)).toEqual({ of: 'top', part: 'wrist', side: 'L' });

  await sheet.getByRole('button', { name: 'Duplicate this position', exact: true }).click();
  await expect(sheet.getByLabel('Name', { exact: true })).toHaveValue(/^Collar and sleeve, top kneeling .+/);
  const after = await saved(page, request, demo.url);
  expect(after.positions).toHaveLength(before.positions.length + 1);
  const moves = (of: GuardMap, at: string) => of.moves.filter(({ position: id }) => id === at).length;
  const copy = after.positions.find(({ id }) => !before.positions.some((old) => old.id === id))!;
  expect(moves(after, copy.id)).toBe(moves(before, 'collar-sleeve'));
});

test('filters leave what can be played, and say how many are in use', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick?fold=none`);
  const cards = page.locator('button.position-card');
  await expect(cards.first()).toBeVisible();
  const all = await cards.count();
  const button = page.getByRole('button', { name: /^Filters, \d in use$/ });
  await expect(button).toHaveAccessibleName('Filters, 0 in use');
  await button.click();
  const box = page.getByRole('group', { name: 'Filters' });
  await box.getByLabel('Only positions with holes').click();
  await expect.poll(() => cards.count()).toBeLessThan(all);
  await expect(button).toHaveAccessibleName('Filters, 1 in use');
  await box.getByLabel('Only positions with holes').click();
  await box.getByLabel('Played in').selectOption('no-gi');
  await box.getByLabel('Level').selectOption('novice');
  await expect(button).toHaveAccessibleName('Filters, 2 in use');
  await expect.poll(() => cards.count()).toBeLessThan(all);
  // What is shown is in the address, so that it can be sent on.
  await page.reload();
  await expect(button).toHaveAccessibleName('Filters, 2 in use');
});
