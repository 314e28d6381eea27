import {
  type Contact,
  type Depth,
  type Fit,
  type GuardMap,
  type GuardMapInput,
  type Hold,
  type HoldAction,
  type HoldPattern,
  type Landing,
  type MoveKind,
  OUTCOMES,
  type Outcome,
  parseMap,
  type Signs,
  type Target,
} from '../../packages/core/src/index.ts';

type Input<K extends 'positions' | 'moves' | 'reactions' | 'exchanges'> = NonNullable<
  GuardMapInput[K]
>[number];

/** "sleeve.R.cuff", "own:shin.L", "mat". */
function target(text: string): Target {
  const [of, place] = text.startsWith('own:') ? (['own', text.slice(4)] as const) : (['top', text] as const);
  if (place === 'mat') return { of: 'mat', part: 'mat', side: 'C' };
  const [part, side = 'C', at] = place.split('.');
  return { of, part, side, ...(at && { at }) } as Target;
}

/** "handR grip collar.R deep keep | neck.C": contacts, action, target, marks, fallbacks. */
function hold(text: string): Hold {
  const [main = '', ...fallbacks] = text.split('|').map((part) => part.trim());
  const [contacts = '', action, on = '', ...marks] = main.split(' ');
  const depth = marks.find((mark) => mark !== 'keep') as Depth | undefined;
  return {
    id: `${contacts.replaceAll('+', '-')}-${target(on).part}`,
    contacts: contacts.split('+') as Contact[],
    action: action as HoldAction,
    target: target(on),
    ...(depth && { depth }),
    ...(marks.includes('keep') && { keep: true }),
    ...(fallbacks.length > 0 && { fallbacks: fallbacks.map(target) }),
  };
}

/** "grip collar.R", "* sleeve.R", "underhook *": an action and a part, either left open. */
function pattern(text: string): HoldPattern {
  const [action, on = '*'] = text.split(' ');
  const [part, side, at] = on.split('.');
  return {
    ...(action !== '*' && { action }),
    ...(part !== '*' && { part }),
    ...(side && { side }),
    ...(at && { at }),
  } as HoldPattern;
}

/** A position by id ("~id" on the other side) or an outcome by its kind. */
function landing(text: string): Landing {
  if ((OUTCOMES as readonly string[]).includes(text)) return { outcome: text as Outcome };
  return text.startsWith('~') ? { position: text.slice(1), mirrored: true } : { position: text };
}
const reference = (text: string) =>
  text.startsWith('~') ? { id: text.slice(1), mirrored: true } : { id: text };

/** "top.stance=kneeling|standing", with "?" in front where it only helps. */
function condition(text: string) {
  const helps = text.startsWith('?');
  const [facet = '', values = ''] = text.replace('?', '').split('=');
  return { facet, values: values.split('|'), mark: helps ? 'helps' : 'must' } as NonNullable<
    Input<'moves'>['needs']
  >[number];
}

interface StepNote {
  take?: string[];
  release?: Contact[];
  signs?: Signs;
  after?: number[];
  seconds?: number;
}
/** A step; `after` counts the steps of the same list from 1. */
export const step = (text: string, note: StepNote = {}) => ({ text, ...note });
type StepText = ReturnType<typeof step>;

const steps = (list: readonly StepText[]) =>
  list.map(({ take = [], after, ...rest }, i) => ({
    ...rest,
    id: `s${i + 1}`,
    take: take.map(hold),
    ...(after && { after: after.map((number) => `s${number}`) }),
  }));

export const fit = (about: Fit['about'], of: Fit['of'], value: string, effect: number, why: string) =>
  ({ about, of, value, effect, why }) as Fit;

type Faults = Record<string, string>;
const faultList = (faults: Faults = {}) =>
  Object.entries(faults).map(([text, mend], i) => ({ id: `f${i + 1}`, text, mend }));

/** Where a move leads for a reaction: to, chance, and where to when it fails (by default it stays). */
type Answer = [to: string, chance: number, otherwise?: string, note?: string];

