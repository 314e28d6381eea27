import { describe, expect, it } from 'vitest';
import { smallMap } from '../test/smallMap.ts';
import { batch, type Command, put, remove } from './command.ts';
import { commandWords } from './commandWords.ts';

const [first] = smallMap().moves;
const named = (name: string) => put('move', { ...first!, name });

describe('what a change is called in the history', () => {
  it.each<[string, Command, string]>([
    ['a thing with a name', put('move', first!), `move “${first!.name}”`],
    [
      'an opponent by the alias',
      put('opponent', { id: 'o', alias: 'Wren', note: '', tendencies: [] }),
      'opponent “Wren”',
    ],
    ['a thing without a name', put('exchange', smallMap().exchanges[0]!), 'exchange'],
    ['what is gone', remove('position', 'start'), 'position removed'],
    ['the name of the map', { do: 'describe', name: 'Spring' }, 'map “Spring”'],
    ['its settings', { do: 'describe', settings: smallMap().settings }, 'settings of the map'],
    ['several changes by their label', batch([named('A'), named('B')], 'New move'), 'New move'],
    ['or one by one', batch([named('A'), named('B')]), 'move “A” and move “B”'],
    ['each once', batch([remove('move', 'a'), remove('move', 'b')]), 'move removed'],
    ['at most three', batch([named('A'), named('B'), named('C')]), 'move “A”, move “B” and move “C”'],
    [
      'and how many more there are',
      batch([named('A'), named('B'), named('C'), named('D')]),
      'move “A”, move “B” and 2 more',
    ],
    ['nothing at all', batch([]), 'nothing'],
  ])('%s', (_, command, words) => {
    expect(commandWords(command)).toBe(words);
  });
});
