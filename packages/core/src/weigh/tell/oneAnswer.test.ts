import { expect, it } from 'vitest';
import { applyCommand } from '../../documents/applyCommand.ts';
import { batch, put, set } from '../../documents/command.ts';
import { readReaction } from '../../read/readReaction.ts';
import { smallMap } from '../../test/smallMap.ts';
import { mapGame } from '../game/mapGame.ts';

it('reading and weighing choose the same answer: the plain one before a variant that is no house’s', () => {
  const map = smallMap();
  const plain = map.exchanges.find(({ reaction }) => reaction !== 'none')!;
  const move = map.moves.find(({ id }) => id === plain.move)!;
  const way = { id: 'other-way', name: 'Another way', when: {}, why: '', steps: [] };
  const variant = { ...plain, id: 'by-the-way', variant: way.id, chance: 0.9 };
  const { document } = applyCommand(
    map,
    batch([
      set('move', move.id, [{ path: ['variants'], value: [way] }]),
      set('exchange', plain.id, [{ path: ['chance'], value: 0.1 }]),
      // Written first, and more likely: that is no reason.
      put('exchange', variant, 0),
    ]),
  );
  const chosen = (of: typeof document) => {
    const reading = readReaction(of, { position: move.position, reaction: plain.reaction });
    const read = reading.options.find((option) => option.move.id === move.id)?.exchange?.id;
    const cells = mapGame(of).states.flatMap(({ looks }) => looks.flatMap((look) => look.cells.flat()));
    const weighed = cells.flatMap(({ exchange }) =>
      exchange && [plain.id, variant.id].includes(exchange.id) ? [exchange.id] : [],
    );
    return [read, ...weighed];
  };
  expect(chosen(document)).toEqual([plain.id, plain.id]);
  const house = applyCommand(
    document,
    set('move', move.id, [{ path: ['houseVariant'], value: way.id }]),
  ).document;
  expect(chosen(house)).toEqual([variant.id, variant.id]);
});
