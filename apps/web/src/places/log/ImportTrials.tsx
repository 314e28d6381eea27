import { type ReadTrials, readTrials } from '@aftersquall/core/log';
import { type Club, type GuardMap } from '@aftersquall/core/model';
import { FileUp } from 'lucide-react';
import { useState } from 'react';
import { Modal } from 'react-bootstrap';
import { keepAndSend } from '../../store/records/records.ts';
import { say } from './words.ts';

interface Props {
  map: GuardMap;
  athletes: Club['athletes'];
  onKept: () => void;
}

/** Tries from a CSV file: read first, said line by line what is wrong, and kept only when that is accepted. */
export function ImportTrials({ map, athletes, onKept }: Props) {
  const [read, setRead] = useState<ReadTrials>();
  const close = () => setRead(undefined);
  const wrong = read?.issues.length ?? 0;
  return (
    <>
      <label className="btn btn-sm btn-plain mb-0">
        <FileUp size={15} aria-hidden /> Tries from CSV
        <input
          type="file"
          accept=".csv,text/csv"
          className="visually-hidden"
          aria-label="Tries from CSV"
          onChange={async (event) => {
            const file = event.target.files?.[0];
            event.target.value = '';
            if (file) setRead(readTrials(map, athletes, await file.text()));
          }}
        />
      </label>
      {read && (
        <Modal show onHide={close} aria-labelledby="tries-title" animation={false}>
          <Modal.Header closeButton>
            <Modal.Title id="tries-title" as="h2">
              {read.records.length} {read.records.length === 1 ? 'try' : 'tries'} read
            </Modal.Title>
          </Modal.Header>
          <Modal.Body>
            {wrong > 0 ? (
              <>
                <p>
                  {wrong} {wrong === 1 ? 'line is' : 'lines are'} wrong. Nothing is saved until you say so.
                </p>
                <ul>
                  {read.issues.slice(0, 50).map(({ line, message }) => (
                    <li key={line}>
                      Line {line}: {message}
                    </li>
                  ))}
                </ul>
              </>
            ) : (
              <p>{say.allLinesReadTries}</p>
            )}
          </Modal.Body>
          <Modal.Footer>
            <button type="button" className="btn btn-plain" onClick={close}>
              Cancel
            </button>
            <button
              type="button"
              className="btn btn-now"
              disabled={read.records.length === 0}
              onClick={() => {
                void keepAndSend(read.records).then(onKept);
                close();
              }}
            >
              {wrong > 0 ? `Keep the other ${read.records.length}` : 'Keep them'}
            </button>
          </Modal.Footer>
        </Modal>
      )}
    </>
  );
}
