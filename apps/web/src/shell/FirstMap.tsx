import './shell.scss';
import { freshId, NameSchema } from '@aftersquall/core';
import { zodResolver } from '@hookform/resolvers/zod';
import { Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { Navigate, useNavigate } from 'react-router';
import { z } from 'zod';
import { refusalOf, useCreateMapMutation, useMapsQuery } from '../store/api.ts';
import { RemovedMap } from './RemovedMap.tsx';
import { useTheme } from './useTheme.ts';

const NewMap = z.object({ name: NameSchema });

/** Where one begins: the map there is, or the first one to be named. */
export function FirstMap() {
  useTheme();
  const { data: maps, error, refetch } = useMapsQuery();
  const [createMap, creation] = useCreateMapMutation();
  const navigate = useNavigate();
  const form = useForm<z.infer<typeof NewMap>>({
    resolver: zodResolver(NewMap),
    defaultValues: { name: '' },
  });

  if (error) {
    return (
      <div className="teach">
        <h1>Aftersquall is not answering</h1>
        <p>{refusalOf(error).message} Is it still running in its window?</p>
        <button type="button" className="btn btn-now" onClick={() => void refetch()}>
          Try again
        </button>
      </div>
    );
  }
  if (!maps) return null;
  const [first] = maps;
  if (first) return <Navigate to={`/${first.id}/map`} replace />;

  const create = form.handleSubmit(async ({ name }) => {
    const { data } = await createMap({ id: freshId(name, []), name });
    if (data) navigate(`/${data.map.id}/map`);
  });
  const trouble =
    form.formState.errors.name?.message ?? (creation.error && refusalOf(creation.error).message);
  return (
    <main className="teach">
      <RemovedMap />
      <h1>Name your first map</h1>
      <p>
        A map holds the guard systems you teach: positions with their holds, the moves from each, what
        opponents do, and your answer. Most coaches keep one map for everything.
      </p>
      <Form onSubmit={create} noValidate>
        <Form.Group controlId="map-name" className="mb-2">
          <Form.Label>Name of the map</Form.Label>
          <Form.Control {...form.register('name')} isInvalid={Boolean(trouble)} autoFocus />
          <Form.Control.Feedback type="invalid">{trouble}</Form.Control.Feedback>
        </Form.Group>
        <button type="submit" className="btn btn-now">
          Begin the map
        </button>
      </Form>
    </main>
  );
}
