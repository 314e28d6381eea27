import { type DynamicModule, Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { ContractController } from './contract/contract.controller.ts';
import { databaseOptions } from './database/options.ts';
import { DocumentsModule } from './documents/documents.module.ts';
import { PosesModule } from './poses/poses.module.ts';
import { RecordsModule } from './records/records.module.ts';
import { WeighingModule } from './weighing/weighing.module.ts';

@Module({})
export class AppModule {
  /** The whole server over one database file. */
  static over(databaseFile: string): DynamicModule {
    return {
      module: AppModule,
      imports: [
        TypeOrmModule.forRoot({ ...databaseOptions(databaseFile), retryAttempts: 0 }),
        DocumentsModule,
        WeighingModule,
        PosesModule,
        RecordsModule,
      ],
      controllers: [ContractController],
    };
  }
}
