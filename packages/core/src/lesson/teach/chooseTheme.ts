import { isOutcome } from '../../model/outcome.ts';
import { fallOf } from './falls.ts';
import { needsPartnerWhoKnows } from './limits.ts';
import {
  type Answer,
  answersWhatSpoils,
  byId,
  callersOf,
  defends,
  endsWell,
  hasHazard,
  isAnswerOnly,
  JOINT_LOCKS,
  placeIn,
  type Row,
  type Teachable,
  type Technique,
  TWISTS,
} from './technique.ts';

export type Role = 'foundation' | 'set-up' | 'main' | 'opposite' | 'follow-up' | 'more';

/** A technique in its place in a class: what calls for it there, and which one it comes from. */
export interface Taught {
  technique: Technique;
  role: Role;
  call: Row | undefined;
  from: Technique | undefined;
}

/** What a class teaches: a small set that hangs together, in the order of teaching. */
export interface Theme {
  taught: Taught[];
  set: readonly Technique[];
  main: Technique;
  wayIn: Technique | undefined;
  /** Ways out of the leg attacks that are finished in class. */
  defence: Technique[];
  /** What spoils the main attack most and is answered by nothing in the class: the next one's theme. */
  next: { technique: Technique | undefined; row: Row } | undefined;
  /** What is known already and comes back in the fork. */
  known: Technique[];
  defends: boolean;
  /** The kept chain that it goes along, whole. */
  chain?: ThemeChain;
}

/** One turn of a chain as it is taught. */
export interface ChainStep {
  technique: Technique;
  row: Row;
  /** It is left as it fails. */
  fails: boolean;
  /** What one waits for before it begins, in words. */
  waits: string | undefined;
}

export interface ThemeChain {
  steps: readonly ChainStep[];
  /** From its end: what comes before is learnt with its end already there. */
  backward: boolean;
}

/** New things of a class, the way in among them: by level, for up to 35, 50, 65, 80 minutes and more. */
const NEW_THINGS = {
  novice: [1, 2, 3, 3, 3],
  intermediate: [2, 2, 3, 3, 4],
  expert: [2, 2, 3, 4, 4],
} as const;
const LENGTHS = [35, 50, 65, 80];
const newThings = ({ request: { level, minutes } }: Teachable): number =>
  NEW_THINGS[level][LENGTHS.filter((length) => minutes > length).length]!;

/** A lead of less is none while there is a better one; a novice's technique works this often. */
const LEADS = 0.345;
const NOVICE_WORKS = 0.3;
/** So many sets grow on, and so many are judged by their points. */
const BEAM = 260;
const JUDGED = 40;
/** Points of the structure of a set for each point of a round, and how far a round counts. */
const ROUND_COUNTS = 1.2;
const ROUND_LEAST = -0.5;
const ROUND_MOST = 1.2;
const HAS_CHOICE = 1.6;
const BY_DEPTH = [4.6, 3.4, 2.4, 1];

type End = 'finish' | 'taught' | 'guard' | 'open';
interface Way {
  depth: number;
  by: Technique | undefined;
  /** One comes there by failing only. */
  fails: boolean;
}
interface Structure {
  score: number;
  main?: Technique | undefined;
  opposite?: Technique | undefined;
  ok: boolean;
}
const OUT: Structure = { score: -99, ok: false };

/**
 * The themes for a class from its root, the best first. Structure decides first (what hangs together, a way in, an attack that
 * ends well, the answer to what spoils it), then the points of a round among what passes.
 * @throws RangeError where nothing sensible can be taught: what to do instead
 */
export function chooseThemes(teach: Teachable): Theme[] {
  return new ThemeSearch(teach).themes();
}

