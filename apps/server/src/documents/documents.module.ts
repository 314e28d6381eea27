import { Module } from '@nestjs/common';
import { DatabaseModule } from '../database/database.module.ts';
import { DocumentsController } from './documents.controller.ts';
import { DocumentsService } from './documents.service.ts';
import { EventsController } from './events.controller.ts';
import { LiveChanges } from './liveChanges.ts';
import { MapFilesController } from './mapFiles.controller.ts';

@Module({
  imports: [DatabaseModule],
  controllers: [DocumentsController, EventsController, MapFilesController],
  providers: [DocumentsService, LiveChanges],
  exports: [DocumentsService, LiveChanges],
})
export class DocumentsModule {}