interface MoveNote
  extends Omit<
    Input<'moves'>,
    'id' | 'position' | 'look' | 'name' | 'kind' | 'needs' | 'needsHolds' | 'steps' | 'faults' | 'variants'
  > {
  needs?: string[];
  needsHolds?: string[];
  steps?: StepText[];
  faults?: Faults;
  variants?: { id: string; name: string; when?: object; why: string; steps?: StepText[] }[];
}
export interface MoveText {
  id: string;
  name: string;
  kind: MoveKind;
  note: MoveNote;
  answers: Record<string, Answer>;
}
export const move = (
  id: string,
  name: string,
  kind: MoveKind,
  note: MoveNote,
  answers: Record<string, Answer>,
): MoveText => ({
  id,
  name,
  kind,
  note,
  answers,
});

export interface LookText {
  id: string;
  name: string;
  reactions: string[];
  moves: MoveText[];
  timing?: 'seen';
}
export const look = (
  id: string,
  name: string,
  reactions: string[],
  moves: MoveText[],
  timing?: 'seen',
): LookText => ({
  id,
  name,
  reactions,
  moves,
  ...(timing && { timing }),
});

interface PositionNote
  extends Omit<Input<'positions'>, 'id' | 'name' | 'holds' | 'topHolds' | 'looks' | 'faults' | 'drift'> {
  holds?: string[];
  topHolds?: string[];
  faults?: Faults;
  drift?: string;
}
export interface PositionText {
  id: string;
  name: string;
  note: PositionNote;
  looks: LookText[];
}
export const position = (id: string, name: string, note: PositionNote, looks: LookText[]): PositionText => ({
  id,
  name,
  note,
  looks,
});

interface ReactionNote
  extends Omit<Input<'reactions'>, 'id' | 'name' | 'breaks' | 'topTakes' | 'topReleases' | 'group'> {
  breaks?: string[];
  topTakes?: string[];
  topReleases?: string[];
}
export const reaction = (
  id: string,
  name: string,
  group: Input<'reactions'>['group'],
  note: ReactionNote,
): Input<'reactions'> => ({
  ...note,
  id,
  name,
  group,
  breaks: note.breaks?.map(pattern),
  topTakes: note.topTakes?.map(hold),
  topReleases: note.topReleases?.map(pattern),
});

/** Puts written positions together into a map and checks it as an import would be. */
export function buildMap(
  head: Omit<GuardMapInput, 'format' | 'version' | 'positions' | 'moves' | 'exchanges'>,
  positions: readonly PositionText[],
): GuardMap {
  const moves = positions.flatMap((place) =>
    place.looks.flatMap((seen) =>
      seen.moves.map(({ id, name, kind, note }) => ({
        ...note,
        id,
        position: place.id,
        look: seen.id,
        name,
        kind,
        needs: note.needs?.map(condition),
        needsHolds: note.needsHolds?.map(pattern),
        steps: steps(note.steps ?? []),
        faults: faultList(note.faults),
        variants: note.variants?.map((variant) => ({ ...variant, steps: steps(variant.steps ?? []) })),
      })),
    ),
  );
  const exchanges = positions.flatMap((place) =>
    place.looks.flatMap((seen) =>
      seen.moves.flatMap(({ id, answers }) =>
        Object.entries(answers).map(([met, [to, chance, otherwise, note]]) => ({
          id: `${id}--${met.replace('~', 'other-')}`,
          move: id,
          reaction: met === 'none' ? ('none' as const) : reference(met),
          to: landing(to),
          ...(otherwise && { otherwise: landing(otherwise) }),
          chance,
          basis: 'coach' as const,
          ...(note && { note }),
        })),
      ),
    ),
  );
  return parseMap(
    JSON.parse(
      JSON.stringify({
        format: 'aftersquall-map',
        version: 1,
        ...head,
        positions: positions.map(({ id, name, note, looks }) => ({
          ...note,
          id,
          name,
          holds: note.holds?.map(hold),
          topHolds: note.topHolds?.map(hold),
          faults: faultList(note.faults),
          ...(note.drift && { drift: landing(note.drift) }),
          looks: looks.map((seen) => ({
            id: seen.id,
            name: seen.name,
            timing: seen.timing,
            reactions: seen.reactions.map(reference),
          })),
        })),
        moves,
        exchanges,
      }),
    ),
  );
}
