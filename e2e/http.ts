import type { APIRequestContext } from '@playwright/test';
import type { Command } from '../packages/core/src/documents/index.ts';
import type { ClassPlan, GuardMap } from '../packages/core/src/model/index.ts';

let keys = 0;

/** A document as the server has it. */
export async function saved<D = GuardMap>(request: APIRequestContext, url: string, address = 'map/kelpwick') {
  return (await (await request.get(`${url}/api/documents/${address}`)).json()) as {
    revision: number;
    document: D;
  };
}

/** Changes a document as a script or another screen would. */
export async function change(
  request: APIRequestContext,
  url: string,
  commands: Command[],
  { address = 'map/kelpwick', who = '' } = {},
): Promise<void> {
  const { revision: base } = await saved<GuardMap | ClassPlan>(request, url, address);
  const data = { base, key: `test-change-${process.pid}-${keys++}`, commands, who };
  const answer = await request.post(`${url}/api/documents/${address}/changes`, { data });
  if (!answer.ok()) throw new Error(await answer.text());
}
