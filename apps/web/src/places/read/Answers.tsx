import {
  contactName,
  doneName,
  holdWords,
  landingWords,
  type Moment,
  sided,
  wordContext,
} from '@aftersquall/core/body';
import { type GuardMap, MOVE_KIND_WORDS, type Position, stepsOf, variantOf } from '@aftersquall/core/model';
import {
  type Nearest,
  type Option,
  orderWords,
  type Rank,
  type Reading,
  type ReadOption,
} from '@aftersquall/core/read';
import { ArrowRight, Link2, Scale, TriangleAlert, Unlink } from 'lucide-react';
import type { ReactNode } from 'react';
import { Dropdown } from 'react-bootstrap';
import { Link, useParams } from 'react-router';
import { mapAddress } from '../../components/addresses.ts';
import { Chance } from '../../components/Chance.tsx';
import { Hazards } from '../../components/Hazards.tsx';
import { PositionPicture } from '../../components/PositionPicture.tsx';
import { Worth } from '../../components/Worth.tsx';
import { useAppSelector } from '../../store/store.ts';
import { BeforeAfter } from './BeforeAfter.tsx';
import styles from './read.module.scss';
import { say as texts } from './words.ts';

const RANK_WORDS: Record<Rank, string> = {
  ready: 'Ready now',
  'one-change': 'One change away',
  'two-changes': 'Two changes away',
  'not-written': texts.noAnswerWritten,
  'not-from-here': 'Not from here',
};

/** Where a chance comes from, in a word and in a sentence. */
const BASIS_WORDS = { coach: 'your guess', logged: 'counted', blended: 'guess and count' } as const;
const BASIS_TITLES = {
  coach: texts.guessNobodyHasCounted,
  logged: texts.countedMat,
  blended: texts.guessWhatCounted,
} as const;

interface Props {
  map: GuardMap;
  reading: Reading;
  /** What top did, as in the address. */
  met: string;
  /** Whether worths are those of the map as it was. */
  stale: boolean;
  onTake: (option: ReadOption) => void;
  /** It fails: done to its end, or after so many steps. */
  onMiss: (option: ReadOption, after?: number) => void;
  /** Goes on from a position that top's reaction led to. */
  onBecome: (there: Nearest) => void;
}

const onSide = ({ position, mirrored }: Nearest): Position => sided('position', position, mirrored);

/** The answers in their ranks, and above them what the reaction and the apparel did to the holds. */
export function Answers({ map, reading, met, stale, onTake, onMiss, onBecome }: Props) {
  const near = reading.becomes ?? reading.nearest[0];
  const context = near ? wordContext(onSide(near)) : ({ leadSide: 'R' } as const);
  const ranks = Object.keys(RANK_WORDS) as Rank[];
  const allowed = reading.options.filter(({ legal }) => legal);
  const barred = reading.options.filter(({ legal }) => !legal);
  const card = (option: ReadOption) => (
    <AnswerCard
      key={`${option.from.mirrored}${option.move.id}`}
      map={map}
      option={option}
      met={met}
      stale={stale}
      elsewhere={option.from !== near}
      moment={option.from === near && !reading.becomes ? reading.moment : undefined}
      onTake={onTake}
      onMiss={onMiss}
    />
  );
  return (
    <>
      {reading.conflicts.map(({ words }) => (
        <p key={words} className="hazard mb-1">
          {texts.oneLimbTwoThings} {words}. The answers use what is possible.
        </p>
      ))}
      {reading.broken.length > 0 && (
        <p className="mb-1">
          <Unlink size={15} aria-hidden className="top" /> Gone:{' '}
          {reading.broken.map((hold) => holdWords(hold, context)).join('; ')}.
        </p>
      )}
      {reading.apparel && reading.apparel.changed.length + reading.apparel.lost.length > 0 && (
        <p className="soft small mb-1">
          Without the jacket:{' '}
          {[
            ...reading.apparel.changed.map(
              ({ to, by }) => `${by === 'top' ? 'top ' : ''}${holdWords(to, context, by)}`,
            ),
            ...reading.apparel.lost.map(({ hold, why }) => `no ${hold.target.part}, since ${why}`),
          ].join('; ')}
          .
        </p>
      )}
      {reading.apparel?.available === false && <p className="hazard">{reading.apparel.why}.</p>}
      {reading.becomes && <NowHere there={reading.becomes} onBecome={onBecome} />}
      {reading.options.length === 0 && <p>{texts.haveNoMovesHere}</p>}
      {barred.length > 0 && (
        <Barred barred={barred} allowed={allowed}>
          {barred.map(card)}
        </Barred>
      )}
      {ranks.map((rank) => {
        const options = allowed.filter((option) => option.rank === rank);
        return (
          options.length > 0 && (
            <section key={rank} aria-label={RANK_WORDS[rank]}>
              <h3 className={`${styles.rank} ${rank}`}>{RANK_WORDS[rank]}</h3>
              {options.map(card)}
            </section>
          )
        );
      })}
    </>
  );
}

