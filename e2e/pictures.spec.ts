import { setFields } from '@aftersquall/core';
import { expect, test } from './app.ts';
import { change } from './http.ts';

test('where we are is a wall of pictures, found by name, by system and by what was read lately', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/map/kelpwick/read`);
  const tile = page.getByRole('button', { name: /Collar and sleeve, top kneeling/ });
  const picture = tile.getByRole('img', {
    name: /^Top kneeling, leaning; bottom on back\. right hand grips/,
  });
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
  await page.getByRole('button', { name: 'As it is seen best' }).click();
  await expect.poll(shape).toBe(seenBest);

  await expect(grip.locator('svg:not(.limb-glyph) circle')).toHaveCount(4);
  // What is pointed at is said.
  await grip.locator('svg:not(.limb-glyph) circle').first().hover();
  await expect(page.getByText(/^right hand grips the near collar/).first()).toBeVisible();
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
  await movement.getByRole('slider', { name: 'How far the movement is' }).fill('12');
  await expect.poll(shape).not.toBe(first);
  const last = (await shape())!;
  // The page's time stands while it is looked at: what is run is seen step by step.
  await page.clock.install();
  await page.clock.pauseAt(Date.now() + 3_600_000);
  await movement.getByRole('button', { name: 'Run the movement' }).click();
  await expect.poll(shape).toBe(first);
  await page.clock.runFor(2000);
  await expect.poll(shape).not.toBe(first);
  await movement.getByRole('button', { name: 'Stop the movement' }).click();
  await movement.getByRole('slider', { name: 'How far the movement is' }).fill('12');
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
