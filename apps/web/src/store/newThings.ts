import { momentAfter, OUTCOME_WORDS } from '@aftersquall/core/body';
import { type Command, edit, put } from '@aftersquall/core/documents';
import {
  bareRef,
  type Ending,
  EndingSchema,
  type Exchange,
  ExchangeSchema,
  freshId,
  type GuardMap,
  indexMap,
  type Mechanic,
  MechanicSchema,
  type Move,
  MoveSchema,
  type Outcome,
  type Position,
  PositionSchema,
  type Reaction,
  type ReactionRef,
  ReactionSchema,
} from '@aftersquall/core/model';

/** A position with a name, in the system one is looking at. The first of a map is where rounds start. */
export function newPosition(map: GuardMap, name: string, system?: string): Position {
  return PositionSchema.parse({
    id: freshId(name, indexMap(map).position.keys()),
    name,
    systems: system ? [system] : [],
    ...(map.positions.length === 0 && { entry: 1 }),
  });
}

/** A move of a position, sharing a look or with one of its own, which the position then gets too. */
export function newMove(
  map: GuardMap,
  position: Position,
  lookId?: string,
): { commands: Command[]; move: Move } {
  const id = freshId(`${position.id}-move`, indexMap(map).move.keys());
  const look =
    lookId ??
    freshId(
      'look',
      position.looks.map((known) => known.id),
    );
  const move = MoveSchema.parse({ id, position: position.id, look, name: 'New move', kind: 'connect' });
  const commands: Command[] = [put('move', move)];
  if (!lookId) {
    const looks = [
      ...position.looks,
      { id: look, name: 'New start', timing: 'hidden' as const, reactions: [] },
    ];
    commands.unshift(edit('position', position, { ...position, looks }));
  }
  return { commands, move };
}

/** How the outcome of an exchange looks, begun from what is held at its end; for its move only. */
export function newEnding(map: GuardMap, exchange: Exchange, outcome: Outcome): Ending {
  const end = momentAfter(map, exchange);
  const name = OUTCOME_WORDS[outcome];
  const held = (end?.holds.length ?? 0) + (end?.topHolds.length ?? 0) > 0;
  return EndingSchema.parse({
    id: freshId(name, indexMap(map).ending.keys()),
    name: name[0]!.toUpperCase() + name.slice(1),
    outcome,
    moves: [exchange.move],
    ...(held
      ? end
      : {
          holds: [
            { id: 'chest', contacts: ['chest'], action: 'press', target: { of: 'top', part: 'chest' } },
          ],
        }),
  });
}

/** An answer to a reaction, half likely until somebody knows better, staying where it is until told where to. */
export function newExchange(map: GuardMap, move: Move, reaction: ReactionRef | 'none'): Exchange {
  const met = reaction === 'none' ? 'none' : reaction.id;
  return ExchangeSchema.parse({
    id: freshId(`${move.id}--${met}`, indexMap(map).exchange.keys()),
    move: move.id,
    reaction: reaction === 'none' ? reaction : bareRef(reaction),
    to: { position: move.position },
    chance: 0.5,
    basis: 'coach',
  });
}

/** A mechanic with a name, drilled alone until somebody says how. */
export function newMechanic(map: GuardMap, name: string): Mechanic {
  return MechanicSchema.parse({
    id: freshId(name, indexMap(map).mechanic.keys()),
    name,
    form: 'solo',
    how: name,
  });
}

export function newReaction(map: GuardMap, name: string): Reaction {
  return ReactionSchema.parse({
    id: freshId(name, indexMap(map).reaction.keys()),
    name,
    group: 'posting & base',
  });
}
