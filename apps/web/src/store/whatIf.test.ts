import { ScenarioSchema } from '@aftersquall/core/model';
import { describe, expect, it } from 'vitest';
import {
  beginFrom,
  changeWhatIf,
  isChanged,
  layBeside,
  NO_CHANGES,
  PLAIN,
  selectAsked,
  whatIf,
} from './whatIf.ts';

const start = whatIf(undefined, { type: 'start' });
const asked = (state: typeof start, map = 'm') => selectAsked(map)({ whatIf: state });
const scenario = ScenarioSchema.parse({
  id: 's',
  name: 'S',
  rules: 'club-room',
  apparel: 'no-gi',
  level: { top: 'sharp' },
  submissionWorth: 12,
  forbiddenMoves: ['choke'],
});

describe('what is asked about a map', () => {
  it('is nothing at first, for every map alike', () => {
    expect(asked(start)).toEqual({ changes: NO_CHANGES, scenario: '', beside: '' });
    expect(asked(start)).toBe(asked(start, 'other'));
  });

  it('adds up change by change, each map for itself', () => {
    let state = whatIf(start, changeWhatIf({ map: 'm', changes: { submissionWorth: 5 } }));
    state = whatIf(state, changeWhatIf({ map: 'm', changes: { sparedJoints: ['knee'] } }));
    expect(asked(state).changes).toEqual({ ...NO_CHANGES, submissionWorth: 5, sparedJoints: ['knee'] });
    expect(asked(state, 'other').changes).toEqual(NO_CHANGES);
  });

  it('begins from a scenario, its rules, apparel and level left to the whole club, and from nothing again', () => {
    let state = whatIf(start, layBeside({ map: 'm', beside: PLAIN }));
    state = whatIf(state, beginFrom({ map: 'm', scenario }));
    expect(asked(state)).toEqual({
      changes: { ...NO_CHANGES, submissionWorth: 12, forbiddenMoves: ['choke'] },
      scenario: 's',
      beside: PLAIN,
    });
    state = whatIf(state, beginFrom({ map: 'm', scenario: undefined }));
    expect(asked(state)).toEqual({ changes: NO_CHANGES, scenario: '', beside: PLAIN });
  });

  it('is changed while it is not what it began from', () => {
    expect(isChanged(NO_CHANGES, undefined)).toBe(false);
    expect(isChanged({ ...NO_CHANGES, submissionWorth: undefined }, undefined)).toBe(false);
    expect(isChanged({ ...NO_CHANGES, submissionWorth: 5 }, undefined)).toBe(true);
    const { changes } = asked(whatIf(start, beginFrom({ map: 'm', scenario })));
    expect(isChanged(changes, scenario)).toBe(false);
    expect(isChanged({ ...changes, forbiddenMoves: [] }, scenario)).toBe(true);
    expect(isChanged(changes, undefined)).toBe(true);
  });
});
