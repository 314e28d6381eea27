import { describeHead } from '@aftersquall/core/documents';
import { type BookFile, printMapFile } from '@aftersquall/core/formats';
import { emptyMap, freshId, type GuardMap, NameSchema, type System } from '@aftersquall/core/model';
import { ChevronDown } from 'lucide-react';
import { type ChangeEvent, useRef, useState } from 'react';
import { Dropdown, Modal } from 'react-bootstrap';
import { useNavigate } from 'react-router';
import { mapAddress } from '../../components/addresses.ts';
import { FileIssues } from '../../components/FileIssues.tsx';
import { NameDialog } from '../../components/NameDialog.tsx';
import { RemovedDialog } from '../../components/RemovedDialog.tsx';
import { type FileRefusal, readMapFile } from '../../components/readMapFile.ts';
import { saveFile } from '../../components/saveFile.ts';
import { refusalOf, useListDocumentsQuery, useRemoveDocumentMutation } from '../../store/api.ts';
import { createFresh } from '../../store/documents/createFresh.ts';
import { forgetDocument } from '../../store/documents/engine.ts';
import { notify } from '../../store/notices.ts';
import { changeMap } from '../../store/openMap.ts';
import { useAppDispatch } from '../../store/store.ts';
import { AddFromBook } from './book/AddFromBook.tsx';
import { BookDialog } from './book/BookDialog.tsx';
import { exportBook } from './book/exportBook.ts';
import styles from './map.module.scss';
import { say } from './words.ts';

type Asking = 'new' | 'copy' | 'rename';
const TITLES: Record<Asking, string> = {
  new: 'New map',
  copy: 'Duplicate this map',
  rename: 'Rename this map',
};

