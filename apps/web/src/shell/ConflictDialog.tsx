import { ENTITY_KINDS, type GuardMap, LIST_OF } from '@aftersquall/core';
import { useState } from 'react';
import { Modal } from 'react-bootstrap';
import { type Conflict, settleConflict, told } from '../store/mapSession.ts';
import { useAppDispatch } from '../store/store.ts';

interface Difference {
  kind: string;
  id: string;
  mine: string;
  theirs: string;
}

/** What two versions of a map say differently, thing by thing. */
function differences(mine: GuardMap, theirs: GuardMap): Difference[] {
  const show = (thing: object | undefined) => (thing ? JSON.stringify(thing, null, 1) : '(not there)');
  return ENTITY_KINDS.flatMap((kind) => {
    const ours = new Map(mine[LIST_OF[kind]].map((thing) => [thing.id, thing as object]));
    const others = new Map(theirs[LIST_OF[kind]].map((thing) => [thing.id, thing as object]));
    return [...new Set([...ours.keys(), ...others.keys()])]
      .map((id) => ({ kind, id, mine: show(ours.get(id)), theirs: show(others.get(id)) }))
      .filter((row) => row.mine !== row.theirs);
  });
}

/** Shown when the map was changed elsewhere: both versions, and the coach decides. */
export function ConflictDialog({ conflict }: { conflict: Conflict }) {
  const dispatch = useAppDispatch();
  const [refused, setRefused] = useState('');
  const rows = differences(conflict.mine, conflict.theirs.map);
  const keepMine = () => {
    const issues = dispatch(settleConflict(true));
    if (issues.length > 0) {
      setRefused(issues.map((issue) => issue.message).join('; '));
      dispatch(told(`Your change no longer fits: ${issues[0]!.message}.`));
    }
  };
  return (
    <Modal show size="lg" backdrop="static" keyboard={false} aria-labelledby="conflict-title">
      <Modal.Header>
        <Modal.Title id="conflict-title" as="h2">
          This map was changed elsewhere
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <p>Nothing is lost yet. These things differ between your version and the one that was saved.</p>
        {refused && <p className="hazard">{refused}</p>}
        <table className="table table-sm">
          <thead>
            <tr>
              <th>What</th>
              <th>Yours</th>
              <th>Saved elsewhere</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={`${row.kind}/${row.id}`}>
                <td>
                  {row.kind} <b>{row.id}</b>
                </td>
                <td>
                  <pre className="mb-0 small">{row.mine}</pre>
                </td>
                <td>
                  <pre className="mb-0 small">{row.theirs}</pre>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </Modal.Body>
      <Modal.Footer>
        <button type="button" className="btn btn-plain" onClick={() => dispatch(settleConflict(false))}>
          Take the saved version
        </button>
        <button type="button" className="btn btn-now" onClick={keepMine}>
          Make my change again on top of it
        </button>
      </Modal.Footer>
    </Modal>
  );
}
