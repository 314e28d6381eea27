import fc from 'fast-check';
import { type Chain, ChainSchema, type ChainTurn } from '../model/chain.ts';
import { CONTACTS } from '../model/contacts.ts';
import { type Ending, EndingSchema } from '../model/ending.ts';
import { type Exchange, ExchangeSchema } from '../model/exchange.ts';
import { HAZARD_TAGS } from '../model/hazards.ts';
import {
  DEPTHS,
  HOLD_ACTIONS,
  type Hold,
  type HoldClass,
  type HoldPattern,
  PARTS,
  type Target,
} from '../model/hold.ts';
import { JOINTS, LOADS } from '../model/joint.ts';
import { emptyMap, type GuardMap } from '../model/map.ts';
import { MECHANIC_FORMS, type Mechanic, MechanicSchema } from '../model/mechanic.ts';
import { FALLS, MOVE_KINDS, type Move, MoveSchema } from '../model/move.ts';
import { type Opponent, OpponentSchema } from '../model/opponent.ts';
import { type Landing, OUTCOMES } from '../model/outcome.ts';
import { HOOK_ROUTES, type PoseHints } from '../model/poseHints.ts';
import { type Position, PositionSchema, type System, SystemSchema } from '../model/position.ts';
import { REACTION_GROUPS, type Reaction, ReactionSchema } from '../model/reaction.ts';
import { type Scenario, ScenarioSchema } from '../model/scenario.ts';
import { type Condition, FACET_NAMES, FACETS, type Signs } from '../model/signs.ts';

const side = fc.constantFrom('L' as const, 'R' as const, 'C' as const);

const target: fc.Arbitrary<Target> = fc.oneof(
  fc.constant<Target>({ of: 'mat', part: 'mat', side: 'C' }),
  fc.record({
    of: fc.constantFrom('top' as const, 'own' as const),
    part: fc.constantFrom(...PARTS.filter((part) => part !== 'mat')),
    side,
  }),
  fc.record({
    of: fc.constant('top' as const),
    part: fc.constant('sleeve' as const),
    side,
    at: fc.constantFrom('cuff' as const, 'elbow' as const),
  }),
);

export const hold: fc.Arbitrary<Hold> = fc.record(
  {
    id: fc.stringMatching(/^[a-z][a-z0-9]{0,6}$/),
    contacts: fc.uniqueArray(fc.constantFrom(...CONTACTS), { minLength: 1, maxLength: 2 }),
    action: fc.constantFrom(...HOLD_ACTIONS),
    target,
    depth: fc.constantFrom(...DEPTHS),
    keep: fc.boolean(),
    fallbacks: fc.array(target, { maxLength: 2 }),
  },
  { requiredKeys: ['id', 'contacts', 'action', 'target'] },
);

export const pattern: fc.Arbitrary<HoldPattern> = fc.record(
  {
    contacts: fc.uniqueArray(fc.constantFrom(...CONTACTS), { minLength: 1, maxLength: 1 }),
    action: fc.constantFrom(...HOLD_ACTIONS),
    part: fc.constantFrom(...PARTS),
    side,
  },
  { requiredKeys: [] },
);

const holdClass: fc.Arbitrary<HoldClass> = fc.record(
  {
    action: fc.constantFrom(...HOLD_ACTIONS),
    part: fc.constantFrom(...PARTS),
    side: fc.constantFrom('near' as const, 'far' as const, 'L' as const, 'C' as const),
  },
  { requiredKeys: ['part'] },
);

export const signs: fc.Arbitrary<Signs> = fc
  .uniqueArray(fc.constantFrom(...FACET_NAMES), { maxLength: 6 })
  .chain((facets) =>
    fc
      .tuple(...facets.map((facet) => fc.constantFrom<string>(...FACETS[facet])))
      .map((values) => Object.fromEntries(facets.map((facet, i) => [facet, values[i]])) as Signs),
  );

const uniqueHolds = fc.uniqueArray(hold, { maxLength: 4, selector: ({ id }) => id });
const words = fc.constantFrom('post', 'frame', 'hip in', 'stand');
/** What somebody may write, with the signs that a notation has to keep apart. */
const text = fc.constantFrom(
  'Ear to the shin.',
  'first → then',
  'one\ntwo',
  'a | b; c, d \\ e',
  '[2 s] (x) – “y”',
);
const condition: fc.Arbitrary<Condition> = fc.constantFrom(...FACET_NAMES).chain((facet) =>
  fc.record({
    facet: fc.constant(facet),
    values: fc.subarray<string>([...FACETS[facet]], { minLength: 1 }),
    mark: fc.constantFrom('must' as const, 'helps' as const),
  }),
);
/** Faults, which may let some reactions through. */
const faultsLetting = (reactionIds: readonly string[]) =>
  fc
    .array(
      fc.record(
        {
          // Words that look like what the notation says of a fault.
          text: fc.oneof(text, fc.constantFrom('late [lets go', 'looks like this [lets go]', 'ends [so]')),
          mend: fc.oneof(text, fc.constant('head up [lets go]')),
          ...(reactionIds.length > 0 && { lets: fc.subarray([...reactionIds], { minLength: 1 }) }),
        },
        { requiredKeys: ['text'] },
      ),
      { maxLength: 2 },
    )
    .map((all) => all.map((fault, i) => ({ id: `f${i + 1}`, ...fault })));
