import { readFileSync } from 'node:fs';
import { parseMapFile } from '@aftersquall/core/formats';
import { type Block, ClassSchema, indexMap, isDrilled } from '@aftersquall/core/model';
import { describe, expect, it } from 'vitest';
import { faultsIn, triedIn } from './countable.ts';

const club = (file: string) =>
  readFileSync(new URL(`../../../../../testing/club/${file}`, import.meta.url), 'utf8');
const map = parseMapFile(club('kelpwick.map.json'));
const plan = ClassSchema.parse(JSON.parse(club('tuesday.class.json')));
const drilled = plan.blocks.find(isDrilled)!;
const rounds = {
  kind: 'rounds',
  id: 'rounds',
  title: 'Rounds',
  rounds: 2,
  secondsPerRound: 120,
} as unknown as Block;
const links = (block: Block) => ('links' in block ? block.links.map(({ exchange }) => exchange) : []);

describe('what is counted in a block', () => {
  it('is what it drills, each exchange once', () => {
    expect(triedIn(plan, drilled).map(({ exchange }) => exchange)).toEqual([...new Set(links(drilled))]);
  });

  it('is in rounds what the class teaches, and not what comes back in it', () => {
    const again: Block = { ...drilled, id: 'again', kind: 'flow' };
    const news: Block = { ...drilled, id: 'new', kind: 'link', links: drilled.links.slice(0, 1) };
    const tried = triedIn({ ...plan, blocks: [again, news, rounds] }, rounds);
    expect(tried.map(({ exchange }) => exchange)).toEqual(links(news));
  });

  it('are faults of its moves, of where they begin, or of the movement that it is', () => {
    const { move } = indexMap(map);
    const bearers = new Set(
      triedIn(plan, drilled).flatMap(({ exchange }) => {
        const own = move.get(map.exchanges.find(({ id }) => id === exchange)!.move)!;
        return [own.id, own.position];
      }),
    );
    for (const { id } of faultsIn(map, plan, drilled)) expect(bearers).toContain(id);
    const [mechanic] = map.mechanics;
    const faults = [{ id: 'flat', text: 'Stays flat' }];
    const flat = { ...map, mechanics: [{ ...mechanic!, faults }] };
    const movement = {
      kind: 'move',
      id: 'm',
      title: 'M',
      mechanic: mechanic!.id,
      seconds: 60,
    } as unknown as Block;
    expect(faultsIn(flat, plan, movement)).toMatchObject([{ of: 'mechanic', fault: 'Stays flat' }]);
    expect(faultsIn(undefined, plan, drilled)).toEqual([]);
  });
});
