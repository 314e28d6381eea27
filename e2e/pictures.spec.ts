import { readFileSync } from 'node:fs';
import { setFields } from '@aftersquall/core/documents';
import { parseMapFile } from '@aftersquall/core/formats';
import { expect, test } from './app.ts';
import { change, saved } from './http.ts';

test('where we are is a wall of pictures, found by name, by system and by what was read lately', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/map/kelpwick/read`);
  const tile = page.getByRole('button', { name: /Collar and sleeve, top kneeling/ });
  const picture = tile.getByRole('img', {
    name: /^Top kneeling, leaning; bottom on back\. right hand grips/,
  });
  // Of a wall, what was asked for last is drawn first; one that is looked for by name does not wait for the others.
  const wall = page.getByRole('region', { name: 'Where are you?' });
  await expect(wall.locator('svg[role=img]:not(.limb-glyph) path').first()).toBeAttached();
  await page.getByRole('searchbox', { name: 'Find a position' }).fill('top kneeling');
  await expect(picture.locator('path').first()).toBeAttached();
  await page.getByRole('searchbox', { name: 'Find a position' }).fill('x-guard');
  await expect(
    page.getByRole('group', { name: 'Found positions' }).getByRole('button').first(),
  ).toBeVisible();
  await expect(tile).toBeHidden();
  await page.getByRole('searchbox', { name: 'Find a position' }).fill('');
  await page.getByRole('button', { name: /^Half guard \d/ }).click();
  await expect(tile).toBeHidden();
  await page.getByRole('button', { name: /^Half guard \d/ }).click();
  await tile.first().click();

  // What top did, then before and after: two pictures on every answer.
  await page.getByRole('button', { name: 'Postures up tall' }).click();
  const card = page.getByRole('region', { name: 'Ready now' }).getByRole('article').first();
  await expect(card.getByRole('img')).toHaveCount(2);
  await expect(card.getByRole('img').first().locator('path').first()).toBeAttached();
  await page.getByRole('button', { name: 'Another position' }).click();
  await expect(
    page.getByRole('group', { name: 'Used lately' }).getByRole('button', { name: /top kneeling/ }),
  ).toBeVisible();
});

test('a picture is turned by dragging, by keys and back, with every hold shown in it', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/map/kelpwick?sel=position.collar-sleeve`);
  const grip = page.getByRole('button', { name: /^Turn the picture/ });
  const body = grip.locator('svg:not(.limb-glyph) path').nth(1);
  await expect(body).toBeAttached();
  const shape = () => body.getAttribute('d');
  const seenBest = (await shape())!;
  await grip.focus();
  await page.keyboard.press('ArrowRight');
  await expect.poll(shape).not.toBe(seenBest);
  const turned = (await shape())!;
  const box = (await grip.boundingBox())!;
  await page.mouse.move(box.x + 80, box.y + 90);
  await page.mouse.down();
  await page.mouse.move(box.x + 200, box.y + 90, { steps: 5 });
  await page.mouse.up();
  await expect.poll(shape).not.toBe(turned);
  await page.getByRole('button', { name: 'Show the best view' }).click();
  await expect.poll(shape).toBe(seenBest);

  await expect(grip.locator('svg:not(.limb-glyph) circle')).toHaveCount(4);
  // What is pointed at is said.
  await grip.locator('svg:not(.limb-glyph) circle').first().hover();
  await expect(page.getByText(/^right hand grips the near collar/).first()).toBeVisible();
});

test('a picture is set right by turning it or a body in it, and that can be undone', async ({
  page,
  demo,
  request,
}) => {
  await page.goto(`${demo.url}/map/kelpwick?sel=position.collar-sleeve`);
  const sheet = page.getByRole('complementary', { name: 'The position' });
  const grip = sheet.getByRole('button', { name: /^Turn the picture/ });
  const hintsNow = async () => {
    const { document: map } = await saved(request, demo.url, 'map/kelpwick');
    return map.positions.find(({ id }) => id === 'collar-sleeve')?.pose;
  };
  await expect(grip.locator('svg:not(.limb-glyph) path').first()).toBeAttached();
  await grip.focus();
  await page.keyboard.press('ArrowRight');
  await sheet.getByRole('button', { name: 'Keep this view' }).click();
  await expect
    .poll(hintsNow)
    .toEqual({ view: { azimuth: expect.any(Number), elevation: expect.any(Number) } });

  await sheet.getByRole('button', { name: 'top', exact: true }).click();
  const box = (await grip.boundingBox())!;
  await page.mouse.move(box.x + 80, box.y + 90);
  await page.mouse.down();
  await page.mouse.move(box.x + 130, box.y + 90, { steps: 5 });
  await expect(sheet.getByText('top turned by 30°')).toBeVisible();
  await page.mouse.up();
  await expect.poll(async () => (await hintsNow())?.topYaw).toBe(30);
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await hintsNow())?.topYaw).toBeUndefined();
  await sheet.getByRole('button', { name: 'Back to the holds' }).click();
  await expect.poll(hintsNow).toBeUndefined();
});

