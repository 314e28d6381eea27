import { allNames, type GuardMap, indexMap } from '@aftersquall/core/model';
import { useMemo, useState } from 'react';
import { Modal } from 'react-bootstrap';
import { useLocation, useNavigate } from 'react-router';
import { mapAddress } from '../components/addresses.ts';
import { ChoiceSearch } from '../components/ChoiceSearch.tsx';
import { searchLoosely, searchNames } from '../components/searchNames.ts';
import { say } from './words.ts';

interface Found {
  key: string;
  name: string;
  aliases: string[];
  what: string;
  /** Behind the address of the map. */
  address: string;
  /** Where it opens in Read, if it does. */
  read?: string;
}

const MAX_FOUND = 12;

/** Everything in a map that has a name, with where it is shown. */
function findable(map: GuardMap): Found[] {
  const index = indexMap(map);
  const at = (kind: string, id: string) => `?sel=${kind}.${id}`;
  return [
    ...map.positions.map(({ id, name, short, aliases }) => ({
      key: `position ${id}`,
      name,
      aliases: called(aliases, short),
      what: 'position',
      address: at('position', id),
      read: `?at=${id}`,
    })),
    ...map.moves.map(({ id, name, short, aliases, position, mechanics }) => ({
      key: `move ${id}`,
      name,
      aliases: [...called(aliases, short), ...mechanics.flatMap((of) => index.mechanic.get(of)?.name ?? [])],
      what: `move from ${index.position.get(position)?.name ?? position}`,
      address: at('move', id),
    })),
    ...map.reactions.map(({ id, name, short, shortMirrored, aliases, group }) => ({
      key: `reaction ${id}`,
      name,
      aliases: called(aliases, short, shortMirrored),
      what: `what top does: ${group}`,
      address: at('reaction', id),
    })),
    ...map.mechanics.map(({ id, name, short, aliases }) => ({
      key: `mechanic ${id}`,
      name,
      aliases: called(aliases, short),
      what: 'mechanic',
      address: at('mechanic', id),
    })),
    ...map.endings.map(({ id, name, short }) => ({
      key: `ending ${id}`,
      name,
      aliases: called([], short),
      what: 'how an outcome looks',
      address: at('ending', id),
    })),
    ...map.systems.map(({ id, name, aliases }) => ({
      key: `system ${id}`,
      name,
      aliases,
      what: 'guard system',
      address: `?system=${id}`,
    })),
  ];
}

/** Other names, with what a coach calls it. */
const called = (aliases: readonly string[], ...shorts: (string | undefined)[]): string[] => [
  ...shorts.filter((short) => short !== undefined),
  ...aliases,
];

/** Where a find is shown: in the place one is in, where that shows such things, else in the map. */
export const addressIn = (place: string | undefined, map: GuardMap, { read, address }: Found): string =>
  place === 'read' && read ? mapAddress(map.id, 'read') + read : mapAddress(map.id) + address;

/** The best finds for what was typed, by any name a thing has. */
export function find(map: GuardMap, typed: string): Found[] {
  return searchLoosely(findable(map), typed, allNames).slice(0, MAX_FOUND);
}

/** Finds anything by any of its names and goes there. */
export function Finder({ map, onHide }: { map: GuardMap; onHide: () => void }) {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const [typed, setTyped] = useState('');
  const found = useMemo(() => find(map, typed), [map, typed]);
  const go = (place: number) => {
    const thing = found[place];
    if (!thing) return;
    onHide();
    navigate(addressIn(pathname.split('/')[3], map, thing));
  };
  return (
    <Modal show onHide={onHide} aria-label="Find anything" animation={false}>
      <Modal.Body>
        <ChoiceSearch
          focused
          id="found"
          label="Find anything"
          listLabel="Found"
          placeholder={say.positionMoveReactionAny}
          typed={typed}
          onType={setTyped}
          choices={found.map(({ key, name, aliases, what }) => {
            const alias = aliasHit(aliases, name, typed);
            return { key, name: alias ? `${name} (${alias})` : name, what };
          })}
          onPick={go}
          large
        />
        {typed.trim() !== '' && found.length === 0 && <p className="mt-2 mb-0">{say.nothingHasName}</p>}
      </Modal.Body>
    </Modal>
  );
}

/** The other name that was meant, where the thing's own name is not what was typed. */
const aliasHit = (aliases: readonly string[], name: string, typed: string): string | undefined =>
  searchNames([name], typed, (own) => [own]).length > 0
    ? undefined
    : searchNames(aliases, typed, (alias) => [alias])[0];
