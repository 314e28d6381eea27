import { doseWords } from '@aftersquall/core/formats';
import { blockTime, classSeconds, resizeBlock } from '@aftersquall/core/lesson';
import { type Block, blockName, type ClassPlan } from '@aftersquall/core/model';
import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  horizontalListSortingStrategy,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import { clock } from '../../components/clock.ts';
import styles from './timeLine.module.scss';

interface Props {
  plan: ClassPlan;
  open: string | undefined;
  onOpen: (id: string) => void;
  onMove: (id: string, to: number) => void;
  onChange: (before: Block, after: Block) => void;
  /** What a key on a block asks for. */
  onKey: (block: Block, key: 'duplicate' | 'split' | 'remove') => void;
}

/** The class as bars on its minutes: dragged into another order, made longer at their edge, opened one at a time. */
export function TimeLine({ plan, open, onOpen, onMove, onChange, onKey }: Props) {
  const line = useRef<HTMLOListElement>(null);
  const total = classSeconds(plan);
  const budget = plan.minutes * 60;
  const scale = Math.max(total, budget, 1);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id)
      onMove(
        String(active.id),
        plan.blocks.findIndex(({ id }) => id === over.id),
      );
  };
  const secondsOf = (pixels: number) => (pixels / (line.current?.clientWidth ?? 1)) * scale;
  let at = 0;
  return (
    <div className={styles['time-line']}>
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
        <SortableContext items={plan.blocks.map(({ id }) => id)} strategy={horizontalListSortingStrategy}>
          <ol ref={line} aria-label="Time line">
            {plan.blocks.map((block, place) => {
              const start = at;
              at += blockTime(block, plan).total;
              return (
                <Bar
                  key={block.id}
                  block={block}
                  plan={plan}
                  start={start}
                  scale={scale}
                  over={at > budget}
                  open={block.id === open}
                  secondsOf={secondsOf}
                  onOpen={() => onOpen(block.id)}
                  onMove={(by) => onMove(block.id, place + by)}
                  onChange={(next) => onChange(block, next)}
                  onKey={(key) => onKey(block, key)}
                />
              );
            })}
          </ol>
        </SortableContext>
      </DndContext>
      <div className={styles.minutes} aria-hidden>
        {Array.from({ length: Math.ceil(scale / 600) }, (_, i) => (
          <span key={i * 10} style={{ left: `${((i * 600) / scale) * 100}%` }}>
            {i * 10}
          </span>
        ))}
        <i style={{ left: `${(budget / scale) * 100}%` }} />
      </div>
    </div>
  );
}

interface BarProps {
  block: Block;
  plan: ClassPlan;
  start: number;
  scale: number;
  over: boolean;
  open: boolean;
  secondsOf: (pixels: number) => number;
  onOpen: () => void;
  onMove: (by: number) => void;
  onChange: (block: Block) => void;
  onKey: (key: 'duplicate' | 'split' | 'remove') => void;
}

function Bar({
  block,
  plan,
  start,
  scale,
  over,
  open,
  secondsOf,
  onOpen,
  onMove,
  onChange,
  onKey,
}: BarProps) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: block.id,
  });
  const [sized, setSized] = useState<Block>();
  const from = useRef(0);
  const shown = sized ?? block;
  const { total } = blockTime(shown, plan);
  const resized = (event: PointerEvent) =>
    resizeBlock(block, blockTime(block, plan).total + secondsOf(event.clientX - from.current), plan);
  const longer = (by: number) => {
    const now = blockTime(block, plan).total;
    for (
      let seconds = now + by * 15;
      seconds > 0 && seconds < now + 3600 && seconds > now - 3600;
      seconds += by * 15
    ) {
      const next = resizeBlock(block, seconds, plan);
      if (blockTime(next, plan).total !== now) return onChange(next);
    }
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const act: Record<string, () => void> = {
      ArrowLeft: () => onMove(-1),
      ArrowRight: () => onMove(1),
      d: () => onKey('duplicate'),
      s: () => onKey('split'),
    };
    const plain: Record<string, () => void> = {
      '+': () => longer(1),
      '-': () => longer(-1),
      Delete: () => onKey('remove'),
    };
    const todo = event.altKey ? act[event.key] : plain[event.key];
    if (!todo) return listeners?.onKeyDown?.(event);
    event.preventDefault();
    todo();
  };
  return (
    <li
      ref={setNodeRef}
      aria-label={block.title}
      className={`${styles[block.kind]} ${open ? styles.open : ''} ${over ? styles.over : ''}`}
      style={{
        width: `${(total / scale) * 100}%`,
        transform: CSS.Translate.toString(transform),
        transition: transition ?? undefined,
        zIndex: isDragging ? 2 : undefined,
      }}
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        aria-pressed={open}
        title={`${clock(start)} ${block.title}: ${clock(total)}${doseWords(shown) && `, ${doseWords(shown)}`}`}
        onClick={onOpen}
        onFocus={onOpen}
        onKeyDown={onKeyDown}
      >
        <small>{clock(start)}</small>
        <b>{block.title}</b>
        <small>{sized ? clock(total) : blockName(block.kind)}</small>
      </button>
      <span
        className={styles.edge}
        aria-hidden
        onPointerDown={(event) => {
          event.stopPropagation();
          event.currentTarget.setPointerCapture(event.pointerId);
          from.current = event.clientX;
          setSized(block);
        }}
        onPointerMove={(event) => sized && setSized(resized(event))}
        onPointerUp={(event) => {
          const next = resized(event);
          setSized(undefined);
          if (blockTime(next, plan).total !== blockTime(block, plan).total) onChange(next);
        }}
        onPointerCancel={() => setSized(undefined)}
      />
    </li>
  );
}
