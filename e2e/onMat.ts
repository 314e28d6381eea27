import type { Page } from '@playwright/test';
import { expect } from './app.ts';

/** The Mat with Tuesday's class, its bells silent. */
export async function openMat(page: Page, url: string) {
  await page.addInitScript(() => localStorage.setItem('aftersquall.bell', 'silent'));
  await page.goto(`${url}/club/mat/tuesday`);
  await expect(page.getByRole('timer')).toBeVisible();
}

/** Goes to the first block that begins so. */
export async function goToBlock(page: Page, block: RegExp) {
  await page.getByRole('button', { name: 'Go to a block' }).click();
  await page.getByRole('group', { name: 'Go to' }).getByRole('button', { name: block }).first().click();
}

/** Runs a class with silent bells up to a block that begins so, and opens what is counted there. */
export async function countOnMat(page: Page, url: string, block: RegExp) {
  await openMat(page, url);
  await page.getByRole('button', { name: 'Start' }).click();
  await goToBlock(page, block);
  await page.keyboard.press('c');
  const counting = page.getByRole('region', { name: 'Count what you see' });
  await expect(counting).toBeVisible();
  return counting;
}
