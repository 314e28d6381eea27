import type { Practice } from '@aftersquall/core/model';
import type { APIRequestContext } from '@playwright/test';
import { expect, test } from './app.ts';
import { settingKept } from './onDevice.ts';
import { countOnMat, goToBlock, openMat } from './onMat.ts';

test('the clock rings, changes over and goes on where it was after the tablet went dark', async ({
  page,
  demo,
}) => {
  await page.addInitScript(() => localStorage.setItem('aftersquall.bell', 'silent'));
  await page.clock.install({ time: new Date('2026-03-02T18:00:00Z') });
  await page.goto(`${demo.url}/club/mat`);
  await page.getByRole('link', { name: /^Tuesday/ }).click();
  const rings = () => page.evaluate(() => document.documentElement.dataset.rings);
  await expect(page.getByRole('timer')).toHaveText('1:00');
  await page.clock.pauseAt(new Date('2026-03-02T19:00:00Z'));
  await page.keyboard.press('Space');
  // It is counted down to, and rings when it begins.
  await expect(page.getByText('Ready', { exact: true })).toBeVisible();
  await expect(page.getByRole('timer')).toHaveText('5');
  await page.clock.runFor(5_200);
  expect(await rings()).toBe('start');
  await page.clock.runFor(60_500);
  await expect(page.getByText('Partner A on the bottom', { exact: true })).toBeVisible();
  await expect(page.getByText('Side as shown')).toBeVisible();
  expect(await rings()).toBe('start start');
  const seconds = (text: string) => text.split(':').reduce((sum, part) => sum * 60 + Number(part), 0);
  const reading = async () => {
    await expect(page.getByRole('timer')).toBeVisible();
    return page.evaluate(() => [document.querySelector('[role=timer]')!.textContent!, Date.now()] as const);
  };
  const [left, then] = await reading();

  // The tablet sleeps, and the page is loaded anew: the wall clock went on meanwhile.
  await page.clock.resume();
  await page.clock.fastForward(5_000);
  await page.reload();
  const [later, now] = await reading();
  expect(now - then).toBeGreaterThanOrEqual(5_000);
  expect(Math.abs(seconds(left) - seconds(later) - (now - then) / 1000)).toBeLessThanOrEqual(1.2);

  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Change over', { exact: true })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Partner B on the bottom', { exact: true })).toBeVisible();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByText('Change over', { exact: true })).toBeVisible();
});

const practice = async (request: APIRequestContext, url: string) =>
  (await (await request.get(`${url}/api/practice?map=kelpwick`)).json()) as Practice;

test('what is counted reaches the server exactly once, though it was gone meanwhile', async ({
  page,
  demo,
  request,
}) => {
  await openMat(page, demo.url);
  await page.keyboard.press('Space');
  await page.keyboard.press('c');
  // On to a block that drills something.
  const counting = page.getByRole('region', { name: 'Count what you see' });
  const faults = counting
    .locator('button')
    .filter({ hasNotText: /Worked|Not|Take back|cooperative|light|full/ });
  await page.getByRole('button', { name: 'Next', exact: true }).click();
  await expect(faults.first()).toBeVisible();
  await faults.first().click();
  await expect(faults.first()).toContainText('1');
  await expect.poll(async () => (await practice(request, demo.url)).faults.length).toBe(1);

  await demo.stop();
  await faults.first().click();
  await faults.first().click();
  await counting.getByRole('button', { name: 'light', exact: true }).click();
  await counting.getByRole('button', { name: 'Worked' }).click();
  await counting.getByRole('button', { name: 'Not', exact: true }).click();
  await counting.getByRole('textbox', { name: 'A word of note' }).fill('warm hall');
  await page.keyboard.press('Enter');
  await expect(faults.first()).toContainText('3');
  await counting.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/saved on this tablet, waiting for the server/)).toBeVisible();
  // What waits outlives the tab.
  await demo.start();
  await page.reload();
  await expect(page.getByText(/saved on this tablet, waiting/)).toHaveCount(0);
  await expect
    .poll(async () => {
      const { faults: counted, trials, sessions } = await practice(request, demo.url);
      return [
        counted.map(({ count }) => count),
        trials.map(({ worked, tried, resistance }) => [worked, tried, resistance]),
        sessions.map(({ notes }) => notes),
      ];
    })
    .toEqual([[3], [[1, 2, 'light']], [[]]]);
});

