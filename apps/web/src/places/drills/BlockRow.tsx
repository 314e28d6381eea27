import {
  type Block,
  blockTime,
  type ClassPlan,
  type DrilledBlock,
  fillReps,
  type Issue,
  type RepSum,
} from '@aftersquall/core';
import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ArrowDown, ArrowUp, Droplets, GripVertical } from 'lucide-react';
import { ChoiceToggle } from '../../components/ChoiceToggle.tsx';
import { clock } from '../../components/clock.ts';
import { readNumber, SavedField } from '../../components/fields/SavedField.tsx';
import { Hazards } from '../../components/Hazards.tsx';
import { TakeOut } from '../../components/TakeOut.tsx';
import styles from './drills.module.scss';

interface Props {
  block: Block;
  plan: ClassPlan;
  start: number;
  /** It ends after the class does. */
  over: boolean;
  onChange: (block: Block) => Issue[];
  onRemove: () => void;
  onMove: (by: number) => void;
}

const KIND_WORDS = { setup: 'set-ups', answer: 'answer', chain: 'chain', rest: 'rest' } as const;

/** One block: when it begins, what is done, how often, and what each partner does. */
export function BlockRow({ block, plan, start, over, onChange, onRemove, onMove }: Props) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } =
    useSortable({ id: block.id });
  const style = {
    transform: CSS.Translate.toString(transform),
    transition: transition ?? undefined,
    opacity: isDragging ? 0.6 : 1,
  };
  return (
    <li
      ref={setNodeRef}
      style={style}
      className={`${styles.block} ${block.kind} ${over ? styles['is-over'] : ''}`}
      aria-label={block.title}
    >
      <button
        ref={setActivatorNodeRef}
        type="button"
        className={`bare ${styles.grip}`}
        aria-label={`Drag ${block.title}`}
        {...attributes}
        {...listeners}
      >
        <GripVertical size={18} aria-hidden />
      </button>
      <div className={styles.when}>
        <b>{clock(start)}</b>
        <span>{clock(blockTime(block, plan).total)}</span>
        {over && <span className="hazard small">over</span>}
      </div>
      <div className="what">
        <span className="label-small">{KIND_WORDS[block.kind]}</span>
        {block.kind === 'rest' ? (
          <Rest block={block} onChange={onChange} />
        ) : (
          <Drilled block={block} plan={plan} onChange={onChange} />
        )}
      </div>
      <div className={styles['side-buttons']}>
        <button
          type="button"
          className="bare"
          aria-label={`Move up: ${block.title}`}
          onClick={() => onMove(-1)}
        >
          <ArrowUp size={16} aria-hidden />
        </button>
        <button
          type="button"
          className="bare"
          aria-label={`Move down: ${block.title}`}
          onClick={() => onMove(1)}
        >
          <ArrowDown size={16} aria-hidden />
        </button>
        <TakeOut label={`Take out: ${block.title}`} onClick={onRemove} />
      </div>
    </li>
  );
}

function Rest({ block, onChange }: { block: Extract<Block, { kind: 'rest' }>; onChange: Props['onChange'] }) {
  return (
    <div className={styles['goal-line']}>
      <span className={styles['block-title']}>
        <Droplets size={16} aria-hidden /> {block.title}
      </span>
      <SavedField
        label="Seconds"
        hideLabel
        type="number"
        unit="s"
        value={String(block.seconds)}
        onSave={(text) => onChange({ ...block, seconds: readNumber(text) as number })}
      />
    </div>
  );
}

function Drilled({
  block,
  plan,
  onChange,
}: {
  block: DrilledBlock;
  plan: ClassPlan;
  onChange: Props['onChange'];
}) {
  const { turns, work } = blockTime(block, plan);
  const shifts = turns * block.sides;
  /** Sets one of the three; reps follow from minutes, minutes from reps or seconds per rep. */
  const fill = (given: Partial<RepSum>) => {
    try {
      const { reps, secondsPerRep } = fillReps(given, shifts);
      return onChange({ ...block, reps, secondsPerRep });
    } catch (error) {
      return (error as Error).message;
    }
  };
  const number = (text: string) => readNumber(text) ?? Number.NaN;
  return (
    <>
      <div className={styles['block-title']}>
        {block.title} <Hazards tags={block.hazards} />
      </div>
      {block.links.length > 1 && (
        <div className={styles.links}>
          {block.links.map((link, place) => (
            <span key={`${link.exchange}-${place}`}>
              {link.move}
              {link.meets && <span className="top"> · {link.meets}</span>}
            </span>
          ))}
        </div>
      )}
      <details className={styles.roles}>
        <summary>What each partner does</summary>
        <p>
          <b className="own">Bottom</b> {block.bottom}
        </p>
        <p>
          <b className="top">Top</b> {block.top}
        </p>
      </details>
      <div className={`${styles['goal-line']} numbers`}>
        <SavedField
          label="Reps each"
          type="number"
          value={String(block.reps)}
          onSave={(text) => fill({ reps: number(text), secondsPerRep: block.secondsPerRep })}
        />
        <SavedField
          label="Seconds a rep"
          type="number"
          value={String(block.secondsPerRep)}
          onSave={(text) => fill({ reps: block.reps, secondsPerRep: number(text) })}
        />
        <SavedField
          label="Minutes of work"
          type="number"
          value={String(Math.round((work / 60) * 10) / 10)}
          onSave={(text) => fill({ minutes: number(text), secondsPerRep: block.secondsPerRep })}
        />
        <SavedField
          label="Shown for"
          type="number"
          unit="s"
          value={String(block.demoSeconds)}
          onSave={(text) => onChange({ ...block, demoSeconds: number(text) })}
        />
        <ChoiceToggle
          label={`Sides of ${block.title}`}
          above="Sides"
          value={String(block.sides) as '1' | '2'}
          choices={[
            ['1', 'One'],
            ['2', 'Both'],
          ]}
          onChange={(sides) => onChange({ ...block, sides: sides === '1' ? 1 : 2 })}
        />
      </div>
    </>
  );
}
