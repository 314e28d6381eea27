import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';
import { expect, test } from './app.ts';

test('three weeks are planned, a class is moved by key and by mouse, the rest follows, and all goes out as a calendar', async ({
  page,
  demo,
  request,
}) => {
  await page.goto(`${demo.url}/club/term`);
  const form = page.getByRole('region', { name: 'Plan a term' });
  await expect(form).toContainText('First say when your classes are');
  await form.getByRole('button', { name: 'a time' }).click();
  await form.getByLabel('Starts at').fill('25:00');
  await page.keyboard.press('Enter');
  await expect(form).toContainText('a time of day such as 18:30');
  await form.getByLabel('Starts at').fill('19:15');
  await page.keyboard.press('Enter');
  await form.getByLabel('From').fill('2027-03-01');
  await form.getByLabel('Weeks').fill('4');
  await form.getByRole('button', { name: 'holidays' }).click();
  await expect(form.getByLabel('Holidays, last day')).toHaveValue('2027-03-21');
  await expect(form.getByRole('button', { name: 'Plan 3 classes' })).toBeVisible();
  await form.getByLabel('Work through').selectOption({ label: 'Collar and sleeve, top kneeling' });
  await form.getByRole('button', { name: 'Plan 3 classes' }).click();

  const calendar = page.getByRole('region', { name: 'Classes by day' });
  const days = calendar.getByRole('button', { name: /^19:15/ });
  await expect(days).toHaveCount(3);
  await expect(page.getByRole('heading', { name: 'March 2027' })).toBeVisible();
  const card = page.getByRole('complementary', { name: 'The class' });
  await expect(card).toContainText('Tuesday 2 March, 19:15, 60 minutes');
  await expect(card.getByRole('heading', { name: 'New' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Still fresh' }).getByRole('listitem').first()).toContainText(
    '%',
  );

  // By key a day on, and taken back.
  await days.first().focus();
  await page.keyboard.press('ArrowRight');
  await expect(card).toContainText('Wednesday 3 March');
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
  await expect(card).toContainText('Tuesday 2 March');

  // By mouse behind the others.
  const cell = (day: number) => calendar.locator('.rbc-date-cell', { hasText: new RegExp(`^0?${day}$`) });
  const from = (await days.first().boundingBox())!;
  const to = (await cell(30).first().boundingBox())!;
  await page.mouse.move(from.x + 20, from.y + 8);
  await page.mouse.down();
  await page.mouse.move(from.x + 40, from.y + 30, { steps: 4 });
  await page.mouse.move(to.x + 30, to.y + 40, { steps: 8 });
  await page.mouse.up();
  await expect(card).toContainText('Tuesday 30 March');

  // From the first one on, all is planned anew.
  await days.first().click();
  await card.getByRole('button', { name: 'Plan it and the 2 after it again' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Planned 3 classes again.' })).toBeVisible();
  await expect(calendar.getByLabel('needs what is not taught yet')).toHaveCount(0);

  await expect
    .poll(async () => JSON.stringify(await (await request.get(`${demo.url}/api/documents/class`)).json()))
    .toMatch(/2027-03-30/);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Calendar file' }).click(),
  ]);
  const file = new ICAL.Component(ICAL.parse(readFileSync(await download.path(), 'utf8')));
  const starts = file.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one).startDate.toString());
  expect(starts).toEqual(['2027-03-09T19:15:00', '2027-03-23T19:15:00', '2027-03-30T19:15:00']);
});

test('a term that is being planned is stopped, and nothing has changed', async ({ page, shipped }) => {
  await page.goto(`${shipped.url}/club/term`);
  await page.getByRole('button', { name: 'Plan a term' }).click();
  const form = page.getByRole('region', { name: 'Plan a term' });
  await form.getByLabel('From').fill('2027-02-01');
  await form.getByLabel('Weeks').fill('26');
  await form.getByRole('button', { name: 'Plan 52 classes' }).click();
  await form.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Stopped: nothing was changed.' })).toBeVisible();
  await expect(form.getByRole('button', { name: 'Plan 52 classes' })).toBeVisible();
});

test('classes that were planned together are taken back together', async ({ page, demo, request }) => {
  await page.goto(`${demo.url}/club/term`);
  const form = page.getByRole('region', { name: 'Plan a term' });
  await form.getByRole('button', { name: 'a time' }).click();
  await form.getByLabel('From').fill('2027-03-01');
  await form.getByLabel('Weeks').fill('2');
  const before = await (await request.get(`${demo.url}/api/documents/class`)).json();
  await form.getByRole('button', { name: 'Plan 2 classes' }).click();
  const notice = page.getByRole('status').filter({ hasText: '2 classes are in the calendar.' });
  await notice.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Removed 2 classes.' })).toBeVisible();
  expect(await (await request.get(`${demo.url}/api/documents/class`)).json()).toEqual(before);
});
