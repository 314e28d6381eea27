// @vitest-environment happy-dom
import { readFileSync } from 'node:fs';
import { parseMapFile } from '@aftersquall/core/formats';
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { BoardCellView } from './BoardCellView.tsx';
import type { BoardCell } from './boardModel.ts';

afterEach(cleanup);

const map = parseMapFile(readFileSync(`${process.cwd()}/testing/club/kelpwick.map.json`, 'utf8'));
const exchange = map.exchanges.find(({ to }) => 'outcome' in to)!;
const answer: BoardCell = { kind: 'answer', exchange, others: 0 };
const cell = (more: Partial<Parameters<typeof BoardCellView>[0]> = {}) => (
  <BoardCellView
    id="cell"
    row="row"
    column="column"
    map={map}
    cell={answer}
    words="Move, reaction"
    rate={undefined}
    shade={0}
    worth={undefined}
    stake={undefined}
    index={2}
    left={0}
    width={189}
    here={false}
    {...more}
  />
);
const shown = () => screen.getByRole('gridcell');

describe('a cell of the board', () => {
  it('follows its width and its place', () => {
    const { rerender } = render(cell());
    expect(shown().style.width).toBe('189px');
    rerender(cell({ width: 113, left: 40 }));
    expect([shown().style.width, shown().style.left]).toEqual(['113px', '40px']);
  });

  it('says where it stands, so that the board hears its clicks', () => {
    render(cell({ row: 'triangle', column: '~post-far' }));
    expect({ ...shown().dataset }).toMatchObject({ row: 'triangle', column: '~post-far' });
  });

  it('is another one when its answer is, and when the focus comes', () => {
    const { rerender } = render(cell());
    const other = { ...exchange, chance: 0.37 };
    rerender(cell({ cell: { kind: 'answer', exchange: other, others: 2 } }));
    expect(shown().textContent).toContain('37 %');
    expect(shown().textContent).toContain('+2');
    rerender(cell({ here: true }));
    expect(shown().getAttribute('aria-selected')).toBe('true');
  });

  it('tells a hole with its price from what is not listed', () => {
    const { rerender } = render(cell({ cell: { kind: 'hole' }, stake: 0.0123 }));
    expect(shown().getAttribute('aria-label')).toBe('Move, reaction: no answer yet');
    expect(shown().textContent).toContain('costs 0.012');
    rerender(cell({ cell: { kind: 'hole' }, stake: 0.0001 }));
    expect(shown().textContent).not.toContain('costs');
    rerender(cell({ cell: { kind: 'unlisted' } }));
    expect(shown().getAttribute('aria-label')).toBe('Move, reaction: not listed');
  });

  it('says whose figure a chance is', () => {
    render(cell({ cell: { kind: 'answer', exchange: { ...exchange, basis: 'logged' }, others: 0 } }));
    expect(shown().getAttribute('aria-label')).toContain('from the log');
  });
});
