import type { Block } from '../../model/blocks/blockKinds.ts';
import { lowerFirst, upperFirst } from '../../model/letterCase.ts';
import { clip } from '../blocks/lessonWords.ts';
import { sentences } from '../blocks/roleWords.ts';
import type { Taught } from './chooseTheme.ts';
import { fallOf } from './falls.ts';
import { finishesLegs, LEGS_CARE, TAP } from './limits.ts';
import type { Room } from './room.ts';
import { type Said } from './said.ts';

/** What there is of some sentences, a line each. */
const lines = (...texts: readonly (string | undefined)[]): string =>
  texts.flatMap((text) => (text ? [sentences(text)] : [])).join('\n');

const timed = { why: '', note: '' };

/** What is said before anybody moves: the aim, tonight's limit, the tap, and how to fall. */
export function todayBlock(room: Room, aim: string): Block {
  const { teach, said, theme, limit } = room;
  const { people, youth, root } = teach.request;
  const techniques = [...theme.set, ...(theme.wayIn ? [theme.wayIn] : [])];
  const falls = techniques.map(fallOf).filter((fall) => fall !== 'none');
  return {
    ...timed,
    kind: 'talk',
    id: 'talk',
    title: clip(`Today: ${lowerFirst(said.place(root))}`),
    text: lines(
      aim,
      `Limit, all games and rounds: ${lowerFirst(limit)}`,
      TAP,
      finishesLegs(theme) ? LEGS_CARE : undefined,
      falls.length > 0 && people > 3
        ? `Falls: pairs two metres apart, all on the side the coach calls${falls.includes('over') ? '; half the pairs at a time, three metres free behind the head' : ''}`
        : undefined,
      youth
        ? 'Pairs of one size. Who feels unwell or is held too hard says stop, and everybody lets go'
        : undefined,
      people === 3 ? 'Two work, the third rests and counts faults; change every turn' : undefined,
      people > 3 && people % 2 === 1
        ? 'One group of three: two work, the third counts faults, change every turn'
        : undefined,
    ),
    seconds: finishesLegs(theme) ? 90 : 60,
  };
}

/** Games first: what stopped them is asked before anything is shown. */
export const questionBlock = ({ theme, said }: Room, choices: readonly Taught[]): Block => ({
  ...timed,
  kind: 'talk',
  id: 'question',
  title: theme.defends ? 'What passed you?' : 'What stopped you?',
  text: lines(
    'Each pair says one thing: which grip, which side, how far it got',
    choices.length > 0
      ? `Begin with what most of them say: ${choices.map(({ technique }) => lowerFirst(said.name(technique))).join('; or ')}`
      : undefined,
  ),
  seconds: 60,
});

export const waterBlock = (id: string): Block => ({
  ...timed,
  kind: 'rest',
  id,
  title: 'Water',
  seconds: 60,
});

/** What calls for what, said back; the cues; what to practise, and what comes next. */
export function recapBlock({ said, theme }: Room, taught: readonly Taught[], seconds: number): Block {
  const asked = taught.flatMap(({ call }) => (call && call.key !== 'none' ? [said.they(call)] : []));
  const questions = [...new Set(asked)].slice(0, 2).map((call) => `${upperFirst(call)}: what do you do?`);
  const home = taught.find(({ role }) => role === 'main') ?? taught[0]!;
  const name = said.name(home.technique);
  const cues = taught
    .flatMap(({ technique }) => said.cue(technique) || [])
    .slice(0, 2)
    .map((cue) => `“${cue}.”`);
  const { next } = theme;
  const then = next?.technique ? ` → ${lowerFirst(said.name(next.technique))}` : '';
  return {
    ...timed,
    kind: 'review',
    id: 'review',
    title: 'Say it back',
    text: lines(
      questions.join(' ') || `${name}: what comes first? Where do you end?`,
      cues.join(' ') || undefined,
      `Before next class: ${lowerFirst(name)}, 10 each with a partner`,
      next ? `Next class: ${said.they(next.row)}${then}` : undefined,
    ),
    seconds,
  };
}

/** What everybody can do by the end, in a sentence. */
export const aimOf = ({ said, theme }: Room, taught: readonly Taught[]): string =>
  theme.chain
    ? `By the end, in one go: ${theme.chain.steps.map(({ technique, fails }) => `${lowerFirst(said.name(technique))}${fails ? ', it fails' : ''}`).join(' → ')}.`
    : `By the end: ${themeAim(said, taught)}.`;

/** The main attack with what opens it, and the answer to what spoils it: "knee tap; when they post the far hand: take the back". */
export function themeAim(said: Said, taught: readonly Taught[]): string {
  const main = taught.find(({ role }) => role === 'main') ?? taught[0]!;
  const other =
    taught.find(({ role }) => role === 'opposite') ??
    taught.find((one) => one !== main && one.call && one.call.key !== 'none');
  const first = taught.find(({ role }) => role === 'foundation' || role === 'set-up');
  const name = ({ technique }: Taught) => lowerFirst(said.name(technique));
  const opens = first && first !== main ? `${name(first)}, then ${name(main)}` : name(main);
  const called = other?.call && other.call.key !== 'none' ? `when ${said.they(other.call)}: ` : '';
  const closes = other && other !== first ? `; ${called}${name(other)}` : '';
  return `${opens}${closes}`;
}
