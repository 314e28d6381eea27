import { expect, test } from './app.ts';

test('every place is a key away, and the keys of a place are told', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick`);
  // Whoever presses a key sees the page: a load event may come before its first picture.
  await expect(page.getByRole('link', { name: 'Map', exact: true })).toHaveAttribute('aria-current', 'page');
  for (const [key, name] of [
    ['2', 'Read'],
    ['3', 'Weigh'],
    ['4', 'Balance'],
    ['5', 'Lessons'],
  ] as const) {
    await page.keyboard.press(key);
    await expect(page.getByRole('link', { name, exact: true })).toHaveAttribute('aria-current', 'page');
    await expect(page).toHaveURL(
      name === 'Lessons' ? /\/club\/classes$/ : new RegExp(`/map/kelpwick/${name.toLowerCase()}`),
    );
  }
  // The clock takes the whole screen for itself, and no stray key leads away from it.
  await page.keyboard.press('6');
  await expect(page.getByRole('heading', { name: 'Which class runs?' })).toBeVisible();
  await page.keyboard.press('3');
  await expect(page).toHaveURL(/\/club\/mat/);
  await page.goBack();
  await page.keyboard.press('3');
  await expect(page).toHaveURL(/\/map\/kelpwick\/weigh/);
  await page.keyboard.press('?');
  const help = page.getByRole('dialog', { name: 'Keys' });
  await expect(help.getByRole('row', { name: /^T Top’s sheet/ })).toBeVisible();
  await expect(help.getByRole('row', { name: /^Ctrl Z Undo/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(help).toBeHidden();
  await page.keyboard.press('t');
  await expect(page.getByRole('region', { name: 'Top’s sheet' })).toBeVisible();
});

test('the dark theme and the apparel are kept for the next visit and for every place', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/map/kelpwick/read`);
  await page.getByRole('button', { name: 'Dark' }).click();
  await page.getByRole('button', { name: 'No-gi' }).click();
  await page.goto(`${demo.url}/map/kelpwick/weigh`);
  await expect(page.locator('html')).toHaveAttribute('data-bs-theme', 'dark');
  await expect(page.getByRole('button', { name: 'No-gi' })).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('g');
  await page.getByRole('link', { name: 'Lessons' }).click();
  await expect(page.getByRole('button', { name: 'Gi', exact: true })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Light' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-bs-theme', 'light');
});

test('a place that cannot be fetched says so, and is there once it can', async ({ page, demo }) => {
  await page.route(/LogPlace.*\.js$/, (route) => route.abort());
  await page.goto(`${demo.url}/club/log`);
  await expect(page.getByRole('heading', { name: 'This page did not load' })).toBeVisible();
  await page.unrouteAll();
  await page.getByRole('button', { name: 'Load the page again' }).click();
  await expect(page.getByRole('heading', { name: 'Log', exact: true })).toBeVisible();
});

test('without a map, what is the club’s leads to naming the first one', async ({ page, empty }) => {
  await page.goto(`${empty.url}/club/classes`);
  await expect(page.getByRole('heading', { name: 'Name your first map' })).toBeVisible();
});

test('an address that leads nowhere says so and leads back', async ({ page, demo }) => {
  await page.goto(`${demo.url}/kelpwick/nowhere`);
  await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible();
  await page.getByRole('link', { name: 'Back to Tonight' }).click();
  await expect(page.getByRole('heading', { name: 'Tonight' })).toBeVisible();
  await page.goto(`${demo.url}/map/lost`);
  await expect(page.getByRole('heading', { name: 'This map cannot be opened' })).toBeVisible();
  await page.getByRole('link', { name: 'Go to the maps there are' }).click();
  await expect(page).toHaveURL(/\/club$/);
});

