import { ROUTES } from '@aftersquall/core/contract';
import { documentKindOf } from '@aftersquall/core/documents';
import { BadRequestException, Controller } from '@nestjs/common';
import { Answers, Input, type InputFor } from '../contract/answers.ts';
import { DocumentsService } from './documents.service.ts';

/** Documents of every kind. */
@Controller()
export class DocumentsController {
  constructor(private readonly documents: DocumentsService) {}

  @Answers(ROUTES.listDocuments)
  list(@Input() { params }: InputFor<'listDocuments'>) {
    return this.documents.list(params.kind);
  }

  @Answers(ROUTES.createDocument)
  create(@Input() { params, body }: InputFor<'createDocument'>) {
    const { kind } = documentKindOf(body);
    if (kind !== params.kind) {
      const message = `this is a ${kind}, and the address says ${params.kind}`;
      throw new BadRequestException({
        message: 'The server cannot save this as it is. Nothing was changed.',
        issues: [{ path: ['format'], message }],
      });
    }
    return this.documents.create(params.kind, body);
  }

  @Answers(ROUTES.getDocument)
  get(@Input() { params }: InputFor<'getDocument'>) {
    return this.documents.get(params);
  }

  @Answers(ROUTES.changeDocument)
  change(@Input() { params, body }: InputFor<'changeDocument'>) {
    return this.documents.change(params, body);
  }

  @Answers(ROUTES.listChanges)
  changes(@Input() { params, query }: InputFor<'listChanges'>) {
    return this.documents.changesAfter(params, query.after);
  }

  @Answers(ROUTES.listHistory)
  history(@Input() { params, query }: InputFor<'listHistory'>) {
    return this.documents.history(params, query.before);
  }

  @Answers(ROUTES.getRevision)
  at(@Input() { params: { revision, ...address } }: InputFor<'getRevision'>) {
    return this.documents.at(address, revision);
  }

  @Answers(ROUTES.listRemoved)
  removed() {
    return this.documents.removed();
  }

  @Answers(ROUTES.removeDocument)
  remove(@Input() { params }: InputFor<'removeDocument'>) {
    return this.documents.remove(params);
  }

  @Answers(ROUTES.restoreDocument)
  restore(@Input() { params }: InputFor<'restoreDocument'>) {
    return this.documents.restore(params);
  }
}