class ThemeSearch {
  private readonly root: string;
  private readonly known: ReadonlySet<string>;
  private readonly pinned: ReadonlySet<string>;
  private readonly defends: boolean;
  /** The root is a place for finishing: a submission there is no extra. */
  private readonly finishing: boolean;
  /** How many steps positions are from the root. */
  private readonly near: Map<string, number>;
  private readonly foundations: ReadonlySet<Technique>;
  /** Foundations and pinned moves that the root does not lead to: taught all the same. */
  private readonly apart: readonly Technique[];
  private readonly knownHere: readonly Technique[];
  private readonly candidates: readonly Technique[];
  private readonly entry: Technique | undefined;
  private readonly entryWanted: boolean;
  private readonly answers = new Map<string, Answer | undefined>();

  constructor(private readonly teach: Teachable) {
    const { request, index, techniques } = teach;
    const { root, level, minutes } = request;
    this.root = root;
    const position = index.position.get(root);
    if (!position) throw new RangeError('This position is not in the map any more: choose another one.');
    this.pinned = new Set(request.pinned);
    this.known = new Set((request.known ?? []).filter((move) => !this.pinned.has(move)));
    if (teach.at(root).length === 0) throw new RangeError(whyNone(teach));
    this.defends = defends(teach, root);
    const plain = teach.at(root).filter(({ variant }) => !variant);
    this.finishing = plain.filter(({ kind }) => kind === 'submission').length * 2 >= plain.length;
    this.near = this.reach();
    const inGuard = (technique: Technique) =>
      index.position.get(technique.at)!.systems[0] === position.systems[0];
    this.foundations = new Set(
      techniques.filter((one) => !one.variant && this.defends && one.move.foundation && inGuard(one)),
    );
    const asked = techniques.filter((one) => !one.variant && this.pinned.has(one.move.id) && inGuard(one));
    this.apart = [...this.foundations, ...asked].filter(({ at }) => !this.near.has(at));
    for (const { at } of this.apart) this.near.set(at, 1);
    this.knownHere = techniques.filter((one) => this.isKnown(one) && !one.variant);
    this.candidates = techniques.filter(
      (one) =>
        this.near.has(one.at) &&
        !this.isKnown(one) &&
        (one.clean
          ? level !== 'novice' || one.base.chance >= NOVICE_WORKS
          : one.base.chance >= NOVICE_WORKS) &&
        (level === 'expert' || one.kind !== 'submission' || !hasHazard(one, TWISTS)) &&
        (level === 'expert' || this.pinned.has(one.move.id) || !needsPartnerWhoKnows(one)),
    );
    this.entry = techniques
      .filter((one) => this.leadsHere(one) && this.isWayIn(one))
      .sort((a, b) => this.entryRate(b) - this.entryRate(a) || byId(a, b))[0];
    const late = level === 'novice' ? 55 : 75;
    this.entryWanted =
      this.entry !== undefined && !this.defends && minutes >= ((position.entry ?? 0) === 0 ? 45 : late);
  }

  themes(): Theme[] {
    const most = newThings(this.teach);
    const size = Math.max(most - (this.entryWanted && most >= 3 ? 1 : 0), this.pinned.size, 1);
    let found = this.search(size);
    // A line without a choice in it is a demonstration: one more technique, if that makes a fork.
    const [first] = found;
    if (
      first &&
      size < 3 &&
      !this.entryWanted &&
      this.teach.request.minutes >= 55 &&
      !this.hasChoice(first.set)
    ) {
      const larger = this.search(size + 1).filter(
        ({ set }) => this.hasChoice(set) && first.set.every((one) => set.includes(one)),
      );
      if (larger.length > 0) found = larger;
    }
    if (found.length === 0) throw new RangeError(this.whyNothing());
    return found.slice(0, 12).map((one) => this.themeOf(one.set, one.structure, most));
  }

  private isKnown = ({ move }: Technique): boolean => this.known.has(move.id);
  private leadsHere = ({ base, at, variant, clean }: Technique): boolean =>
    !variant && clean && placeIn(base.to) === this.root && at !== this.root;
  private entryOf = (position: string): number => this.teach.index.position.get(position)!.entry ?? 0;
  private entryRate = ({ base, at }: Technique): number => base.chance * this.entryOf(at);
  private needsNothing = ({ move }: Technique): boolean =>
    move.requires.every((need) => !('move' in need) || this.known.has(need.move));
  private isWayIn = (one: Technique): boolean =>
    ['connect', 'entry', 'provoke'].includes(one.kind) && this.entryOf(one.at) >= 1 && this.needsNothing(one);

