import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { zodIssues } from '../documents/zodIssues.ts';
import { hold as anyHold } from '../test/arbitraries.ts';
import { smallMap } from '../test/smallMap.ts';
import { ExchangeSchema, exchangeKey, notesOf } from './exchange.ts';
import { HoldSchema, TargetSchema } from './hold.ts';
import { isCloth, matchesPattern, sameHold } from './holdPattern.ts';
import { indexMap } from './indexMap.ts';
import { ENTITY_KINDS, emptyMap, LIST_OF, MapSchema } from './map.ts';
import { MoveSchema } from './move.ts';
import { FitSchema } from './notes.ts';
import { PositionSchema } from './position.ts';
import { ReactionSchema } from './reaction.ts';
import { ScenarioSchema } from './scenario.ts';
import { exchangeSeconds, stepsOf, variantOf } from './seconds.ts';
import { ConditionSchema, conditionMet, FACET_NAMES, FACETS, SignsSchema, signOf } from './signs.ts';

/** What a schema says of a value, as "path: message". */
const says = (
  schema: { safeParse: (value: unknown) => { success: boolean; error?: unknown } },
  value: unknown,
): string[] => {
  const parsed = schema.safeParse(value);
  if (parsed.success) return [];
  return zodIssues(parsed.error as never).map(({ path, message }) => `${path.join('.')}: ${message}`);
};

describe('holds', () => {
  const grip = {
    id: 'h',
    contacts: ['handR'],
    action: 'grip',
    target: { of: 'top', part: 'sleeve', side: 'R', at: 'cuff' },
  };

  it('have contacts, an action and a target; the middle is the side nobody names', () => {
    expect(HoldSchema.parse(grip)).toEqual(grip);
    expect(TargetSchema.parse({ of: 'top', part: 'neck' }).side).toBe('C');
    expect(says(HoldSchema, { ...grip, contacts: [] })).toEqual([
      'contacts: a hold needs at least one contact',
    ]);
    expect(says(HoldSchema, { ...grip, contacts: ['handR', 'handR'] })).toEqual([
      'contacts: a contact is named twice',
    ]);
    expect(says(HoldSchema, { ...grip, contacts: ['tail'] })[0]).toMatch(/^contacts\.0: one of handL/);
  });

  it('are on places that the part has', () => {
    expect(says(TargetSchema, { of: 'top', part: 'sleeve', side: 'R', at: 'knee' })).toEqual([
      'at: a sleeve has no "knee"',
    ]);
    expect(says(TargetSchema, { of: 'top', part: 'trousers', side: 'R', at: 'knee' })).toEqual([]);
    expect(says(TargetSchema, { of: 'top', part: 'wrist', side: 'R', at: 'cuff' })).toEqual([
      'at: a wrist has no "cuff"',
    ]);
  });

  it('know the mat as a target of its own', () => {
    const wrong = 'part: the mat is a target of its own: of and part are both "mat"';
    expect(says(TargetSchema, { of: 'mat', part: 'mat' })).toEqual([]);
    expect(says(TargetSchema, { of: 'mat', part: 'knee' })).toEqual([wrong]);
    expect(says(TargetSchema, { of: 'top', part: 'mat' })).toEqual([wrong]);
  });

  it('fit a pattern when every given field does', () => {
    const hold = HoldSchema.parse(grip);
    expect(matchesPattern(hold, {})).toBe(true);
    expect(matchesPattern(hold, { action: 'grip', part: 'sleeve' })).toBe(true);
    expect(matchesPattern(hold, { part: 'sleeve', side: 'L' })).toBe(false);
    expect(matchesPattern(hold, { at: 'elbow' })).toBe(false);
    expect(matchesPattern(hold, { contacts: ['handR'] })).toBe(true);
    expect(matchesPattern(hold, { contacts: ['handL'] })).toBe(false);
    expect(matchesPattern(hold, { by: 'top' })).toBe(false);
    expect(matchesPattern(hold, { by: 'top' }, 'top')).toBe(true);
  });

  it('are the same whatever their id and depth, and whichever contact is named first', () => {
    fc.assert(
      fc.property(anyHold, (hold) => {
        const other = {
          ...hold,
          id: 'other',
          depth: 'deep' as const,
          contacts: [...hold.contacts].reverse(),
        };
        expect(sameHold(hold, other)).toBe(true);
        expect(sameHold(hold, { ...hold, contacts: [...hold.contacts, 'chest'] })).toBe(false);
      }),
    );
  });

  it('are cloth on collar, lapel, sleeve, trousers and belt only', () => {
    expect(
      (['collar', 'lapel', 'sleeve', 'trousers', 'belt'] as const).every((part) => isCloth({ part })),
    ).toBe(true);
    expect((['wrist', 'neck', 'ankle', 'waist', 'mat'] as const).some((part) => isCloth({ part }))).toBe(
      false,
    );
  });
});

