import type { ChangeEvent } from '@aftersquall/core/contract';
import type { DocumentKindName } from '@aftersquall/core/documents';
import { Injectable } from '@nestjs/common';
import { Subject } from 'rxjs';

/** What open screens are told: a change of a document, that the list of a kind of documents is another one, or that practice of a map was recorded. */
export type LiveEvent =
  | { type: 'change'; data: ChangeEvent }
  | { type: 'documents'; data: { kind: DocumentKindName } }
  | { type: 'records'; data: { map: string } };

/** Passes on what has been committed to whoever listens. */
@Injectable()
export class LiveChanges {
  readonly events = new Subject<LiveEvent>();

  tell(event: LiveEvent): void {
    this.events.next(event);
  }
}