/** Top's reaction has changed where one is: the answers are those of there. */
function NowHere({ there, onBecome }: { there: Nearest; onBecome: Props['onBecome'] }) {
  const position = onSide(there);
  return (
    <div className={styles['now-here']} role="note">
      <PositionPicture position={position} width={120} />
      <div>
        <p className="mb-1">
          Now you are in <b>{position.name}</b>. The answers below are from there.
        </p>
        <button type="button" className="btn btn-sm btn-plain" onClick={() => onBecome(there)}>
          <ArrowRight size={15} aria-hidden /> {texts.whatDoesTopDo}
        </button>
      </div>
    </div>
  );
}

/** What the rules bar, folded away with the reason, and what stands in its place. */
function Barred({
  barred,
  allowed,
  children,
}: {
  barred: readonly ReadOption[];
  allowed: readonly ReadOption[];
  children: ReactNode;
}) {
  const instead = allowed[0];
  const wouldBeReady = barred.some(({ rank }) => rank === 'ready') && instead?.rank !== 'ready';
  return (
    <details className={styles['barred-fold']}>
      <summary>
        {barred.length === 1 ? 'One answer is' : `${barred.length} answers are`} against the rules here:{' '}
        {barred.map(({ move }) => move.name).join(', ')}.
        {wouldBeReady && instead && (
          <>
            {' '}
            Nearest allowed: <b>{instead.move.name}</b>.
          </>
        )}
        <span className="hazard d-block small">
          {[...new Set(barred.map(({ legalWhy }) => legalWhy))].join('; ')}.
        </span>
      </summary>
      {children}
    </details>
  );
}

interface CardProps {
  map: GuardMap;
  option: ReadOption;
  met: string;
  stale: boolean;
  /** It comes from another position than the nearest one. */
  elsewhere: boolean;
  /** What is held and seen once top has done it, where it comes from the nearest position. */
  moment: Moment | undefined;
  onTake: (option: ReadOption) => void;
  /** It fails: done to its end, or after so many steps. */
  onMiss: (option: ReadOption, after?: number) => void;
}

