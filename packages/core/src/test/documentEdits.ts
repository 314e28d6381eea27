import fc from 'fast-check';
import { batch, type Command, describe, place, put, remove, set } from '../documents/command.ts';
import type { AnyDocument, Entity } from '../documents/defineDocument.ts';
import { DOCUMENT_KINDS, type DocumentKindName } from '../documents/documentKinds.ts';
import { ChainSchema } from '../model/chain.ts';
import { CLASS_FORMAT, CLASS_VERSION, type ClassPlan, ClassSchema } from '../model/classPlan.ts';
import { AthleteSchema, type Club, emptyClub } from '../model/club.ts';
import type { GuardMap } from '../model/map.ts';
import { OpponentSchema, type Tendency } from '../model/opponent.ts';
import { PositionSchema } from '../model/position.ts';
import { ReactionSchema } from '../model/reaction.ts';
import { ScenarioSchema } from '../model/scenario.ts';
import { guardMap } from './arbitraries.ts';

const rest = (id: string, seconds: number) => ({
  kind: 'rest' as const,
  id,
  title: 'Water',
  note: '',
  why: '',
  seconds,
});

const classPlan: fc.Arbitrary<ClassPlan> = fc
  .array(fc.integer({ min: 10, max: 300 }), { maxLength: 5 })
  .map((all) =>
    ClassSchema.parse({
      format: CLASS_FORMAT,
      version: CLASS_VERSION,
      id: 'monday',
      name: 'Monday',
      map: 'random',
      minutes: 60,
      people: 14,
      apparel: 'gi',
      blocks: all.map((seconds, i) => rest(`b${i}`, seconds)),
    }),
  );

const club: fc.Arbitrary<Club> = fc.integer({ min: 0, max: 4 }).chain((count) => {
  const ids = Array.from({ length: count }, (_, i) => `a${i}`);
  return fc.subarray(ids).map((athletes) => ({
    ...emptyClub('club', 'Club'),
    athletes: ids.map((id) => AthleteSchema.parse({ id, alias: id })),
    groups: [{ id: 'g', name: 'Evening', athletes, note: '' }],
    slots: [{ id: 's', weekday: 2, start: '18:30', minutes: 60, group: 'g' }],
  }));
});

/** A document of each kind, by its word. */
export const DOCUMENTS: Record<DocumentKindName, fc.Arbitrary<AnyDocument>> = {
  map: guardMap,
  class: classPlan,
  club,
};

/** A way to edit a document, steered by a number; undefined where there is nothing to do it to. */
type Edit<D> = (document: D, n: number, fresh: string) => Command | undefined;

const pick = <T>(list: readonly T[], n: number): T | undefined => list[n % Math.max(1, list.length)];
const on = <T>(thing: T | undefined, make: (thing: T) => Command): Command | undefined =>
  thing && make(thing);

const MAP_EDITS: Edit<GuardMap>[] = [
  ({ exchanges }, n) =>
    on(pick(exchanges, n), ({ id }) => set('exchange', id, [{ path: ['chance'], value: (n % 101) / 100 }])),
  ({ exchanges }, n) =>
    on(pick(exchanges, n), ({ id }) => set('exchange', id, [{ path: ['note'], value: `note ${n}` }])),
  ({ exchanges }, n) => on(pick(exchanges, n), ({ id }) => set('exchange', id, [{ path: ['note'] }])),
  ({ positions }, n) =>
    on(
      pick(
        positions.filter(({ looks }) => looks.some(({ id }) => id === 'look')),
        n,
      ),
      ({ id }) =>
        set('position', id, [
          { path: ['name'], value: `name ${n}` },
          { path: ['looks', 'look', 'name'], value: `look ${n}` },
        ]),
    ),
  ({ positions }, n) =>
    on(
      pick(
        positions.filter(({ holds }) => holds.length > 0),
        n,
      ),
      ({ id, holds }) => set('position', id, [{ path: ['holds', pick(holds, n)!.id] }]),
    ),
  ({ positions }, n, fresh) =>
    on(pick(positions, n), ({ id }) =>
      set('position', id, [
        {
          path: ['looks', fresh],
          value: { id: fresh, name: fresh, timing: 'seen', reactions: [] },
          at: n % 2,
        },
      ]),
    ),
  ({ positions }, n) => on(pick(positions, n), (value) => put('position', { ...value, level: 'expert' })),
  (_, n, fresh) =>
    put('reaction', ReactionSchema.parse({ id: fresh, name: fresh, group: 'posting & base' }), n % 3),
  (_, __, fresh) => put('position', PositionSchema.parse({ id: fresh, name: fresh })),
  (_, n) => describe([{ path: ['settings', 'rest'], value: n % 7 }]),
  // An opponent is met for the first time, or seen doing something else than before.
  (map, n, fresh) =>
    put('opponent', OpponentSchema.parse({ id: fresh, alias: fresh, tendencies: habits(map, n) })),
  (map, n) =>
    on(pick(map.opponents, n), ({ id }) =>
      set('opponent', id, [{ path: ['tendencies'], value: habits(map, n) }]),
    ),
  ({ opponents }, n) =>
    on(pick(opponents, n), ({ id }) => set('opponent', id, [{ path: ['note'], value: `seen ${n}` }])),
  ({ exchanges }, n, fresh) =>
    on(pick(exchanges, n), ({ id }) =>
      put('chain', ChainSchema.parse({ id: fresh, name: fresh, exchanges: [id, id] })),
    ),
  ({ chains, exchanges }, n) =>
    on(exchanges.length > 0 ? pick(chains, n) : undefined, ({ id }) =>
      set('chain', id, [{ path: ['exchanges'], value: [pick(exchanges, n)!.id] }]),
    ),
  ({ moves, reactions, opponents }, n, fresh) =>
    put(
      'scenario',
      ScenarioSchema.parse({
        id: fresh,
        name: fresh,
        forbiddenMoves: moves.slice(0, n % 3).map(({ id }) => id),
        forbiddenReactions: reactions.slice(0, n % 2).map(({ id }) => id),
        opponent: pick(opponents, n)?.id,
      }),
    ),
  ({ scenarios, exchanges }, n) =>
    on(pick(scenarios, n), ({ id }) =>
      set('scenario', id, [
        {
          path: ['chances'],
          value: exchanges.slice(0, n % 3).map((exchange) => ({ exchange: exchange.id, chance: 0.4 })),
        },
      ]),
    ),
];

