import { answerName } from '@aftersquall/core/body';
import { termDates } from '@aftersquall/core/lesson';
import {
  type Exchange,
  type GuardMap,
  indexMap,
  type PracticeRecord,
  PracticeRecordSchema,
} from '@aftersquall/core/model';
import { seeded } from '../packages/core/src/game/seeded.ts';

/**
 * Ten weeks of the evening group, made up and seeded. The story: every week has a position. Gull learns fastest, Skua stands
 * still, Knot is away in weeks four to six. One fault of closed guard is mended by week five, one of collar and sleeve never
 * is. The coach believes in one sweep that full resistance does not. Two blocks are not reached: one comes back, one never.
 */
export const ATHLETES = [
  ['gull', 'Gull', 0.16],
  ['auk', 'Auk', 0.04],
  ['tern', 'Tern', 0.05],
  ['skua', 'Skua', -0.12],
  ['petrel', 'Petrel', 0],
  ['dunlin', 'Dunlin', -0.04],
  ['knot', 'Knot', -0.06],
  ['plover', 'Plover', 0.02],
  ['eider', 'Eider', 0],
  ['shag', 'Shag', -0.03],
  ['gannet', 'Gannet', 0.08],
  ['curlew', 'Curlew', 0.03],
  ['dotterel', 'Dotterel', -0.05],
  ['whimbrel', 'Whimbrel', 0.01],
] as const;

const WEEKS = [
  'closed-upright',
  'closed-broken',
  'collar-sleeve-kneeling',
  'collar-sleeve-standing',
  'cross-sleeve-standing',
  'butterfly',
  'knee-shield',
  'seated',
  'hook-sleeve',
  'slx',
] as const;

/** The guess that proves wrong, and what is true against somebody who tries. */
export const WRONG_GUESS = { week: 3, true: 0.18 };
/** The coach comes back to it in every class: so many tries. */
const COMES_BACK = 3;
/** The class and block that was not reached, and whether it came back. */
const MISSED = [
  { class: 6, block: 2 },
  { class: 13, block: 1 },
];
const isMissed = (i: number, b: number): boolean => MISSED.some((one) => one.class === i && one.block === b);
const AWAY = { who: 'knot', weeks: [3, 4, 5] };