function AnswerCard({ map, option, met, stale, elsewhere, moment, onTake, onMiss }: CardProps) {
  const { mapId = '' } = useParams();
  const { apparel } = useAppSelector(({ settings }) => settings);
  const { move, exchange } = option;
  const variant = variantOf(move, exchange);
  const done = exchange ? doneName(map, exchange) : move.name;
  const context = wordContext(onSide(option.from));
  const ways = move.variants.filter(({ when }) => !when.apparel || when.apparel === apparel);
  const say = (holds: Option['keeps']) => holds.map((hold) => holdWords(hold, context)).join('; ');
  const limbs = (holds: Option['keeps']) =>
    holds.flatMap(({ contacts }) => contacts.map(contactName)).join(', ');
  const free = option.free.filter((contact) => /[LR]$/.test(contact)).map(contactName);
  return (
    <article className={`${styles['answer-card']} ${option.rank} ${option.legal ? '' : styles.barred}`}>
      <div className="head">
        <div>
          <Link to={`${mapAddress(mapId)}?sel=move.${move.id}`} className="name">
            {done}
          </Link>
          <span className="soft small">
            {' '}
            {MOVE_KIND_WORDS[move.kind]}
            {move.window === 'brief' && ', brief chance'}
            {done !== move.name ? `, instead of “${move.name}”` : variant && `, ${variant.name}`}
          </span>
        </div>
        <div className={styles.odds}>
          {option.chance === undefined || !exchange ? (
            <div className="chance" title={texts.haveWrittenNoAnswer}>
              ?<small>not written</small>
            </div>
          ) : (
            <Chance
              chance={option.chance}
              from={BASIS_WORDS[exchange.basis ?? 'coach']}
              about={BASIS_TITLES[exchange.basis ?? 'coach']}
            />
          )}
          {option.worth !== undefined && <Worth value={option.worth} stale={stale} inWords />}
        </div>
      </div>
      <BeforeAfter map={map} option={option} moment={moment} />
      {elsewhere && (
        <p className="soft small">
          As from {option.from.position.name}
          {option.from.mirrored && ', mirrored'}.
        </p>
      )}
      {option.missing.length > 0 && (
        <p>
          <b>Missing:</b> {option.missing.join('; ')}.
        </p>
      )}
      {option.dropsKept.length > 0 && (
        <p className={styles.loud}>
          <TriangleAlert size={15} aria-hidden /> {texts.losesGripShouldKeep} {say(option.dropsKept)}.
        </p>
      )}
      <p className={styles['in-a-line']}>
        {option.joined.length > 0 && (
          <span>
            <Link2 size={14} aria-hidden /> <b>Join</b> {say(option.joined)}
          </span>
        )}
        {option.takes.length > 0 && (
          <span>
            <Link2 size={14} aria-hidden /> <b>Take</b> {say(option.takes)}
          </span>
        )}
        {option.releases.length > 0 && (
          <span>
            <Unlink size={14} aria-hidden /> <b>Let go</b> {limbs(option.releases)}
          </span>
        )}
        {option.keeps.length > 0 && (
          <span>
            <b>Keep</b> {limbs(option.keeps)}
          </span>
        )}
      </p>
      {option.balance && (
        <p className={styles['balance-line']}>
          <Scale size={14} aria-hidden />{' '}
          <Link to={`${mapAddress(mapId, 'balance')}?move=${move.id}${met === 'none' ? '' : `&met=${met}`}`}>
            {option.balance.verdict}
          </Link>
        </p>
      )}
      {option.fit.map(({ effect, why }) => (
        <p key={why} className={`small mb-1 ${effect > 0 ? 'own' : ''}`}>
          <b>{effect > 0 ? `+${effect}` : effect}</b> {why}
        </p>
      ))}
      {/* The cue of the move that was tried does not say how its other way is done. */}
      {option.rank === 'ready' && done === move.name && move.cues[0] && (
        <p className={styles.cue}>“{move.cues[0]}”</p>
      )}
      <details className={styles.more}>
        <summary>
          {option.holdChanges} hold {option.holdChanges === 1 ? 'change' : 'changes'}
          {ways.length > 0 && `, ${ways.length} ${ways.length === 1 ? 'variation' : 'variations'}`}
        </summary>
        {option.releases.length > 0 && <p>Lets go: {say(option.releases)}.</p>}
        {option.keeps.length > 0 && <p>Keeps: {say(option.keeps)}.</p>}
        {option.free.length > 0 && <p>Left free: {free.join(', ') || 'nothing'}.</p>}
        {ways.length > 0 && <p>Variations that fit: {ways.map(({ name }) => name).join('; ')}.</p>}
        <p className="soft">
          {texts.whyHere} {orderWords(option)}.
        </p>
      </details>
      <div className="foot">
        <Hazards tags={option.hazards} />
        {option.legalWhy && (
          <span className={option.legal ? 'soft small' : 'hazard small'}>{option.legalWhy}.</span>
        )}
        {exchange && (
          <Miss
            leads={
              exchange.otherwise
                ? landingWords(map, exchange.otherwise, option.from.position)
                : 'you are still here'
            }
            steps={stepsOf(move, exchange).map(({ text }) => text)}
            onMiss={(after) => onMiss(option, after)}
          />
        )}
        {exchange && (
          <button
            type="button"
            className={`btn btn-sm ${option.rank === 'ready' ? 'btn-now' : 'btn-plain'}`}
            onClick={() => onTake(option)}
          >
            <ArrowRight size={15} aria-hidden /> {landingWords(map, exchange.to, option.from.position)}
          </button>
        )}
      </div>
    </article>
  );
}

/** "It fails": to its end, or after which of its steps. */
function Miss({
  leads,
  steps,
  onMiss,
}: {
  leads: string;
  steps: readonly string[];
  onMiss: (after?: number) => void;
}) {
  return (
    <Dropdown className={`ms-auto ${styles.miss}`}>
      <Dropdown.Toggle size="sm" variant="plain">
        If it fails
      </Dropdown.Toggle>
      <Dropdown.Menu align="end">
        <Dropdown.Header>→ {leads}</Dropdown.Header>
        <Dropdown.Item onClick={() => onMiss()}>at its end</Dropdown.Item>
        {steps.slice(0, -1).map((text, i) => (
          <Dropdown.Item key={`${i + 1} ${text}`} onClick={() => onMiss(i + 1)}>
            after step {i + 1}: <span className="soft">{text}</span>
          </Dropdown.Item>
        ))}
      </Dropdown.Menu>
    </Dropdown>
  );
}
