import { expect, type Page } from '@playwright/test';

/** What a round is worth, the number that stands first in Weigh. */
export const entryValue = (page: Page) =>
  page.getByRole('region', { name: 'Values' }).locator('.entry-value b').first();

/** Until the question on screen is answered. */
export const weighed = (page: Page) =>
  expect(page.getByRole('status').filter({ hasText: /^Weighed$/ })).toBeAttached();

/** A number as it is shown, with a true minus. */
export const numberOf = (text: string | null | undefined): number => Number(text?.replace('−', '-'));

export const entry = async (page: Page): Promise<number> => numberOf(await entryValue(page).textContent());

/** Opens the what-ifs of the demo; what a round is worth before any. */
export async function openWhatIfs(page: Page, url: string): Promise<number> {
  await page.goto(`${url}/map/kelpwick/weigh?see=what-if`);
  await weighed(page);
  return entry(page);
}
