import { expect, type Page } from '@playwright/test';

/** Waits until one of the device's stores holds a text: from then on it comes back, whatever ends the page. */
const keptIn = (page: Page, store: 'drafts' | 'settings', text: string): Promise<void> =>
  expect
    .poll(() =>
      page.evaluate(async (name) => {
        const open = indexedDB.open('aftersquall-device');
        await new Promise((done) => {
          open.onsuccess = done;
        });
        const reading = open.result.transaction(name).objectStore(name).getAll();
        await new Promise((done) => {
          reading.onsuccess = done;
        });
        open.result.close();
        return (reading.result as unknown[])
          .map((value) => (name === 'drafts' ? (value as { text: string }).text : JSON.stringify(value)))
          .join('\n');
      }, store),
    )
    .toContain(text);

/** Waits until what was typed is on the device. */
export const draftKept = (page: Page, text: string) => keptIn(page, 'drafts', text);

/** Waits until a setting is on the device whose JSON has this part. */
export const settingKept = (page: Page, part: string) => keptIn(page, 'settings', part);
