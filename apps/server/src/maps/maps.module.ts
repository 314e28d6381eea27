import { Module } from '@nestjs/common';
import { DatabaseModule } from '../database/database.module.ts';
import { MapsController } from './maps.controller.ts';
import { MapsService } from './maps.service.ts';

@Module({
  imports: [DatabaseModule],
  controllers: [MapsController],
  providers: [MapsService],
  exports: [MapsService],
})
export class MapsModule {}