export function demoRecords(map: GuardMap): PracticeRecord[] {
  const random = seeded(20260915);
  const index = indexMap(map);
  const dates = termDates(
    [
      { id: 'tuesday', weekday: 2, start: '18:30', minutes: 60 },
      { id: 'thursday', weekday: 4, start: '18:30', minutes: 60 },
    ],
    { from: '2026-09-15', weeks: 10 },
  ).slice(0, 20);
  const records: PracticeRecord[] = [];
  let clock = 0;
  const put = (date: string, session: string, given: object) => {
    clock++;
    const minute = String(Math.floor(clock / 60) % 60).padStart(2, '0');
    records.push(
      PracticeRecordSchema.parse({
        key: `demo-${String(clock).padStart(5, '0')}`,
        at: `${date}T17:${minute}:${String(clock % 60).padStart(2, '0')}Z`,
        date,
        map: map.id,
        session,
        ...given,
      }),
    );
  };
  const words = (exchange: Exchange) => ({ exchange: exchange.id, ...answerName(map, exchange) });
  /** The moves of a week, each with its first three exchanges. */
  const taught = (week: number): Exchange[][] =>
    index
      .movesOf(WEEKS[week]!)
      .slice(0, 4)
      .map((move) => index.exchangesOf(move.id).slice(0, 3))
      .filter((list) => list.length > 0);
  const people = (week: number) =>
    ATHLETES.filter(([id]) => !(id === AWAY.who && AWAY.weeks.includes(week)) && random() > 0.12);

  for (const [i, { date }] of dates.entries()) {
    const week = Math.floor(i / 2);
    const session = `demo-class-${String(i + 1).padStart(2, '0')}`;
    const here = people(week);
    const position = index.position.get(WEEKS[week]!)!;
    put(date, session, {
      kind: 'session',
      name: `${i % 2 === 0 ? 'Tuesday' : 'Thursday'}: ${position.name}`.slice(0, 110),
      people: here.length,
      minutes: 60,
      group: 'evening',
      athletes: here.map(([id, alias]) => ({ id, alias })),
      device: 'wall',
    });
    const groups = taught(week);
    // The block that came back does so a week later.
    const back = i === MISSED[0]!.class + 2 ? [taught(week - 1)[MISSED[0]!.block]!] : [];
    for (const [b, exchanges] of [...back, ...groups].entries()) {
      const missed = back.length === 0 && isMissed(i, b);
      put(date, session, {
        kind: 'block',
        block: `block-${b + 1}`,
        title: index.move.get(exchanges[0]!.move)!.name,
        what: b === 0 ? 'chain' : 'fork drill',
        planned: 600,
        ran: missed ? 0 : 560 + Math.floor(random() * 80),
        reached: !missed,
        reps: missed ? 0 : 8 + Math.floor(random() * 5),
        exchanges: exchanges.map(words),
      });
    }
    // Tries: mostly what this week teaches, some of what was taught before.
    const believed = taught(WRONG_GUESS.week)[0]![0]!;
    for (let n = 0; n < 30; n++) {
      const earlier = random() < 0.35 && week > 0;
      // What was not reached was not tried.
      const reached = groups.filter((_, b) => !isMissed(i, b)).flat();
      const list = earlier ? taught(Math.floor(random() * week)).flat() : reached;
      const comesBack = week >= WRONG_GUESS.week && n < COMES_BACK;
      const exchange = comesBack ? believed : list[Math.floor(random() * list.length)]!;
      const [id, alias, gift] = here[Math.floor(random() * here.length)]!;
      const full = random() < 0.45;
      const learnt = id === 'skua' ? 0 : 0.012 * week;
      const truth =
        exchange === believed ? WRONG_GUESS.true : exchange.chance + gift + learnt - (full ? 0.1 : 0);
      put(date, session, {
        kind: 'trial',
        ...words(exchange),
        athlete: { id, alias },
        worked: random() < Math.min(0.95, Math.max(0.05, truth)),
        resistance: full ? 'full' : 'light',
      });
    }
    for (const { of, id, name, fault, count } of faultsOf(map, week, i, random))
      put(date, session, { kind: 'fault', of, id, name, fault, count });
    if (i % 4 === 3)
      for (const exchanges of taught(week))
        put(date, session, {
          kind: 'grade',
          ...words(exchanges[0]!),
          grade: (['patchy', 'held', 'held', 'sharp'] as const)[Math.floor(random() * 4)],
        });
    if (i === 9) put(date, session, { kind: 'note', text: 'Knot is away until the week after next.' });
    if (i === 13) put(date, session, { kind: 'note', text: 'Hall was cold; warm up longer.' });
  }
  return records;
}

/** One fault that is mended, one that is not, and the week's own. */
function faultsOf(map: GuardMap, week: number, i: number, random: () => number) {
  const { move, movesOf } = indexMap(map);
  const first = (position: string) => movesOf(position).find(({ faults }) => faults.length > 0)!;
  const one = (id: string, count: number) => {
    const { name, faults } = move.get(id)!;
    return { of: 'move' as const, id, name, fault: faults[0]!.text, count };
  };
  const mended = first('closed-upright').id;
  const stays = first('collar-sleeve-kneeling').id;
  return [
    ...(8 - 2 * week > 0 ? [one(mended, Math.max(1, 8 - 2 * week - (i % 2)))] : []),
    ...(week >= 2 ? [one(stays, 3 + Math.floor(random() * 3))] : []),
    ...(week > 2 ? [one(first(WEEKS[week]!)?.id ?? stays, 1 + Math.floor(random() * 2))] : []),
  ];
}
