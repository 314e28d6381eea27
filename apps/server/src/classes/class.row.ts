import type { Block } from '@aftersquall/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A class. It names its map but does not hang on it: it stays readable when the map is gone. */
@Entity('class')
export class ClassRow {
  @PrimaryColumn({ type: 'text' }) id: string;
  @Column({ type: 'text' }) map: string;
  @Column({ type: 'text' }) name: string;
  @Column({ type: 'integer' }) minutes: number;
  @Column({ type: 'integer' }) people: number;
  @Column({ type: 'text' }) apparel: 'gi' | 'no-gi';
  @Column({ type: 'real', name: 'change_over_seconds' }) changeOverSeconds: number;
  @Column({ type: 'simple-json' }) blocks: Block[];
  @Column({ type: 'simple-json', name: 'left_over' }) leftOver: string[];
  @Column({ type: 'integer' }) revision: number;
  @Column({ type: 'text', name: 'created_at' }) createdAt: string;
  @Column({ type: 'text', name: 'updated_at' }) updatedAt: string;
}