const faults = faultsLetting([]);
/** What is said in class, with the signs that brackets have to keep apart; and without. */
const saidWords = fc.constantFrom('Hip out, knee in', 'one; two', 'a (b) c', 'over | under');
const saidPlain = fc.constantFrom('20 s not passed', 'hold on');
const short = fc.stringMatching(/^[A-Z][a-z]{1,9}( [a-z]{1,7}){0,3}$/);
const loads = fc.dictionary(fc.constantFrom(...JOINTS), fc.constantFrom(...LOADS), { maxKeys: 3 });

const mechanic = (id: string): fc.Arbitrary<Mechanic> =>
  fc
    .record(
      {
        name: words,
        form: fc.constantFrom(...MECHANIC_FORMS),
        how: text,
        dose: text,
        partner: text,
        faults,
        hazards: fc.subarray(HAZARD_TAGS.slice(0, 3)),
        note: text,
        said: saidWords,
        short,
        loads,
      },
      { requiredKeys: ['name', 'form', 'how'] },
    )
    .map((value) => MechanicSchema.parse({ id, ...value }));
const system = (id: string): fc.Arbitrary<System> =>
  fc
    .record(
      {
        name: words,
        aliases: fc.subarray(['balão', 'a;b']),
        purpose: text,
        build: text,
        gi: text,
        noGi: text,
        schools: text,
      },
      { requiredKeys: ['name'] },
    )
    .map((value) => SystemSchema.parse({ id, ...value }));

/** A reaction of the catalogue, with the id given. */
export const reaction = (id: string): fc.Arbitrary<Reaction> =>
  fc
    .record({
      name: words,
      group: fc.constantFrom(...REACTION_GROUPS),
      changes: signs,
      breaks: fc.array(pattern, { maxLength: 2 }),
      topTakes: uniqueHolds,
      topReleases: fc.array(pattern, { maxLength: 2 }),
      needs: fc.array(
        fc.oneof(
          condition,
          fc.record({ free: fc.constantFrom(...CONTACTS) }),
          fc.record({ not: pattern.filter((one) => Object.keys(one).length > 0) }),
        ),
        { maxLength: 2 },
      ),
      feel: text,
      script: text,
      short: fc.option(short, { nil: undefined }),
      shortMirrored: fc.option(short, { nil: undefined }),
    })
    .map((value) => ReactionSchema.parse({ id, ...value }));

/** An exchange before it has its id. */
const degrees = fc.integer({ min: -360, max: 360 });
const metres = fc.integer({ min: -20, max: 20 }).map((tenths) => tenths / 10);
const place = fc.tuple(metres, metres, fc.constant(0.4));
const poseHints: fc.Arbitrary<PoseHints> = fc
  .record(
    {
      ownYaw: degrees,
      topYaw: degrees,
      ownPlace: place,
      topPlace: place,
      view: fc.record({ azimuth: degrees, elevation: fc.integer({ min: 0, max: 80 }) }),
      routes: fc.dictionary(fc.constantFrom(...CONTACTS), fc.constantFrom(...HOOK_ROUTES), {
        minKeys: 1,
        maxKeys: 3,
      }),
    },
    { requiredKeys: [] },
  )
  .filter((hints) => Object.keys(hints).length > 0);

type Written = Omit<Exchange, 'id'> & { said: Partial<Exchange> };

