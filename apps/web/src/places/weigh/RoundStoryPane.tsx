import { type GuardMap, indexMap, type PlayLevel, reactionKey } from '@aftersquall/core/model';
import { levelWords, signedPoints, type Weighing, type WeighOptions } from '@aftersquall/core/weigh';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { mapAddress } from '../../components/addresses.ts';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { useRoundStory } from '../../workers/weighQuestions.ts';
import { FiveSentences } from './FiveSentences.tsx';
import { HundredRounds } from './HundredRounds.tsx';
import styles from './roundStory.module.scss';
import { holeWords, hurtWords, livesOnWords, wayWords } from './storyWords.ts';
import { WayPath } from './WayPath.tsx';
import weigh from './weigh.module.scss';
import { say } from './words.ts';

interface Props {
  map: GuardMap;
  options: WeighOptions;
  level: PlayLevel;
  weighing: Weighing;
  /** The system that is told of; the whole map without one. */
  system: string;
  onSystem: (system: string | undefined) => void;
  onPick: (position: string) => void;
}

/** What one would say first: what a round comes to, its best way through, what it lives on, what hurts, what to close first. */
export function RoundStoryPane({ map, options, level, weighing, system, onSystem, onPick }: Props) {
  const known = map.systems.find(({ id }) => id === system);
  const story = useRoundStory(map, options, known?.id);
  const index = indexMap(map);
  return (
    <section className={`${weigh['weigh-column']} ${weigh.plan} ${styles.story}`} aria-label={say.roundShort}>
      <header>
        <h2>{known ? `A round from ${known.name}` : 'A round'}</h2>
        <SelectField
          label="System"
          hideLabel
          value={known?.id ?? ''}
          choices={[
            { value: '', name: 'All systems' },
            ...map.systems.map(({ id, name }) => ({ value: id, name })),
          ]}
          onChange={(id) => onSystem(id || undefined)}
        />
      </header>
      {!story && <p className="soft">Playing the rounds …</p>}
      {story && (
        <>
          {known ? (
            <p className={styles.lead}>
              <b>{signedPoints(story.entry)}</b> points a round from here
            </p>
          ) : (
            <FiveSentences map={map} story={story} weighing={weighing} onPick={onPick} />
          )}
          <h3>Of a hundred rounds with {levelWords(level)}</h3>
          <HundredRounds chances={story.ends} />
          <h3>Best way through</h3>
          {story.way ? (
            <>
              <WayPath map={map} way={story.way} onPick={onPick} />
              <p className="small">{wayWords(story.way)}</p>
            </>
          ) : (
            <p>{say.noMoveHereEver}</p>
          )}
          <div className={styles.parts}>
            <Part title="What carries it">
              {story.livesOn.map((one) => (
                <Line key={one.move} figure={signedPoints(-one.loss)}>
                  <button
                    type="button"
                    className="btn-link"
                    onClick={() => onPick(index.move.get(one.move)!.position)}
                  >
                    {livesOnWords(map, one)}
                  </button>
                </Line>
              ))}
              {story.livesOn.length === 0 && <p>{say.noSingleMoveWithout}</p>}
            </Part>
            <Part title="What hurts it">
              {story.hurts.map((one) => (
                <Line
                  key={`${one.position} ${one.look} ${reactionKey(one.reaction)}`}
                  figure={signedPoints(-one.cost)}
                >
                  <button type="button" className="btn-link" onClick={() => onPick(one.position)}>
                    {hurtWords(map, one)}
                  </button>
                </Line>
              ))}
              {story.hurts.length === 0 && <p>{say.nothingTopDoesHurts}</p>}
            </Part>
            <Part title={say.closeHoleFirst}>
              {story.hole ? (
                <Line figure={signedPoints(story.hole.stake, 3)}>
                  <Link
                    to={`${mapAddress(map.id)}?view=board&cell=${story.hole.move}.${reactionKey(story.hole.reaction ?? 'none')}&sel=move.${story.hole.move}`}
                  >
                    {holeWords(map, story.hole)}
                  </Link>
                  <small className="soft d-block">{signedPoints(story.hole.spot)} on the spot</small>
                </Line>
              ) : (
                <p>{say.noAnswerHereWould}</p>
              )}
            </Part>
          </div>
          <p className="soft small mb-0">{say.allFiguresPointsRound}</p>
        </>
      )}
    </section>
  );
}

const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <section aria-label={title}>
    <h3>{title}</h3>
    {children}
  </section>
);

const Line = ({ figure, children }: { figure: string; children: ReactNode }) => (
  <div className={weigh.stake}>
    <b>{figure}</b>
    <span>{children}</span>
  </div>
);
