import type { Page } from '@playwright/test';
import { expect } from './app.ts';

/** Runs a class with silent bells up to a block that begins so, and opens what is counted there. */
export async function countOnMat(page: Page, url: string, block: RegExp) {
  await page.addInitScript(() => localStorage.setItem('aftersquall.bell', 'silent'));
  await page.goto(`${url}/club/mat/tuesday`);
  await expect(page.getByRole('timer')).toBeVisible();
  await page.getByRole('button', { name: 'Start' }).click();
  await page.getByRole('button', { name: 'Go to a block' }).click();
  await page.getByRole('group', { name: 'Go to' }).getByRole('button', { name: block }).first().click();
  await page.keyboard.press('c');
  const counting = page.getByRole('region', { name: 'Count what is seen' });
  await expect(counting).toBeVisible();
  return counting;
}
