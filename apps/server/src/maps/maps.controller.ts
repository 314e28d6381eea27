import { CommandSchema, IdSchema, NameSchema, parseMap, printMapFile } from '@aftersquall/core';
import { Body, Controller, Get, Header, HttpCode, Param, Post } from '@nestjs/common';
import { z } from 'zod';
import { ZodBody } from '../common/zodBody.ts';
import { MapsService } from './maps.service.ts';

const NewMap = z.strictObject({ id: IdSchema, name: NameSchema });
const Change = z.strictObject({
  revision: z.number().int().min(1),
  commands: z.array(CommandSchema).min(1, 'send at least one command').max(5000),
});

@Controller('api/maps')
export class MapsController {
  constructor(private readonly maps: MapsService) {}

  @Get()
  list() {
    return this.maps.list();
  }

  @Post()
  create(@Body(new ZodBody(NewMap)) { id, name }: z.infer<typeof NewMap>) {
    return this.maps.createEmpty(id, name);
  }

  /** A map file as the body; nothing is kept unless all of it is well. */
  @Post('import')
  import(@Body() file: unknown) {
    return this.maps.create(parseMap(file));
  }

  @Get(':id')
  get(@Param('id') id: string) {
    return this.maps.get(id);
  }

  @Get(':id/file')
  @Header('Content-Type', 'application/json; charset=utf-8')
  async file(@Param('id') id: string) {
    return printMapFile((await this.maps.get(id)).map);
  }

  @Post(':id/changes')
  @HttpCode(200)
  async change(@Param('id') id: string, @Body(new ZodBody(Change)) change: z.infer<typeof Change>) {
    const { revision, inverse } = await this.maps.change(id, change.revision, change.commands);
    return { revision, inverse };
  }
}
