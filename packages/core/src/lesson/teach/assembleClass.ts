import type { Block } from '../../model/blocks/blockKinds.ts';
import type { ClassPlan } from '../../model/classPlan.ts';
import { freshId } from '../../model/freshId.ts';
import { lowerFirst } from '../../model/letterCase.ts';
import { blockTime, classSeconds, largestGroup } from '../blocks/blockTime.ts';
import type { Taught, Theme } from './chooseTheme.ts';
import { LIVE, LIVE_BY, ROUND_SIDE, SPARE } from './classClock.ts';
import { drillBlock } from './drillBlock.ts';
import { forkBlock } from './forkBlock.ts';
import { tonightsLimit } from './limits.ts';
import { firstRound, gameBlock, roundsBlock } from './liveBlocks.ts';
import type { Room } from './room.ts';
import { Said } from './said.ts';
import { aimOf, questionBlock, recapBlock, todayBlock, waterBlock } from './talkBlocks.ts';
import { placeIn, type Teachable, type Technique } from './technique.ts';
import { warmUp } from './warmUp.ts';
import { wholeWay } from './wholeWay.ts';

/** What a class is put together with beside its theme. */
export interface Around {
  /** What comes back of earlier classes, first. */
  again: readonly Block[];
  room: Pick<ClassPlan, 'people' | 'changeOverSeconds'>;
}

export interface Assembled {
  blocks: Block[];
  aim: string;
  /** What is taught in it: less than the theme where the time is short. */
  taught: Taught[];
  wayIn: boolean;
}

/** What of a class can be longer or shorter. */
interface Sizes {
  main: number;
  more: number;
  other: number;
  fork: number;
  look: boolean;
  bouts: [number, number];
  bout: [number, number];
  rounds: number;
  side: number;
  warm: number;
  hasFork: boolean;
  hasSecondGame: boolean;
  wayIn: boolean;
  defence: number;
  /** How many techniques are left out, the last ones first. */
  dropped: number;
}

const MINUTE = 60;
/** So often a chain is gone along in one go. */
const WHOLE_WAYS = 4;
/** Repetitions that are wished for: of the main attack and a foundation, of everything else. */
const REPS = {
  novice: { main: 8, more: 7 },
  intermediate: { main: 6, more: 6 },
  expert: { main: 6, more: 6 },
} as const;
/** Play grows to so much of what a level needs; what is left then is spare. */
const MOST_PLAY = 1.35;

/** A theme as a class of so many minutes: what it needs first, then what the time still gives, play before repetitions. */
export function assembleClass(teach: Teachable, theme: Theme, around: Around): Assembled {
  return new Assembly(teach, theme, around).best();
}

class Assembly {
  private readonly minutes: number;
  private readonly budget: number;
  private readonly short: boolean;
  private readonly long: boolean;
  private readonly private: boolean;
  private readonly gamesFirst: boolean;
  private readonly said: Said;
  private readonly shares: ReadonlyMap<string, number>;
  /** Seconds that a class of this level is played. */
  private readonly wantedPlay: number;

  constructor(
    private readonly teach: Teachable,
    private readonly theme: Theme,
    private readonly around: Around,
  ) {
    const { minutes, people, method, level, known = [], root } = teach.request;
    this.minutes = minutes;
    this.budget = Math.floor((minutes * MINUTE * (1 - SPARE)) / 30) * 30;
    this.wantedPlay = LIVE[level] * minutes * MINUTE;
    this.short = minutes <= 40;
    this.long = minutes >= 75;
    this.private = people <= 3 && this.short;
    this.gamesFirst = method === 'games-first';
    this.said = new Said(teach);
    this.said.tellApart([...theme.set, ...theme.defence, ...(theme.wayIn ? [theme.wayIn] : [])]);
    const places = theme.set.flatMap(({ at, rows }) => [
      at,
      ...rows.flatMap(({ to, otherwise }) => [placeIn(to), placeIn(otherwise)]),
    ]);
    this.shares = teach.shares(
      [...known, ...theme.set.map(({ move }) => move.id)],
      [...new Set([root, ...places.filter((place) => place !== undefined)])],
    );
  }

  best(): Assembled {
    let sizes = this.withPlay(this.first());
    let built = this.build(sizes);
    for (let step = 0; step < 80 && this.total(built.blocks) > this.budget; step++) {
      const less = this.lessOf(sizes);
      if (!less) break;
      sizes = this.withPlay(less);
      built = this.build(sizes);
    }
    for (let step = 0; step < 40; step++) {
      const more = this.moreOf(sizes).find((next) => {
        const { blocks } = this.build(next);
        const total = this.total(blocks);
        const plays = this.played(blocks);
        const enough = plays > this.played(built.blocks) && plays > MOST_PLAY * this.wantedPlay;
        return total <= this.budget && total > this.total(built.blocks) && !enough;
      });
      if (!more) break;
      sizes = more;
      built = this.build(sizes);
    }
    return { ...built, blocks: withOwnIds(built.blocks) };
  }

