import { say } from './words.ts';
import './shell.module.scss';
import { type GuardBook, pickSystems } from '@aftersquall/core/formats';
import { emptyMap, freshId, type GuardMap, NameSchema } from '@aftersquall/core/model';
import { zodResolver } from '@hookform/resolvers/zod';
import { type ChangeEvent, useRef, useState } from 'react';
import { Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { Navigate, useNavigate } from 'react-router';
import { z } from 'zod';
import { mapAddress, tonightAddress } from '../components/addresses.ts';
import { BookSystems } from '../components/book/BookSystems.tsx';
import { FileIssues } from '../components/FileIssues.tsx';
import { RemovedDialog } from '../components/RemovedDialog.tsx';
import { type FileRefusal, readMapFile } from '../components/readMapFile.ts';
import { refusalOf, useListDocumentsQuery } from '../store/api.ts';
import { createFresh } from '../store/documents/createFresh.ts';
import { selectMapId } from '../store/openMap.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { useTheme } from '../theme/useTheme.ts';
import { Notices } from './Notices.tsx';

const NewMap = z.object({ name: NameSchema });

/** Where one begins: the map there is, or the first one to be named. */
export function FirstMap() {
  useTheme();
  const { data, error, isFetching, refetch } = useListDocumentsQuery(
    { params: { kind: 'map' } },
    { refetchOnMountOrArgChange: true },
  );
  // What is known from before may be gone by now.
  const settled = useRef(false);
  if (!isFetching) settled.current = true;
  // Asked again later, the page stays: what is being typed or opened must not go under one's hands.
  const maps = isFetching && !settled.current ? undefined : data;
  const dispatch = useAppDispatch();
  const last = useAppSelector(selectMapId);
  const navigate = useNavigate();
  // A new map opens itself, without going through the first page.
  const isMaking = useRef(false);
  const [refused, setRefused] = useState<FileRefusal>();
  const [showRemoved, setShowRemoved] = useState(false);
  const [chosen, setChosen] = useState<{ ids: ReadonlySet<string>; book?: GuardBook }>({ ids: new Set() });
  const form = useForm<z.infer<typeof NewMap>>({
    resolver: zodResolver(NewMap),
    defaultValues: { name: '' },
  });

  if (error) {
    return (
      <div className="teach">
        <h1>Aftersquall is not answering</h1>
        <p>
          {refusalOf(error).message} {say.stillRunningWindow}
        </p>
        <button type="button" className="btn btn-now" onClick={() => void refetch()}>
          Try again
        </button>
      </div>
    );
  }
  if (!maps) return null;
  const first = maps.find(({ id }) => id === last) ?? maps[0];
  if (first && !isMaking.current) return <Navigate to={tonightAddress} replace />;

  const keep = async (map: GuardMap) => {
    isMaking.current = true;
    const made = await dispatch(createFresh('map', map));
    isMaking.current = !made.refusal;
    if (made.refusal) form.setError('name', { message: made.refusal.message });
    else navigate(mapAddress(made.id));
  };
  const begin = form.handleSubmit(({ name }) => {
    const picked = chosen.book && chosen.ids.size > 0 && pickSystems(chosen.book, [...chosen.ids]);
    return keep({ ...emptyMap(freshId(name, []), name), ...picked });
  });
  const openFile = async (event: ChangeEvent<HTMLInputElement>) => {
    const input = event.target;
    const file = input.files?.[0];
    input.value = '';
    setRefused(undefined);
    if (!file) return;
    const { map, refusal } = await readMapFile(file);
    if (map) await keep(map);
    else setRefused(refusal);
  };
  const trouble = form.formState.errors.name?.message;
  return (
    <main className="teach wide">
      <Notices />
      <h1>Name your first map</h1>
      <p>{say.mapHoldsGuardsTeach}</p>
      <Form onSubmit={begin} noValidate>
        <Form.Group controlId="map-name" className="mb-2">
          <Form.Label>Name of the map</Form.Label>
          <Form.Control {...form.register('name')} isInvalid={Boolean(trouble)} autoFocus />
          <Form.Control.Feedback type="invalid">{trouble}</Form.Control.Feedback>
        </Form.Group>
        <fieldset className="mb-3">
          <legend className="form-label">Start with guards from our book, or with an empty map</legend>
          <BookSystems chosen={chosen.ids} onChange={(ids, book) => setChosen({ ids, book })} />
        </fieldset>
        <button type="submit" className="btn btn-now">
          {chosen.ids.size === 0
            ? 'Start the map'
            : `Start with ${chosen.ids.size} ${chosen.ids.size === 1 ? 'system' : 'systems'}`}
        </button>{' '}
        <label className="btn btn-plain">
          or open a map file
          <input
            type="file"
            accept=".json,application/json"
            className="visually-hidden"
            aria-label="Map file"
            onChange={(event) => void openFile(event)}
          />
        </label>{' '}
        <button type="button" className="btn btn-plain" onClick={() => setShowRemoved(true)}>
          Removed maps…
        </button>
        {showRemoved && <RemovedDialog onHide={() => setShowRemoved(false)} />}
        {refused && (
          <div className="hazard mt-2" role="alert">
            {refused.message}
            <FileIssues issues={refused.issues} />
          </div>
        )}
      </Form>
    </main>
  );
}
