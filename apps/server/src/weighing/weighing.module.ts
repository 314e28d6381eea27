import { Module } from '@nestjs/common';
import { MapsModule } from '../maps/maps.module.ts';
import { WeighingController } from './weighing.controller.ts';
import { WeighingService } from './weighing.service.ts';

@Module({ imports: [MapsModule], controllers: [WeighingController], providers: [WeighingService] })
export class WeighingModule {}
