import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from './app.ts';
import { countOnMat } from './onMat.ts';

const PLACES = [
  'club',
  'map/kelpwick',
  'map/kelpwick?system=half-guard&pane=findings&sel=position.collar-sleeve',
  'map/kelpwick?view=board&system=butterfly&pane=history',
  'map/kelpwick?view=board&system=butterfly&pane=lines&sel=exchange.one-hook-sweep--none',
  'map/kelpwick?sel=move.finish-lock',
  'map/kelpwick?sel=reaction.strip-collar',
  'map/kelpwick?sel=mechanic.hip-escape',
  'map/kelpwick?view=handbook&system=butterfly',
  'map/kelpwick/read?at=collar-sleeve&met=strip-collar',
  'map/kelpwick/read?at=x-guard&as=top',
  'map/kelpwick/read?by=holds',
  'map/kelpwick/weigh?at=x-guard',
  'map/kelpwick/weigh?at=x-guard&see=ends&as=top',
  'map/kelpwick/weigh?see=what-if',
  'map/kelpwick/weigh?see=opponent',
  'map/kelpwick/balance?move=over-under-sweep',
  'club/classes',
  'club/classes/tuesday',
  'club/mat',
  'club/mat/tuesday',
  'club/log',
  'recall/kelpwick',
];

for (const place of PLACES) {
  test(`nothing serious stands in anybody's way: ${place}`, async ({ page, demo }) => {
    await page.goto(`${demo.url}/${place}`);
    const main = page.getByRole('main');
    await main.getByRole('button').or(main.getByRole('link')).first().waitFor();
    if (place.includes('/weigh')) await expect(page.getByRole('region', { name: 'Values' })).toBeVisible();
    expect(await seriousTrouble(page)).toEqual([]);
    // The dark theme is the same page in other colours, all at once: none halfway between two of them.
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await page.evaluate(() => document.documentElement.setAttribute('data-bs-theme', 'dark'));
    expect(await seriousTrouble(page, ['color-contrast'])).toEqual([]);
  });
}

test('nothing serious stands in anybody’s way in the log', async ({ page, shipped }) => {
  for (const part of ['next', 'evidence', 'faults', 'kept', 'recall']) {
    await page.goto(`${shipped.url}/club/log?part=${part}&weeks=all`);
    const said = page.getByText(/Not reached|Use the counted|forgets first|Ten pictures/);
    await expect(said.or(page.getByRole('img', { name: /by week/ })).first()).toBeAttached();
    expect(await seriousTrouble(page)).toEqual([]);
  }
});

test('nothing serious stands in anybody’s way in a record and on the mat while it is counted', async ({
  page,
  shipped,
}) => {
  await page.goto(`${shipped.url}/club/log?session=demo-class-20&weeks=all`);
  await expect(page.getByRole('region', { name: 'Record of the class' }).getByText('Faults')).toBeVisible();
  expect(await seriousTrouble(page)).toEqual([]);
  await countOnMat(page, shipped.url, /^First: /);
  expect(await seriousTrouble(page)).toEqual([]);
  await page.getByRole('button', { name: 'Who is here', exact: true }).click();
  await expect(page.getByRole('group', { name: 'Who is here' })).toBeVisible();
  expect(await seriousTrouble(page)).toEqual([]);
  await page.getByRole('button', { name: 'For a bright hall' }).click();
  expect(await seriousTrouble(page)).toEqual([]);
  await page.getByRole('button', { name: 'Go to a block' }).click();
  await page.getByRole('button', { name: 'End the class here' }).click();
  await expect(page.getByRole('heading', { name: /^Class over/ })).toBeVisible();
  expect(await seriousTrouble(page)).toEqual([]);
});

test('nothing serious stands in anybody’s way in a lesson', async ({ page, shipped }) => {
  await page.goto(`${shipped.url}/club/classes/tuesday`);
  await page.getByRole('button', { name: 'First: what went wrong', exact: true }).click();
  await expect(page.getByRole('figure', { name: 'Hold score' })).toBeVisible();
  expect(await seriousTrouble(page)).toEqual([]);
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.evaluate(() => document.documentElement.setAttribute('data-bs-theme', 'dark'));
  expect(await seriousTrouble(page, ['color-contrast'])).toEqual([]);
});

test('nothing serious stands in anybody’s way in the term', async ({ page, shipped }) => {
  await page.goto(`${shipped.url}/club/term`);
  await page.getByRole('button', { name: 'Plan a term' }).click();
  await expect(page.getByRole('region', { name: 'Still fresh' })).toBeVisible();
  expect(await seriousTrouble(page)).toEqual([]);
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.evaluate(() => document.documentElement.setAttribute('data-bs-theme', 'dark'));
  expect(await seriousTrouble(page, ['color-contrast'])).toEqual([]);
});

test('nothing serious stands in anybody’s way in the story of a round', async ({ page, shipped }) => {
  await page.goto(`${shipped.url}/map/kelpwick/weigh`);
  await expect(page.getByRole('region', { name: 'What hurts it' })).toBeVisible();
  expect(await seriousTrouble(page)).toEqual([]);
});

async function seriousTrouble(page: Page, rules?: string[]): Promise<string[]> {
  const builder = new AxeBuilder({ page });
  const { violations } = await (rules ? builder.withRules(rules) : builder).analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => {
      const where = nodes.map(({ html, failureSummary }) => `${html.slice(0, 120)} ${failureSummary}`);
      return `${id}: ${where.slice(0, 3).join(' | ')}`;
    });
}
