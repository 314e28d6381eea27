import { afterReaction } from '../body/afterReaction.ts';
import { followStep, type Moment } from '../body/followSteps.ts';
import { landingWords, reactionName } from '../body/landingWords.ts';
import { sided } from '../body/mirror.ts';
import { holdsWorn, translateApparel } from '../body/translateApparel.ts';
import { contactName, targetName, type WordContext, wordContext } from '../body/words.ts';
import type { ChainTurn } from '../model/chain.ts';
import { exchangeOf, failsIn, turnIn, turnText } from '../model/chainTurn.ts';
import { CONTACTS, type Contact } from '../model/contacts.ts';
import type { HazardTag } from '../model/hazards.ts';
import type { Hold, Target } from '../model/hold.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { isOutcome, type Landing } from '../model/outcome.ts';
import type { Position } from '../model/position.ts';
import type { Apparel } from '../model/primitives.ts';
import { exchangeSeconds, stepsOf } from '../model/seconds.ts';

/** One limb holding one thing from one moment to another, s. */
export interface ScoreBar {
  contact: Contact;
  from: number;
  to: number;
  /** What is held, in words. */
  held: string;
  keep: boolean;
  /** How it ends: let go in a step, broken by top, lost as the answer fails, changed on arrival, or there to the end. */
  ends: 'let go' | 'broken' | 'fails' | 'arrival' | 'end';
  /** The limb that held the same until then. */
  handedFrom?: Contact;
}

/** A chain drawn over time: what each limb of bottom's holds, what top does, what is done when. */
export interface HoldScore {
  seconds: number;
  /** A lane for each limb that holds anything, in the order of the contacts. */
  lanes: { contact: Contact; bars: ScoreBar[] }[];
  top: { at: number; name: string }[];
  steps: { at: number; seconds: number; move: string; text: string; cue?: string; hazards: HazardTag[] }[];
  /** What cannot be done as it is written: two holds on a limb, a hold let go that is to be kept, all let go at once. */
  troubles: { at: number; text: string }[];
}

/** The first moment of top's answer stands this long before the steps that meet it, s. */
const BEFORE = 1;

/**
 * The hold score of a chain, on the side it is written on or flipped to the other. An answer that fails goes as far as
 * is said and then where failing leads; waiting takes as long as an answer does at the pace of a round.
 * @param turns each beginning where the one before leads
 * @throws RangeError for an exchange or a position that is not in the map
 */