  /** Positions within two steps of what works (three for experts or in long classes), from a place that is defended also by failing. */
  private reach(): Map<string, number> {
    const { request, index } = this.teach;
    const deep = request.level === 'expert' || request.minutes >= 75 ? 3 : 2;
    const steps = new Map([[this.root, 0]]);
    for (const [here, depth] of steps) {
      if (depth >= deep) continue;
      const fails = this.defends && depth === 0;
      const next = this.teach
        .at(here)
        .flatMap(({ base, rows }) => [
          placeIn(base.to),
          ...(fails ? rows.map(({ otherwise }) => placeIn(otherwise)) : []),
        ]);
      if (fails) next.push(placeIn(index.position.get(here)!.drift));
      for (const place of next) if (place && !steps.has(place)) steps.set(place, depth + 1);
    }
    return steps;
  }

  /** Where taught and known techniques lead from the root, and in how many steps. */
  private ways(set: readonly Technique[]): Map<string, Way> {
    const ways = new Map<string, Way>([[this.root, { depth: 0, by: undefined, fails: false }]]);
    for (const { at } of this.apart)
      if (at !== this.root) ways.set(at, { depth: 1, by: undefined, fails: true });
    const drift = placeIn(this.teach.index.position.get(this.root)!.drift);
    for (let moved = true; moved; ) {
      moved = false;
      for (const one of [...set, ...this.knownHere]) {
        const here = ways.get(one.at);
        if (!here) continue;
        const go = (place: string | undefined, by: Technique, fails: boolean) => {
          if (!place || ways.has(place)) return;
          ways.set(place, { depth: here.depth + 1, by, fails });
          moved = true;
        };
        go(placeIn(one.base.to), one, false);
        if (this.defends && here.depth === 0)
          for (const { otherwise } of one.rows) go(placeIn(otherwise), one, true);
      }
      if (this.defends && drift && !ways.has(drift)) {
        ways.set(drift, { depth: 1, by: undefined, fails: true });
        moved = true;
      }
    }
    return ways;
  }

  /** How the plain row of a technique ends: well, where something is taught, in a guard where rounds begin, or nowhere. */
  private endOf(one: Technique, set: readonly Technique[]): End {
    const { teach, root } = this;
    const { to } = one.base;
    if (endsWell(one.base, this.defends)) return 'finish';
    const open: End = this.pinned.has(one.move.id) ? 'guard' : 'open';
    const place = placeIn(to);
    if (!place) return isOutcome(to) && ['neutral', 'recovered'].includes(to.outcome) ? 'guard' : open;
    if (place !== one.at && [...set, ...this.knownHere].some((other) => other.at === place && other !== one))
      return 'taught';
    if (place === root && one.at !== root) return 'guard';
    const better = teach.place(place) >= teach.place(root) + (this.defends ? -0.05 : 0.1);
    return place !== one.at && this.entryOf(place) >= 1 && better && teach.at(place).length > 0
      ? 'guard'
      : open;
  }

  private answer(first: Technique, other: Technique): Answer | undefined {
    const name = `${first.id} ${other.id}`;
    if (!this.answers.has(name)) this.answers.set(name, answersWhatSpoils(this.teach, first, other));
    return this.answers.get(name);
  }

  /** Whether two techniques of one place each answer something that the other does not. */
  private hasChoice(set: readonly Technique[]): boolean {
    return set.some((a) =>
      set.some(
        (b) =>
          a !== b &&
          a.at === b.at &&
          (!this.defends || a.at === this.root) &&
          (this.answer(a, b) ?? this.answer(b, a)) !== undefined,
      ),
    );
  }

