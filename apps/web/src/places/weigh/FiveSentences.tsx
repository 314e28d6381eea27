import { type GuardMap, indexMap } from '@aftersquall/core/model';
import { type RoundStory, type Weighing } from '@aftersquall/core/weigh';
import { PositionPicture } from '../../components/PositionPicture.tsx';
import styles from './roundStory.module.scss';
import { roundSentences } from './storyWords.ts';

interface Props {
  map: GuardMap;
  story: RoundStory;
  weighing: Weighing;
  onPick: (position: string) => void;
}

/** What a coach would repeat to an assistant: what carries the game, what hurts it, the hole, the drill, how sure that is. */
export function FiveSentences({ map, story, weighing, onPick }: Props) {
  const { position: positions } = indexMap(map);
  return (
    <ol className={styles.five} aria-label="In five sentences">
      {roundSentences(map, story, weighing).map(({ words, position }) => {
        const at = position === undefined ? undefined : positions.get(position);
        return (
          <li key={words}>
            {at && (
              <button type="button" onClick={() => onPick(at.id)} aria-label={`Open ${at.name}`}>
                <PositionPicture position={at} width={84} />
              </button>
            )}
            <p>{words}</p>
          </li>
        );
      })}
    </ol>
  );
}
