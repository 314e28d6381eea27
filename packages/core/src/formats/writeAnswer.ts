import { applyCommand } from '../documents/applyCommand.ts';
import { type BatchCommand, batch, type Command, put } from '../documents/command.ts';
import { freshId } from '../model/freshId.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Landing } from '../model/outcome.ts';
import { PositionSchema } from '../model/position.ts';
import type { ReactionRef } from '../model/reaction.ts';
import { setAnswer } from './setAnswer.ts';

/** Where an answer leads: somewhere the map knows, or a position of this name that is made for it. */
export type LandingChoice = Landing | { newPosition: string; mirrored?: boolean };

/** An answer as somebody means it: chances in [0, 1], times in seconds. */
export interface Answer {
  to: LandingChoice;
  otherwise?: LandingChoice | undefined;
  chance?: number | undefined;
  seconds?: number | undefined;
}

/** The one command that writes an answer of a move to a reaction, with the positions that it needs. */
export function writeAnswer(
  map: GuardMap,
  at: { move: string; reaction: ReactionRef | 'none'; variant?: string | undefined },
  { to, otherwise, chance, seconds }: Answer,
): BatchCommand {
  const commands: Command[] = [];
  let current = map;
  const make = (command: Command) => {
    current = applyCommand(current, command).document;
    commands.push(command);
  };
  const landing = (choice: LandingChoice): Landing => {
    if (!('newPosition' in choice)) return choice;
    const { newPosition: name, mirrored } = choice;
    // The same new name twice in one answer is one position.
    const made = current.positions.find(
      (position) => position.name === name && !map.positions.includes(position),
    );
    const id = made?.id ?? freshId(name, indexMap(current).position.keys());
    if (!made) make(put('position', PositionSchema.parse({ id, name })));
    return mirrored ? { position: id, mirrored } : { position: id };
  };
  const said = { to: landing(to), otherwise: otherwise && landing(otherwise), chance, seconds };
  const move = indexMap(current).move.get(at.move)!;
  setAnswer(current, { move, reaction: at.reaction, ...(at.variant && { variant: at.variant }) }, said, make);
  return batch(commands, `Answer of “${move.name}”`);
}
