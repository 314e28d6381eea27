import {
  addressKey,
  CHANGES_PAGE,
  type ChangesPage,
  type DocumentAddress,
  type DocumentSummary,
  HISTORY_PAGE,
  type HistoryLine,
  REMOVED_DAYS,
  type RemovedDocument,
  type StoredDocument,
} from '@aftersquall/core/contract';
import {
  type AnyDocument,
  type Applied,
  applyCommand,
  badReferences,
  type Change,
  commandOf,
  DOCUMENT_KINDS,
  type DocumentKindName,
  decideChange,
  describeChange,
  fieldsOfChange,
  type MadeChange,
  RefusedError,
} from '@aftersquall/core/documents';
import {
  ConflictException,
  Injectable,
  NotFoundException,
  type OnApplicationBootstrap,
} from '@nestjs/common';
import { type EntityManager, IsNull, LessThan, MoreThan, Not } from 'typeorm';
import { ChangeRow, DocumentRow } from '../database/rows/documentRows.ts';
import { WriteQueue } from '../database/writeQueue.ts';
import {
  insertDocument,
  loadDocument,
  type OpenDocument,
  purgeRemoved,
  saveChange,
} from './documentStore.ts';
import { LiveChanges } from './liveChanges.ts';

/** Documents by address: read whole, changed by commands, one transaction each. Keeps those in use in memory. */
@Injectable()
export class DocumentsService implements OnApplicationBootstrap {
  private readonly open = new Map<string, OpenDocument>();

  constructor(
    private readonly queue: WriteQueue,
    private readonly live: LiveChanges,
  ) {}

  /** Maps in the order in which they were made, other documents newest first. */
  async list(kind: DocumentKindName): Promise<DocumentSummary[]> {
    const rows = await this.queue.read((manager) =>
      manager.find(DocumentRow, {
        where: { kind, removedAt: IsNull() },
        order: { createdAt: kind === 'map' ? 'ASC' : 'DESC', id: 'ASC' },
      }),
    );
    const fields = DOCUMENT_KINDS[kind].summary;
    return rows.map(({ id, revision, head }) => ({
      id,
      revision,
      head: { ...pick(head, fields), name: head.name },
    }));
  }

  get(address: DocumentAddress): Promise<StoredDocument> {
    return this.queue.read(async (manager) => stored(await this.opened(manager, address)));
  }

  /** Keeps a new document. @throws RefusedError when its references are bad, 409 when its id is taken. */
  async create(kind: DocumentKindName, document: AnyDocument): Promise<{ id: string; revision: 1 }> {
    const issues = badReferences(document);
    if (issues.length > 0) throw new RefusedError(issues);
    const key = addressKey({ kind, id: document.id });
    await this.queue.transaction(
      async (manager) => {
        const known = await manager.findOneBy(DocumentRow, { key });
        if (known) {
          const removed = known.removedAt ? ', which was removed and can be given back' : '';
          throw new ConflictException({ message: `There is already a ${kind} "${document.id}"${removed}.` });
        }
        return insertDocument(manager, kind, document);
      },
      (inserted) => this.open.set(key, inserted),
    );
    this.live.tell({ type: 'documents', data: { kind } });
    return { id: document.id, revision: 1 };
  }

  /**
   * Makes a change. It may have been made for an older revision as long as nothing that it touches was touched
   * since; then 409 with the fields that meet. The same key again gives the answer of the first time.
   */
  change(address: DocumentAddress, change: Change): Promise<{ revision: number }> {
    const key = addressKey(address);
    return this.queue
      .transaction(
        async (manager) => {
          const open = await this.opened(manager, address);
          const before = await manager.findOne(ChangeRow, {
            where: { document: key, key: change.key },
            select: { revision: true },
          });
          if (before) return { revision: before.revision };
          const command = commandOf(change.commands);
          const applied = await this.decided(manager, key, open, change);
          const next = await saveChange(manager, address, open, applied);
          const made: MadeChange = {
            revision: next.revision,
            key: change.key,
            command,
            inverse: applied.inverse,
            at: new Date().toISOString(),
            who: change.who,
          };
          await manager.query(
            'INSERT INTO change (document, revision, key, command, inverse, at, who) VALUES (?, ?, ?, ?, ?, ?, ?)',
            [
              key,
              made.revision,
              made.key,
              JSON.stringify(command),
              JSON.stringify(made.inverse),
              made.at,
              made.who,
            ],
          );
          return { revision: next.revision, made, next };
        },
        // Only now is it on disk.
        ({ made, next }) => {
          if (!made || !next) return;
          this.open.set(key, next);
          this.live.tell({ type: 'change', data: { ...made, ...address } });
          const { summary } = DOCUMENT_KINDS[address.kind];
          const listed = fieldsOfChange(made).some(
            ({ kind, path }) => kind === 'head' && (summary as readonly string[]).includes(path[0]!),
          );
          if (listed) this.live.tell({ type: 'documents', data: { kind: address.kind } });
        },
      )
      .then(({ revision }) => ({ revision }));
  }

