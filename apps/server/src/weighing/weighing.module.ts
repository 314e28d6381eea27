import { Module } from '@nestjs/common';
import { DocumentsModule } from '../documents/documents.module.ts';
import { WeighingController } from './weighing.controller.ts';
import { WeighingService } from './weighing.service.ts';

@Module({ imports: [DocumentsModule], controllers: [WeighingController], providers: [WeighingService] })
export class WeighingModule {}