  /** What of a set cannot be taught as it stands: something is not come to, or comes before what it stands on. */
  private isBroken(set: readonly Technique[], ways: ReadonlyMap<string, Way>): boolean {
    const { teach, root } = this;
    const { index, techniques } = teach;
    const has = (move: string) => set.some((one) => one.move.id === move);
    const there = (place: string) => [...set, ...this.knownHere].some(({ at }) => at === place);
    return set.some((one) => {
      if (!ways.has(one.at)) return true;
      for (const need of one.move.requires) {
        if ('move' in need && !this.known.has(need.move) && !has(need.move))
          if (techniques.some(({ move }) => move.id === need.move)) return true;
        if ('position' in need && need.position !== root && !there(need.position))
          if (!index.position.get(need.position)?.systems[0]?.includes('entanglement')) return true;
      }
      const plain = techniques.find(({ variant, move }) => !variant && move === one.move);
      if (one.variant && plain && !set.includes(plain) && !this.known.has(one.move.id)) return true;
      if (one.kind === 'submission' && hasHazard(one, TWISTS)) {
        const straight = (place: string) =>
          teach
            .at(place)
            .filter(
              (lock) =>
                lock.kind === 'submission' &&
                !lock.variant &&
                lock.hazards.includes('straight-ankle') &&
                !hasHazard(lock, TWISTS),
            );
        const first = straight(root).length > 0 ? straight(root) : straight(one.at);
        if (first.length > 0 && !first.some((lock) => set.includes(lock) || this.isKnown(lock))) return true;
      }
      // Two that are nothing but the answer to one reaction: one is enough.
      return (
        !one.clean &&
        set.some(
          (other) => other !== one && other.at === one.at && !other.clean && other.base.key === one.base.key,
        )
      );
    });
  }

  /** How well a set hangs together, with its main attack and the answer to what spoils that. */
  private structure(set: readonly Technique[], ways = this.ways(set)): Structure {
    if (this.isBroken(set, ways)) return OUT;
    const { teach, root, defends: defended } = this;
    const { level } = teach.request;
    const ends = new Map(set.map((one) => [one, this.endOf(one, set)]));
    const depth = ({ at }: Technique) => ways.get(at)!.depth;
    /** A line has to come to an end: not round in a circle, nor back into a guard. */
    const closes = (one: Technique, seen: readonly Technique[] = []): boolean => {
      const end = ends.get(one) ?? this.endOf(one, set);
      if (end === 'finish') return true;
      if (defended) return end !== 'open';
      const place = placeIn(one.base.to);
      if (end !== 'taught' || !place || (ways.get(place)?.depth ?? 0) <= depth(one)) return false;
      return [...set, ...this.knownHere].some(
        (next) => next.at === place && next !== one && !seen.includes(next) && closes(next, [...seen, one]),
      );
    };
    const open = set.filter((one) => ends.get(one) === 'open').length;
    const finishers = set.filter(
      (one) => ends.get(one) === 'finish' || (defended && ends.get(one) === 'guard'),
    );
    const sure = finishers.filter(({ base, variant }) => base.chance >= LEADS && !variant);
    const [led] = (sure.length > 0 ? sure : finishers)
      .map((main) => {
        const [pair] = set
          .filter((one) => one !== main && one.at === main.at && closes(one))
          .flatMap((one) => {
            const ours = this.answer(main, one);
            const best = ours ?? (defended ? this.answer(one, main) : undefined);
            if (!best) return [];
            const ownVariant = one.variant && one.move === main.move ? -0.4 : 0;
            return [
              { one, score: (ours ? 2.2 : 1.9) + 0.8 * Math.min(1, best.gain) + best.spoils + ownVariant },
            ];
          })
          .sort((a, b) => b.score - a.score || byId(a.one, b.one));
        return { main, pair, score: this.leadScore(main, ways.get(main.at)!) + (pair?.score ?? 0) };
      })
      .sort((a, b) => b.score - a.score || byId(a.main, b.main));
    let score = -2 * open;
    if (led) score += led.score;
    // Nothing here ends a round: a better guard has to do.
    else if (set.some((one) => ends.get(one) === 'guard')) score += 1.2;
    else return { score: score - 4, ok: false };
    const main = led?.main;
    const opposite = led?.pair?.one;
    for (const one of set) {
      if (one !== main && one !== opposite) score += closes(one) ? this.useScore(one, set, main, ends) : -1.5;
      score += this.ownScore(one, ways.get(one.at)!);
    }
    if (set.length === 1) score -= 2.5;
    if (defended) score -= 0.8 * set.filter((one) => depth(one) >= 2).length;
    score -= (level === 'novice' ? 1 : 0.5) * (new Set(set.map(({ at }) => at)).size - 1);
    if (level === 'novice' && !defended) {
      const [likeliest] = teach
        .at(root)
        .filter((one) => one.clean && one.kind === 'connect' && !this.isKnown(one))
        .sort((a, b) => b.base.chance - a.base.chance);
      const opens = ({ at, kind, base }: Technique) =>
        at === root && kind === 'connect' && base.chance >= likeliest!.base.chance - 1e-9;
      if (likeliest && set.some(opens)) score += 1;
    }
    return { score, main, opposite, ok: open === 0 };
  }