  private total = (blocks: readonly Block[]): number =>
    classSeconds({ ...this.around.room, blocks: [...blocks] });
  private played = (blocks: readonly Block[]): number =>
    blocks.filter(isPlay).reduce((sum, block) => sum + blockTime(block, this.around.room).work, 0);

  private first(): Sizes {
    const { level, method, people } = this.teach.request;
    const { main, more } = REPS[level];
    const sides = this.teach.request.sides ?? (this.short ? 1 : 2);
    return {
      main: main + (method === 'reps-first' ? 1 : 0),
      more,
      other: sides === 1 ? 0 : level === 'novice' ? 3 : 2,
      fork: 8,
      look: false,
      bouts: [2, 2],
      bout: [45, 45],
      rounds: people === 2 ? 2 : 3,
      side: this.short && !this.private ? 60 : ROUND_SIDE[level],
      warm: this.minutes <= 35 ? 180 : this.minutes <= 50 ? 240 : this.long ? 420 : 360,
      hasFork: true,
      hasSecondGame: true,
      wayIn: !this.gamesFirst,
      defence: this.theme.defence.length,
      dropped: 0,
    };
  }

  /** With as much play as the level needs: longer rounds first, then one more, then longer bouts. */
  private withPlay(sizes: Sizes): Sizes {
    const { level } = this.teach.request;
    let grown = { ...sizes };
    for (let step = 0; step < 30 && this.played(this.build(grown).blocks) < this.wantedPlay; step++) {
      const { side, rounds, bouts, bout, hasSecondGame } = grown;
      if (side < (level === 'novice' ? 90 : 120)) grown = { ...grown, side: side + 15 };
      else if (bouts[1] < 3 && hasSecondGame) grown = { ...grown, bouts: [bouts[0], bouts[1] + 1] };
      else if (rounds < (this.long ? 5 : 4)) grown = { ...grown, rounds: rounds + 1 };
      else if (bouts[0] < 3) grown = { ...grown, bouts: [bouts[0] + 1, bouts[1]] };
      else if (side < 180) grown = { ...grown, side: side + 15 };
      else if (bout[1] < 75 && hasSecondGame) grown = { ...grown, bout: [bout[0], bout[1] + 15] };
      else if (rounds < 8) grown = { ...grown, rounds: rounds + 1 };
      else break;
    }
    return grown;
  }

  /** The class with something less, in the order in which it is missed; the play that a level needs never goes. */
  private lessOf(sizes: Sizes): Sizes | undefined {
    const { level } = this.teach.request;
    const usual = REPS[level].main;
    const taught = this.theme.taught.length - sizes.dropped;
    // A chain is taught whole.
    const loose = this.theme.chain ? 0 : taught;
    const cuts: readonly (readonly [boolean, Partial<Sizes>])[] = [
      [sizes.other > 2, { other: sizes.other - 1 }],
      [sizes.main > usual, { main: sizes.main - 1 }],
      [sizes.more > 5, { more: sizes.more - 1 }],
      [sizes.main > 6, { main: sizes.main - 1 }],
      [sizes.defence > 1, { defence: 1 }],
      [sizes.other > 0, { other: 0 }],
      [sizes.main > 5, { main: sizes.main - 1 }],
      [sizes.warm > 300, { warm: sizes.warm - 60 }],
      [sizes.hasSecondGame && this.minutes <= 50, { hasSecondGame: false }],
      [this.hasWayIn(sizes) && taught >= 2 && this.minutes < 55, { wayIn: false }],
      [loose > 3, { dropped: sizes.dropped + 1 }],
      [sizes.hasSecondGame, { hasSecondGame: false }],
      [sizes.more > 4, { more: sizes.more - 1 }],
      [loose > 2, { dropped: sizes.dropped + 1 }],
      [sizes.hasFork && this.short, { hasFork: false }],
      [sizes.main > 4, { main: sizes.main - 1 }],
      [this.hasWayIn(sizes) && taught >= 2, { wayIn: false }],
      [sizes.hasFork && this.minutes <= 50, { hasFork: false }],
      [loose > 1, { dropped: sizes.dropped + 1 }],
      [sizes.rounds > 2, { rounds: sizes.rounds - 1 }],
      [sizes.warm > 120, { warm: sizes.warm - 60 }],
      [sizes.hasFork, { hasFork: false }],
      [sizes.bouts[0] > 1, { bouts: [1, sizes.bouts[1]] }],
      [this.hasWayIn(sizes), { wayIn: false }],
      [sizes.side > 30, { side: sizes.side - 15 }],
      [sizes.rounds > 1, { rounds: sizes.rounds - 1 }],
      [sizes.warm > 60, { warm: sizes.warm - 60 }],
    ];
    const cut = cuts.find(([can]) => can);
    return cut && { ...sizes, ...cut[1] };
  }

