import type { Command } from '@aftersquall/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** One change of a map, with what takes it back. */
@Entity('map_change')
export class ChangeRow {
  @PrimaryColumn({ type: 'text', name: 'map_id' }) mapId: string;
  @PrimaryColumn({ type: 'integer' }) revision: number;
  @Column({ type: 'simple-json' }) command: Command;
  @Column({ type: 'simple-json' }) inverse: Command;
  @Column({ type: 'text' }) at: string;
  @Column({ type: 'text' }) who: string;
}
