import { CommandSchema, IdSchema, NameSchema, parseMap, printGraphml, printMapFile } from '@aftersquall/core';
import {
  Body,
  Controller,
  Delete,
  Get,
  Header,
  HttpCode,
  Param,
  ParseIntPipe,
  Post,
  Query,
} from '@nestjs/common';
import { z } from 'zod';
import { ZodBody } from '../common/zodBody.ts';
import { MapsService } from './maps.service.ts';

const NewMap = z.strictObject({ id: IdSchema, name: NameSchema });
const Change = z.strictObject({
  revision: z.number().int().min(1),
  commands: z.array(CommandSchema).min(1, 'send at least one command').max(5000),
  /** Whose change it is, for the history. */
  who: z.string().trim().max(60, 'at most 60 characters').optional(),
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

  @Get(':id/graphml')
  @Header('Content-Type', 'application/graphml+xml; charset=utf-8')
  async graphml(@Param('id') id: string) {
    return printGraphml((await this.maps.get(id)).map);
  }

  @Get(':id/history')
  history(@Param('id') id: string, @Query('before', new ParseIntPipe({ optional: true })) before?: number) {
    return this.maps.history(id, before);
  }

  @Get(':id/revisions/:revision')
  at(@Param('id') id: string, @Param('revision', ParseIntPipe) revision: number) {
    return this.maps.at(id, revision);
  }

  @Post(':id/copy')
  copy(@Param('id') from: string, @Body(new ZodBody(NewMap)) { id, name }: z.infer<typeof NewMap>) {
    return this.maps.copy(from, id, name);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string) {
    return this.maps.remove(id);
  }

  @Post(':id/give-back')
  @HttpCode(200)
  giveBack(@Param('id') id: string) {
    return this.maps.giveBack(id);
  }

  @Post(':id/changes')
  @HttpCode(200)
  async change(@Param('id') id: string, @Body(new ZodBody(Change)) change: z.infer<typeof Change>) {
    const { revision, inverse } = await this.maps.change(id, change.revision, change.commands, change.who);
    return { revision, inverse };
  }
}