describe('signs', () => {
  it('take the first value of a facet where nothing is said', () => {
    for (const facet of FACET_NAMES) expect(signOf({}, facet)).toBe(FACETS[facet][0]);
    expect(signOf({ 'top.stance': 'standing' }, 'top.stance')).toBe('standing');
  });

  it('refuse what a facet cannot be, and facets that are none', () => {
    expect(says(SignsSchema, { 'top.stance': 'standing', 'own.hips': 'raised' })).toEqual([]);
    expect(says(SignsSchema, { 'top.stance': 'flying' })[0]).toMatch(/^top\.stance: one of /);
    expect(says(SignsSchema, { 'top.mood': 'bad' })).toEqual([': Unrecognized key: "top.mood"']);
    expect(says(ConditionSchema, { facet: 'top.head', values: ['high', 'upside-down'] })).toEqual([
      'values.1: top.head cannot be "upside-down"; it is one of high, low, posted, pinned',
    ]);
  });

  it('meet a condition with any of its values, the default too', () => {
    const condition = ConditionSchema.parse({ facet: 'top.stance', values: ['kneeling', 'half-kneeling'] });
    expect(condition.mark).toBe('must');
    expect(conditionMet(condition, {})).toBe(true);
    expect(conditionMet(condition, { 'top.stance': 'half-kneeling' })).toBe(true);
    expect(conditionMet(condition, { 'top.stance': 'standing' })).toBe(false);
  });
});

describe('things of a map', () => {
  it('need an id that can stand in an address, and a name', () => {
    expect(says(PositionSchema, { id: 'a b', name: ' ' })).toEqual([
      'id: use letters, digits, - and _ only, starting with a letter or digit',
      'name: give it a name',
    ]);
    expect(says(ReactionSchema, { id: 'r', name: 'R', group: 'sneezing' })[0]).toMatch(
      /^group: one of posting & base/,
    );
  });

  it('refuse keys that are none, so that a slip of the pen is not lost', () => {
    expect(says(PositionSchema, { id: 'p', name: 'P', hold: [] })).toEqual([': Unrecognized key: "hold"']);
    expect(
      says(MoveSchema, {
        id: 'm',
        position: 'p',
        look: 'l',
        name: 'M',
        kind: 'sweep',
        steps: [{ id: 's', text: 'x', takes: [] }],
      }),
    ).toEqual(['steps.0: Unrecognized key: "takes"']);
  });

  it('keep numbers where they make sense', () => {
    const move = { id: 'm', position: 'p', look: 'l', name: 'M', kind: 'sweep' };
    expect(says(MoveSchema, { ...move, direction: 360 })).toEqual(['direction: degrees below 360']);
    expect(says(MoveSchema, { ...move, direction: 359.5, seconds: 0 })).toEqual([]);
    expect(says(PositionSchema, { id: 'p', name: 'P', entry: -1 })).toEqual([
      'entry: an entry weight cannot be negative',
    ]);
    expect(says(ScenarioSchema, { id: 's', name: 'S', continuation: 1 })[0]).toMatch(/^continuation: /);
  });

  it('say of a fit what it is about and why, from −2 to 2', () => {
    const fit = { about: 'limbs', of: 'own', value: 'long', effect: 2, why: 'It reaches.' };
    expect(says(FitSchema, fit)).toEqual([]);
    expect(says(FitSchema, { ...fit, effect: 3 })[0]).toMatch(/^effect: /);
    expect(says(FitSchema, { ...fit, value: 'heavy' })[0]).toMatch(/^value: /);
    expect(says(FitSchema, { ...fit, why: '' })).toEqual(['why: say why']);
  });

  it('lead to a position or an outcome, never to both or neither', () => {
    const exchange = { id: 'e', move: 'm', reaction: 'none', to: { outcome: 'back' }, chance: 0.5 };
    expect(says(ExchangeSchema, exchange)).toEqual([]);
    expect(says(ExchangeSchema, { ...exchange, to: {} })[0]).toMatch(/^to/);
    expect(says(ExchangeSchema, { ...exchange, to: { position: 'p', outcome: 'back' } })[0]).toMatch(
      /^to: give a position/,
    );
    expect(says(ExchangeSchema, { ...exchange, reaction: 'sneeze' })).toEqual([
      'reaction: give a reaction ({"id": …}) or "none"',
    ]);
    for (const chance of [-0.1, 1.1])
      expect(says(ExchangeSchema, { ...exchange, chance })).toEqual([
        'chance: a chance lies between 0 and 1',
      ]);
  });

  it('have a note on the landing and, behind “else:”, one on the failing', () => {
    expect(notesOf({ note: undefined })).toEqual({ landing: '', failing: '' });
    expect(notesOf({ note: 'the hook stays in' })).toEqual({ landing: 'the hook stays in', failing: '' });
    expect(notesOf({ note: 'else: they sit back' })).toEqual({ landing: '', failing: 'they sit back' });
    expect(notesOf({ note: 'grip let go; else: they sit back' })).toEqual({
      landing: 'grip let go',
      failing: 'they sit back',
    });
  });

  it('are one exchange by move, reaction, side and variant', () => {
    const key = (changes: object) => exchangeKey({ move: 'm', reaction: { id: 'r' }, ...changes });
    const keys = [
      key({}),
      key({ move: 'n' }),
      key({ reaction: 'none' }),
      key({ reaction: { id: 'r', mirrored: true } }),
      key({ variant: 'v' }),
    ];
    expect(new Set(keys).size).toBe(keys.length);
    expect(key({ reaction: { id: 'r', mirrored: false } })).toBe(key({}));
  });
});