test('what is pointed at is lit in the picture, on the plan and in the list alike', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/map/kelpwick?sel=position.collar-sleeve`);
  const sheet = page.getByRole('complementary', { name: 'The position' });
  const contacts = sheet.getByRole('button', { name: /^Turn the picture/ }).locator('circle');
  await expect(contacts.first()).toBeAttached();
  const lit = () => contacts.evaluateAll((all) => all.filter((one) => one.getAttribute('r') === '8').length);
  expect(await lit()).toBe(0);
  await sheet
    .getByRole('group', { name: 'Holds of bottom' })
    .getByText(/^right hand grips the near collar/)
    .hover();
  await expect.poll(lit).toBe(1);
  const plan = sheet.getByRole('group', { name: 'Both bodies, top facing us, bottom below' });
  await plan.getByRole('button', { name: 'our left hand, holding' }).hover();
  await expect.poll(lit).toBe(1);
  await expect(sheet.locator('p', { hasText: /^left hand grips/ })).toBeVisible();
  // Looked at from the other side, the picture turns over with the plan.
  await sheet.getByRole('button', { name: 'Other side', exact: true }).click();
  await expect(sheet.getByRole('button', { name: /^Turn the picture: .*right hand/ })).toBeVisible();
});

test('a picture is turned with a finger', async ({ browser, demo }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
  const page = await context.newPage();
  await page.goto(`${demo.url}/map/kelpwick?sel=position.collar-sleeve`);
  const grip = page.getByRole('button', { name: /^Turn the picture/ });
  const body = grip.locator('svg:not(.limb-glyph) path').nth(1);
  await expect(body).toBeAttached();
  const before = await body.getAttribute('d');
  const { x, y } = (await grip.boundingBox())!;
  const finger = await context.newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at: number) =>
    finger.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: type === 'touchEnd' ? [] : [{ x: x + at, y: y + 90 }],
    });
  await touch('touchStart', 60);
  for (const at of [90, 120, 160, 200]) await touch('touchMove', at);
  await touch('touchEnd', 200);
  await expect.poll(() => body.getAttribute('d')).not.toBe(before);
  await context.close();
});

test('a position nobody has seen yet is solved on the spot and kept for the others', async ({
  page,
  demo,
  request,
}) => {
  await page.goto(`${demo.url}/map/kelpwick?sel=position.seated`);
  const body = page
    .getByRole('button', { name: /^Turn the picture/ })
    .locator('svg:not(.limb-glyph) path')
    .nth(1);
  await expect(body).toBeAttached();
  const before = await body.getAttribute('d');
  const asked = page.waitForRequest((sent) => sent.url().endsWith('/api/poses') && sent.method() === 'POST');
  await change(request, demo.url, [
    setFields('position', 'seated', [{ path: ['signs', 'top.stance'], value: 'standing' }]),
  ]);
  const kept = JSON.parse((await asked).postData()!) as { poses: Record<string, unknown> };
  await expect.poll(() => body.getAttribute('d')).not.toBe(before);
  const [key] = Object.keys(kept.poses);
  await expect
    .poll(async () => {
      const answer = await request.post(`${demo.url}/api/poses/find`, { data: { keys: [key] } });
      return Object.keys(((await answer.json()) as { poses: object }).poses);
    })
    .toEqual([key]);
});

test('an answer is run from where it begins to where it leads', async ({ page, shipped }) => {
  await page.goto(`${shipped.url}/map/kelpwick?sel=exchange.join-two--posture-up`);
  const movement = page.getByRole('figure', { name: 'From here to there' });
  const body = movement.locator('svg[role=img] path').nth(1);
  await expect(body).toBeAttached();
  const shape = () => body.getAttribute('d');
  const first = (await shape())!;
  await movement.getByRole('slider', { name: 'How far along the movement is' }).fill('12');
  await expect.poll(shape).not.toBe(first);
  const last = (await shape())!;
  // The page's time stands while it is looked at: what is run is seen step by step.
  await page.clock.install();
  await page.clock.pauseAt(Date.now() + 3_600_000);
  await movement.getByRole('button', { name: 'Play the movement' }).click();
  await expect.poll(shape).toBe(first);
  await page.clock.runFor(2000);
  await expect.poll(shape).not.toBe(first);
  await movement.getByRole('button', { name: 'Stop the movement' }).click();
  await movement.getByRole('slider', { name: 'How far along the movement is' }).fill('12');
  await expect.poll(shape).toBe(last);
});

test('how a position fits other bodies is computed when it is asked for', async ({ page, shipped }) => {
  await page.goto(`${shipped.url}/map/kelpwick?sel=position.triangle`);
  await page.getByRole('button', { name: 'How it fits other bodies' }).click();
  const fits = page.getByRole('region', { name: 'How it fits other bodies' });
  await expect(fits.getByRole('figure')).toHaveCount(3);
  await expect(fits).toContainText('compact legs: harder');
  await expect(fits.getByRole('img', { name: 'With long legs.' })).toBeVisible();
});

test('a map of positions that nobody has seen blocks nothing while its pictures are solved', async ({
  page,
  empty,
  request,
}) => {
  const club = parseMapFile(readFileSync('testing/club/kelpwick.map.json', 'utf8'));
  // Turned by a degree, every position is another one to the solver.
  const positions = club.positions.map((position) => ({ ...position, pose: { ownYaw: 1 } }));
  await request.post(`${empty.url}/api/documents/map`, { data: { ...club, id: 'unseen', positions } });
  await page.goto(`${empty.url}/map/unseen/read`);
  const wall = page.getByRole('region', { name: 'Where are you?' });
  const waiting = wall.locator('.limb-glyph');
  await expect(waiting.nth(5)).toBeVisible();
  await page.getByRole('searchbox', { name: 'Find a position' }).fill('sankaku');
  await expect(wall.getByRole('group', { name: 'Found positions' }).getByRole('button')).toHaveCount(2);
  await page.getByRole('searchbox', { name: 'Find a position' }).fill('');
  // The whole wall is there again, most of it still waiting; meanwhile pictures come in, those in sight first.
  await expect(waiting.nth(5)).toBeVisible();
  await expect(wall.locator('svg[role=img]:not(.limb-glyph) path').first()).toBeAttached();
});
