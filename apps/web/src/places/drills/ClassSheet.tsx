import {
  type Block,
  type ClassPlan,
  ClassSchema,
  classSeconds,
  freshId,
  type GuardMap,
  type Issue,
  indexMap,
  landingWords,
  type PlannedClass,
  reactionName,
  zodIssues,
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
import { useRef, useState } from 'react';
import { ApparelToggle } from '../../components/ApparelToggle.tsx';
import { readNumber, SavedField } from '../../components/fields/SavedField.tsx';
import { refusalOf, type StoredClass, useSaveClassMutation } from '../../store/api.ts';
import { BlockRow } from './BlockRow.tsx';
import { clock } from './clock.ts';

interface Props {
  stored: StoredClass;
  map: GuardMap;
  planned: PlannedClass | undefined;
  onRemove: () => void;
}

/** A class as it will run: its blocks in order, each to be moved and changed, and the total against the time there is. */
export function ClassSheet({ stored, map, planned, onRemove }: Props) {
  const [plan, setPlan] = useState(stored.plan);
  const [trouble, setTrouble] = useState('');
  const [theirs, setTheirs] = useState<StoredClass>();
  const [saveClass, { isLoading }] = useSaveClassMutation();
  const revision = useRef(stored.revision);
  const last = useRef(Promise.resolve());
  const total = classSeconds(plan);
  const budget = plan.minutes * 60;

  /** Shows a change at once and saves it; changes are saved one after the other. */
  const change = (changes: Partial<ClassPlan>): Issue[] => {
    const parsed = ClassSchema.safeParse({ ...plan, ...changes });
    if (!parsed.success) return zodIssues(parsed.error);
    setPlan(parsed.data);
    last.current = last.current.then(() => save(parsed.data));
    return [];
  };
  const save = async (next: ClassPlan) => {
    const { data, error } = await saveClass({ revision: revision.current, plan: next });
    if (data) {
      revision.current = data.revision;
      setTrouble('');
      return;
    }
    const refusal = refusalOf(error);
    setTrouble(refusal.message);
    if (refusal.status === 409) setTheirs(refusal.body as StoredClass);
  };
  const settle = (keepMine: boolean) => {
    if (!theirs) return;
    revision.current = theirs.revision;
    setTheirs(undefined);
    setTrouble('');
    if (keepMine) change({});
    else setPlan(theirs.plan);
  };

  const setBlocks = (blocks: Block[]) => change({ blocks });
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const from = plan.blocks.findIndex(({ id }) => id === active.id);
    const to = plan.blocks.findIndex(({ id }) => id === over.id);
    setBlocks(plan.blocks.toSpliced(from, 1).toSpliced(to, 0, plan.blocks[from]!));
  };
  const move = (from: number, to: number) => {
    if (to < 0 || to >= plan.blocks.length) return;
    setBlocks(plan.blocks.toSpliced(from, 1).toSpliced(to, 0, plan.blocks[from]!));
  };
  const addRest = () =>
    setBlocks([
      ...plan.blocks,
      {
        kind: 'rest',
        id: freshId(
          'rest',
          plan.blocks.map(({ id }) => id),
        ),
        title: 'Water',
        note: '',
        seconds: 60,
      },
    ]);

  let elapsed = 0;
  return (
    <div className="class-sheet">
      <div className="goal-line">
        <div className="wide">
          <SavedField label="Name" value={plan.name} onSave={(name) => change({ name })} />
        </div>
        <SavedField
          label="Minutes"
          type="number"
          value={String(plan.minutes)}
          onSave={(text) => change({ minutes: readNumber(text) as number })}
        />
        <SavedField
          label="People"
          type="number"
          value={String(plan.people)}
          onSave={(text) => change({ people: readNumber(text) as number })}
        />
        <SavedField
          label="Change-over"
          type="number"
          unit="s"
          value={String(plan.changeOverSeconds)}
          onSave={(text) => change({ changeOverSeconds: readNumber(text) as number })}
        />
        <ApparelToggle above="Apparel" value={plan.apparel} onChange={(apparel) => change({ apparel })} />
        <button type="button" className="btn btn-sm btn-plain align-self-end" onClick={onRemove}>
          <Trash2 size={14} aria-hidden /> Remove
        </button>
      </div>
      <TotalBar blocks={plan.blocks} plan={plan} total={total} budget={budget} />
      <div className="d-flex gap-3 align-items-center mb-2">
        <span className={trouble ? 'hazard' : 'soft small'} role={trouble ? 'alert' : 'status'}>
          {trouble ? `Not saved: ${trouble}` : isLoading ? 'Saving' : 'Saved'}
        </span>
        {theirs && (
          <>
            <span>
              Theirs: “{theirs.plan.name}”, {theirs.plan.blocks.length} blocks. Yours: “{plan.name}”,{' '}
              {plan.blocks.length} blocks.
            </span>
            <button type="button" className="btn btn-sm btn-plain" onClick={() => settle(false)}>
              Take theirs
            </button>
            <button type="button" className="btn btn-sm btn-now" onClick={() => settle(true)}>
              Keep mine
            </button>
          </>
        )}
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
          <ol className="block-list">
            {plan.blocks.map((block, place) => {
              const start = elapsed;
              elapsed += classSeconds({ ...plan, blocks: [block] });
              return (
                <BlockRow
                  key={block.id}
                  block={block}
                  plan={plan}
                  start={start}
                  over={elapsed > budget}
                  onChange={(next) => setBlocks(plan.blocks.with(place, next))}
                  onRemove={() => setBlocks(plan.blocks.toSpliced(place, 1))}
                  onMove={(by) => move(place, place + by)}
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
      {plan.leftOver.length > 0 && <LeftOver map={map} ids={plan.leftOver} />}
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
  return (
    <div className={`total ${over ? 'over' : ''}`}>
      <div className="total-bar" aria-hidden>
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