/** The map's name, and behind it the maps there are and what can be done with this one. */
export function MapMenu({ map, system }: { map: GuardMap; system: System | undefined }) {
  const { data: maps = [] } = useListDocumentsQuery({ params: { kind: 'map' } });
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [removeDocument] = useRemoveDocumentMutation();
  const [asking, setAsking] = useState<Asking>();
  const [refused, setRefused] = useState<FileRefusal & { file: string }>();
  const file = useRef<HTMLInputElement>(null);
  const bookFile = useRef<HTMLInputElement>(null);
  const [book, setBook] = useState<BookFile[]>();
  const [adding, setAdding] = useState(false);
  const [showRemoved, setShowRemoved] = useState(false);
  const taken = maps.map(({ id }) => id);

  /** A map that is here already comes in beside it, never over it. */
  const bringIn = async (next: GuardMap, from: string) => {
    const names = maps.map(({ head }) => head.name);
    const made = await dispatch(createFresh('map', { ...next, name: freshName(next.name, names) }, taken));
    if (made.refusal) setRefused({ file: from, ...made.refusal });
    else navigate(mapAddress(made.id));
  };
  const answer = async (name: string) => {
    const id = freshId(name, taken);
    if (asking === 'rename') dispatch(changeMap(describeHead([{ path: ['name'], value: name }])));
    else await bringIn(asking === 'copy' ? { ...map, id, name } : emptyMap(id, name), name);
    setAsking(undefined);
  };
  const read = async (event: ChangeEvent<HTMLInputElement>) => {
    const chosen = event.target.files?.[0];
    event.target.value = '';
    if (!chosen) return;
    const { map: next, refusal } = await readMapFile(chosen);
    if (next) await bringIn(next, chosen.name);
    else setRefused({ file: chosen.name, ...refusal });
  };
  const readBook = async (event: ChangeEvent<HTMLInputElement>) => {
    const chosen = [...(event.target.files ?? [])];
    event.target.value = '';
    if (chosen.length === 0) return;
    setBook(await Promise.all(chosen.map(async (one) => ({ name: one.name, text: await one.text() }))));
  };
  const remove = async () => {
    const address = { kind: 'map' as const, id: map.id };
    const gone = await removeDocument({ params: address });
    if (gone.error) return setRefused({ file: map.name, ...refusalOf(gone.error) });
    dispatch(notify({ text: say.removedMapCanGive(map.name), removed: address }));
    dispatch(forgetDocument(address));
    const next = maps.find(({ id }) => id !== map.id);
    navigate(next ? mapAddress(next.id) : '/');
  };
  return (
    <>
      <Dropdown>
        <h1>
          <Dropdown.Toggle as="button" type="button" className={styles['map-name']}>
            {map.name} <ChevronDown size={17} aria-hidden />
          </Dropdown.Toggle>
        </h1>
        <Dropdown.Menu>
          {maps
            .filter(({ id }) => id !== map.id)
            .map(({ id, head }) => (
              <Dropdown.Item key={id} onClick={() => navigate(mapAddress(id))}>
                {head.name}
              </Dropdown.Item>
            ))}
          {maps.length > 1 && <Dropdown.Divider />}
          <Dropdown.Item onClick={() => setAsking('new')}>New map…</Dropdown.Item>
          <Dropdown.Item onClick={() => setAsking('copy')}>Duplicate this map…</Dropdown.Item>
          <Dropdown.Item onClick={() => setAsking('rename')}>Rename…</Dropdown.Item>
          <Dropdown.Divider />
          <Dropdown.Item onClick={() => file.current?.click()}>{say.importMapFile}</Dropdown.Item>
          <Dropdown.Item
            onClick={() => saveFile(`${map.id}.map.json`, printMapFile(map), 'application/json')}
          >
            Export as a map file
          </Dropdown.Item>
          <Dropdown.Item onClick={() => setAdding(true)}>{say.addBook}</Dropdown.Item>
          <Dropdown.Item onClick={() => bookFile.current?.click()}>{say.readGuardBook}</Dropdown.Item>
          <Dropdown.Item onClick={() => exportBook(map, 'one file')}>Export as a guard book</Dropdown.Item>
          <Dropdown.Item onClick={() => exportBook(map, 'a file a system')}>
            Export as a guard book, a file a system
          </Dropdown.Item>
          {system && (
            <Dropdown.Item onClick={() => exportBook(map, { system: system.id })}>
              Export “{system.name}” as a guard book
            </Dropdown.Item>
          )}
          <Dropdown.Item href={`/api/maps/${map.id}/graphml`} download={`${map.id}.graphml`}>
            Export as GraphML
          </Dropdown.Item>
          <Dropdown.Divider />
          <Dropdown.Item onClick={() => setShowRemoved(true)}>{say.removedMapsClasses}</Dropdown.Item>
          <Dropdown.Item onClick={() => void remove()}>Remove this map</Dropdown.Item>
        </Dropdown.Menu>
      </Dropdown>
      <input
        ref={file}
        type="file"
        accept=".json,application/json"
        className="d-none"
        aria-label="Map file"
        onChange={(event) => void read(event)}
      />
      <input
        ref={bookFile}
        type="file"
        accept=".md,text/markdown"
        multiple
        className="d-none"
        aria-label="Guard book files"
        onChange={(event) => void readBook(event)}
      />
      {showRemoved && <RemovedDialog onHide={() => setShowRemoved(false)} />}
      {adding && <AddFromBook map={map} onHide={() => setAdding(false)} />}
      {book && <BookDialog map={map} files={book} onHide={() => setBook(undefined)} />}
      {asking && (
        <NameDialog
          title={TITLES[asking]}
          name={
            asking === 'copy'
              ? NameSchema.parse(`${map.name} (copy)`.slice(0, 120))
              : asking === 'rename'
                ? map.name
                : ''
          }
          onName={(name) => void answer(name)}
          onHide={() => setAsking(undefined)}
        />
      )}
      {refused && (
        <Modal show onHide={() => setRefused(undefined)} aria-labelledby="refused-title" scrollable>
          <Modal.Header closeButton>
            <Modal.Title id="refused-title" as="h2">
              “{refused.file}” was not opened
            </Modal.Title>
          </Modal.Header>
          <Modal.Body>
            <p>{refused.message} Nothing was changed.</p>
            <FileIssues issues={refused.issues} />
          </Modal.Body>
        </Modal>
      )}
    </>
  );
}

/** A name that none of the others has: “Club”, “Club (2)”, “Club (3)”. */
function freshName(name: string, others: readonly string[]): string {
  if (!others.includes(name)) return name;
  let count = 2;
  while (others.includes(`${name} (${count})`)) count++;
  return `${name} (${count})`.slice(0, 120);
}
