import { landingScene, landingWords, type Moment, sided } from '@aftersquall/core/body';
import { type GuardMap, indexMap } from '@aftersquall/core/model';
import { type ReadOption } from '@aftersquall/core/read';
import { ArrowRight } from 'lucide-react';
import { useMemo } from 'react';
import { PositionPicture } from '../../components/PositionPicture.tsx';
import styles from './read.module.scss';

interface Props {
  map: GuardMap;
  option: ReadOption;
  /** What is held and seen once top has done it, where the answer begins at the nearest position. */
  moment: Moment | undefined;
}

/** An answer as two pictures: where it begins, after what top did, what it lets go of lit; where it leads, what it takes lit. */
export function BeforeAfter({ map, option, moment }: Props) {
  const { from, exchange, releases, takes } = option;
  const { to } = exchange ?? {};
  const before = useMemo(
    () => ({ ...sided('position', from.position, from.mirrored), ...moment }),
    [from, moment],
  );
  const after = useMemo(() => {
    // As it is written: what Read gives is turned to the side that one is on.
    const written = exchange && indexMap(map).exchange.get(exchange.id);
    return written && landingScene(map, written, { mirrored: from.mirrored });
  }, [map, exchange, from]);
  const lit = (holds: ReadOption['takes']) => holds.flatMap(({ contacts }) => contacts);
  const taken = lit(takes);
  return (
    <div className={styles['before-after']}>
      <PositionPicture position={before} width={150} contacts={releases.map(({ id }) => id)} />
      <ArrowRight size={22} aria-hidden />
      {after ? (
        <PositionPicture
          position={after}
          width={150}
          contacts={after.holds
            .filter(({ contacts }) => contacts.some((c) => taken.includes(c)))
            .map(({ id }) => id)}
        />
      ) : (
        <b>{to ? landingWords(map, to) : 'not written'}</b>
      )}
    </div>
  );
}