  /** How good a lead an attack is. */
  private leadScore(one: Technique, way: Way): number {
    const { level } = this.teach.request;
    const gain = this.teach.rowWorth(one, one.base) - this.teach.place(this.root);
    return (
      (one.base.chance < LEADS ? -4 : 0) +
      (this.defends && way.depth === 0 ? 1.5 : 0) +
      (BY_DEPTH[way.depth] ?? -1) +
      (one.clean ? 0 : -0.8) +
      (way.fails ? -2 : 0) +
      (isAnswerOnly(one) ? -0.9 : 0) +
      (one.kind === 'submission' && !this.finishing ? (level === 'expert' ? -0.3 : -1.4) : 0) +
      (this.defends ? 6 : 4) * Math.min(0.8, one.base.chance) +
      Math.min(1, Math.max(0, gain)) +
      (one.variant ? -1 : 0)
    );
  }

  /** What a technique beside the main pair is good for: it leads to another, follows one, or answers what its mates do not. */
  private useScore(
    one: Technique,
    set: readonly Technique[],
    main: Technique | undefined,
    ends: ReadonlyMap<Technique, End>,
  ): number {
    const { teach, root } = this;
    const worth = (other: Technique) => teach.rowWorth(other, other.base);
    const place = placeIn(one.base.to);
    const better = (other: Technique) =>
      other.base.chance > one.base.chance || (other.base.chance === one.base.chance && other.id < one.id);
    const twin = set.some(
      (other) =>
        other !== one && other.at === one.at && place && placeIn(other.base.to) === place && better(other),
    );
    const links = set.some((other) => other !== one && other.at === place);
    const mates = set.filter((other) => other !== one && other.at === one.at);
    const comesTo = set.some((other) => other !== one && placeIn(other.base.to) === one.at);
    const before = mates.some(
      (other) =>
        other === main || worth(other) > worth(one) || (worth(other) === worth(one) && other.id < one.id),
    );
    const follows = comesTo && !before;
    const answersAll = (other: Technique) =>
      this.answer(other, one) !== undefined ||
      (one.clean &&
        other.clean &&
        worth(one) > worth(other) + 0.3 &&
        callersOf(other).some(({ key }) => !callersOf(one).some((row) => row.key === key)));
    const useful = mates.length > 0 && mates.every(answersAll);
    return (
      (twin && !this.defends ? -2 : 0) +
      1.2 * one.base.chance +
      (links ? 0.7 + 0.8 * one.base.chance : 0) +
      (follows && ends.get(one) !== 'open' ? 1 : 0) +
      (useful ? (one.at === root ? 1.7 : 1.2) : 0) +
      (!links && !follows && !useful ? -1.5 : 0) +
      (mates.length > 0 && !useful && !links ? -1 : 0)
    );
  }

