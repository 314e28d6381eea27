import { zodIssues } from '@aftersquall/core';
import { BadRequestException, type PipeTransform } from '@nestjs/common';
import type { z } from 'zod';

/** Validates a body by a shared schema: 400 with the path of every problem. */
export class ZodBody<T> implements PipeTransform<unknown, T> {
  constructor(private readonly schema: z.ZodType<T, unknown>) {}

  transform(value: unknown): T {
    const parsed = this.schema.safeParse(value);
    if (parsed.success) return parsed.data;
    throw new BadRequestException({
      message: 'This cannot be saved as it is.',
      issues: zodIssues(parsed.error),
    });
  }
}
