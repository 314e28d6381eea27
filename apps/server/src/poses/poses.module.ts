import { Module } from '@nestjs/common';
import { DatabaseModule } from '../database/database.module.ts';
import { PosesController } from './poses.controller.ts';
import { PosesService } from './poses.service.ts';

@Module({
  imports: [DatabaseModule],
  controllers: [PosesController],
  providers: [PosesService],
  exports: [PosesService],
})
export class PosesModule {}
