import { AxeBuilder } from '@axe-core/playwright';
import { expect, test } from './app.ts';

const PLACES = [
  'map',
  'map?system=half-guard&pane=findings&sel=position.collar-sleeve',
  'map?view=board&system=butterfly&pane=history',
  'map?view=board&system=butterfly&pane=lines&sel=exchange.one-hook-sweep--none',
  'map?sel=move.finish-lock',
  'map?sel=reaction.strip-collar',
  'read?at=collar-sleeve&met=strip-collar',
  'read?at=x-guard&as=top',
  'read?by=holds',
  'weigh?at=x-guard',
  'weigh?at=x-guard&see=ends&as=top',
  'weigh?see=what-if',
  'weigh?see=opponent',
  'balance?move=over-under-sweep',
  'drills',
  'drills/tuesday',
  'mat',
  'mat/tuesday',
];

for (const theme of ['light', 'dark']) {
  test(`nothing serious stands in anybody's way, ${theme}`, async ({ page, demo }) => {
    test.slow();
    await page.addInitScript(
      (value) => localStorage.setItem('aftersquall.settings', JSON.stringify({ theme: value })),
      theme,
    );
    for (const place of PLACES) {
      await page.goto(`${demo.url}/kelpwick/${place}`);
      await expect(page.getByRole('main')).toBeVisible();
      await page
        .getByRole('main')
        .getByRole('button')
        .or(page.getByRole('main').getByRole('link'))
        .first()
        .waitFor();
      if (place.startsWith('weigh')) await expect(page.getByRole('region', { name: 'Values' })).toBeVisible();
      const { violations } = await new AxeBuilder({ page }).analyze();
      const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
      expect(
        serious.map(
          ({ id, nodes }) =>
            `${place} ${id}: ${nodes
              .map(({ html, failureSummary }) => `${html.slice(0, 120)} ${failureSummary}`)
              .slice(0, 3)
              .join(' | ')}`,
        ),
      ).toEqual([]);
    }
  });
}
