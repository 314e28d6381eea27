import { type Moment } from '@aftersquall/core/body';
import { type GuardMap, PositionSchema } from '@aftersquall/core/model';
import { differences, type Nearest } from '@aftersquall/core/read';
import { ArrowRight, Plus } from 'lucide-react';
import { HoldsPlan } from '../../components/bodyPlan/HoldsPlan.tsx';
import { Explained } from '../../components/Explained.tsx';
import styles from './read.module.scss';

interface Props {
  moment: Moment;
  nearest: readonly Nearest[];
  map: GuardMap;
  onChange: (moment: Moment) => void;
  onGo: (nearest: Nearest) => void;
  onKeep: () => void;
}

/** The moment put in by tapping both bodies, and the positions of the map it is most like, with what differs. */
export function MomentEditor({ moment, nearest, map, onChange, onGo, onKeep }: Props) {
  const position = PositionSchema.parse({ id: 'moment', name: 'This moment', ...moment });
  return (
    <>
      <HoldsPlan
        position={position}
        onChange={(changes) => {
          onChange({ ...moment, ...changes });
          return [];
        }}
      />
      {map.positions.length > 0 && (
        <section aria-label="Nearest positions" className={styles.nearest}>
          <h3>Most like</h3>
          {nearest.some(({ lacking }) => lacking.length > 0) && <Explained term="rests" />}
          {nearest.slice(0, 3).map((near) => (
            <NearestCard
              key={`${near.position.id} ${near.mirrored}`}
              near={near}
              moment={moment}
              onGo={() => onGo(near)}
            />
          ))}
        </section>
      )}
      {nearest[0]?.similarity !== 1 && (
        <button type="button" className="btn btn-sm btn-plain mt-2" onClick={onKeep}>
          <Plus size={14} aria-hidden /> make a position of this moment
        </button>
      )}
    </>
  );
}

function NearestCard({ near, moment, onGo }: { near: Nearest; moment: Moment; onGo: () => void }) {
  const list = differences(moment, near);
  return (
    <div className={styles['near-card']}>
      <button type="button" className="btn btn-sm btn-plain" onClick={onGo}>
        {near.position.name}
        {near.mirrored && ', mirrored'} <ArrowRight size={14} aria-hidden />
      </button>
      <b>{Math.round(near.similarity * 100)} %</b>
      {near.lacking.length > 0 && (
        <p className="small mb-0">
          {near.lacking.length === 1 ? 'One hold' : `${near.lacking.length} holds`} away: a grip it needs is
          missing.
        </p>
      )}
      {list.length > 0 && (
        <ul className="small mb-0">
          {list.slice(0, 4).map(({ what, words }) => (
            <li key={words}>
              {what === 'missing' ? 'not held: ' : what === 'extra' ? 'besides: ' : ''}
              {words}
            </li>
          ))}
          {list.length > 4 && <li>and {list.length - 4} more</li>}
        </ul>
      )}
    </div>
  );
}
