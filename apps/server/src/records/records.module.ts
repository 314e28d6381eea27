import { Module } from '@nestjs/common';
import { DatabaseModule } from '../database/database.module.ts';
import { DocumentsModule } from '../documents/documents.module.ts';
import { RecordsController } from './records.controller.ts';
import { RecordsService } from './records.service.ts';

@Module({
  imports: [DatabaseModule, DocumentsModule],
  controllers: [RecordsController],
  providers: [RecordsService],
  exports: [RecordsService],
})
export class RecordsModule {}