/** A small map whose references all resolve: up to 5 positions, 6 moves, 8 exchanges, 3 reactions, and what hangs on them. */
export const guardMap: fc.Arbitrary<GuardMap> = fc
  .record({
    positions: fc.integer({ min: 1, max: 5 }),
    moves: fc.integer({ min: 0, max: 6 }),
    exchanges: fc.integer({ min: 0, max: 8 }),
    reactions: fc.integer({ min: 0, max: 3 }),
    systems: fc.integer({ min: 0, max: 2 }),
    mechanics: fc.integer({ min: 0, max: 2 }),
  })
  .chain((size) => {
    const ids = (prefix: string, count: number) => Array.from({ length: count }, (_, i) => `${prefix}${i}`);
    const positionIds = ids('p', size.positions);
    const reactionIds = ids('r', size.reactions);
    const moveIds = ids('m', size.moves);
    const systemIds = ids('s', size.systems);
    const mechanicIds = ids('k', size.mechanics);
    const landing: fc.Arbitrary<Landing> = fc.oneof(
      fc.record(
        { position: fc.constantFrom(...positionIds), mirrored: fc.constant(true) },
        { requiredKeys: ['position'] },
      ),
      fc.record({ outcome: fc.constantFrom(...OUTCOMES) }),
    );
    const position = (id: string): fc.Arbitrary<Position> =>
      fc
        .record(
          {
            name: words,
            holds: uniqueHolds,
            topHolds: uniqueHolds,
            signs,
            entry: fc.integer({ min: 0, max: 3 }),
            drift: landing,
            rest: fc.integer({ min: -30, max: 30 }).map((tenths) => tenths / 10),
            systems: fc.subarray(systemIds),
            note: text,
            faults: faultsLetting(reactionIds),
            feel: text,
            pose: poseHints,
            short,
            usual: short,
            game: fc.record(
              { bottom: text, top: text, time: saidPlain },
              { requiredKeys: ['bottom', 'top'] },
            ),
            loads,
            topSees: text,
          },
          { requiredKeys: ['name', 'holds', 'topHolds', 'signs', 'entry', 'systems', 'faults'] },
        )
        .map(({ feel, topSees, ...value }) =>
          PositionSchema.parse({
            id,
            ...value,
            looks: [
              {
                id: 'look',
                name: 'look',
                topSees,
                reactions: reactionIds.map((reactionId) => ({ id: reactionId, feel })),
              },
            ],
          }),
        );
    const move = (id: string): fc.Arbitrary<Move> =>
      fc
        .record(
          {
            name: words,
            kind: fc.constantFrom(...MOVE_KINDS),
            position: fc.constantFrom(...positionIds),
            seconds: fc.integer({ min: 1, max: 20 }),
            needs: fc.array(condition, { maxLength: 2 }),
            mechanics: fc.subarray(mechanicIds),
            requires: fc.subarray([
              ...mechanicIds.map((mechanic) => ({ mechanic })),
              { position: positionIds[0]! },
            ]),
            falsePositives: fc.array(fc.record({ text, test: text }), { maxLength: 1 }),
            steps: fc
              .array(
                fc.record({
                  text,
                  said: fc.option(saidWords, { nil: undefined }),
                  take: uniqueHolds,
                  release: fc.subarray(CONTACTS.slice(0, 2)),
                  seconds: fc.integer({ min: 0, max: 9 }),
                }),
                { maxLength: 2 },
              )
              .map((all) =>
                all.map((step, i) => ({ id: `s${i + 1}`, ...step, ...(i > 0 && { after: ['s1'] }) })),
              ),
            note: text,
            short,
            loads,
            foundation: fc.constant(true),
            test: text,
            fall: fc.constantFrom(...FALLS),
            escapes: fc.subarray(moveIds),
            tap: text,
            faults: faultsLetting(reactionIds),
          },
          {
            requiredKeys: [
              'name',
              'kind',
              'position',
              'needs',
              'mechanics',
              'requires',
              'falsePositives',
              'steps',
            ],
          },
        )
        .map((value) => MoveSchema.parse({ id, look: 'look', ...value }));
    const exchanges =
      moveIds.length === 0
        ? fc.constant<Written[]>([])
        : fc.uniqueArray(
            fc.record({
              move: fc.constantFrom(...moveIds),
              reaction: fc.constantFrom('none' as const, ...reactionIds.map((id) => ({ id }))),
              to: landing,
              chance: fc.integer({ min: 0, max: 100 }).map((percent) => percent / 100),
              said: fc.record(
                {
                  stops: fc.integer({ min: 0, max: 3 }),
                  note: text,
                  basis: fc.constantFrom('coach' as const, 'logged' as const),
                },
                { requiredKeys: [] },
              ),
            }),
            {
              maxLength: size.exchanges,
              selector: ({ move: of, reaction: met }) => `${of} ${met === 'none' ? met : met.id}`,
            },
          );
    return fc
      .record({
        positions: fc.tuple(...positionIds.map(position)),
        moves: fc.tuple(...moveIds.map(move)),
        reactions: fc.tuple(...reactionIds.map(reaction)),
        systems: fc.tuple(...systemIds.map(system)),
        mechanics: fc.tuple(...mechanicIds.map(mechanic)),
        exchanges,
      })
      .map(
        (parts): GuardMap => ({
          ...emptyMap('random', 'Random'),
          positions: [...parts.positions],
          moves: [...parts.moves],
          reactions: [...parts.reactions],
          exchanges: [...(parts.exchanges as readonly Written[])].map(({ said, ...exchange }, i) =>
            ExchangeSchema.parse({ id: `e${i}`, ...exchange, ...said }),
          ),
          systems: [...parts.systems],
          mechanics: [...parts.mechanics],
        }),
      );
  })
  .chain((map) =>
    fc
      .record({ chains: chains(map), opponents: opponents(map) })
      .map((more): GuardMap => ({ ...map, ...more })),
  )
  .chain((map) => endings(map).map((all): GuardMap => ({ ...map, endings: all })))
  .chain((map) => scenarios(map).map((all): GuardMap => ({ ...map, scenarios: all })));