  /** What speaks for and against a technique whatever stands beside it. */
  private ownScore(one: Technique, way: Way): number {
    const { index, request } = this.teach;
    const { level } = request;
    const atRoot = one.at === this.root;
    const novice = level === 'novice';
    const joint = hasHazard(one, JOINT_LOCKS);
    const system = (position: string) => index.position.get(position)!.systems[0];
    let score =
      -5 * Math.max(0, NOVICE_WORKS - one.base.chance) -
      0.25 * Math.max(0, one.steps.length - 4) +
      (one.clean ? 0 : -0.5) +
      (atRoot ? 0.3 : 0) +
      (this.foundations.has(one) ? 3 : 0) +
      (one.variant ? -0.8 : 0);
    if (!this.defends && one.kind === 'retention') score -= atRoot ? 0.5 : 2;
    if (!this.defends && way.fails) score -= 2;
    if (joint && one.kind === 'submission' && !(this.finishing && atRoot))
      score -= novice ? 1.6 : level === 'intermediate' ? 0.8 : 0;
    else if (joint && level !== 'expert') score -= 0.8;
    if (level !== 'expert') {
      // Both turn over one caught shoulder, or a partner goes over one: more practice than an hour gives.
      if (['sweep', 'stand-up'].includes(one.kind) && one.hazards.includes('shoulder-lock')) score -= 1.2;
      if (fallOf(one) === 'over') score -= novice ? 1.6 : 0.8;
      if (one.hazards.includes('neck-crank')) score -= 1;
    }
    if (system(one.at) !== system(this.root)) score -= 0.7;
    if (this.pinned.has(one.move.id) && !one.variant) score += 50;
    return score;
  }

  /** Sets of at most so many techniques, the best first: grown one by one, the best of each size kept, and judged by their points. */
  private search(most: number): { set: Technique[]; structure: Structure; total: number }[] {
    const name = (set: readonly Technique[]) => set.map(({ id }) => id).join(' ');
    const done = new Map<string, { set: Technique[]; structure: Structure }>();
    let layer: Technique[][] = [[]];
    for (let size = 0; size < most; size++) {
      const grown = new Map<string, { set: Technique[]; grows: number }>();
      for (const set of layer) {
        const ways = this.ways(set);
        for (const one of this.candidates) {
          if (set.includes(one) || !ways.has(one.at)) continue;
          const larger = [...set, one].sort(byId);
          const key = name(larger);
          if (grown.has(key)) continue;
          const structure = this.structure(larger);
          // While it grows, an unfinished line is no fault yet.
          const unfinished = larger.some((other) => this.endOf(other, larger) === 'open') ? 3 : 0;
          grown.set(key, { set: larger, grows: structure.score + unfinished });
          if (structure.ok) done.set(key, { set: larger, structure });
        }
      }
      layer = [...grown.values()]
        .sort((a, b) => b.grows - a.grows || (name(a.set) < name(b.set) ? -1 : 1))
        .slice(0, BEAM)
        .map(({ set }) => set);
    }
    const judged = [...done.values()]
      .sort((a, b) => b.structure.score - a.structure.score || (name(a.set) < name(b.set) ? -1 : 1))
      .slice(0, JUDGED);
    const positions = [...this.near.keys()];
    const known = [...this.known];
    const before = this.teach.value(known, positions);
    return judged
      .map(({ set, structure }) => {
        const gain = this.teach.value([...known, ...set.map(({ move }) => move.id)], positions) - before;
        const points = Math.max(ROUND_LEAST, Math.min(ROUND_MOST, gain));
        const choice = most >= 2 && this.hasChoice(set) ? HAS_CHOICE : 0;
        return { set, structure, total: structure.score + ROUND_COUNTS * points + choice };
      })
      .sort((a, b) => b.total - a.total || (name(a.set) < name(b.set) ? -1 : 1));
  }

