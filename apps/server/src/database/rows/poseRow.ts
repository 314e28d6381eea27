import type { PoseRecord } from '@aftersquall/core/model';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A solved pose, by the key of what it hangs on. */
@Entity('pose')
export class PoseRow {
  @PrimaryColumn({ type: 'text' }) key: string;
  @Column({ type: 'simple-json' }) record: PoseRecord;
}
