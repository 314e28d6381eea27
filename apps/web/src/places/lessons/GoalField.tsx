import { Form } from 'react-bootstrap';
import type { UseFormRegisterReturn } from 'react-hook-form';
import { z } from 'zod';
import styles from './lessons.module.scss';

/** A whole number typed into a field, and what is wrong with it. */
export const wholeNumber = (least: number, most: number, what: string) =>
  z.coerce
    .number({ error: `${what}: give a number` })
    .int(`${what}: whole numbers`)
    .min(least, `at least ${least}`)
    .max(most, `at most ${most}`);

interface Props {
  label: string;
  id: string;
  error: string | undefined;
  input: UseFormRegisterReturn;
  wide?: boolean;
  placeholder?: string | undefined;
}

export function GoalField({ label, id, error, input, wide, placeholder }: Props) {
  return (
    <Form.Group controlId={id} className={wide ? styles.wide : styles.narrow}>
      <Form.Label>{label}</Form.Label>
      <Form.Control size="sm" {...input} isInvalid={Boolean(error)} placeholder={placeholder} />
      <Form.Control.Feedback type="invalid">{error}</Form.Control.Feedback>
    </Form.Group>
  );
}
