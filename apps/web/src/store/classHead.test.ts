import { readFileSync } from 'node:fs';
import { type DocumentSummary } from '@aftersquall/core/contract';
import { ClassSchema } from '@aftersquall/core/model';
import { expect, it } from 'vitest';
import { headOf, isDated, nextOf } from './classHead.ts';

const plan = ClassSchema.parse(
  JSON.parse(readFileSync(new URL('../../../../demo/tuesday.class.json', import.meta.url), 'utf8')),
);
const summary = (head: object): DocumentSummary =>
  ({ kind: 'class', id: plan.id, revision: 1, head }) as unknown as DocumentSummary;

it('the lesson of a class that an older version kept is filled up', () => {
  const { faults: _, ...older } = plan.lesson!;
  const { id: __, blocks: ___, ...head } = plan;
  expect(headOf(summary({ ...head, lesson: older })).lesson).toEqual({ ...plan.lesson, faults: [] });
  const { lesson: ____, ...review } = head;
  expect(headOf(summary(review)).lesson).toBeUndefined();
});

it('what comes next is not past, and was not run yet', () => {
  const head = headOf(summary(plan));
  const on = (id: string, date: string) => ({ ...head, id, when: { date, start: '18:30' } });
  const classes = [on('past', '2020-01-07'), on('run', '2099-01-06'), on('next', '2099-01-13')].filter(
    isDated,
  );
  expect(nextOf(classes, ({ id }) => id === 'run')?.id).toBe('next');
  expect(nextOf(classes.slice(0, 1), () => false)).toBeUndefined();
});
