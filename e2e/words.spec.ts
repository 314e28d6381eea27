import type { Page } from '@playwright/test';
// @ts-expect-error A list without types: the lint reads it, too, before anything is built.
import { UNSAID } from '../scripts/unsaid.mjs';
import { expect, test } from './app.ts';
import { weighed } from './weighing.ts';

/** Beside the words that the lint refuses in the sources: what only programmers and mathematicians say. */
const INNER = /tendenc|retrievab|residual|\bprior\b|\bexchanges?\b|\blooks\b(?= (?:of|that|top))/i;
const isUnsaid = (line: string) => INNER.test(line) || UNSAID.some(([unsaid]: [RegExp]) => unsaid.test(line));
const LONGEST_SENTENCE = 22;

/** Everything shown in the place: texts, labels and titles, a line each. */
const shownIn = (page: Page): Promise<string[]> =>
  page.locator('body').evaluate((body) => {
    const lines: string[] = [];
    const walker = document.createTreeWalker(body, NodeFilter.SHOW_ELEMENT);
    for (let node = walker.nextNode() as Element | null; node; node = walker.nextNode() as Element | null) {
      // Pictures carry their holds in words, as a list.
      if (node.matches('script, style, svg, svg *, [role=img], .cm-content, .cm-content *')) continue;
      for (const name of ['aria-label', 'title', 'placeholder']) lines.push(node.getAttribute(name) ?? '');
      const isBlock = node.matches(
        'a, p, li, h1, h2, h3, h4, label, button, td, th, option, summary, dt, dd, title',
      );
      if (!isBlock || node.querySelector('p, li, button')) continue;
      const said = node.cloneNode(true) as Element;
      for (const picture of said.querySelectorAll('svg')) picture.remove();
      lines.push(said.textContent ?? '');
    }
    return lines.filter(Boolean);
  });

/** What is said at one go, without what the coach or the book has written: a class sheet lists its parts with ; · and →. */
const ownSentences = (line: string): string[] =>
  line
    .replace(/“[^”]*”/g, 'X')
    .split(/(?<=[.?!:;])\s+|\s[·→]\s/)
    .filter((part) => /[.?!]$/.test(part));

const PLACES: [name: string, address: string, ready: (page: Page) => Promise<unknown>][] = [
  ['tonight', '/club', (page) => expect(page.getByText('See the answers')).toBeVisible()],
  ['chart', '/map/kelpwick', (page) => expect(page.getByRole('group', { name: /^Chart/ })).toBeVisible()],
  ['board', '/map/kelpwick?view=board', (page) => expect(page.getByRole('grid')).toBeVisible()],
  ['read', '/map/kelpwick/read?at=closed&met=none', (page) => expect(page.getByRole('main')).toBeVisible()],
  ['weigh', '/map/kelpwick/weigh', weighed],
  [
    'balance',
    '/map/kelpwick/balance',
    (page) => expect(page.getByLabel('Sweep', { exact: true })).toBeVisible(),
  ],
  ['lessons', '/club/classes', (page) => expect(page.getByText('Something else')).toBeVisible()],
  ['a class', '/club/classes/tuesday', (page) => expect(page.getByLabel('Minutes')).toBeVisible()],
  ['term', '/club/term', (page) => expect(page.getByRole('button', { name: 'Plan a term' })).toBeVisible()],
  ['log', '/club/log', (page) => expect(page.getByText('Fix first')).toBeVisible()],
  ['mat', '/club/mat', (page) => expect(page.getByRole('link', { name: / people$/ }).first()).toBeVisible()],
];

for (const theme of ['light', 'dark'] as const) {
  test(`every place speaks in a coach’s words, ${theme}`, async ({ page, shipped }) => {
    await page.emulateMedia({ colorScheme: theme });
    for (const [name, address, ready] of PLACES) {
      await page.goto(shipped.url + address);
      await ready(page);
      const lines = await shownIn(page);
      expect(lines.length, name).toBeGreaterThan(5);
      expect
        .soft(
          lines.filter((line) => isUnsaid(line.replace(/“[^”]*”/g, ''))),
          name,
        )
        .toEqual([]);
      expect(
        lines.filter((line) =>
          /[^\n] {2,}[^\n ]|\.\.(?!\.)|\(other side\)/.test(line.replace(/\n\s*/g, '\n')),
        ),
        name,
      ).toEqual([]);
      const long = lines.flatMap(ownSentences).filter((one) => one.split(/\s+/).length > LONGEST_SENTENCE);
      expect.soft(long, name).toEqual([]);
    }
  });
}
