import { expect, test } from './app.ts';
import { goToBlock } from './onMat.ts';

test('three taps from cold to an answer; sides and jackets are one key', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick/read`);
  // System, position, reaction.
  await page.getByRole('button', { name: /^Collar and sleeve \d/ }).click();
  await page.getByRole('button', { name: 'Collar and sleeve, top kneeling' }).click();
  await page.getByRole('button', { name: 'Postures up tall' }).click();
  const answers = page.getByRole('region', { name: 'Answers' });
  const choke = answers.getByRole('article').filter({ hasText: 'Cross-collar choke' });
  await expect(choke).toContainText("Missing: top's stance kneeling.");
  await expect(choke).toContainText('strangle');

  await page.getByText('Holds and signs in words').click();
  await page.keyboard.press('f');
  await expect(
    page.getByText('left hand grips the near collar (cross, deep)', { exact: true }),
  ).toBeVisible();
  await expect(page).toHaveURL(/side=other/);
  await expect(choke).toContainText('Missing');

  await page.keyboard.press('g');
  await expect(answers).toContainText('Without the jacket');
  await expect(choke).toContainText('not without a jacket');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('searchbox', { name: 'Find a position' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Postures up tall' })).toBeHidden();
});

test('rules take a move out of the front, with the reason', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick/read?at=shoulder-lock&met=none`);
  const first = page.getByRole('region', { name: 'Ready now' }).getByRole('article').first();
  await expect(first).toContainText('Tip over the trapped shoulder');
  await page.getByLabel('Rules').selectOption({ label: 'Rules: Youth, gi' });
  const finish = page.getByRole('article').filter({ hasText: 'Finish the shoulder lock' });
  await page.getByText(/is against the rules here/).click();
  await expect(finish).toContainText('shoulder lock is barred under Youth, gi');
  await expect(page.getByText('The event’s current rule book decides.')).toBeVisible();
});

test('on a phone, one thing at a time', async ({ page, demo }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${demo.url}/map/kelpwick/read`);
  await page.getByRole('button', { name: /^Cross-sleeve and shoulder lock/ }).click();
  await page.getByRole('button', { name: 'Cross-sleeve guard' }).click();
  await expect(page.getByRole('button', { name: 'Cross-sleeve guard' })).toBeHidden();
  await page.getByRole('button', { name: 'Stands up' }).click();
  await expect(page.getByRole('heading', { name: 'Ready now' })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.getByRole('button', { name: 'Back to reactions' }).click();
  await expect(page.getByRole('button', { name: 'Stands up' })).toBeVisible();
});

test('a moment without a name: limbs tapped, the nearest position said, the answer given', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/map/kelpwick/read`);
  await page
    .getByRole('group', { name: 'How to say where you are' })
    .getByRole('button', { name: 'Holds' })
    .click();
  const plan = page.getByRole('group', { name: 'Both bodies, top facing us, bottom below' });
  const hold = async (limb: string, region: string, part: string) => {
    await plan
      .getByRole('button', { name: `our ${limb}`, exact: false })
      .first()
      .press('Enter');
    await plan.getByRole('button', { name: `top's ${region}`, exact: true }).press('Enter');
    await page
      .getByRole('group', { name: 'What it takes' })
      .getByRole('button', { name: part, exact: true })
      .click();
    await page.getByRole('button', { name: 'Leave this limb' }).click();
  };
  await hold('right hand', 'right arm', 'the near sleeve at the cuff');
  await hold('left foot', 'right leg', 'the near knee crook');
  await hold('right foot', 'left leg', 'the far hip');
  const nearest = page.getByRole('region', { name: 'Nearest positions' });
  const likest = nearest.getByRole('button').filter({ hasText: /\S/ }).first();
  await expect(likest).toContainText('Cross-sleeve guard');
  await expect(nearest).toContainText('not held: left hand posts on the mat');
  await page.getByRole('button', { name: 'Stands up' }).click();
  const ready = page.getByRole('region', { name: 'Ready now' });
  await expect(ready).toContainText('Underhook the near leg');

  // The mirror image, with one key: the find turns over with it.
  await page.keyboard.press('f');
  await expect(likest).toContainText('Cross-sleeve guard, mirrored');

  // The moment becomes a position of the map, holds and signs filled in.
  await page.getByRole('button', { name: 'make a position of this moment' }).click();
  const sheet = page.getByRole('complementary', { name: 'The position' });
  await expect(sheet.getByRole('group', { name: 'Holds of bottom' })).toContainText('left hand grips');
});

