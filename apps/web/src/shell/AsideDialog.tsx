import { CommandSchema, commandOf, type DocumentKindName } from '@aftersquall/core/documents';
import { type PracticeRecord } from '@aftersquall/core/model';
import { useCallback, useEffect, useState } from 'react';
import { Modal } from 'react-bootstrap';
import { z } from 'zod';
import { saveFile } from '../components/saveFile.ts';
import type { Aside, Waiting } from '../device/db.ts';
import { device } from '../device/device.ts';
import { changeDocument, openDocument } from '../store/documents/engine.ts';
import { takeUpRecord } from '../store/records/records.ts';
import { useAppDispatch } from '../store/store.ts';
import { say } from './words.ts';

/** What is put aside on this device, the oldest first; follows what any tab puts there. */
export function useAside(): Aside[] {
  const [all, setAll] = useState<Aside[]>([]);
  const read = useCallback(
    () =>
      void device.aside
        .all()
        .then(setAll)
        .catch(() => undefined),
    [],
  );
  useEffect(() => {
    read();
    return device.db.hear(({ store }) => {
      if (store === 'aside') read();
    });
  }, [read]);
  return all;
}

const CommandsSchema = z.array(CommandSchema).min(1);

interface Props {
  all: readonly Aside[];
  onHide: () => void;
}

/** What the server did not take, or the program cannot read: try it again, save it as a file, or remove it. */
export function AsideDialog({ all, onHide }: Props) {
  return (
    <Modal show onHide={onHide} animation={false} scrollable aria-labelledby="aside-title">
      <Modal.Header closeButton>
        <Modal.Title id="aside-title" as="h2">
          Put aside on this device
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <p>{say.serverDoesNotHave}</p>
        {all.length === 0 && <p className="soft">{say.nothingPutAside}</p>}
        {all.map((one) => (
          <OneAside key={one.key} aside={one} />
        ))}
      </Modal.Body>
      <Modal.Footer>
        <button
          type="button"
          className="btn btn-plain"
          disabled={all.length === 0}
          onClick={() => saveFile('put-aside.json', JSON.stringify(all, null, 2), 'application/json')}
        >
          Save all as a file
        </button>
      </Modal.Footer>
    </Modal>
  );
}

function OneAside({ aside }: { aside: Aside }) {
  const dispatch = useAppDispatch();
  const [trouble, setTrouble] = useState('');
  const { key, what, title, why, address, item } = aside;
  const remove = () => void device.aside.remove(key);
  const retry = async () => {
    if (what === 'record') return takeUpRecord(item as PracticeRecord);
    const [kind, id] = (address ?? '').split('/') as [DocumentKindName, string];
    await dispatch(openDocument({ kind, id }));
    const { data: commands } = CommandsSchema.safeParse((item as Partial<Waiting>).commands);
    if (!commands) return setTrouble('this program cannot read it');
    const issues = dispatch(changeDocument({ kind, id }, commandOf(commands)));
    if (issues.length > 0) setTrouble(issues.map(({ message }) => message).join('; '));
    else remove();
  };
  return (
    <div className="kept-line">
      <b>{title}</b>
      <p className="soft mb-1">{why}</p>
      {trouble && (
        <p className="hazard mb-1" role="alert">
          {say.serverStillRefuses} {trouble}.
        </p>
      )}
      <div className="d-flex gap-2">
        {what !== 'run' && (
          <button type="button" className="btn btn-sm btn-plain" onClick={() => void retry()}>
            Try again
          </button>
        )}
        <button
          type="button"
          className="btn btn-sm btn-plain"
          onClick={() => saveFile(`${what}-${key}.json`, JSON.stringify(aside, null, 2), 'application/json')}
        >
          Save as a file
        </button>
        <button
          type="button"
          className="btn btn-sm btn-plain"
          onClick={remove}
          aria-label={`Remove ${title}`}
        >
          Remove
        </button>
      </div>
    </div>
  );
}
