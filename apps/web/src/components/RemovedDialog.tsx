import type { RemovedDocument } from '@aftersquall/core/contract';
import { format } from 'date-fns';
import { useState } from 'react';
import { Modal } from 'react-bootstrap';
import { useNavigate } from 'react-router';
import { refusalOf, useListRemovedQuery, useRestoreDocumentMutation } from '../store/api.ts';
import { openDocument } from '../store/documents/engine.ts';
import { useAppDispatch } from '../store/store.ts';
import { addressOfDocument } from './addresses.ts';
import { say } from './words.ts';

const WORDS = { map: 'map', class: 'class', club: 'club' } as const;

/** Maps and classes that were removed in the last thirty days, each given back whole at a tap. */
export function RemovedDialog({ onHide }: { onHide: () => void }) {
  const { data, error } = useListRemovedQuery({ params: {} }, { refetchOnMountOrArgChange: true });
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [restore] = useRestoreDocumentMutation();
  const [trouble, setTrouble] = useState('');
  const giveBack = async ({ kind, id }: RemovedDocument) => {
    const { error: refused } = await restore({ params: { kind, id } });
    if (refused) return setTrouble(refusalOf(refused).message);
    await dispatch(openDocument({ kind, id }));
    onHide();
    navigate(addressOfDocument({ kind, id }));
  };
  return (
    <Modal show onHide={onHide} animation={false} scrollable aria-labelledby="removed-title">
      <Modal.Header closeButton>
        <Modal.Title id="removed-title" as="h2">
          Removed
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <p>{say.removedThingsStayHere}</p>
        {(trouble || error) && (
          <p className="hazard" role="alert">
            {trouble || refusalOf(error).message}
          </p>
        )}
        {data?.length === 0 && <p className="soft">Nothing was removed.</p>}
        {data?.map((removed) => (
          <div key={`${removed.kind}/${removed.id}`} className="kept-line">
            <b>{removed.name}</b> <span className="soft">{WORDS[removed.kind]}</span>
            <p className="soft mb-1">
              Removed {format(new Date(removed.removedAt), 'd MMMM')}, kept until{' '}
              {format(new Date(removed.keptUntil), 'd MMMM')}.
            </p>
            <button
              type="button"
              className="btn btn-sm btn-plain"
              aria-label={`Give back ${removed.name}`}
              onClick={() => void giveBack(removed)}
            >
              Give it back
            </button>
          </div>
        ))}
      </Modal.Body>
    </Modal>
  );
}
