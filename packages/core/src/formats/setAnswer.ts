import type { Command } from '../documents/command.ts';
import { put } from '../documents/command.ts';
import { edit } from '../documents/edit.ts';
import { same } from '../documents/fieldChanges.ts';
import { type Exchange, ExchangeSchema, exchangeKey } from '../model/exchange.ts';
import { freshId } from '../model/freshId.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Move } from '../model/move.ts';
import type { Landing } from '../model/outcome.ts';
import { bareRef, type ReactionRef, reactionKey } from '../model/reaction.ts';

/** The thing of the map that a step of reading or writing changes. */
export interface ChangedThing {
  kind: 'position' | 'move' | 'reaction' | 'exchange';
  id: string;
  name: string;
  change: 'new' | 'changed' | 'gone';
}
/** Takes the commands of a reading one after the other; each is on top of those before it. */
export type Make = (command: Command, change?: ChangedThing) => void;

/** What an answer says; what it does not say is left as it was, or as it is taken for granted. */
export interface Said {
  to: Landing;
  otherwise: Landing | undefined;
  /** In [0, 1]. */
  chance: number | undefined;
  seconds: number | undefined;
}

/** A chance that nobody has said: as likely as not. */
const DEFAULT_CHANCE = 0.5;

/** Writes an answer of a move to a reaction into the map, new or over the one there is. Gives the exchange's id. */
export function setAnswer(
  map: GuardMap,
  at: { move: Move; reaction: ReactionRef | 'none'; variant?: string },
  { to, otherwise, chance, seconds }: Said,
  make: Make,
): string {
  const { move, reaction, variant } = at;
  if (reaction !== 'none') listReaction(map, move, reaction, make);
  const key = {
    move: move.id,
    reaction: reaction === 'none' ? reaction : bareRef(reaction),
    ...(variant && { variant }),
  };
  const index = indexMap(map);
  const known = index.exchangesOf(move.id).find((exchange) => exchangeKey(exchange) === exchangeKey(key));
  const said = { to, ...(otherwise && { otherwise }), ...(seconds !== undefined && { seconds }) };
  if (!known) {
    const met = reaction === 'none' ? 'none' : reaction.id;
    const id = freshId(`${move.id}--${met}`, index.exchange.keys());
    const value = ExchangeSchema.parse({
      id,
      ...key,
      ...said,
      chance: chance ?? DEFAULT_CHANCE,
      basis: 'coach',
    });
    make(put('exchange', value), { kind: 'exchange', id, name: move.name, change: 'new' });
    return id;
  }
  const { otherwise: _, seconds: __, ...rest } = known;
  const value: Exchange = ExchangeSchema.parse({
    ...rest,
    ...said,
    chance: chance ?? known.chance,
    ...(chance !== undefined && chance !== known.chance && { basis: 'coach' }),
  });
  if (!same(value, ExchangeSchema.parse(known)))
    make(edit('exchange', known, value), {
      kind: 'exchange',
      id: known.id,
      name: move.name,
      change: 'changed',
    });
  return known.id;
}

/** A reaction that is answered is one that top may give: it is listed on the move's look. */
function listReaction(map: GuardMap, move: Move, reaction: ReactionRef, make: Make): void {
  const position = indexMap(map).position.get(move.position)!;
  const look = position.looks.find(({ id }) => id === move.look)!;
  if (look.reactions.some((ref) => reactionKey(ref) === reactionKey(reaction))) return;
  const looks = position.looks.map((other) =>
    other === look ? { ...look, reactions: [...look.reactions, reaction] } : other,
  );
  make(edit('position', position, { ...position, looks }));
}