export function holdScore(
  map: GuardMap,
  turns: readonly ChainTurn[],
  apparel: Apparel = 'gi',
  flipped = false,
): HoldScore {
  const index = indexMap(map);
  const score: HoldScore = { seconds: 0, lanes: [], top: [], steps: [], troubles: [] };
  const bars: ScoreBar[] = [];
  const open = new Map<Contact, { bar: ScoreBar; target: Target; action: Hold['action'] }>();
  let mirrored = flipped;
  let moment: Moment | undefined;
  let context: WordContext = { leadSide: 'R' };

  for (const turn of turns) {
    const leads = turnIn(map, turn);
    if (!leads) throw new RangeError(`“${turnText(turn)}” is no longer in the map`);
    const exchange = index.exchange.get(exchangeOf(turn) ?? '');
    if (!exchange) {
      wait(leads);
      continue;
    }
    const move = index.move.get(exchange.move)!;
    const here = momentOf(index.position.get(move.position)!);
    context = here.context;
    if (!moment) show(here.moment, 'arrival');
    moment = here.moment;
    if (exchange.reaction !== 'none') {
      const reaction = index.reaction.get(exchange.reaction.id)!;
      const turned = Boolean(exchange.reaction.mirrored) !== mirrored;
      score.top.push({
        at: score.seconds,
        name: reactionName(map, exchange.reaction, index.position.get(move.position)),
      });
      moment = afterReaction(moment, sided('reaction', reaction, turned)).moment;
      show(moment, 'broken');
    }
    const fails = failsIn(turn);
    const after = typeof turn !== 'string' && 'after' in turn ? turn.after : undefined;
    const steps = stepsOf(move, exchange).slice(0, after);
    const began = score.seconds;
    for (const [i, written] of steps.entries()) {
      const step = sided('step', { ...written, take: holdsWorn(written.take, apparel) }, mirrored);
      const before = moment;
      const followed = followStep(moment, step);
      moment = followed.moment;
      // The last step is where the position ends: there a kept hold, and all holds, may go.
      const last = !fails && i === steps.length - 1;
      for (const trouble of followed.troubles) {
        if (last && trouble.trouble === 'keep-released') continue;
        const text = troubleText(trouble, context);
        if (text) score.troubles.push({ at: score.seconds, text });
      }
      if (!last && before.holds.length > 0 && moment.holds.length === 0)
        score.troubles.push({ at: score.seconds, text: 'everything is let go at once' });
      score.steps.push({
        at: score.seconds,
        seconds: written.seconds,
        move: move.name,
        text: written.text,
        ...(i === 0 && move.cues[0] && { cue: move.cues[0] }),
        hazards: last ? move.hazards : [],
      });
      show(moment, 'let go');
      score.seconds += written.seconds;
    }
    const whole = after === undefined ? exchangeSeconds(move, exchange) : 0;
    score.seconds = Math.max(score.seconds, began + Math.max(BEFORE, whole));
    if (fails) score.top.push({ at: score.seconds, name: `“${move.short ?? move.name}” fails` });
    arrive(leads.to, fails ? 'fails' : 'arrival');
  }
  for (const { bar } of open.values()) close(bar, 'end');
  score.lanes = CONTACTS.flatMap((contact) => {
    const own = bars.filter((bar) => bar.contact === contact && bar.to > bar.from);
    return own.length > 0 ? [{ contact, bars: own }] : [];
  });
  return score;

  /** Nobody does anything until waiting has led on. */
  function wait({ at, to }: { at: string; to: Landing }): void {
    const here = momentOf(index.position.get(at)!);
    context = here.context;
    if (!moment) show(here.moment, 'arrival');
    moment = here.moment;
    score.seconds += map.settings.roundPace;
    score.top.push({ at: score.seconds, name: landingWords(map, to, index.position.get(at)) });
    arrive(to, 'arrival');
  }

  /** What is held from there on. */
  function arrive(to: Landing, ends: 'fails' | 'arrival'): void {
    if (isOutcome(to)) return;
    mirrored = mirrored !== Boolean(to.mirrored);
    const there = momentOf(index.position.get(to.position)!);
    context = there.context;
    moment = there.moment;
    show(moment, ends);
  }

  function momentOf(position: Position): { moment: Moment; context: WordContext } {
    const worn = sided('position', translateApparel(position, apparel).position, mirrored);
    return {
      moment: { holds: worn.holds, topHolds: worn.topHolds, signs: worn.signs },
      context: wordContext(worn),
    };
  }

  /** Ends what is not held any more and begins what is; the same held by another limb is handed over. */
  function show({ holds }: Moment, ends: Exclude<ScoreBar['ends'], 'end'>): void {
    const now = new Map(holds.flatMap((hold) => hold.contacts.map((contact) => [contact, hold] as const)));
    const ended: { contact: Contact; target: Target }[] = [];
    for (const [contact, held] of open) {
      const hold = now.get(contact);
      if (hold && sameTarget(hold.target, held.target) && hold.action === held.action) continue;
      close(held.bar, ends);
      open.delete(contact);
      ended.push({ contact, target: held.target });
    }
    for (const [contact, hold] of now) {
      if (open.has(contact)) continue;
      const from = ended.find((one) => one.contact !== contact && sameTarget(one.target, hold.target));
      const bar: ScoreBar = {
        contact,
        from: score.seconds,
        to: score.seconds,
        held: targetName(hold.target, context),
        keep: hold.keep ?? false,
        ends: 'end',
        ...(from && { handedFrom: from.contact }),
      };
      bars.push(bar);
      open.set(contact, { bar, target: hold.target, action: hold.action });
    }
  }

  function close(bar: ScoreBar, ends: ScoreBar['ends']): void {
    bar.to = score.seconds;
    bar.ends = ends;
  }
}

const sameTarget = (a: Target, b: Target): boolean =>
  a.of === b.of && a.part === b.part && a.side === b.side && a.at === b.at;

function troubleText(
  trouble: ReturnType<typeof followStep>['troubles'][number],
  context: WordContext,
): string | undefined {
  const limb = contactName(trouble.contact);
  if (trouble.trouble === 'not-held') return undefined;
  if (trouble.trouble === 'keep-released')
    return `${limb} lets go of ${targetName(trouble.hold.target, context)}, which is to be kept`;
  return `${limb} holds ${targetName(trouble.hold.target, context)} and is to take ${targetName(trouble.wanted.target, context)}`;
}
