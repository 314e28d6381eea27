import type { Practice } from '@aftersquall/core/model';
import type { APIRequestContext, BrowserContext, Page } from '@playwright/test';
import { setFields } from '../packages/core/src/documents/index.ts';
import { type App, expect, test } from './app.ts';
import { change, saved } from './http.ts';
import { draftKept, settingKept } from './onDevice.ts';
import { goToBlock, openMat } from './onMat.ts';

const BOARD = 'map/kelpwick?view=board&system=butterfly';
const TRIANGLE = 'map/kelpwick?sel=position.triangle';
const isSaved = (page: Page) => expect(page.getByText('Saved', { exact: true })).toBeVisible();
const field = (page: Page, label: string) =>
  page.getByRole('complementary', { name: 'The position' }).getByLabel(label, { exact: true });
const note = (page: Page) => field(page, 'Note');
const practice = async (request: APIRequestContext, url: string) =>
  (await (await request.get(`${url}/api/practice?map=kelpwick`)).json()) as Practice;

/** A browser whose pages open without the server, with a page on it. */
async function withShell(
  browser: { newContext(options: object): Promise<BrowserContext> },
  url: string,
  path: string,
) {
  const context = await browser.newContext({ serviceWorkers: 'allow' });
  const page = await context.newPage();
  await page.goto(`${url}/${path}`);
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    while (!navigator.serviceWorker.controller) await new Promise((resolve) => setTimeout(resolve, 20));
  });
  return { context, page };
}

/** Writes the note of the open position without the server. */
async function noteOffline(page: Page, context: BrowserContext, text: string): Promise<void> {
  await expect(note(page)).toBeVisible();
  await context.setOffline(true);
  await note(page).fill(text);
  await note(page).press('Tab');
  await expect(page.getByRole('alert')).toContainText('kept on this device');
}