/** Habits in those looks that have reactions, each with one thing that is always done. */
const habits = ({ positions }: GuardMap, n: number): Tendency[] =>
  positions.flatMap(({ id, looks }) =>
    looks.flatMap(({ id: look, reactions }) =>
      reactions.length > 0
        ? [{ position: id, look, reactions: [{ id: pick(reactions, n)!.id, share: 1 }] }]
        : [],
    ),
  );

const CLASS_EDITS: Edit<ClassPlan>[] = [
  (_, n, fresh) => put('block', rest(fresh, 60), n % 4),
  ({ blocks }, n) =>
    on(pick(blocks, n), ({ id }) => set('block', id, [{ path: ['title'], value: `Rest ${n}` }])),
  ({ blocks }, n) =>
    on(pick(blocks, n), ({ id }) => set('block', id, [{ path: ['seconds'], value: 10 + (n % 90) }])),
  (_, n) => describe([{ path: ['minutes'], value: 5 + (n % 200) }]),
  (_, n) => describe([{ path: ['leftOver'], value: [`e${n}`] }]),
  // A head field that is there or not.
  ({ when }, n) =>
    describe([{ path: ['when'], ...(!when && { value: { date: '2026-12-01', start: `1${n % 10}:00` } }) }]),
];

const CLUB_EDITS: Edit<Club>[] = [
  (_, __, fresh) => put('athlete', AthleteSchema.parse({ id: fresh, alias: fresh })),
  ({ athletes }, n) =>
    on(pick(athletes, n), ({ id }) => set('athlete', id, [{ path: ['mass'], value: 50 + (n % 60) }])),
  (_, n, fresh) =>
    put('holiday', { id: fresh, name: fresh, from: '2026-12-20', to: `2027-01-0${1 + (n % 9)}` }),
  ({ athletes, groups }, n) =>
    on(groups[0] && pick(athletes, n), ({ id }) =>
      set('group', groups[0]!.id, [{ path: ['athletes'], value: [id] }]),
    ),
];

const EDITS: Record<DocumentKindName, Edit<never>[]> = {
  map: MAP_EDITS,
  class: CLASS_EDITS,
  club: CLUB_EDITS,
};

/** Removals and moves, which are the same for every kind. */
const anyEdits = (kind: DocumentKindName): Edit<AnyDocument>[] =>
  Object.entries(DOCUMENT_KINDS[kind].entities).flatMap(([name, { list }]): Edit<AnyDocument>[] => {
    const entities = (document: AnyDocument) => (document as unknown as Record<string, Entity[]>)[list]!;
    return [
      (document, n) => on(pick(entities(document), n), ({ id }) => remove(name as never, id)),
      (document, n) => on(pick(entities(document), n), ({ id }) => place(name as never, id, n % 3)),
    ];
  });

/** One step of somebody's work: which edit, steered by which number, and the id for something new. */
export interface Step {
  edit: number;
  n: number;
  fresh: string;
}

export const steps = (who: string, most = 4): fc.Arbitrary<Step[]> =>
  fc
    .array(fc.record({ edit: fc.nat({ max: 1000 }), n: fc.nat({ max: 1000 }) }), {
      minLength: 1,
      maxLength: most,
    })
    .map((all) => all.map((step, i) => ({ ...step, fresh: `${who}-${i}` })));

/** The command of a step on a document as it stands; an empty batch where there is nothing to do. */
export function commandFor(kind: DocumentKindName, document: AnyDocument, { edit, n, fresh }: Step): Command {
  const edits = [...EDITS[kind], ...anyEdits(kind)];
  return edits[edit % edits.length]!(document as never, n, fresh) ?? batch([]);
}