describe('a map', () => {
  it('begins empty with the settings of the model', () => {
    const map = emptyMap('m', 'Mine');
    expect(map.settings).toMatchObject({ roundPace: 8, continuation: 0.92, rest: 0, submissionWorth: 8 });
    for (const kind of ENTITY_KINDS) expect(map[LIST_OF[kind]]).toEqual([]);
    expect(says(MapSchema, { ...map, version: 2 })[0]).toMatch(/^version: /);
    expect(says(MapSchema, { ...map, format: 'something else' })[0]).toMatch(/^format: /);
  });

  it('is indexed once and by owner', () => {
    const map = smallMap();
    const index = indexMap(map);
    expect(indexMap(map)).toBe(index);
    expect(index.movesOf('start').map(({ id }) => id)).toEqual(['gather', 'choke', 'tilt']);
    expect(index.exchangesOf('gather').map(({ id }) => id)).toEqual(['gather-strip']);
    expect(index.movesOf('nowhere')).toEqual([]);
  });
});

describe('seconds of an exchange', () => {
  const steps = (...seconds: number[]) =>
    seconds.map((each, i) => ({ id: `s${i}`, text: 'x', seconds: each }));
  const move = MoveSchema.parse({
    id: 'm',
    position: 'p',
    look: 'l',
    name: 'M',
    kind: 'sweep',
    steps: steps(2, 3),
    seconds: 20,
    variants: [
      { id: 'quick', name: 'Quick', steps: steps(1) },
      { id: 'wordy', name: 'Only words' },
    ],
    houseVariant: 'quick',
  });

  it('are its own, else its variant’s steps, the move’s steps, the move’s, or 8', () => {
    expect(exchangeSeconds(move, { seconds: 7 })).toBe(7);
    expect(exchangeSeconds(move, {})).toBe(1);
    expect(exchangeSeconds(move, { variant: 'wordy' })).toBe(5);
    expect(exchangeSeconds({ ...move, houseVariant: undefined }, {})).toBe(5);
    expect(exchangeSeconds({ ...move, houseVariant: undefined, steps: [] }, {})).toBe(20);
    expect(exchangeSeconds({ ...move, houseVariant: undefined, steps: [], seconds: undefined }, {})).toBe(8);
  });

  it('follow the variant the exchange names, else the house’s', () => {
    expect(variantOf(move)?.id).toBe('quick');
    expect(variantOf(move, { variant: 'wordy' })?.id).toBe('wordy');
    expect(stepsOf(move, { variant: 'wordy' })).toBe(move.steps);
  });
});
