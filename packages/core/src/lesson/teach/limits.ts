import type { HazardTag } from '../../model/hazards.ts';
import { lowerFirst, upperFirst } from '../../model/letterCase.ts';
import type { Theme } from './chooseTheme.ts';
import { bare, type Said } from './said.ts';
import { hasHazard, type Row, reactionOf, type Teachable, type Technique } from './technique.ts';

const LEGS: readonly HazardTag[] = [
  'heel-hook',
  'knee-bar',
  'toe-hold',
  'calf-slicer',
  'straight-ankle',
  'knee-reap',
];
const ARMS: readonly HazardTag[] = ['shoulder-lock', 'elbow-lock', 'wrist-lock'];
/** A note that is there for somebody's health. */
const CARE =
  /never|slowly|partner|set down|lets? go|stop at|catch and|tap|neck|crown|lands on|barred|drilled at the word/i;

/** A move that its note keeps for partners who know it. */
export const needsPartnerWhoKnows = ({ move }: Technique): boolean =>
  /only with a partner|BARRED in this room/i.test(move.note ?? '');

/** A foot of bottom pushes a knee. */
const pushesKnee = ({ kind, steps }: Technique): boolean =>
  kind !== 'retention' &&
  kind !== 'submission' &&
  steps.some(({ text }) => /\b(?:kick|shove|push|stamp)\w*\b[^.;,]*\bknee(?:cap)?\b/i.test(text));
/** A knee of top turns, with its foot held. */
export const turnsKnee = (teach: Teachable, technique: Technique): boolean =>
  technique.hazards.includes('knee-reap') ||
  (technique.steps.some(({ text }) =>
    /(?:turn|twist|rotat)\w*[^.;]*\b(?:their )?(?:thigh|knee)\b/i.test(text),
  ) &&
    isAmongLegs(teach, technique.at));

/** A place where legs are entangled, or a foot of top is held. */
const isAmongLegs = ({ index, map }: Teachable, position: string): boolean =>
  index.position.get(position)!.systems.some((system) => /entangle|single-leg|x-guard/.test(system)) ||
  map.moves.some((move) => move.position === position && move.hazards.some((tag) => LEGS.includes(tag)));

/** What keeps both safe in a block, in full; nothing where nothing can happen. */
export function safeWords(teach: Teachable, said: Said, technique: Technique, called?: Row): string {
  const { hazards, kind, move } = technique;
  const finishes = kind === 'submission';
  const has = (tags: readonly HazardTag[]) => hazards.some((tag) => tags.includes(tag));
  const words: string[] = [];
  const met = called && reactionOf(called);
  if (met && /headlock|crossface|neck|choke/.test(met.id))
    words.push('The neck is held softly; “chin” stops both');
  const note = called?.exchange.note;
  if (note && /\b(?:never|tap|chin|slowly|let go|neck|spine)\b/i.test(note))
    words.push(upperFirst(bare(said.toBottom(note))));
  if (turnsKnee(teach, technique))
    words.push('The knee turns: slowly, feel where it goes; they say stop, you stop');
  if (has(['heel-hook'])) words.push('Elbow shut on the toes is the end: stop there, no heel is turned');
  else if (has(['knee-bar', 'toe-hold', 'calf-slicer']))
    words.push('Catch and stop; the joint is never finished');
  else if (has(['straight-ankle']))
    words.push(
      finishes ? 'Slow as one breath; at the catch stop and let go' : 'The foot is held: nobody arches',
    );
  if (has(ARMS))
    words.push(
      finishes
        ? 'Turn slowly; stop where it gets tight'
        : 'Arm caught: hold it, never force it; stop when they are down',
    );
  if (has(['strangle'])) words.push('Hands joined, count one, let go');
  if (has(['neck-crank']))
    words.push('Weight on the shoulders, never on the neck; a sore neck sits this out');
  if (has(['slam', 'jump'])) words.push('Nobody is lifted or jumped on: lifted means let go');
  if (move.tap && has([...LEGS, ...ARMS, 'strangle'])) words.push(`Partner: ${lowerFirst(bare(move.tap))}`);
  if (pushesKnee(technique))
    words.push('The partner keeps that knee bent; push with the sole above or inside it, never stamp');
  if (move.note && CARE.test(move.note) && !technique.variant) words.push(bare(said.toBottom(move.note)));
  return [...new Set(words)].map((text) => `${text}.`).join(' ');
}

/** The book's game of a place is won by a catch that is let go. */
const winsByCatch = ({ index }: Teachable, position: string): boolean => {
  const game = index.position.get(position)!.game;
  return /let go|\bcatch\b|count one/i.test(`${game?.bottom ?? ''} ${game?.top ?? ''}`);
};

/** One line for the night: what may be finished and what not, the same under Today, in every game and in the rounds. */
export function tonightsLimit(teach: Teachable, { set, main, wayIn }: Theme): string {
  const { request } = teach;
  const played = [main.at, request.root, ...(wayIn ? [wayIn.at] : [])];
  const submissions = set.filter(({ kind }) => kind === 'submission');
  const has = (tags: readonly HazardTag[]) => submissions.some((one) => hasHazard(one, tags));
  const legsNear = [request.root, ...set.map(({ at }) => at)].some((place) => isAmongLegs(teach, place));
  const parts: string[] = [];
  if (has(LEGS)) parts.push('legs: catch, stop, let go, no arch in games and rounds; no heel is turned');
  if (has(['strangle'])) parts.push('strangles: hands joined, count one, let go');
  if (has(ARMS)) parts.push('joint locks: stop at the catch, count one, let go');
  if (submissions.length > 0) parts.push('nothing else is finished');
  else
    parts.push(
      request.level === 'expert' || played.some((place) => winsByCatch(teach, place))
        ? 'submissions: catch, count one, let go'
        : 'no submissions, top or bottom',
    );
  if (legsNear && !has(LEGS)) parts.push('no attacks on feet and knees');
  if (!has(ARMS) && set.some((one) => one.kind !== 'submission' && hasHazard(one, ARMS)))
    parts.push('a caught arm is held, never turned');
  if (set.some((one) => turnsKnee(teach, one))) parts.push('a knee turns: “stop” means stop');
  return `${upperFirst(parts.join('; '))}.`;
}

/** The same on every sheet. Common practice, no published source. */
export const TAP = 'Tap early, by hand, foot or voice; who feels or hears it lets go at once.';

/** What is said of the legs where one of them is finished. */
export const LEGS_CARE =
  'Heel caught: do not spin, tap to the catch. Knee held straight or not sure: tap, twice. Sore knee: only hold and defend; say so now.';
export const finishesLegs = ({ set }: Pick<Theme, 'set'>): boolean =>
  set.some((one) => one.kind === 'submission' && hasHazard(one, LEGS));
