import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { answerName } from '../body/answerName.ts';
import { parseMapFile } from '../formats/mapFile.ts';
import { recordMade } from '../test/practiceRecords.ts';
import { printTrials, readTrials } from './trialsCsv.ts';

const map = parseMapFile(
  readFileSync(new URL('../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const [one, two] = map.exchanges as [(typeof map.exchanges)[0], (typeof map.exchanges)[0]];
const gull = { id: 'gull', alias: 'Gull' };
const trials = [
  recordMade({
    kind: 'trial',
    exchange: one.id,
    ...answerName(map, one),
    worked: true,
    resistance: 'full',
    athlete: gull,
  }),
  recordMade({
    kind: 'trial',
    exchange: two.id,
    ...answerName(map, two),
    worked: false,
    resistance: 'light',
    count: 3,
  }),
];

describe('tries as CSV', () => {
  it('come back as they went out, and read twice they are the same records', () => {
    const text = printTrials(trials);
    const { records, issues } = readTrials(map, [gull], text);
    expect(issues).toEqual([]);
    const bare = (list: typeof records) => list.map(({ key: _, at: __, session: ___, ...rest }) => rest);
    expect(bare(records)).toEqual(bare(trials));
    expect(readTrials(map, [gull], text).records).toEqual(records);
  });

  it('are told apart where a line stands twice', () => {
    const text = `date,exchange,worked,resistance\n2026-09-01,${one.id},yes,full\n2026-09-01,${one.id},yes,full\n`;
    const keys = readTrials(map, [], text).records.map(({ key }) => key);
    expect(new Set(keys).size).toBe(2);
  });

  it('are found by the words of move and reaction where no id is given', () => {
    const { move, meets, position } = answerName(map, two);
    const text = Papa.unparse([
      { date: '2026-09-01', position, move, meets, worked: 'no', resistance: 'light' },
    ]);
    expect(readTrials(map, [], text).records).toMatchObject([{ exchange: two.id, worked: false }]);
  });

  it('say line by line what is wrong', () => {
    const lines = [
      'date,exchange,worked,resistance,athlete',
      `2026-13-01,${one.id},yes,full,`,
      '2026-09-01,no-such,yes,full,',
      `2026-09-01,${one.id},perhaps,full,`,
      `2026-09-01,${one.id},yes,some,`,
      `2026-09-01,${one.id},yes,full,Nobody`,
      `2026-09-01,${one.id},yes,full,=HYPERLINK("x")`,
    ];
    const { issues } = readTrials(map, [gull], lines.join('\n'));
    expect(issues.map(({ line }) => line)).toEqual([2, 3, 4, 5, 6, 7]);
    expect(issues.map(({ message }) => message).join('\n')).toMatch(
      /day such as[\s\S]*no answer "no-such"[\s\S]*yes or no[\s\S]*expected cooperative[\s\S]*called "Nobody"[\s\S]*formula/,
    );
    expect(readTrials(map, [], 'a,b\n1,2').issues).toEqual([
      { line: 1, message: expect.stringContaining('no column date') },
    ]);
  });

  it('never hand a spreadsheet a formula', () => {
    const sly = [{ ...trials[0]!, move: '=2+2' } as (typeof trials)[0]];
    expect(printTrials(sly)).toContain("'=2+2");
    expect(printTrials(sly)).not.toMatch(/,=2/);
  });
});
