import { Module } from '@nestjs/common';
import { DatabaseModule } from '../database/database.module.ts';
import { ClassesController } from './classes.controller.ts';
import { ClassesService } from './classes.service.ts';

@Module({
  imports: [DatabaseModule],
  controllers: [ClassesController],
  providers: [ClassesService],
  exports: [ClassesService],
})
export class ClassesModule {}