  /** What a change makes of the document as it is. @throws 409 with what meets others, RefusedError where it is wrong. */
  private async decided(
    manager: EntityManager,
    key: string,
    open: OpenDocument,
    change: Change,
  ): Promise<Applied<AnyDocument>> {
    const since =
      change.base < open.revision
        ? await manager.find(ChangeRow, { where: { document: key, revision: MoreThan(change.base) } })
        : [];
    const decision = decideChange({ ...open, since }, change);
    if (decision.is === 'taken') return decision.applied;
    if (decision.is === 'refused') throw new RefusedError(decision.issues);
    const { overlaps, issues } = decision;
    throw new ConflictException({
      message:
        issues.length > 0
          ? 'This no longer fits: somebody changed what it needs.'
          : 'Somebody else changed the same thing.',
      revision: open.revision,
      overlaps,
      ...(issues.length > 0 && { issues }),
    });
  }

  /** The changes after a revision, oldest first. */
  async changesAfter(address: DocumentAddress, after: number): Promise<ChangesPage> {
    return this.queue.read(async (manager) => {
      const { revision, born } = await this.opened(manager, address);
      const rows = await manager.find(ChangeRow, {
        where: { document: addressKey(address), revision: MoreThan(after) },
        order: { revision: 'ASC' },
        take: CHANGES_PAGE,
      });
      return { revision, born, changes: rows.map(({ document: _, ...made }) => made) };
    });
  }

  /** Who changed what, newest first; older than the given revision where one is given. */
  async history(address: DocumentAddress, before?: number): Promise<HistoryLine[]> {
    return this.queue.read(async (manager) => {
      const { document } = await this.opened(manager, address);
      const rows = await manager.find(ChangeRow, {
        where: { document: addressKey(address), ...(before !== undefined && { revision: LessThan(before) }) },
        order: { revision: 'DESC' },
        take: HISTORY_PAGE,
      });
      return rows.map(({ revision, at, who, command, inverse }) => ({
        revision,
        at,
        who,
        what: describeChange(document, command, inverse),
      }));
    });
  }

  /** The document as it was at a revision: later changes are taken back one by one. */
  async at(address: DocumentAddress, revision: number): Promise<StoredDocument> {
    return this.queue.read(async (manager) => {
      const open = await this.opened(manager, address);
      if (revision < 1 || revision > open.revision) {
        throw new NotFoundException({
          message: `The ${address.kind} "${address.id}" has no revision ${revision}.`,
        });
      }
      const later = await manager.find(ChangeRow, {
        where: { document: addressKey(address), revision: MoreThan(revision) },
        order: { revision: 'DESC' },
      });
      const document = later.reduce(
        (current, { inverse }) => applyCommand(current, inverse).document,
        open.document,
      );
      return stored({ revision, born: open.born, document });
    });
  }

  /** Documents that were removed and can still be given back, the latest first. */
  async removed(): Promise<RemovedDocument[]> {
    const rows = await this.queue.read((manager) =>
      manager.find(DocumentRow, { where: { removedAt: Not(IsNull()) }, order: { removedAt: 'DESC' } }),
    );
    return rows.flatMap(({ kind, id, head, removedAt }) =>
      removedAt ? [{ kind, id, name: head.name, removedAt, keptUntil: endOfKeeping(removedAt) }] : [],
    );
  }

  /** Deletes what was removed longer ago than it is kept. Done when the server starts, before anybody asks. */
  async onApplicationBootstrap(): Promise<void> {
    await this.queue.transaction((manager) => purgeRemoved(manager, keptSince()));
  }

  /** Removes a document from sight; its rows stay, so that it can be given back. */
  async remove(address: DocumentAddress): Promise<void> {
    await this.mark(address, IsNull(), new Date().toISOString());
  }

  async restore(address: DocumentAddress): Promise<{ id: string; revision: number }> {
    await this.mark(address, Not(IsNull()), null);
    const { revision } = await this.get(address);
    return { id: address.id, revision };
  }

  private async mark(address: DocumentAddress, now: ReturnType<typeof IsNull>, removedAt: string | null) {
    const key = addressKey(address);
    await this.queue.transaction(
      async (manager) => {
        const { affected } = await manager.update(DocumentRow, { key, removedAt: now }, { removedAt });
        if (!affected)
          throw new NotFoundException({
            message: `There is no ${address.kind} "${address.id}". Was it removed?`,
          });
      },
      () => this.open.delete(key),
    );
    this.live.tell({ type: 'documents', data: { kind: address.kind } });
  }

  private async opened(manager: EntityManager, address: DocumentAddress): Promise<OpenDocument> {
    const key = addressKey(address);
    const open = this.open.get(key) ?? (await loadDocument(manager, address));
    if (!open) throw new NotFoundException({ message: `There is no ${address.kind} "${address.id}".` });
    this.open.set(key, open);
    return open;
  }
}

const stored = ({ revision, born, document }: Omit<OpenDocument, 'places'>): StoredDocument => ({
  revision,
  born,
  document: document as StoredDocument['document'],
});

const DAY = 24 * 60 * 60 * 1000;
const endOfKeeping = (removedAt: string): string =>
  new Date(Date.parse(removedAt) + REMOVED_DAYS * DAY).toISOString();
const keptSince = (): string => new Date(Date.now() - REMOVED_DAYS * DAY).toISOString();

const pick = (head: object, fields: readonly string[]): object =>
  Object.fromEntries(Object.entries(head).filter(([field]) => fields.includes(field)));
