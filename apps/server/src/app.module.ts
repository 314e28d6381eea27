import { type DynamicModule, Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { ClassesModule } from './classes/classes.module.ts';
import { databaseOptions } from './database/options.ts';
import { HealthController } from './health.controller.ts';
import { MapsModule } from './maps/maps.module.ts';
import { WeighingModule } from './weighing/weighing.module.ts';

@Module({})
export class AppModule {
  /** The whole server over one database file. */
  static over(databaseFile: string): DynamicModule {
    return {
      module: AppModule,
      imports: [
        TypeOrmModule.forRoot({ ...databaseOptions(databaseFile), retryAttempts: 0 }),
        MapsModule,
        ClassesModule,
        WeighingModule,
      ],
      controllers: [HealthController],
    };
  }
}