/** Some of the ids of a list. */
const someOf = (list: readonly { id: string }[]) => fc.subarray(list.map(({ id }) => id));

/** Ways in which an outcome looks, for some of the moves or for all. */
const endings = (map: GuardMap): fc.Arbitrary<Ending[]> =>
  fc
    .array(
      fc.record(
        {
          name: words,
          short,
          outcome: fc.constantFrom(...OUTCOMES),
          moves: someOf(map.moves),
          holds: fc.uniqueArray(hold, { minLength: 1, maxLength: 3, selector: ({ id }) => id }),
          topHolds: uniqueHolds,
          signs,
          pose: poseHints,
          note: text,
        },
        { requiredKeys: ['name', 'outcome', 'moves', 'holds', 'topHolds', 'signs'] },
      ),
      { maxLength: 2 },
    )
    .map((all) => all.map((value, i) => EndingSchema.parse({ id: `end${i}`, ...value })));

const chains = ({ exchanges, positions }: GuardMap): fc.Arbitrary<Chain[]> => {
  if (exchanges.length === 0) return fc.constant([]);
  const answer = fc.constantFrom(...exchanges.map(({ id }) => id));
  const turn: fc.Arbitrary<ChainTurn> = fc.oneof(
    answer,
    answer.map((exchange) => ({ exchange, fails: true as const })),
    fc.record({ exchange: answer, fails: fc.constant(true as const), after: fc.integer({ min: 1, max: 3 }) }),
    fc.constantFrom(...positions.map(({ id }) => ({ waits: id }))),
  );
  return fc
    .array(fc.array(turn, { minLength: 1, maxLength: 3 }), { maxLength: 2 })
    .map((all) =>
      all.map((turns, i) => ChainSchema.parse({ id: `c${i}`, name: `Chain ${i}`, exchanges: turns })),
    );
};

/** One opponent with a habit in some of the looks that have reactions. */
const opponents = ({ positions, reactions }: GuardMap): fc.Arbitrary<Opponent[]> =>
  reactions.length === 0
    ? fc.constant([])
    : fc
        .record({
          known: someOf(positions),
          parts: fc.array(fc.integer({ min: 0, max: 9 }), {
            minLength: reactions.length,
            maxLength: reactions.length,
          }),
        })
        .map(({ known, parts }) => {
          const sum = parts.reduce((a, b) => a + b, 0);
          const shares = reactions.map(({ id }, i) => ({
            id,
            share: sum > 0 ? parts[i]! / sum : Number(i === 0),
          }));
          const tendencies = known.map((position) => ({ position, look: 'look', reactions: shares }));
          return [OpponentSchema.parse({ id: 'o', alias: 'Wren', tendencies })];
        });

/** A what-if of any kind. */
const scenarios = (map: GuardMap): fc.Arbitrary<Scenario[]> =>
  fc
    .record(
      {
        apparel: fc.constantFrom('gi' as const, 'no-gi' as const),
        continuation: fc.constantFrom(0.8, 0.92, 0.97),
        rest: fc.integer({ min: -20, max: 20 }).map((n) => n / 10),
        submissionWorth: fc.integer({ min: 0, max: 20 }),
        outcomeWorth: fc.constantFrom({}, { passed: -2 }, { back: 3, neutral: 0.5 }),
        forbiddenMoves: someOf(map.moves),
        forbiddenHolds: fc.array(holdClass, { maxLength: 2 }),
        forbiddenReactions: someOf(map.reactions),
        sparedJoints: fc.subarray([...JOINTS]),
        chances: someOf(map.exchanges).map((ids) => ids.map((exchange) => ({ exchange, chance: 0.5 }))),
        ...(map.opponents[0] && { opponent: fc.constant(map.opponents[0].id) }),
        trust: fc.integer({ min: 0, max: 10 }).map((n) => n / 10),
      },
      { requiredKeys: [] },
    )
    .map((changes) => [ScenarioSchema.parse({ id: 'w', name: 'What if', ...changes })]);
