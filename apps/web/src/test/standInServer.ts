import { CHANGES_PAGE } from '@aftersquall/core/contract';
import {
  type AnyDocument,
  type Change,
  commandOf,
  decideChange,
  type MadeChange,
} from '@aftersquall/core/documents';

/**
 * A server in memory, for tests, that keeps one document. It decides with the function that the real one decides with;
 * a test holds the two against each other. Its line can be cut.
 */
export class StandInServer {
  document: AnyDocument;
  revision = 1;
  born = '2026-01-01T00:00:00.000Z';
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
  pageSize = 3;
  /** Keys of changes that it refuses. */
  refuses = new Set<string>();

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
      return answer(500, { message: 'Something went wrong on the server. Nothing was changed. Try again.' });
    if (!pathname.includes(`/${this.document.id}`))
      return answer(404, { message: 'There is no such document.' });
    const { revision, born } = this;
    if (request.method === 'POST') {
      const { status, body } = this.change((await request.json()) as Change);
      if (this.deaf) throw new TypeError('Failed to fetch');
      return answer(status, body);
    }
    if (pathname.endsWith('/changes')) {
      if (this.pages !== undefined && this.pages-- === 0) throw new TypeError('Failed to fetch');
      const after = Number(searchParams.get('after'));
      const size = Math.min(this.pageSize, CHANGES_PAGE);
      const changes = this.made.filter((made) => made.revision > after).slice(0, size);
      return answer(200, { revision, born, changes });
    }
    return answer(200, { revision, born, document: this.document });
  };

  change(change: Change): { status: number; body: object } {
    const before = this.made.find(({ key }) => key === change.key);
    if (before) return { status: 200, body: { revision: before.revision } };
    if (this.refuses.has(change.key))
      return { status: 400, body: { message: 'Refused.', issues: [{ path: [], message: 'not like that' }] } };
    const decision = decideChange(
      { document: this.document, revision: this.revision, since: this.made },
      change,
    );
    if (decision.is === 'refused')
      return { status: 400, body: { message: 'Refused.', issues: decision.issues } };
    if (decision.is === 'overlaps') {
      const { overlaps, issues } = decision;
      return {
        status: 409,
        body: { message: 'Changed elsewhere.', revision: this.revision, overlaps, issues },
      };
    }
    const { document, inverse } = decision.applied;
    this.document = document;
    this.revision++;
    const at = '2026-01-01T00:00:00.000Z';
    const { key, who, commands } = change;
    this.made.push({ revision: this.revision, key, command: commandOf(commands), inverse, at, who });
    return { status: 200, body: { revision: this.revision } };
  }
}