test('a whole class, at many times its pace, leaves records that add up to the second', async ({
  page,
  demo,
  request,
}) => {
  await page.clock.install({ time: new Date('2026-03-03T18:00:00Z') });
  await openMat(page, demo.url);
  await page.clock.pauseAt(new Date('2026-03-03T18:30:00Z'));
  await page.keyboard.press('Space');
  await page.clock.runFor(5_000);
  const over = page.getByRole('heading', { name: /^Class over/ });
  // The tablet sleeps and wakes: minutes pass in one step.
  for (let minute = 0; minute < 80 && !(await over.isVisible()); minute++)
    await page.clock.fastForward(60_000);
  await expect(over).toBeVisible();
  const spent = (await page.locator('.spent').innerText()).split(' of ')[1]!;
  const [minutes, seconds] = spent.split(':').map(Number) as [number, number];
  await page.clock.resume();
  await expect
    .poll(async () => {
      const [session] = (await practice(request, demo.url)).sessions;
      return session && [session.ran, session.planned, session.reached === session.blocks];
    })
    .toEqual([minutes * 60 + seconds, minutes * 60 + seconds, true]);
  await page.getByRole('link', { name: 'Finish the record in the Log' }).click();
  await expect(page).toHaveURL(/club\/log\?session=/);
});

test('what was not reached is said at the end, and a minute can be added, sides swapped, blocks jumped to', async ({
  page,
  demo,
  request,
}) => {
  await page.clock.install();
  await openMat(page, demo.url);
  const total = () => page.locator('.spent').innerText();
  const before = await total();
  await page.keyboard.press('+');
  await expect.poll(total).not.toBe(before);
  await page.getByRole('button', { name: 'Go to a block' }).click();
  await page.getByRole('group', { name: 'Go to' }).getByRole('button').nth(2).click();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Side as shown')).toBeVisible();
  await page.keyboard.press('s');
  await expect(page.getByText('Other side')).toBeVisible();
  // One big tap starts it; a swipe goes on.
  await page.getByRole('timer').click();
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  const box = (await page.getByRole('timer').boundingBox())!;
  await page.mouse.move(box.x + 200, box.y + 60);
  await page.mouse.down();
  await page.mouse.move(box.x + 20, box.y + 70, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByText('Change over', { exact: true })).toBeVisible();
  await page.clock.fastForward('05:00');
  await page.getByRole('button', { name: 'Go to a block' }).click();
  await page.getByRole('button', { name: 'End the class here' }).click();
  await expect(page.getByText('Not reached, for next time:')).toBeVisible();
  await expect.poll(async () => (await practice(request, demo.url)).missed.length).toBeGreaterThan(0);
});

test('a class that was begun by mistake and ended at once was not held', async ({ page, demo, request }) => {
  await openMat(page, demo.url);
  await page.getByRole('button', { name: 'Start' }).click();
  await page.getByRole('button', { name: 'Go to a block' }).click();
  await page.getByRole('button', { name: 'End the class here' }).click();
  await expect(page.getByText('Nothing of this class was done')).toBeVisible();
  await expect(page.getByText('Not reached, for next time:')).toBeHidden();
  await expect
    .poll(async () => (await practice(request, demo.url)).sessions.map((one) => one.reached))
    .toEqual([0]);
  expect((await practice(request, demo.url)).missed).toEqual([]);
});