test('confirmed work is there after a reload without network, twice, and nobody is asked about their own', async ({
  browser,
  demo,
  request,
}) => {
  const { context, page } = await withShell(browser, demo.url, TRIANGLE);
  await field(page, 'Name').fill('Triangle, confirmed');
  await field(page, 'Name').press('Enter');
  await isSaved(page);
  for (const text of ['once', 'twice']) {
    await context.setOffline(true);
    await page.reload();
    await expect(field(page, 'Name')).toHaveValue('Triangle, confirmed');
    await note(page).fill(text);
    await note(page).press('Tab');
    await expect(page.getByRole('alert')).toContainText('One change is kept on this device');
    await page.reload();
    await expect(note(page)).toHaveValue(text);
    await context.setOffline(false);
    await isSaved(page);
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
  const { document } = await saved(request, demo.url);
  expect(document.positions.find(({ id }) => id === 'triangle')).toMatchObject({
    name: 'Triangle, confirmed',
    note: 'twice',
  });
  await context.close();
});

test('the map is there without network after the first visit', async ({ browser, demo }) => {
  const { context, page } = await withShell(browser, demo.url, TRIANGLE);
  await expect(note(page)).toBeVisible();
  await context.setOffline(true);
  await page.reload();
  await expect(field(page, 'Name')).toHaveValue('Triangle locked');
  await page.goto(`${demo.url}/`);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await context.close();
});

test('the same thing made twice, once without network, is asked about and never stops the program', async ({
  browser,
  demo,
  request,
}) => {
  const { context, page } = await withShell(browser, demo.url, BOARD);
  await expect(page.getByRole('grid').first()).toBeVisible();
  await context.setOffline(true);
  await page.getByRole('gridcell').first().click();
  await page.keyboard.press('@');
  await page.keyboard.type('Gamma guard');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('kept on this device');
  const gamma = { id: 'gamma-guard', name: 'Gamma guard', systems: ['butterfly'], note: 'from elsewhere' };
  await change(request, demo.url, [{ do: 'put', kind: 'position', value: gamma } as never], { who: 'Gull' });
  await page.reload();
  await context.setOffline(false);
  const dialog = page.getByRole('dialog', { name: 'Two people changed this' });
  await expect(dialog).toContainText('position “Gamma guard”');
  await dialog.getByRole('button', { name: 'Gull: Gamma guard' }).click();
  await dialog.getByRole('button', { name: 'Go on' }).click();
  await isSaved(page);
  for (const place of ['Read', 'Log', 'Map']) {
    await page.getByRole('link', { name: place, exact: true }).click();
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  }
  await context.close();
});

test('a third change shows in the open question, and only an answer to that is taken', async ({
  page,
  context,
  demo,
  request,
}) => {
  await page.goto(`${demo.url}/${TRIANGLE}`);
  await noteOffline(page, context, 'mine');
  const write = (text: string, who: string) =>
    change(request, demo.url, [setFields('position', 'triangle', [{ path: ['note'], value: text }])], {
      who,
    });
  await write('first', 'Tern');
  await context.setOffline(false);
  const dialog = page.getByRole('dialog', { name: 'Two people changed this' });
  await expect(dialog.getByRole('button', { name: 'Tern: “first”' })).toBeVisible();
  await write('second', 'Gull');
  await expect(dialog.getByRole('button', { name: 'Gull: “second”' })).toBeVisible();
  await dialog.getByRole('button', { name: 'Go on' }).click();
  await expect(dialog).toBeHidden();
  await isSaved(page);
  const { document } = await saved(request, demo.url);
  expect(document.positions.find(({ id }) => id === 'triangle')!.note).toBe('mine');
});

test('what somebody else removed comes back with my change, if I want both', async ({
  page,
  context,
  demo,
  request,
}) => {
  await page.goto(`${demo.url}/${TRIANGLE}`);
  await noteOffline(page, context, 'still wanted');
  await change(request, demo.url, [{ do: 'remove', kind: 'position', id: 'triangle' }], { who: 'Gull' });
  await context.setOffline(false);
  const dialog = page.getByRole('dialog', { name: 'Your change no longer fits' });
  await expect(dialog.getByRole('button', { name: 'Put my change aside' })).toBeVisible();
  await dialog.getByRole('button', { name: 'Bring it back with my change' }).click();
  await isSaved(page);
  await expect(note(page)).toHaveValue('still wanted');
  const { document } = await saved(request, demo.url);
  expect(document.positions.find(({ id }) => id === 'triangle')!.note).toBe('still wanted');
  expect(document.moves.some(({ position }) => position === 'triangle')).toBe(true);
});

test('what is put aside is shown, saved as a file, tried again and removed', async ({
  page,
  context,
  demo,
  request,
}) => {
  await page.goto(`${demo.url}/${TRIANGLE}`);
  await noteOffline(page, context, 'for later');
  await change(request, demo.url, [{ do: 'remove', kind: 'position', id: 'triangle' }], { who: 'Gull' });
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Put my change aside' }).click();
  await page.getByRole('button', { name: 'Aside 1' }).click();
  const aside = page.getByRole('dialog', { name: 'Put aside on this device' });
  await expect(aside).toContainText('Gull removed what it needs');
  const download = page.waitForEvent('download');
  await aside.getByRole('button', { name: 'Save as a file' }).click();
  await download;
  await aside.getByRole('button', { name: 'Try again' }).click();
  await expect(aside.getByRole('alert')).toContainText('The server still refuses it');
  await aside.getByRole('button', { name: /^Remove/ }).click();
  await expect(aside).toContainText('Nothing is put aside.');
});

test('what is typed outlives Escape, going back, a reload and a crash', async ({
  page,
  context,
  demo,
  request,
}) => {
  const noteOf = async () =>
    (await saved(request, demo.url)).document.positions.find(({ id }) => id === 'triangle')!.note;
  await page.goto(`${demo.url}/map/kelpwick`);
  await page.goto(`${demo.url}/${TRIANGLE}`);
  await note(page).pressSequentially('by escape');
  await page.keyboard.press('Escape');
  await expect.poll(noteOf).toBe('by escape');

  await note(page).fill('by going back');
  await page.goBack();
  await expect.poll(noteOf).toBe('by going back');

  await page.goto(`${demo.url}/${TRIANGLE}`);
  // The device's copy is shown first, and may be a moment behind.
  await expect(note(page)).toHaveValue('by going back');
  await note(page).fill('by a reload');
  await page.reload();
  await expect(note(page)).toHaveValue('by a reload');
  await expect.poll(noteOf).toBe('by a reload');

  // A crash gives no last word: the draft is on the device, and comes back.
  await note(page).fill('by a crash');
  await draftKept(page, 'by a crash');
  const crashed = page.waitForEvent('crash');
  void page.goto('chrome://crash').catch(() => undefined);
  await crashed;
  const again = await context.newPage();
  await again.goto(`${demo.url}/${TRIANGLE}`);
  await expect(note(again)).toHaveValue('by a crash');
  await again.getByRole('button', { name: 'Save it' }).click();
  await expect.poll(noteOf).toBe('by a crash');
});

test('a note that is too long says so while one types, and stays', async ({ page, demo }) => {
  await page.goto(`${demo.url}/${TRIANGLE}`);
  await note(page).fill('x'.repeat(5000));
  await expect(page.getByText('5000 of at most 4000 letters')).toBeVisible();
  await note(page).press('Tab');
  await expect(page.getByText('at most 4000 characters')).toBeVisible();
  await page.getByRole('button', { name: 'Close the sheet' }).click();
  await page.goto(`${demo.url}/${TRIANGLE}`);
  await expect(note(page)).toHaveValue('x'.repeat(5000));
  await page.getByRole('button', { name: 'Back to what is saved' }).click();
  await expect(note(page)).not.toHaveValue(/x{10}/);
});

test('what somebody else saves in the field one types in stands beside it', async ({
  page,
  demo,
  request,
}) => {
  await page.goto(`${demo.url}/${TRIANGLE}`);
  await note(page).fill('half a sent');
  await change(
    request,
    demo.url,
    [setFields('position', 'triangle', [{ path: ['note'], value: 'theirs' }])],
    {
      who: 'Gull',
    },
  );
  await expect(page.getByText('Somebody just changed this to “theirs”.')).toBeVisible();
  await expect(note(page)).toHaveValue('half a sent');
  await page.getByRole('button', { name: 'Back to what is saved' }).click();
  await expect(note(page)).toHaveValue('theirs');
});

test('a removed map is in a list, and given back whole', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick`);
  const menu = page.getByRole('button', { name: 'Kelpwick' }).first();
  await menu.click();
  await page.getByRole('button', { name: 'Remove this map' }).click();
  await expect(page.getByRole('heading', { name: 'Name your first map' })).toBeVisible();
  // The offer in the notice is gone after a reload; the list is not.
  await page.reload();
  await page.getByRole('button', { name: 'Removed maps…' }).click();
  const removed = page.getByRole('dialog', { name: 'Removed' });
  await removed.getByRole('button', { name: /^Give back/ }).click();
  await expect(page).toHaveURL(/map\/kelpwick/);
  await expect(page.getByRole('link', { name: 'Read', exact: true })).toBeVisible();
});

test('the settings of two tabs do not write over each other', async ({ context, demo }) => {
  const [one, two] = [await context.newPage(), await context.newPage()];
  for (const tab of [one, two]) await tab.goto(`${demo.url}/${TRIANGLE}`);
  await one.goto(`${demo.url}/map/kelpwick?pane=history`);
  const coach = one.getByLabel('Your name in the history');
  await coach.fill('Coach Tern');
  await coach.press('Enter');
  await settingKept(one, 'Coach Tern');
  await two.getByRole('button', { name: 'Dark' }).click();
  await expect(one.locator('html')).toHaveAttribute('data-bs-theme', 'dark');
  await two.reload();
  await two.goto(`${demo.url}/map/kelpwick?pane=history`);
  await expect(two.getByLabel('Your name in the history')).toHaveValue('Coach Tern');
});

test('a browser that keeps nothing says so, and works as long as the page is open', async ({
  page,
  demo,
  request,
}) => {
  await page.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('not here', 'SecurityError');
    };
  });
  await page.goto(`${demo.url}/${TRIANGLE}`);
  await expect(page.getByRole('alert')).toContainText('This browser cannot store anything');
  await note(page).fill('kept all the same');
  await note(page).press('Tab');
  await expect
    .poll(
      async () =>
        (await saved(request, demo.url)).document.positions.find(({ id }) => id === 'triangle')!.note,
    )
    .toBe('kept all the same');
});

test('records that the server refuses, or the program cannot read, hold up no other, and can be tried again', async ({
  page,
  demo,
  request,
}) => {
  await openMat(page, demo.url);
  await page.keyboard.press('Space');
  await demo.stop();
  await goToBlock(page, /./);
  await page.keyboard.press('ArrowRight');
  await page.evaluate(async () => {
    const open = indexedDB.open('aftersquall-device');
    await new Promise((done) => {
      open.onsuccess = done;
    });
    const writing = open.result.transaction('waiting', 'readwrite');
    const all = writing.objectStore('waiting').getAll();
    all.onsuccess = () => {
      const block = (all.result as { kind: string }[]).find(({ kind }) => kind === 'block')!;
      // Both come before all others.
      const first = { ...block, at: '2020-01-01T00:00:00.000Z' };
      writing.objectStore('waiting').put({ ...first, key: 'another-program', kind: 'hologram' });
      writing.objectStore('waiting').put({ ...first, key: 'poisoned-record' });
    };
    await new Promise((done) => {
      writing.oncomplete = done;
    });
    open.result.close();
  });
  // The server of today takes whatever this program can read: a refusal comes from one that is stricter.
  const refuse = (message: string) =>
    page.route('**/api/records', (route, asked) =>
      asked.postData()?.includes('poisoned-record')
        ? route.fulfill({ status: 400, json: { statusCode: 400, message } })
        : route.fallback(),
    );
  await refuse('It is poisoned.');
  await demo.start();
  await page.reload();
  await expect.poll(async () => (await practice(request, demo.url)).sessions.length).toBe(1);
  await expect(page.getByText(/kept on this tablet/)).toHaveCount(0);
  await page.goto(`${demo.url}/map/kelpwick`);
  await page.getByRole('button', { name: 'Aside 2' }).click();
  const aside = page.getByRole('dialog', { name: 'Put aside on this device' });
  await expect(aside).toContainText('this one cannot read it');
  const refused = aside.locator('.kept-line').filter({ hasText: 'poisoned.' });
  await expect(refused).toContainText('It is poisoned.');
  await refuse('It is still poisoned.');
  await refused.getByRole('button', { name: 'Try again' }).click();
  await expect(refused).toContainText('It is still poisoned.');
  await page.unroute('**/api/records');
  await refused.getByRole('button', { name: 'Try again' }).click();
  await expect(refused).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Aside 1', includeHidden: true })).toHaveCount(1);
  const [session] = (await practice(request, demo.url)).sessions;
  const { records } = (await (
    await request.get(`${demo.url}/api/records?session=${session!.session}`)
  ).json()) as { records: { key: string }[] };
  expect(records.map(({ key }) => key)).toContain('poisoned-record');
});

/** How long each block of the run ran, by its title. */
const ranOf = async (request: APIRequestContext, app: App, session: string) => {
  const { records } = (await (await request.get(`${app.url}/api/records?session=${session}`)).json()) as {
    records: { kind: string; title: string; ran: number }[];
  };
  return records.filter(({ kind }) => kind === 'block').map(({ ran }) => ran);
};

test('going back and a minute more change nothing of what was counted', async ({ page, demo, request }) => {
  await page.clock.install({ time: new Date('2026-03-03T18:00:00Z') });
  await openMat(page, demo.url);
  await page.clock.pauseAt(new Date('2026-03-03T18:30:00Z'));
  await page.keyboard.press('Space');
  await page.clock.runFor(5_000);
  const toBlock = async (number: number) => {
    await page.getByRole('button', { name: 'Go to a block' }).click();
    // The first button of the group ends the class.
    await page.getByRole('group', { name: 'Go to' }).getByRole('button').nth(number).click();
  };
  await page.clock.fastForward(40_000);
  await toBlock(2);
  await page.clock.fastForward(30_000);
  const sessionOf = async () => (await practice(request, demo.url)).sessions[0]?.session;
  await expect.poll(sessionOf).toBeTruthy();
  const session = (await sessionOf())!;
  await expect.poll(() => ranOf(request, demo, session)).toEqual([40]);
  // Back to the first block, a minute more there, and on.
  await toBlock(1);
  await page.getByRole('button', { name: 'A minute more' }).click();
  await page.clock.fastForward(10_000);
  await toBlock(2);
  await expect.poll(() => ranOf(request, demo, session)).toEqual([30, 50]);
});

test('a class that is edited while it runs runs on as it began, until it is taken over', async ({
  page,
  demo,
  request,
}) => {
  await openMat(page, demo.url);
  await page.keyboard.press('Space');
  const title = page.getByRole('heading', { level: 1 });
  const before = await title.innerText();
  const { document, revision } = (await (
    await request.get(`${demo.url}/api/documents/class/tuesday`)
  ).json()) as { document: { blocks: { id: string; title: string }[] }; revision: number };
  const first = document.blocks[0]!.id;
  await request.post(`${demo.url}/api/documents/class/tuesday/changes`, {
    data: {
      base: revision,
      key: 'edited-meanwhile',
      commands: [{ do: 'set', kind: 'block', id: first, changes: [{ path: ['title'], value: 'Edited' }] }],
    },
  });
  await expect(page.getByText('Somebody changed this class.')).toBeVisible();
  await expect(title).toHaveText(before);
  await page.getByRole('button', { name: 'Use the new plan' }).click();
  await expect(title).toHaveText('Edited');
  await page.reload();
  await expect(title).toHaveText('Edited');
});

test('two athletes ticked quickly are two, on the Mat and in the record', async ({
  page,
  shipped,
  request,
}) => {
  await openMat(page, shipped.url);
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Who is here', exact: true }).click();
  const here = page.getByRole('group', { name: 'Who is here' });
  await expect(here.getByRole('button', { name: 'Gull' })).toBeVisible();
  await here.evaluate((panel) => {
    for (const button of panel.querySelectorAll('button'))
      if (['Gull', 'Skua'].includes(button.textContent ?? '')) button.click();
  });
  await expect(here.getByRole('button', { pressed: true })).toHaveCount(2);
  const today = async () =>
    (await practice(request, shipped.url)).sessions.find((one) => one.class === 'tuesday' && one.ran === 0);
  await expect
    .poll(async () => (await today())?.athletes.map(({ id }) => id).sort())
    .toEqual(['gull', 'skua']);
  await page.goto(`${shipped.url}/club/log?session=${(await today())!.session}`);
  const there = page.getByRole('group', { name: 'Who was there' });
  await expect(there.getByRole('button', { pressed: true })).toHaveCount(2);
  await there.evaluate((panel) => {
    for (const button of panel.querySelectorAll('button'))
      if (['Knot', 'Gull'].includes(button.textContent ?? '')) button.click();
  });
  await expect
    .poll(async () => (await today())?.athletes.map(({ id }) => id).sort())
    .toEqual(['knot', 'skua']);
});

test('a clock that goes back an hour in a class is told, and the class goes on', async ({ page, demo }) => {
  await page.clock.install({ time: new Date('2026-03-03T18:00:00Z') });
  await openMat(page, demo.url);
  await page.clock.pauseAt(new Date('2026-03-03T18:30:00Z'));
  await page.keyboard.press('Space');
  await page.clock.runFor(5_000);
  await page.clock.runFor(20_000);
  const spent = page.locator('.spent');
  await expect(spent).toHaveText(/^0:20 of/);
  await page.clock.setSystemTime(new Date('2026-03-03T17:30:25Z'));
  await page.clock.runFor(10_000);
  await expect(page.getByText('This tablet’s clock went back by 60 minutes.')).toBeVisible();
  await expect(spent).toHaveText(/^0:(29|30) of/);
});
