import { sided } from '@aftersquall/core/body';
import { type Block, type ClassPlan, indexMap } from '@aftersquall/core/model';
import { useMemo } from 'react';
import { PositionPicture } from '../../components/PositionPicture.tsx';
import { useDocument } from '../../store/documents/useDocument.ts';
import styles from './mat.module.scss';

interface Props {
  plan: ClassPlan;
  block: Block;
  /** Worked on the other side than it is written. */
  otherSide: boolean;
}

const WIDTH = 400;

/** Where a block begins, as a picture on the side that is worked; nothing where the map does not say. */
export function BlockPicture({ plan, block, otherSide }: Props) {
  const map = useDocument('map', plan.map)?.shown;
  const [link] = 'links' in block ? block.links : [];
  const live = 'rounds' in block;
  const position = useMemo(() => {
    if (!map) return undefined;
    const index = indexMap(map);
    const move = link && index.move.get(index.exchange.get(link.exchange)?.move ?? '');
    const start = index.position.get(move?.position ?? (live ? (plan.lesson?.root ?? '') : ''));
    return start && sided('position', start, otherSide !== Boolean(link?.mirrored));
  }, [map, link, live, plan.lesson?.root, otherSide]);
  if (!position) return null;
  return (
    <div className={styles.picture}>
      <PositionPicture position={position} width={WIDTH} kind="large" always />
    </div>
  );
}
