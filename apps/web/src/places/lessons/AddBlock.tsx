import { answerName } from '@aftersquall/core/body';
import { type Wanted } from '@aftersquall/core/lesson';
import { allNames, type GuardMap, indexMap } from '@aftersquall/core/model';
import { Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { ChoiceSearch } from '../../components/ChoiceSearch.tsx';
import { searchNames } from '../../components/searchNames.ts';
import styles from './lessons.module.scss';
import { say } from './words.ts';

interface Addable {
  key: string;
  name: string;
  aliases: string[];
  what: string;
  wanted: Wanted | 'water';
}

const MAX_ANSWERS_OFFERED = 10;
/** What is no part of the map; offered before anything is typed. */
const PLAIN: readonly Addable[] = [
  { key: 'water', name: 'Water', aliases: [], what: 'a minute', wanted: 'water' },
  {
    key: 'rounds',
    name: 'Rounds',
    aliases: ['sparring'],
    what: 'from the start of the class',
    wanted: { kind: 'rounds' },
  },
  { key: 'talk', name: 'Question', aliases: ['talk'], what: 'you speak, a minute', wanted: { kind: 'talk' } },
];

/** All that can be a block, by every name it has. */
function addable(map: GuardMap): Addable[] {
  const index = indexMap(map);
  const of = (kind: 'mechanic' | 'move' | 'position' | 'exchange', id: string) => ({
    key: `${kind} ${id}`,
    wanted: { kind, id } as Wanted,
  });
  return [
    ...PLAIN,
    ...map.moves.map(({ id, name, short, aliases, position }) => ({
      ...of('move', id),
      name,
      aliases: short ? [short, ...aliases] : aliases,
      what: `drill, ${index.position.get(position)?.name ?? position}`,
    })),
    ...map.positions.map(({ id, name, short, aliases }) => ({
      ...of('position', id),
      name,
      aliases: short ? [short, ...aliases] : aliases,
      what: 'game from here',
    })),
    ...map.mechanics.map(({ id, name, short, aliases }) => ({
      ...of('mechanic', id),
      name,
      aliases: short ? [short, ...aliases] : aliases,
      what: 'movement',
    })),
    ...map.exchanges.flatMap((exchange) => {
      if (exchange.reaction === 'none') return [];
      const { position, move, meets } = answerName(map, exchange);
      return [
        {
          ...of('exchange', exchange.id),
          name: `${move}: ${meets}`,
          aliases: [],
          what: `answer, ${position}`,
        },
      ];
    }),
  ];
}

interface Props {
  map: GuardMap;
  busy: boolean;
  onAdd: (wanted: Wanted | 'water') => void;
}

/** Puts anything of the map into the class, behind the block that is open. */
export function AddBlock({ map, busy, onAdd }: Props) {
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState('');
  const all = useMemo(() => (open ? addable(map) : []), [map, open]);
  const found = typed.trim() === '' ? PLAIN : searchNames(all, typed, allNames).slice(0, MAX_ANSWERS_OFFERED);
  const pick = (place: number) => {
    const one = found[place];
    if (!one) return;
    setOpen(false);
    setTyped('');
    onAdd(one.wanted);
  };
  if (!open)
    return (
      <button type="button" className="btn btn-sm btn-plain" disabled={busy} onClick={() => setOpen(true)}>
        <Plus size={14} aria-hidden /> Add a block
      </button>
    );
  return (
    <search className={styles['add-block']} onKeyDown={(event) => event.key === 'Escape' && setOpen(false)}>
      <ChoiceSearch
        focused
        id="addable"
        label="What to add"
        listLabel={say.whatCanAdd}
        placeholder={say.moveAnswerMovementPosition}
        typed={typed}
        onType={setTyped}
        choices={found}
        onPick={pick}
      />
    </search>
  );
}