  /** What the time that is left may go to: play first, then repetitions. */
  private moreOf(sizes: Sizes): Sizes[] {
    const { level, people } = this.teach.request;
    const usual = REPS[level];
    const { bouts, bout } = sizes;
    const growths: readonly (readonly [boolean, Partial<Sizes>])[] = [
      [sizes.side < 120, { side: sizes.side + 15 }],
      [sizes.more < usual.more, { more: sizes.more + 1 }],
      [sizes.main < usual.main, { main: sizes.main + 1 }],
      [!sizes.look && !this.short, { look: true }],
      [bouts[0] < 3, { bouts: [bouts[0] + 1, bouts[1]] }],
      [sizes.other < 2 && !this.short, { other: 2 }],
      [sizes.rounds < 4 && people > 3, { rounds: sizes.rounds + 1 }],
      [sizes.fork < 10, { fork: sizes.fork + 2 }],
      [bouts[1] < 3, { bouts: [bouts[0], bouts[1] + 1] }],
      [sizes.side < 150, { side: sizes.side + 15 }],
      [sizes.main < 8, { main: sizes.main + 1 }],
      [sizes.more < 8, { more: sizes.more + 1 }],
      [sizes.rounds < 6, { rounds: sizes.rounds + 1 }],
      [bout[1] < 60, { bout: [bout[0], bout[1] + 15] }],
      [sizes.side < 180, { side: sizes.side + 15 }],
      [bouts[0] < 4, { bouts: [bouts[0] + 1, bouts[1]] }],
    ];
    return growths.filter(([can]) => can).map(([, more]) => ({ ...sizes, ...more }));
  }

  private hasWayIn = ({ wayIn }: Sizes): boolean => wayIn && this.theme.wayIn !== undefined;

  /** What is taught when so many are left out: never the main attack, and its answer last. */
  private left(dropped: number): Taught[] {
    const left = [...this.theme.taught];
    for (let i = 0; i < dropped && left.length > 1; i++) {
      const loose = left.findLastIndex(({ role }) => role === 'more' || role === 'follow-up');
      const last = left.findLastIndex(({ role }) => role !== 'main');
      left.splice(loose >= 0 ? loose : last, 1);
    }
    return left;
  }

  private build(sizes: Sizes): Assembled {
    const { teach, said, gamesFirst } = this;
    const { people, root } = teach.request;
    const kept = this.left(sizes.dropped);
    const taught = gamesFirst && !this.theme.chain ? kept.slice(0, 2) : kept;
    const theme: Theme = {
      ...this.theme,
      taught,
      set: taught.map(({ technique }) => technique),
      wayIn: this.hasWayIn(sizes) ? this.theme.wayIn : undefined,
      defence: this.theme.defence.slice(0, sizes.defence),
    };
    const room: Room = {
      teach,
      said,
      theme,
      shares: this.shares,
      turns: largestGroup(people),
      change: this.around.room.changeOverSeconds,
      limit: tonightsLimit(teach, theme),
      looked: this.private,
      seen: new Set(),
    };
    const aim = aimOf(room, taught);
    const before: Block[] = [todayBlock(room, aim), ...warmUp(room, sizes.warm)];
    if (this.private) before.push(firstRound(room, root));
    else if (gamesFirst)
      before.push(this.game1(room, sizes, root, 'Game 1: first try'), questionBlock(room, taught));
    before.push(...this.around.again);
    const drill = { call: undefined, other: 0, look: false };
    for (const technique of theme.defence)
      before.push(drillBlock(room, { ...drill, technique, as: 'defence', reps: 5 }));
    if (theme.wayIn)
      before.push(
        drillBlock(room, {
          ...drill,
          technique: theme.wayIn,
          as: 'way in',
          reps: sizes.more,
          other: sizes.other,
        }),
      );
    const blocks = this.withFirstGame(room, sizes, before);
    if (theme.chain) blocks.push(wholeWay(room, theme.chain, WHOLE_WAYS));
    const fork = sizes.hasFork && !theme.chain ? forkBlock(room, sizes.fork) : undefined;
    if (fork) blocks.push(fork);
    const start = theme.wayIn?.at ?? root;
    if (sizes.hasSecondGame)
      blocks.push(
        gameBlock(room, {
          id: 'game-2',
          at: start,
          title: `Game 2: ${gamesFirst ? 'the same again' : theme.wayIn ? 'win the way in first' : `from ${lowerFirst(said.place(start))}`}`,
          bouts: sizes.bouts[1],
          seconds: sizes.bout[1],
          heat: theme.set.some(({ kind }) => kind === 'submission') ? 'light' : 'medium',
          first: false,
        }),
      );
    const tests = taught.filter(({ role }) => ['main', 'opposite', 'foundation'].includes(role));
    const test = (tests.length > 0 ? tests : taught)
      .slice(0, 2)
      .map(({ technique }) => lowerFirst(said.name(technique)));
    blocks.push(
      roundsBlock(room, {
        at: start,
        rounds: sizes.rounds,
        side: sizes.side,
        test: `last round, one try each: ${test.join('; or ')}`,
      }),
    );
    blocks.push(recapBlock(room, taught, this.short ? 60 : 90));
    return { blocks: this.withWater(blocks), aim, taught, wayIn: theme.wayIn !== undefined };
  }