test('a map is renamed, duplicated and removed, and had back', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick`);
  const menu = async (item: string) => {
    await page.getByRole('heading', { level: 1 }).getByRole('button').click();
    await page.getByRole('button', { name: item, exact: true }).click();
  };
  await menu('Duplicate this map…');
  await page.getByLabel('Name', { exact: true }).fill('Spring term');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/map\/spring-term/);
  await menu('Rename…');
  await page.getByLabel('Name', { exact: true }).fill('   ');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog').locator('.invalid-feedback')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Summer term');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Summer term' })).toBeVisible();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await menu('Remove this map');
  await expect(page.getByText('Removed the map “Summer term”.')).toBeVisible();
  await expect(page).toHaveURL(/\/map\/kelpwick/);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(page.getByRole('button', { name: 'Summer term' })).toBeVisible();
});

test('keys go by what they write: on a keyboard with Z and Y the other way round, undo is undo', async ({
  page,
  demo,
}) => {
  await page.goto(`${demo.url}/map/kelpwick?sel=position.triangle`);
  const sheet = page.getByRole('complementary', { name: 'The position' });
  const name = sheet.getByLabel('Name', { exact: true });
  await name.fill('Triangle, half closed');
  await name.press('Enter');
  await expect(sheet.getByLabel('Name', { exact: true })).toHaveValue('Triangle, half closed');
  const press = (key: string, code: string, modifiers: object) =>
    page.evaluate(
      (init) => {
        (document.activeElement as HTMLElement).blur();
        for (const type of ['keydown', 'keyup'])
          document.dispatchEvent(new KeyboardEvent(type, { ...init, bubbles: true }));
      },
      { key, code, ...modifiers },
    );
  await press('z', 'KeyY', { ctrlKey: true });
  await expect(name).toHaveValue('Triangle locked');
  await press('y', 'KeyZ', { ctrlKey: true });
  await expect(name).toHaveValue('Triangle, half closed');
  await press('/', 'Digit7', { shiftKey: true });
  await expect(page.getByRole('dialog', { name: 'Find anything' })).toBeVisible();
  await page.keyboard.press('Escape');
  await press('?', 'Minus', { shiftKey: true });
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
});

test('addresses of before lead on to where their place is now', async ({ page, demo }) => {
  for (const [before, now] of [
    ['/kelpwick/map?sel=position.triangle', '/map/kelpwick?sel=position.triangle'],
    ['/kelpwick/read?at=triangle', '/map/kelpwick/read?at=triangle'],
    ['/kelpwick/weigh?see=ends', '/map/kelpwick/weigh?see=ends'],
    ['/kelpwick/balance?move=arm-drag', '/map/kelpwick/balance?move=arm-drag'],
    ['/kelpwick/drills', '/club/classes'],
    ['/kelpwick/drills/tuesday', '/club/classes/tuesday'],
    ['/kelpwick/mat', '/club/mat'],
    ['/kelpwick/mat/tuesday', '/club/mat/tuesday'],
  ] as const) {
    await page.goto(demo.url + before);
    await expect(page).toHaveURL(demo.url + now);
    await expect(page.getByRole('main')).toBeVisible();
  }
});

for (const [place, addresses] of Object.entries({
  Map: [
    'map/kelpwick?sel=position.gone',
    'map/kelpwick?sel=exchange.gone&pane=findings',
    'map/kelpwick?sel=nonsense&system=gone&level=gone&wear=gone',
    'map/kelpwick?view=board&cell=gone.gone',
    'map/kelpwick?view=nowhere&pane=nowhere',
  ],
  Read: [
    'map/kelpwick/read?at=gone&met=gone&side=gone',
    'map/kelpwick/read?at=collar-sleeve&met=gone&as=top',
    'map/kelpwick/read?by=holds&met=posture-up&as=top',
    'map/kelpwick/read?at=collar-sleeve&met=~posture-up&trail=gone,cross-choke--posture-up',
  ],
  Weigh: [
    'map/kelpwick/weigh?at=gone&see=gone',
    'map/kelpwick/weigh?at=gone&see=ends&as=top',
    'map/kelpwick/weigh?at=gone&see=chains',
    'map/kelpwick/weigh?at=gone&see=opponent',
  ],
  'Balance and the club': [
    'map/kelpwick/balance?move=gone&met=gone',
    'map/kelpwick/balance?move=collar-drag&met=~gone',
    'club/classes?goal=gone,gone',
    'club/classes/gone',
    'club/mat/gone',
  ],
}))
  test(`an address with what is not there any more still shows its place: ${place}`, async ({
    page,
    demo,
  }) => {
    const broken: string[] = [];
    page.on('pageerror', ({ message }) => broken.push(message));
    for (const address of addresses) {
      await page.goto(`${demo.url}/${address}`);
      await expect(page.getByRole('heading').first(), address).toBeVisible();
      await expect(page.getByText('This page did not open'), address).toHaveCount(0);
      if (address.includes('/weigh'))
        await expect(page.getByRole('status').filter({ hasText: /^Weighed$/ }), address).toBeAttached();
    }
    expect(broken).toEqual([]);
  });

test('a guard system that is not there any more says so', async ({ page, demo }) => {
  await page.goto(`${demo.url}/map/kelpwick?system=gone`);
  await expect(page.getByRole('heading', { name: 'This map has no such guard system' })).toBeVisible();
});
