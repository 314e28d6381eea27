import { NameSchema } from '@aftersquall/core/model';
import { zodResolver } from '@hookform/resolvers/zod';
import { Form, Modal } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { z } from 'zod';

const Named = z.object({ name: NameSchema });

interface Props {
  title: string;
  name?: string;
  onName: (name: string) => void;
  onHide: () => void;
}

/** Asks for a name, and for nothing else. */
export function NameDialog({ title, name = '', onName, onHide }: Props) {
  const form = useForm<z.infer<typeof Named>>({ resolver: zodResolver(Named), defaultValues: { name } });
  const trouble = form.formState.errors.name?.message;
  return (
    <Modal show onHide={onHide} animation={false} restoreFocus={false} aria-labelledby="name-title">
      <Form onSubmit={form.handleSubmit((named) => onName(named.name))} noValidate>
        <Modal.Header closeButton>
          <Modal.Title id="name-title" as="h2">
            {title}
          </Modal.Title>
        </Modal.Header>
        <Modal.Body>
          <Form.Group controlId="new-name">
            <Form.Label>Name</Form.Label>
            <Form.Control {...form.register('name')} isInvalid={Boolean(trouble)} autoFocus />
            <Form.Control.Feedback type="invalid">{trouble}</Form.Control.Feedback>
          </Form.Group>
        </Modal.Body>
        <Modal.Footer>
          <button type="button" className="btn btn-plain" onClick={onHide}>
            Cancel
          </button>
          <button type="submit" className="btn btn-now">
            {name ? 'Save' : 'Create'}
          </button>
        </Modal.Footer>
      </Form>
    </Modal>
  );
}
