import { type GuardMap, indexMap, reactionKey, type Weighing } from '@aftersquall/core';
import { Link } from 'react-router';

/** So many are listed of each kind. */
const MOST = 20;
/** A stake below this shows as nothing. */
const LEAST = 0.0005;

interface Props {
  map: GuardMap;
  weighing: Weighing;
}

/** Holes by what they cost, and which of the guessed chances matter most. */
export function Holes({ map, weighing }: Props) {
  const index = indexMap(map);
  const costly = weighing.holes.filter(({ stake }) => stake >= LEAST);
  const rest = weighing.holes.filter(({ stake }) => stake < LEAST);
  return (
    <>
      <h2 className="mt-3">Holes by what they cost</h2>
      {weighing.holes.length === 0 && <p>No hole under these rules.</p>}
      <HoleList map={map} holes={costly.slice(0, MOST)} />
      {rest.length > 0 && (
        <details className="mb-3">
          <summary>
            {rest.length} more that {rest.length === 1 ? 'costs' : 'cost'} nothing as the plan stands
          </summary>
          <HoleList map={map} holes={rest.slice(0, MOST)} />
        </details>
      )}
      <h2>Guesses that matter most</h2>
      <ol className="list-unstyled">
        {weighing.sensitivity.map(({ exchange: id, slope }) => {
          const exchange = index.exchange.get(id)!;
          const { reaction } = exchange;
          return (
            <li key={id} className="stake">
              <b>
                {slope > 0 ? '+' : ''}
                {(slope * 0.1).toFixed(3)}
              </b>
              <Link to={`/${map.id}/map?sel=exchange.${id}`}>
                {index.move.get(exchange.move)?.name}
                {reaction !== 'none' && ` | ${index.reaction.get(reaction.id)?.name}`}
              </Link>
              <small className="soft">{Math.round(exchange.chance * 100)} % now; for each 10 % more</small>
            </li>
          );
        })}
      </ol>
    </>
  );
}

function HoleList({ map, holes }: { map: GuardMap; holes: Weighing['holes'] }) {
  const index = indexMap(map);
  return (
    <ol className="list-unstyled">
      {holes.map(({ position, move, reaction, stake, visits }) => {
        const column = reactionKey(reaction ?? 'none');
        return (
          <li key={`${move} ${column}`} className="stake">
            <b>{stake.toFixed(3)}</b>
            <Link to={`/${map.id}/map?view=board&cell=${move}.${column}&sel=move.${move}`}>
              {index.move.get(move)?.name}, when top{' '}
              {reaction
                ? (index.reaction.get(reaction.id)?.name ?? '').replace(/^./, (c) => c.toLowerCase())
                : 'does whatever top does'}
            </Link>
            <small className="soft">
              {index.position.get(position)?.name}, {visits.toFixed(2)} times a round
            </small>
          </li>
        );
      })}
    </ol>
  );
}