test('the shell is there without the server, from the first minute', async ({ browser, demo }) => {
  const context = await browser.newContext({ serviceWorkers: 'allow' });
  const page = await context.newPage();
  await openMat(page, demo.url);
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  // Answered once with the worker there, the class and its map are kept.
  await page.reload();
  await expect(page.getByRole('timer')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  await demo.stop();
  await page.reload();
  await expect(page.getByRole('timer')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  await demo.start();
  await context.close();
});

test('a class without blocks to run says what to do', async ({ page, empty }) => {
  await page.goto(`${empty.url}/club/mat`);
  await expect(page.getByText('No classes yet.')).toBeVisible();
});

test('on a phone what is counted stands under the clock, never over it', async ({ page, shipped }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const counting = await countOnMat(page, shipped.url, /^Lasso sweep/);
  const clock = (await page.getByRole('timer').boundingBox())!;
  const first = (await counting.getByRole('button').first().boundingBox())!;
  expect(first.y).toBeGreaterThanOrEqual(clock.y + clock.height);
  await counting.getByRole('button', { name: 'Undo' }).scrollIntoViewIfNeeded();
  await expect(counting.getByRole('button', { name: 'Undo' })).toBeInViewport();
});

test('nothing is cut on a phone', async ({ page, demo }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${demo.url}/club/mat/tuesday`);
  await expect(page.getByRole('timer')).toBeInViewport({ ratio: 1 });
  await expect(page.getByRole('button', { name: 'Full screen' })).toBeInViewport({ ratio: 1 });
  await expect(page.getByText(/^0:00 of/)).toBeInViewport({ ratio: 1 });
});

test('who is here is said on the mat: the class is reckoned for them, and their tries are theirs', async ({
  page,
  shipped,
  request,
}) => {
  await openMat(page, shipped.url);
  const spent = page.locator('.spent');
  await expect(spent).toContainText(/^0:00 of/);
  const forFourteen = await spent.innerText();
  const who = page.getByRole('button', { name: 'Who is here', exact: true });
  await who.click();
  const here = page.getByRole('group', { name: 'Who is here' });
  await here.getByRole('button', { name: /^All of/ }).click();
  await here.getByRole('button', { name: 'Skua' }).click();
  await expect(here).toContainText(/13 are here, \d+:\d\d for them/);
  // Thirteen have a three among them, who share the turns of a pair: nobody else waits for them.
  await expect(here).toContainText('two work, the third counts faults');
  await expect(spent).toHaveText(forFourteen);
  await page.keyboard.press('Escape');
  await expect(here).toBeHidden();

  await page.getByRole('button', { name: 'Start' }).click();
  await who.click();
  await here.getByRole('button', { name: 'Knot' }).click();
  await expect(here).toContainText('12 are here.');
  await page.keyboard.press('Escape');
  await goToBlock(page, /^Lasso sweep/);
  await page.keyboard.press('c');
  const counting = page.getByRole('region', { name: 'Count what you see' });
  await counting.getByLabel('Who tried').selectOption('Gull');
  await counting.getByRole('button', { name: 'full', exact: true }).click();
  await counting.getByRole('button', { name: 'Worked' }).click();
  await expect
    .poll(async () => {
      const { sessions, trials } = await practice(request, shipped.url);
      const last = sessions.find(({ class: of }) => of === 'tuesday');
      const tried = trials.filter(({ exchange }) => exchange === 'lasso-tilt--none');
      return [last?.people, last?.athletes.length, tried.map((one) => [one.worked, one.tried])];
    })
    .toEqual([12, 12, [[1, 1]]]);
  const hers = await request.get(`${shipped.url}/api/practice?map=kelpwick&athlete=gull`);
  expect(
    ((await hers.json()) as Practice).trials.some(({ exchange }) => exchange === 'lasso-tilt--none'),
  ).toBe(true);
});

test('in a bright hall it is ink on paper, and stays so', async ({ page, demo }) => {
  await page.goto(`${demo.url}/club/mat/tuesday`);
  const ground = () =>
    page
      .getByRole('main')
      .evaluate((main) => getComputedStyle(main).backgroundColor.match(/\d+/g)!.map(Number));
  await expect(page.getByRole('timer')).toBeVisible();
  expect((await ground())[0]).toBeLessThan(60);
  await page.getByRole('button', { name: 'For a bright hall' }).click();
  expect((await ground())[0]).toBeGreaterThan(200);
  await settingKept(page, '"bright"');
  await page.reload();
  await expect(page.getByRole('timer')).toBeVisible();
  expect((await ground())[0]).toBeGreaterThan(200);
  await page.keyboard.press('b');
  expect((await ground())[0]).toBeLessThan(60);
});

test('somebody new is in the club by an alias, on the mat and in the record', async ({
  page,
  demo,
  request,
}) => {
  await openMat(page, demo.url);
  await page.getByRole('button', { name: 'Who is here', exact: true }).click();
  const here = page.getByRole('group', { name: 'Who is here' });
  const alias = here.getByLabel('Nickname of somebody new');
  for (const name of ['Fulmar', 'Teal']) {
    await alias.fill(name);
    await page.keyboard.press('Enter');
    await expect(here.getByRole('button', { name, pressed: true })).toBeVisible();
  }
  await alias.fill('teal');
  await page.keyboard.press('Enter');
  await expect(here.getByRole('alert')).toHaveText('teal is taken. Choose another nickname.');
  await expect(here).toContainText('2 are here');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect
    .poll(async () => (await practice(request, demo.url)).sessions[0]?.athletes.map((one) => one.alias))
    .toEqual(['Fulmar', 'Teal']);
  await page.goto(`${demo.url}/club/log?part=sessions`);
  await page
    .getByRole('button', { name: /^Tuesday/ })
    .first()
    .click();
  const who = page.getByRole('group', { name: 'Who was there' });
  await who.getByLabel('Nickname of somebody new').fill('Knot');
  await who.getByRole('button', { name: 'Add' }).click();
  await expect(who.getByRole('button', { name: 'Knot', pressed: true })).toBeVisible();
  await expect(who.getByRole('button', { pressed: true })).toHaveCount(3);
});

test('in rounds it is counted what the class teaches, and in a movement what goes wrong in it', async ({
  page,
  shipped,
}) => {
  const counting = await countOnMat(page, shipped.url, /^Rounds/);
  await expect(counting.getByLabel('Which answer').getByRole('option')).toHaveCount(5);
  await expect(counting.getByRole('button', { name: 'full', pressed: true })).toBeVisible();
  await expect(counting.getByRole('button', { name: 'tilts with the near foot free' })).toBeVisible();
  await goToBlock(page, /^Technical stand-up/);
  await expect(counting.getByRole('button').first()).not.toHaveText('Undo');
  await expect(counting.getByLabel('Which answer')).toBeHidden();
});

test('keys press the button they walked to; a tapped button gives them back to the clock', async ({
  page,
  demo,
}) => {
  await openMat(page, demo.url);
  const blocks = page.getByRole('button', { name: 'Go to a block' });
  const list = page.getByRole('group', { name: 'Go to' });
  await blocks.focus();
  await page.keyboard.press('Space');
  await expect(list).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start' })).toBeVisible();
  await blocks.click();
  await expect(list).toHaveCount(0);
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  await expect(list).toHaveCount(0);
});

test('the classes to run stand by day, the next one first', async ({ page, shipped }) => {
  await page.goto(`${shipped.url}/club/mat`);
  const classes = page.getByRole('link', { name: / people$/ });
  await expect(classes.first()).toContainText(/^Tuesday: from the sleeve to the back/);
  await expect(classes.first()).toContainText(/(?:Tue \d+ \w+|Today), 18:30; 60 min/);
  await expect(classes.nth(1)).toContainText(/Thu \d+ \w+, 18:30/);
});

test('what is read in silence is shown to the partner by the coach, and called by nobody', async ({
  page,
  shipped,
}) => {
  await openMat(page, shipped.url);
  await page.getByRole('button', { name: 'Start' }).click();
  await goToBlock(page, /^Read it/);
  await page.keyboard.press('ArrowRight');
  await expect(
    page.getByRole('status').filter({ hasText: /^Coach, show: (?:a fist|one finger)$/ }),
  ).toBeVisible();
});
