import { readFileSync } from 'node:fs';
import { expect, test } from './app.ts';

// The walk of docs/for-coaches.md, step by step: every word it has in bold is tapped, pressed or filled in here.
test('the evening of the page for coaches goes as it is written', async ({ page, empty }) => {
  await page.addInitScript(() => {
    localStorage.setItem('aftersquall.bell', 'silent');
    window.print = () => undefined;
  });
  const guide = readFileSync(new URL('../docs/for-coaches.md', import.meta.url), 'utf8');
  const bold = [...guide.matchAll(/\*\*([^*]+)\*\*/g)].map(([, words]) => words!);
  const walked = new Set(['bold']);
  const words = (text: string): string => {
    walked.add(text);
    return text;
  };

  await page.goto(empty.url);
  await page.getByLabel(words('Name of the map')).fill('Ours');
  await page.getByRole('checkbox', { name: new RegExp(`^${words('Half guard')}`) }).check();
  await page.getByRole('button', { name: words('Start with 1 system') }).click();
  await expect(page.getByRole('group', { name: 'Chart of the guard systems' })).toBeVisible();

  await page.getByRole('button', { name: words('Board') }).click();
  await expect(page.getByRole('grid', { name: 'Answer board' })).toBeVisible();
  await page
    .getByRole('gridcell', { name: /not listed$/ })
    .first()
    .click();
  await page.keyboard.press('Escape');
  await page.keyboard.type('passed 30%');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('gridcell', { name: /: guard passed, 30 %/ }).first()).toBeVisible();

  await page.getByRole('link', { name: words('Read') }).click();
  await expect(page.getByRole('heading', { name: 'Where are you?' })).toBeVisible();

  await page.getByRole('link', { name: words('Tonight') }).click();
  await page
    .getByRole('button', { name: new RegExp(`^${words('Make this class')}`) })
    .first()
    .click();
  await expect(page.getByRole('list', { name: 'Time line' })).toBeVisible();
  await page.getByLabel(words('Day'), { exact: true }).fill('2026-12-10');
  await page.getByRole('button', { name: words('Print') }).click();
  await page.getByRole('button', { name: words('Class sheet') }).click();

  await page.getByRole('link', { name: words('Run on the mat') }).click();
  await page.getByRole('button', { name: new RegExp(`^${words('Start')}`) }).click();
  await page.keyboard.press(words('c'));
  await expect(page.getByRole('region', { name: 'Count what you see' })).toBeVisible();
  await page.keyboard.press('c');
  await page.getByRole('button', { name: words('Go to a block') }).click();
  await page.getByRole('button', { name: words('End the class here') }).click();
  await expect(page.getByRole('heading', { name: /^Class over/ })).toBeVisible();

  await page.goto(`${empty.url}/club`);
  await page.getByRole('link', { name: words('Log') }).click();
  await expect(page.getByRole('heading', { name: 'Log' })).toBeVisible();

  expect(bold.filter((text) => !walked.has(text))).toEqual([]);
});
