import {
  type AnyDocument,
  applyCommand,
  type Change,
  commandOf,
  fieldsOfChange,
  fieldValue,
  type MadeChange,
  overlap,
  RefusedError,
} from '@aftersquall/core';

/** A server in memory, for tests, that keeps one document by the real one's rules; its line can be cut. */
export class FakeServer {
  document: AnyDocument;
  revision = 1;
  made: MadeChange[] = [];
  cut = false;
  /** How often anything was asked of it, heard or not. */
  asked = 0;
  /** Does what was asked and loses the answer. */
  deaf = false;
  /** Fails whatever is asked of it. */
  broken = false;
  /** So many more pages of changes are given before the line breaks. */
  pages: number | undefined;

  constructor(document: AnyDocument) {
    this.document = document;
  }

  readonly fetch = async (request: Request): Promise<Response> => {
    this.asked++;
    if (this.cut) throw new TypeError('Failed to fetch');
    const { pathname, searchParams } = new URL(request.url);
    const answer = (status: number, body: object) =>
      new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
    if (this.broken)
      return answer(500, { message: 'Something went wrong on the server; nothing was changed.' });
    if (!pathname.includes(`/${this.document.id}`))
      return answer(404, { message: 'There is no such document.' });
    if (request.method === 'POST') {
      const { status, body } = this.change((await request.json()) as Change);
      if (this.deaf) throw new TypeError('Failed to fetch');
      return answer(status, body);
    }
    if (pathname.endsWith('/changes')) {
      if (this.pages !== undefined && this.pages-- === 0) throw new TypeError('Failed to fetch');
      const after = Number(searchParams.get('after'));
      return answer(200, this.made.filter(({ revision }) => revision > after).slice(0, 3));
    }
    return answer(200, { revision: this.revision, document: this.document });
  };

  change({ base, key, commands, who }: Change): { status: number; body: object } {
    const before = this.made.find((change) => change.key === key);
    if (before) return { status: 200, body: { revision: before.revision } };
    if (base > this.revision) {
      const issues = [{ path: ['base'], message: `the document is at revision ${this.revision} only` }];
      return { status: 400, body: { message: 'Refused.', issues } };
    }
    const since = this.made.filter(({ revision }) => revision > base);
    try {
      const { document, inverse, touched } = applyCommand(this.document, commandOf(commands));
      const fields = overlap(touched, since.flatMap(fieldsOfChange));
      if (fields.length > 0) {
        const overlaps = fields.map((field) => ({
          ...field,
          theirs: fieldValue(this.document, field),
          mine: fieldValue(document, field),
        }));
        return {
          status: 409,
          body: { message: 'The same was changed elsewhere.', revision: this.revision, overlaps },
        };
      }
      this.document = document;
      this.revision++;
      const at = '2026-01-01T00:00:00.000Z';
      this.made.push({ revision: this.revision, key, command: commandOf(commands), inverse, at, who });
      return { status: 200, body: { revision: this.revision } };
    } catch (error) {
      if (!(error instanceof RefusedError)) throw error;
      const status = since.length > 0 ? 409 : 400;
      return {
        status,
        body: { message: 'Refused.', issues: error.issues, overlaps: [], revision: this.revision },
      };
    }
  }
}
