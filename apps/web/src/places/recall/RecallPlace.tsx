import { answerName } from '@aftersquall/core/body';
import { type RecallCard, recallCards } from '@aftersquall/core/log';
import { type GuardMap, indexMap } from '@aftersquall/core/model';
import { Check, X } from 'lucide-react';
import { type FormEvent, useState } from 'react';
import { useParams } from 'react-router';
import { PositionPicture } from '../../components/PositionPicture.tsx';
import { device } from '../../device/device.ts';
import { useGetRecallQuery } from '../../store/api.ts';
import { useDocument } from '../../store/documents/useDocument.ts';
import { newRecord, today } from '../../store/records/newRecord.ts';
import { keepRecords, useOnTheWay } from '../../store/records/records.ts';
import { useTheme } from '../../theme/useTheme.ts';
import styles from './recall.module.scss';
import { say } from './words.ts';

const ALIAS = 'alias';
const CARDS = 10;

/** The athletes' quiz: a picture, what top does, what now? No account: an alias. */
export function RecallPlace() {
  useTheme();
  const { mapId } = useParams();
  const session = useDocument('map', mapId);
  const [alias, setAlias] = useState(() => device.cells.setting<string>(ALIAS) ?? '');
  const [begun, setBegun] = useState(false);
  const map = session?.shown;
  const begin = (event: FormEvent) => {
    event.preventDefault();
    if (!alias.trim()) return;
    device.cells.keepSetting(ALIAS, alias.trim());
    setBegun(true);
  };
  return (
    <main className={styles.recall}>
      <title>What now?</title>
      {session?.state === 'missing' ? (
        <p>{say.thesePicturesNotHere}</p>
      ) : map && begun ? (
        <Sitting map={map} alias={alias.trim()} />
      ) : (
        <form onSubmit={begin}>
          <h1>What now?</h1>
          <p>{say.tenPicturesThreeMinutes}</p>
          <input
            className="form-control form-control-lg"
            aria-label="Your nickname"
            value={alias}
            maxLength={40}
            onChange={(event) => setAlias(event.target.value)}
          />
          <button type="submit" className="btn btn-lg btn-now" disabled={!alias.trim() || !map}>
            Begin
          </button>
        </form>
      )}
    </main>
  );
}

/** Ten cards, dealt once: what is answered or changed meanwhile does not change the cards of this sitting. */
function Sitting({ map: now, alias }: { map: GuardMap; alias: string }) {
  const { data, isLoading } = useGetRecallQuery({ params: {}, query: { map: now.id, alias } });
  const [dealt, setDealt] = useState<{ map: GuardMap; cards: RecallCard[] }>();
  if (!dealt && !isLoading)
    setDealt({
      map: now,
      cards: recallCards(now, {
        date: today(),
        count: CARDS,
        history: data?.recalled ?? [],
        taught: new Set(data?.taught),
        seed: Math.floor(Date.now() / 1000) % 1_000_000,
      }),
    });
  const [answers, setAnswers] = useState<boolean[]>([]);
  const [picked, setPicked] = useState<string>();
  const way = useOnTheWay();
  if (!dealt) return <p>…</p>;
  const { map, cards } = dealt;
  const card = cards[answers.length - (picked === undefined ? 0 : 1)];
  if (!card)
    return (
      <section aria-live="polite">
        <h1>
          {answers.filter(Boolean).length} of {answers.length} right
        </h1>
        <p>{say.willSeeWrongOnes}</p>
        {way.waiting > 0 && <p className="soft">{say.answersKeptHereUntil}</p>}
      </section>
    );
  const pick = (move: string) => {
    if (picked !== undefined) return;
    const right = card.choices.some((choice) => choice.move === move && choice.right);
    setPicked(move);
    setAnswers([...answers, right]);
    const { position, move: name } = wordsOf(map, card);
    void keepRecords([
      newRecord(
        { map: map.id, session: `recall-${today()}`, date: today() },
        { kind: 'recall', exchange: card.exchange, position, move: name, meets: card.meets, alias, right },
      ),
    ]);
  };
  return (
    <Question
      map={map}
      card={card}
      number={answers.length + (picked === undefined ? 1 : 0)}
      count={cards.length}
      picked={picked}
      onPick={pick}
      onNext={() => setPicked(undefined)}
    />
  );
}

function wordsOf(map: GuardMap, card: RecallCard) {
  const { position, move } = answerName(map, indexMap(map).exchange.get(card.exchange)!);
  return { position, move };
}

interface QuestionProps {
  map: GuardMap;
  card: RecallCard;
  number: number;
  count: number;
  picked: string | undefined;
  onPick: (move: string) => void;
  onNext: () => void;
}

function Question({ map, card, number, count, picked, onPick, onNext }: QuestionProps) {
  const position = indexMap(map).position.get(card.position)!;
  const taken = card.choices.find((choice) => choice.move === picked);
  // Why what was taken is right, or why something else would have been.
  const why = (taken?.right ? taken : card.choices.find((choice) => choice.right))?.why;
  return (
    <section aria-label={`Picture ${number} of ${count}`}>
      <p className="soft">
        {number} of {count} · {position.name}
      </p>
      <div className={styles.picture}>
        <PositionPicture position={position} width={360} kind="large" always />
      </div>
      <h1>
        Top: <span className="top">{card.meets}</span>
      </h1>
      <div className={styles.choices}>
        {card.choices.map((choice) => (
          <button
            key={choice.move}
            type="button"
            disabled={picked !== undefined}
            className={`${styles.choice} ${picked !== undefined && choice.right ? styles.right : ''} ${picked === choice.move && !choice.right ? styles.wrong : ''}`}
            onClick={() => onPick(choice.move)}
          >
            {picked !== undefined && choice.right && <Check aria-label="right" size={20} />}
            {picked === choice.move && !choice.right && <X aria-label="not this one" size={20} />}
            {choice.name}
          </button>
        ))}
      </div>
      {picked !== undefined && (
        <div role="status" className={styles.why}>
          <p>
            <b>{taken?.right ? 'Right.' : 'Not this time.'}</b> {why}
          </p>
          <button type="button" className="btn btn-lg btn-now" onClick={onNext} autoFocus>
            {number < count ? 'Next' : 'Done'}
          </button>
        </div>
      )}
    </section>
  );
}
