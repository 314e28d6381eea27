import { OUTCOME_WORDS, reactionName } from '../body/landingWords.ts';
import type { Block, PlayedBlock } from '../model/blocks/blockKinds.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { isOutcome, OUTCOMES } from '../model/outcome.ts';
import { BAD_OUTCOMES } from '../weigh/bestChains.ts';
import type { Assembly } from './assembly.ts';
import { largestGroup } from './blockTime.ts';
import { clip, lower, startWords, topAim } from './lessonWords.ts';
import type { RepertoireLink } from './repertoire.ts';
import { careWords, sentences } from './roleWords.ts';

const MINUTE = 60;

/** A task from the map, for `seconds` of each partner: bottom's aims are the outcomes the lesson comes to, top's the reaction that hurts it most. */
export function gameOf(assembly: Assembly, id: string, seconds: number): Block[] {
  if (seconds < MINUTE) return [];
  const { map, start, chosen, practices } = assembly;
  const aims = OUTCOMES.filter((outcome) =>
    practices.some(({ exchange: { to } }) => isOutcome(to) && to.outcome === outcome),
  );
  const hurting = hurtsMost(map, chosen.links);
  const { scores } = topAim(start);
  return [
    {
      ...played(assembly, seconds, seconds >= 4 * MINUTE ? 90 : 60),
      kind: 'game',
      id,
      title: clip(`Game: out of ${lower(start.name)}`),
      why: 'A task with few words; what breaks in it is what the reps are for.',
      ...roles(
        assembly,
        `You score with: ${aims.map((aim) => OUTCOME_WORDS[aim]).join(', ') || 'getting on to the next position'}`,
        hurting
          ? `You score by ${scores}, or when this comes off: ${lower(reactionName(map, hurting.reaction))}`
          : `You score by ${scores}`,
      ),
      ends: 'A score by either, or both on their feet, ends it.',
      restart: 'Begin again at the start at once; whoever scored gives the grips.',
      demoSeconds: 30,
    },
  ];
}

/** Rounds from the start, `seconds` in all. */
export function roundsOf(assembly: Assembly, seconds: number): Block[] {
  const { start, room } = assembly;
  const each = seconds / largestGroup(room.people);
  if (each < MINUTE) return [];
  return [
    {
      ...played(assembly, each, each >= 6 * MINUTE ? 180 : each >= 3 * MINUTE ? 120 : 60),
      kind: 'rounds',
      id: 'rounds',
      title: clip(`Rounds from ${lower(start.name)}`),
      why: 'Only against somebody who tries does it show.',
      ...roles(assembly, 'Look for what was taught first', topAim(start).tries),
      ends: 'A pass, a sweep, an escape or a tap ends it.',
      restart: 'Begin again at the start.',
      demoSeconds: 0,
    },
  ];
}

/** What games and rounds have alike: where they start, how many of what length, against whom. */
function played({ start, request, practices }: Assembly, seconds: number, length: number) {
  const gentle = request.level === 'novice' || request.youth;
  const resistance: PlayedBlock['resistance'] = gentle ? 'light' : 'full';
  return {
    start: startWords(start, request.apparel),
    rounds: Math.max(1, Math.round(seconds / length)),
    secondsPerRound: length,
    resistance,
    hazards: [...new Set(practices.flatMap(({ move }) => move.hazards))],
    note: '',
  };
}

/** What both want, with the care that the lesson's attacks ask for. */
function roles({ practices }: Assembly, bottom: string, top: string) {
  const care = careWords(practices.flatMap(({ move }) => move.hazards));
  return { bottom: sentences(bottom, care.attacking), top: sentences(top, care.caught) };
}

/** The link whose reaction most often ends a round against bottom; never one that attacks a joint or the neck: nobody plays for that. */
function hurtsMost(map: GuardMap, links: readonly RepertoireLink[]): RepertoireLink | undefined {
  const exchangeOf = ({ exchange }: RepertoireLink) => indexMap(map).exchange.get(exchange)!;
  const lost = (link: RepertoireLink) => link.rate * (1 - exchangeOf(link).chance);
  return links
    .filter((link) => {
      const { otherwise } = exchangeOf(link);
      if (indexMap(map).reaction.get(link.reaction.id)?.hazards?.length) return false;
      return otherwise && isOutcome(otherwise) && BAD_OUTCOMES.has(otherwise.outcome);
    })
    .sort((a, b) => lost(b) - lost(a))[0];
}
