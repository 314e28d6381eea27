import { Module } from '@nestjs/common';
import { WriteQueue } from './writeQueue.ts';

@Module({ providers: [WriteQueue], exports: [WriteQueue] })
export class DatabaseModule {}