  /** A set in the order of teaching, with what calls for each, the way in, the defence and what comes next. */
  private themeOf(set: readonly Technique[], structure: Structure, most: number): Theme {
    const { teach, root } = this;
    const { request } = teach;
    const ways = this.ways(set);
    const main = structure.main ?? set.find((one) => this.endOf(one, set) === 'guard')!;
    const taught: Taught[] = [];
    const left = new Set(set);
    const taken = (one: Technique) => (key: string) =>
      taught.some(({ technique, call }) => technique.at === one.at && call?.key === key) ||
      set.some((other) => other !== one && other.at === one.at && !other.clean && other.base.key === key);
    const take = (one: Technique | undefined, role: Role) => {
      if (!one || !left.has(one)) return;
      left.delete(one);
      const mates = taught.filter(({ technique }) => technique.at === one.at);
      const opens = mates.length === 0 && ['main', 'set-up', 'foundation'].includes(role);
      const [answer] = opens
        ? []
        : mates
            .flatMap(({ technique }) => answersWhatSpoils(teach, technique, one, taken(one)) ?? [])
            .sort((a, b) => b.gain - a.gain);
      const call = one.clean ? answer?.row : one.base;
      const from = ways.get(one.at)?.by ?? (role === 'follow-up' ? taught.at(-1)?.technique : undefined);
      taught.push({ technique: one, role, call, from });
    };
    const leadsTo = (one: Technique) => placeIn(one.base.to);
    for (const one of set)
      if (this.foundations.has(one)) {
        take(one, one === main ? 'main' : 'foundation');
        take(
          set.find((next) => next.at === leadsTo(one) && next !== main && next !== structure.opposite),
          'follow-up',
        );
      }
    for (const one of set)
      if (one.at === root && one.kind === 'submission' && one.hazards.includes('straight-ankle'))
        take(one, one === main ? 'main' : 'more');
    const path: Technique[] = [];
    for (let way = ways.get(main.at); way?.by && set.includes(way.by); way = ways.get(way.by.at)) {
      if (path.includes(way.by)) break;
      path.unshift(way.by);
    }
    for (const one of path) take(one, 'set-up');
    take(main, 'main');
    take(structure.opposite, 'opposite');
    while (left.size > 0) {
      const rest = [...left].sort(
        (a, b) =>
          ways.get(a.at)!.depth - ways.get(b.at)!.depth ||
          teach.rowWorth(b, b.base) - teach.rowWorth(a, a.base) ||
          byId(a, b),
      );
      const waits = ({ move }: Technique) =>
        move.requires.some((need) => 'move' in need && rest.some((other) => other.move.id === need.move));
      const ready = rest.filter((one) => !waits(one));
      const last = taught.at(-1)?.technique;
      // What a technique leads to comes right after it.
      const follow = last && ready.find(({ at }) => at === leadsTo(last));
      take(follow ?? ready[0] ?? rest[0], follow ? 'follow-up' : 'more');
    }
    const room = set.length < most;
    const onPurpose = () =>
      teach.techniques
        .filter(
          (one) =>
            this.leadsHere(one) &&
            one.base.chance >= 0.4 &&
            !this.isKnown(one) &&
            this.needsNothing(one) &&
            !teach.at(root).some(({ base }) => placeIn(base.to) === one.at),
        )
        .sort((a, b) => b.base.chance - a.base.chance || byId(a, b))[0];
    const way = this.entry && !this.isKnown(this.entry) ? this.entry : undefined;
    const entered = this.entryWanted || (room && request.minutes >= 55);
    return {
      taught,
      set,
      main,
      wayIn: this.defends
        ? room && request.minutes >= 45
          ? onPurpose()
          : undefined
        : entered
          ? way
          : undefined,
      defence: this.defenceOf(set),
      next: this.nextOf(main, set),
      known: this.knownHere
        .filter(({ at }) => at === main.at)
        .sort((a, b) => b.base.chance - a.base.chance)
        .slice(0, 1),
      defends: this.defends,
    };
  }

  private nextOf(main: Technique, set: readonly Technique[]): Theme['next'] {
    const answersTo = (one: Technique, key: string) =>
      one.base.key === key || callersOf(one).some((row) => row.key === key);
    const here = [...set, ...this.knownHere].filter(({ at }) => at === main.at);
    const open = main.rows
      .filter(({ key }) => key !== 'none' && !here.some((one) => answersTo(one, key)))
      .sort((a, b) => a.chance - b.chance || (a.key < b.key ? -1 : 1));
    for (const row of open) {
      const [technique] = this.teach
        .at(main.at)
        .filter((one) => !set.includes(one) && answersTo(one, row.key))
        .sort((a, b) => b.base.chance - a.base.chance || byId(a, b));
      if (technique) return { technique, row };
    }
    return open[0] && { technique: undefined, row: open[0] };
  }

