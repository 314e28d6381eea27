import { expect, type Page } from '@playwright/test';

/** Waits until what was typed is on the device: from then on it comes back, whatever ends the page. */
export async function draftKept(page: Page, text: string): Promise<void> {
  const drafts = () =>
    page.evaluate(async () => {
      const open = indexedDB.open('aftersquall-device');
      await new Promise((done) => {
        open.onsuccess = done;
      });
      const reading = open.result.transaction('drafts').objectStore('drafts').getAll();
      await new Promise((done) => {
        reading.onsuccess = done;
      });
      open.result.close();
      return (reading.result as { text: string }[]).map(({ text }) => text).join('\n');
    });
  await expect.poll(drafts).toContain(text);
}
