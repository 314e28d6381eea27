import {
  type Block,
  type ClassPlan,
  type Command,
  classSeconds,
  describeHead,
  edit,
  freshId,
  type GuardMap,
  type Issue,
  indexMap,
  landingWords,
  type PlannedClass,
  place,
  put,
  reactionName,
  remove,
  trioSeconds,
} from '@aftersquall/core';
import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { Droplets, Trash2 } from 'lucide-react';
import { ApparelToggle } from '../../components/ApparelToggle.tsx';
import { clock } from '../../components/clock.ts';
import { readNumber, SavedField } from '../../components/fields/SavedField.tsx';
import { changeDocument } from '../../store/documents/engine.ts';
import { useDocument } from '../../store/documents/useDocument.ts';
import { useAppDispatch } from '../../store/store.ts';
import { BlockRow } from './BlockRow.tsx';
import styles from './drills.module.scss';

interface Props {
  plan: ClassPlan;
  planned: PlannedClass | undefined;
  onRemove: (plan: ClassPlan) => Promise<void>;
}

/** A class as it will run: its blocks in order, each to be moved and changed, and the total against the time there is. */
export function ClassSheet({ plan, planned, onRemove }: Props) {
  const dispatch = useAppDispatch();
  const map = useDocument('map', plan.map)?.shown;
  const total = classSeconds(plan);
  const budget = plan.minutes * 60;
  const change = (command: Command, announce?: string): Issue[] =>
    dispatch(changeDocument({ kind: 'class', id: plan.id }, command, announce ? { announce } : {}));
  const changeHead = (
    field: 'name' | 'minutes' | 'people' | 'changeOverSeconds' | 'apparel',
    value: unknown,
  ) => change(describeHead([{ path: [field], value }]));
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const from = plan.blocks.findIndex(({ id }) => id === active.id);
    const to = plan.blocks.findIndex(({ id }) => id === over.id);
    move(from, to);
  };
  const move = (from: number, to: number) => {
    if (to >= 0 && to < plan.blocks.length) change(place('block', plan.blocks[from]!.id, to));
  };
  const addRest = () => {
    const taken = plan.blocks.map(({ id }) => id);
    change(put('block', { kind: 'rest', id: freshId('rest', taken), title: 'Water', note: '', seconds: 60 }));
  };

  let elapsed = 0;
  return (
    <div className={styles['class-sheet']}>
      <div className={styles['goal-line']}>
        <div className={styles.wide}>
          <SavedField label="Name" value={plan.name} onSave={(name) => changeHead('name', name)} />
        </div>
        <SavedField
          label="Minutes"
          type="number"
          value={String(plan.minutes)}
          onSave={(text) => changeHead('minutes', readNumber(text))}
        />
        <SavedField
          label="People"
          type="number"
          value={String(plan.people)}
          onSave={(text) => changeHead('people', readNumber(text))}
        />
        <SavedField
          label="Change-over"
          type="number"
          unit="s"
          value={String(plan.changeOverSeconds)}
          onSave={(text) => changeHead('changeOverSeconds', readNumber(text))}
        />
        <ApparelToggle
          above="Apparel"
          value={plan.apparel}
          onChange={(apparel) => changeHead('apparel', apparel)}
        />
        <button
          type="button"
          className="btn btn-sm btn-plain align-self-end"
          onClick={() => void onRemove(plan)}
        >
          <Trash2 size={14} aria-hidden /> Remove
        </button>
      </div>
      <TotalBar blocks={plan.blocks} plan={plan} total={total} budget={budget} />
      <div className="d-flex gap-3 align-items-center mb-2">
        {planned && (
          <span className="soft small">
            {planned.cover.chains.length} chains, {clock(planned.cover.cost)} to walk once
            {planned.cover.proved
              ? ', which is the least possible.'
              : `; no way takes less than ${clock(planned.cover.bound)}.`}
          </span>
        )}
      </div>
      <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
        <SortableContext items={plan.blocks.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
          <ol className={styles['block-list']}>
            {plan.blocks.map((block, at) => {
              const start = elapsed;
              elapsed += classSeconds({ ...plan, blocks: [block] });
              return (
                <BlockRow
                  key={block.id}
                  block={block}
                  plan={plan}
                  start={start}
                  over={elapsed > budget}
                  onChange={(next) => change(edit('block', block, next))}
                  onRemove={() => change(remove('block', block.id), `Took out “${block.title}”.`)}
                  onMove={(by) => move(at, at + by)}
                />
              );
            })}
          </ol>
        </SortableContext>
      </DndContext>
      {plan.blocks.length === 0 && (
        <p>Nothing fits into {plan.minutes} minutes. Take more time or fewer goals.</p>
      )}
      <button type="button" className="btn btn-sm btn-plain" onClick={addRest}>
        <Droplets size={14} aria-hidden /> Add water
      </button>
      {map && plan.leftOver.length > 0 && <LeftOver map={map} ids={plan.leftOver} />}
    </div>
  );
}

function TotalBar({
  blocks,
  plan,
  total,
  budget,
}: {
  blocks: Block[];
  plan: ClassPlan;
  total: number;
  budget: number;
}) {
  const scale = Math.max(total, budget, 1);
  const over = total > budget;
  const trio = trioSeconds(plan);
  return (
    <div className={`${styles.total} ${over ? 'over' : ''}`}>
      <div className={styles['total-bar']} aria-hidden>
        {blocks.map((block) => (
          <span
            key={block.id}
            className={block.kind}
            style={{ width: `${(classSeconds({ ...plan, blocks: [block] }) / scale) * 100}%` }}
          />
        ))}
        <i style={{ left: `${(budget / scale) * 100}%` }} />
      </div>
      <b>
        {clock(total)} of {clock(budget)}
      </b>
      {trio > 0 && (
        <span className="soft">
          {clock(trio)} of it because {plan.people} is odd: in the trio three take turns
        </span>
      )}
      <span>{over ? `${clock(total - budget)} too long` : `${clock(budget - total)} free`}</span>
    </div>
  );
}

function LeftOver({ map, ids }: { map: GuardMap; ids: string[] }) {
  const index = indexMap(map);
  return (
    <section className="mt-3">
      <h3>Did not fit: {ids.length} for another class</h3>
      <ul>
        {ids.map((id) => {
          const exchange = index.exchange.get(id);
          const move = exchange && index.move.get(exchange.move);
          return (
            <li key={id}>
              {move?.name ?? id}
              {exchange && exchange.reaction !== 'none' && (
                <span className="top"> · {reactionName(map, exchange.reaction)}</span>
              )}
              {exchange && <span className="soft"> → {landingWords(map, exchange.to)}</span>}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