  /** The way out of each leg attack that is finished in class, from the seat of who is caught. */
  private defenceOf(set: readonly Technique[]): Technique[] {
    const { teach } = this;
    const finished = set.filter(
      (one) => one.kind === 'submission' && hasHazard(one, ['straight-ankle', 'heel-hook', 'knee-bar']),
    );
    const named = finished.flatMap(({ move }) =>
      move.escapes.flatMap((id) =>
        teach.techniques.filter(
          (one) => !one.variant && one.move.id === id && !set.includes(one) && !this.isKnown(one),
        ),
      ),
    );
    return [...new Set(named)].slice(0, teach.request.minutes >= 75 ? 2 : 1);
  }

  private whyNothing(): string {
    const { index, request, techniques } = this.teach;
    const { name } = index.position.get(this.root)!;
    const leads = new Set(
      this.teach.at(this.root).flatMap(({ base }) => {
        const place = placeIn(base.to);
        return place ? [`“${index.position.get(place)!.name}”`] : [];
      }),
    );
    const where = [...leads].slice(0, 2).join(' and ');
    const barred = index.movesOf(this.root).some(({ id }) => !techniques.some(({ move }) => move.id === id));
    const [from] = techniques
      .filter(({ base, at }) => placeIn(base.to) === this.root && at !== this.root)
      .sort((a, b) => this.entryOf(b.at) - this.entryOf(a.at) || b.base.chance - a.base.chance);
    const instead =
      this.known.size > 0 && teachAll(this.teach, this.known)
        ? 'Count less as known, leave less out, or choose another start.'
        : barred && request.level !== 'expert'
          ? 'Take it with a higher level, or begin one step earlier.'
          : from
            ? `Begin at “${index.position.get(from.at)!.name}” and take “${from.name}” as the last step.`
            : 'Choose another start.';
    return `From “${name}” nothing new ends well for this class${where ? `: it leads to ${where}, where nothing may be taught` : ''}. ${instead}`;
  }
}

/** Whether all that the root offers is known already. */
const teachAll = (teach: Teachable, known: ReadonlySet<string>): boolean =>
  teach.at(teach.request.root).every(({ move }) => known.has(move.id));

/** Why nothing can be done from the root at all, and where to begin instead. */
function whyNone(teach: Teachable): string {
  const { index, map, request } = teach;
  const position = index.position.get(request.root)!;
  const moves = index.movesOf(position.id);
  if (moves.length === 0) return `“${position.name}” has no moves yet: write one, or begin somewhere else.`;
  if (moves.every(({ id }) => request.out?.includes(id)))
    return `All of “${position.name}” is left out: leave less out, or choose another start.`;
  const order = ['novice', 'intermediate', 'expert'];
  const isHigher = (level: string) => order.indexOf(level) > order.indexOf(request.level);
  const plain = (id: string) => teach.at(id).filter(({ variant }) => !variant).length;
  const [other] = map.positions
    .filter(({ id, systems }) => systems[0] === position.systems[0] && id !== position.id && plain(id) >= 2)
    .sort((a, b) => (b.entry ?? 0) - (a.entry ?? 0) || plain(b.id) - plain(a.id) || byId(a, b));
  const instead = other
    ? ` For this class begin at “${other.name}”, of the same guard.`
    : ' Choose another start, or a higher level.';
  if (moves.every(({ level }) => isHigher(level ?? position.level)))
    return `Nothing from “${position.name}” is for ${request.level} classes.${instead}`;
  if (position.apparel !== 'both' && position.apparel !== request.apparel)
    return `“${position.name}” needs ${position.apparel === 'gi' ? 'the jacket' : 'no jacket'}.${instead}`;
  return `Nothing from “${position.name}” may be done under these rules and in this apparel.${instead}`;
}
