import { ClassSchema } from '@aftersquall/core';
import { BadRequestException, Body, Controller, Delete, Get, Param, Put, Query } from '@nestjs/common';
import { z } from 'zod';
import { ZodBody } from '../common/zodBody.ts';
import { ClassesService } from './classes.service.ts';

const Save = z.strictObject({ revision: z.number().int().min(0), plan: ClassSchema });
const Revision = z.coerce.number().int().min(1);

@Controller('api/classes')
export class ClassesController {
  constructor(private readonly classes: ClassesService) {}

  @Get()
  list() {
    return this.classes.list();
  }

  @Get(':id')
  get(@Param('id') id: string) {
    return this.classes.get(id);
  }

  @Put(':id')
  save(@Param('id') id: string, @Body(new ZodBody(Save)) { revision, plan }: z.infer<typeof Save>) {
    if (plan.id !== id) {
      throw new BadRequestException({
        message: 'This cannot be saved as it is.',
        issues: [{ path: ['plan', 'id'], message: `the address says "${id}"` }],
      });
    }
    return this.classes.save(plan, revision);
  }

  @Delete(':id')
  remove(@Param('id') id: string, @Query('revision', new ZodBody(Revision)) revision: number) {
    return this.classes.remove(id, revision);
  }
}
