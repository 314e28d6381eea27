import type { Command, DocumentKindName } from '@aftersquall/core/documents';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A document without its lists. Its key is its address: `map/kelpwick`. */
@Entity('document')
export class DocumentRow {
  @PrimaryColumn({ type: 'text' }) key: string;
  @Column({ type: 'text' }) kind: DocumentKindName;
  @Column({ type: 'text' }) id: string;
  /** Everything that is no list: name, note, settings … */
  @Column({ type: 'simple-json' }) head: { name: string };
  @Column({ type: 'integer' }) revision: number;
  @Column({ type: 'text', name: 'created_at' }) createdAt: string;
  @Column({ type: 'text', name: 'updated_at' }) updatedAt: string;
  @Column({ type: 'text', name: 'removed_at', nullable: true }) removedAt: string | null;
}

/** One entity of a document's lists, whole. Lists are read by `ord`, which leaves room between neighbours. */
@Entity('entity')
export class EntityRow {
  @PrimaryColumn({ type: 'text' }) document: string;
  @PrimaryColumn({ type: 'text' }) kind: string;
  @PrimaryColumn({ type: 'text' }) id: string;
  @Column({ type: 'real' }) ord: number;
  @Column({ type: 'simple-json' }) body: { id: string };
}

/** One change of a document, with what takes it back. */
@Entity('change')
export class ChangeRow {
  @PrimaryColumn({ type: 'text' }) document: string;
  @PrimaryColumn({ type: 'integer' }) revision: number;
  /** Made by the sender, unique in its document: a change that is sent twice is made once. */
  @Column({ type: 'text' }) key: string;
  @Column({ type: 'simple-json' }) command: Command;
  @Column({ type: 'simple-json' }) inverse: Command;
  @Column({ type: 'text' }) at: string;
  @Column({ type: 'text' }) who: string;
}