  /** The drills, with the first game after the main attack, or before it where that would be too late. */
  private withFirstGame(room: Room, sizes: Sizes, before: readonly Block[]): Block[] {
    const { taught } = room.theme;
    const { root } = this.teach.request;
    const mainAt = Math.max(
      0,
      taught.findIndex(({ role }) => role === 'main'),
    );
    const latest = LIVE_BY * this.minutes * MINUTE - MINUTE;
    const blocks = [...before];
    let played = blocks.some(isPlay);
    for (const [i, one] of taught.entries()) {
      const leads = one.role === 'main' || one.role === 'foundation';
      const block = drillBlock(room, {
        technique: one.technique,
        as: one.role,
        call: one.call,
        from: this.joinedTo(room, one, i),
        joins: room.theme.chain?.backward && i > 0 ? 'behind' : 'before',
        reps: leads ? sizes.main : sizes.more,
        other: sizes.other,
        look: sizes.look && leads,
      });
      const late = this.total([...blocks, block]) > latest;
      if (!played && i <= mainAt && late) {
        const place = taught[i - 1]?.technique.at ?? root;
        blocks.push(this.game1(room, sizes, place));
        played = true;
      }
      blocks.push(block);
      if (!played && i >= mainAt) {
        blocks.push(this.game1(room, sizes, taught[mainAt]!.technique.at));
        played = true;
      }
    }
    return blocks;
  }

  /** The technique that a block is joined to: the one before it in a line, where that is taught. */
  private joinedTo({ theme }: Room, { from, role }: Taught, i: number): Technique | undefined {
    if (theme.chain?.backward) return theme.taught[i - 1]?.technique;
    return from && theme.set.includes(from) && ['main', 'follow-up'].includes(role) ? from : undefined;
  }

  private game1 = (room: Room, sizes: Sizes, at: string, title?: string): Block =>
    gameBlock(room, {
      id: 'game-1',
      at,
      title: title ?? `Game 1: ${lowerFirst(room.said.place(at))}`,
      bouts: sizes.bouts[0],
      seconds: sizes.bout[0],
      heat: 'light',
      first: true,
    });

  /** Water before a block that would make it longer than 26 minutes without; before a game half an hour. */
  private withWater(blocks: readonly Block[]): Block[] {
    if (this.minutes <= 35) return [...blocks];
    const wet: Block[] = [];
    const all = this.total(blocks);
    let dry = 0;
    let at = 0;
    for (const [i, block] of blocks.entries()) {
      const { total } = blockTime(block, this.around.room);
      const most = (isPlay(block) ? 30 : 26) * MINUTE;
      if (dry > 0 && dry + total > most && all - at > 8 * MINUTE && i < blocks.length - 1) {
        wet.push(waterBlock(`water-${wet.length}`));
        dry = 0;
      }
      wet.push(block);
      dry += total;
      at += total;
    }
    return wet;
  }
}

const isPlay = (block: Block): boolean => block.kind === 'game' || block.kind === 'rounds';

/** Ids are made of those of exchanges and positions; where two come out alike, the later one gets another. */
function withOwnIds(blocks: readonly Block[]): Block[] {
  const taken: string[] = [];
  return blocks.map((block) => {
    const id = taken.includes(block.id) ? freshId(block.id, taken) : block.id;
    taken.push(id);
    return { ...block, id };
  });
}
