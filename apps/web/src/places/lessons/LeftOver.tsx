import { answerName, landingWords } from '@aftersquall/core/body';
import { type RoomNeeded, roomNeeded } from '@aftersquall/core/lesson';
import { type ClassPlan, type GuardMap, indexMap } from '@aftersquall/core/model';
import { useEffect, useState } from 'react';
import { clock } from '../../components/clock.ts';
import { requestOf } from '../../store/classRequest.ts';
import { thePlanner } from '../../workers/planner.ts';
import { say } from './words.ts';

interface Props {
  map: GuardMap;
  plan: ClassPlan;
  /** Exchanges that found no time. */
  ids: readonly string[];
  onAdd: (id: string) => void;
}

/** Of so many it is said what would make room: a review may leave out a hundred, and the planner has other work. */
const MAX_ASKED = 6;

/** What was chosen and found no time: how long it takes, and what would make room for it. */
export function LeftOver({ map, plan, ids, onAdd }: Props) {
  const index = indexMap(map);
  const needed = useRoomNeeded(map, plan, ids);
  if (ids.length === 0) return null;
  return (
    <section className="mt-3" aria-label="Did not fit">
      <h3>Did not fit: {ids.length} for another class</h3>
      <ul>
        {ids.map((id) => {
          const exchange = index.exchange.get(id);
          const room = needed.get(id);
          return (
            <li key={id}>
              {exchange ? answerName(map, exchange).move : id}
              {exchange && exchange.reaction !== 'none' && (
                <span className="top"> · {answerName(map, exchange).meets}</span>
              )}
              {exchange && <span className="soft"> → {landingWords(map, exchange.to)}</span>}{' '}
              {exchange && (
                <button type="button" className="chip" onClick={() => onAdd(id)}>
                  put it in
                </button>
              )}
              {room && <p className="soft small mb-1">{roomWords(room)}</p>}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Why there is no room, and what would make it, as a sentence or two. */
function roomWords({ seconds, short, minutes, instead }: RoomNeeded): string {
  const takes = `It takes ${clock(seconds)}`;
  if (short === 0) return say.classHasMuchTime(takes);
  const out = instead ? `, or remove “${instead.title}”` : '';
  return say.lackMakeClassMinutes(takes, clock(short), minutes, out);
}

/** What each of the first of these would need as a block of this class, worked out away from the screen. */
function useRoomNeeded(
  map: GuardMap,
  plan: ClassPlan,
  ids: readonly string[],
): ReadonlyMap<string, RoomNeeded> {
  const [needed, setNeeded] = useState<ReadonlyMap<string, RoomNeeded>>(new Map());
  const asked = ids.slice(0, MAX_ASKED).join(',');
  useEffect(() => {
    if (!asked) return;
    let current = true;
    const ask = async (id: string): Promise<[string, RoomNeeded][]> => {
      try {
        const block = await thePlanner().singleBlock(requestOf(map, plan), { kind: 'exchange', id });
        return [[id, roomNeeded(plan, block)]];
      } catch {
        // Not for this class any more, by its level or its rules: "put it in" says why.
        return [];
      }
    };
    void Promise.all(asked.split(',').map(ask)).then((found) => {
      if (current) setNeeded(new Map(found.flat()));
    });
    return () => {
      current = false;
    };
  }, [map, plan, asked]);
  return needed;
}
