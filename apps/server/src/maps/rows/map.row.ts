import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity('map')
export class MapRow {
  @PrimaryColumn({ type: 'text' }) id: string;
  @Column({ type: 'text' }) name: string;
  @Column({ type: 'text' }) note: string;
  @Column({ type: 'simple-json' }) settings: object;
  @Column({ type: 'integer' }) revision: number;
  @Column({ type: 'text', name: 'created_at' }) createdAt: string;
  @Column({ type: 'text', name: 'updated_at' }) updatedAt: string;
  @Column({ type: 'text', name: 'removed_at', nullable: true }) removedAt: string | null;
}