test('answers taken make a trail, which is stepped back on, kept, and drilled', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick/read?at=collar-sleeve&met=strip-collar`);
  const ready = page.getByRole('region', { name: 'Ready now' });
  await ready.getByRole('button', { name: 'Two hands on one sleeve' }).click();
  await page.getByRole('button', { name: 'Postures up tall' }).click();
  await ready.getByRole('button', { name: 'Cross-sleeve guard' }).first().click();
  const trail = page.getByRole('region', { name: 'The trail' });
  await expect(trail.getByRole('listitem')).toHaveCount(2);
  await trail.getByRole('button', { name: 'Step back' }).click();
  await expect(trail.getByRole('listitem')).toHaveCount(1);
  await expect(page).toHaveURL(/at=two-on-one.*met=posture-up|met=posture-up.*at=two-on-one/);
  await ready.getByRole('button', { name: 'Cross-sleeve guard' }).first().click();
  await trail.getByRole('button', { name: 'Keep this chain' }).click();
  await expect(trail.getByRole('button', { name: 'Saved in the map' })).toBeDisabled();
  await trail.getByRole('link', { name: 'Drill it' }).click();
  await expect(page.getByText('2 answers to cover')).toBeVisible();
  await expect(
    page.getByRole('button', { name: /^Chain: Collar and sleeve, top kneeling → Cross-sleeve guard/ }),
  ).toHaveAttribute('aria-pressed', 'true');
});

test('what fails and what is waited for are taken too: kept as a chain, taught, and run on the mat', async ({
  page,
  shipped,
}) => {
  await page.goto(`${shipped.url}/map/kelpwick/read?at=closed-posted&met=drive-forward`);
  const bump = page.getByRole('article').filter({ hasText: 'Hip bump' }).first();
  await bump.getByRole('button', { name: 'If it fails' }).click();
  await page.getByRole('button', { name: /^after step 1:/ }).click();
  const trail = page.getByRole('region', { name: 'The trail' });
  await expect(trail.getByRole('listitem')).toHaveText(
    'Hip bump fails after step 1 → Closed guard, posture broken',
  );
  await page.getByRole('button', { name: /^You wait → Closed guard, top tall/ }).click();
  await expect(trail.getByRole('listitem').nth(1)).toHaveText('You wait → Closed guard, top tall');
  await page.getByRole('button', { name: 'Step back' }).click();
  await expect(trail.getByRole('listitem')).toHaveCount(1);
  await expect(page).toHaveURL(/at=closed-broken/);
  await page.getByRole('button', { name: /^Top does nothing yet/ }).click();
  await page
    .getByRole('region', { name: 'Ready now' })
    .getByRole('button', { name: 'Arm lock from the guard' })
    .click();
  await trail.getByRole('button', { name: 'Keep this chain' }).click();
  await expect(trail.getByRole('button', { name: 'Saved in the map' })).toBeDisabled();

  await page.goto(`${shipped.url}/club/classes`);
  await page.getByText('Something else').click();
  await page
    .getByLabel('Starts from')
    .selectOption('Closed guard, a hand pinned beside our hip → Arm lock from the guard');
  await page.getByRole('button', { name: 'Make the class' }).click();
  const line = page.getByRole('list', { name: 'Time line' });
  await line.getByRole('listitem', { name: 'The whole way' }).getByRole('button').click();
  const score = page.getByRole('figure', { name: 'Hold score' });
  await expect(score).toContainText('“Hip bump” fails');
  await page.addInitScript(() => localStorage.setItem('aftersquall.bell', 'silent'));
  await page.getByRole('link', { name: 'Run on the mat' }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await goToBlock(page, /The whole way/);
  await expect(page.getByText(/Hip bump; it fails, you are in closed guard/)).toBeVisible();
});

test('mirrored, the trail is stepped back on to where it came from', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick/read?at=collar-sleeve&side=other&met=~strip-collar`);
  const ready = page.getByRole('region', { name: 'Ready now' });
  await ready.getByRole('button', { name: 'Two hands on one sleeve' }).click();
  await expect(page).toHaveURL(/at=two-on-one/);
  const side = new URL(page.url()).searchParams.get('side');
  await page.getByRole('button', { name: 'Step back' }).click();
  await expect(page).toHaveURL(/at=collar-sleeve/);
  const back = new URL(page.url()).searchParams;
  expect([side, back.get('side'), back.get('met')]).toEqual(['other', 'other', '~strip-collar']);
  await expect(ready.getByRole('button', { name: 'Two hands on one sleeve' })).toBeVisible();
});

test('the same moment is read as top, and builds say whom an answer suits', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick/read?at=x-guard`);
  await expect(page.getByRole('button', { name: 'Widens the base' })).toBeVisible();
  await page.keyboard.press('t');
  const worst = page.getByRole('list', { name: 'What hurts bottom most' }).getByRole('listitem');
  await expect(worst).toHaveCount(3);
  await expect(worst.first()).toContainText('Your best');
  await worst.first().getByRole('button').click();
  await page.getByRole('button', { name: 'Builds' }).click();
  await page.getByLabel('Ours limbs').selectOption('long');
  const stretch = page.getByRole('article').filter({ hasText: 'Stretch, come up with the leg' });
  await expect(stretch).toContainText('+2 The stretch alone takes the base away.');
});

test('what top did may change where we are: the answers are those of there', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick/read?at=lock-sat-out`);
  await page.getByRole('button', { name: /Something else top does/ }).click();
  const reactions = page.getByRole('region', { name: 'What did top do?' });
  await page.getByLabel('Find what top did').fill('drops knees');
  await reactions.getByRole('button', { name: /Drops the knees|Drops to the knees/ }).click();
  const answers = page.getByRole('region', { name: 'Answers' });
  await expect(answers.getByRole('note')).toContainText(
    /Now you are in .+\. The answers below are from there\./,
  );
  await expect(answers.getByRole('region', { name: 'Ready now' }).getByText('not written')).toHaveCount(0);
  await answers.getByRole('button', { name: 'What does top do there?' }).click();
  await expect(page).toHaveURL(/at=shoulder-lock-low/);
  await expect(page).not.toHaveURL(/met=/);
});
