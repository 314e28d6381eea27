import { readdirSync, readFileSync } from 'node:fs';
import { checkSweep } from '@aftersquall/core/balance';
import { translateApparel } from '@aftersquall/core/body';
import { validateMap } from '@aftersquall/core/check';
import { parseGuardBook, parseMapFile, printGuardBook } from '@aftersquall/core/formats';
import { ClassSchema, indexMap, isOutcome, turnIn } from '@aftersquall/core/model';
import { weighMap } from '@aftersquall/core/weigh';
import { marked, type Tokens } from 'marked';
import { describe, expect, it } from 'vitest';

const here = (file: string) => new URL(file, import.meta.url);
const files = readdirSync(here('book/')).map((name) => ({
  name,
  text: readFileSync(here(`book/${name}`), 'utf8'),
}));
const { book, errors } = parseGuardBook(files);
const rest: object = JSON.parse(readFileSync(here('kelpwick.map.json'), 'utf8'));
const map = parseMapFile(JSON.stringify({ ...rest, ...book }));
const index = indexMap(map);

describe('the demo club', () => {
  it('is a guard book without a slip, and the same when it is printed and read again', () => {
    expect(errors).toEqual([]);
    const printed = printGuardBook(book, 'kelpwick', { split: true });
    expect(printed.length).toBeGreaterThan(10);
    const again = parseGuardBook(printed);
    expect(again.errors).toEqual([]);
    expect(again.book).toEqual(book);
  });

  it('is Markdown as others read it, too: its headings, steps and tables are there', () => {
    let [headings, tables, rows] = [0, 0, 0];
    for (const { text } of files) {
      for (const token of marked.lexer(text)) {
        expect(['heading', 'list', 'table', 'space', 'html', 'paragraph']).toContain(token.type);
        if (token.type === 'heading') headings++;
        if (token.type === 'table') {
          tables++;
          rows += (token as Tokens.Table).rows.length;
        }
      }
    }
    const { systems, mechanics, reactions, positions, moves, exchanges, endings } = book;
    const looks = positions.flatMap((position) => position.looks);
    const variants = moves.flatMap((move) => move.variants);
    const all = [systems, mechanics, reactions, positions, looks, moves, variants, endings];
    // Besides these only `# Shared` is a heading.
    expect(headings).toBeGreaterThanOrEqual(all.flat().length);
    expect(headings - all.flat().length).toBeLessThanOrEqual(files.length);
    expect(tables).toBe(new Set(exchanges.map(({ move }) => move)).size);
    expect(rows).toBe(exchanges.length);
  });

  it('comes up in ordinary rounds: three in ten of its answers more than once in a thousand', () => {
    const { visits, gap, residual } = weighMap(map);
    const often = Object.values(visits).filter((rate) => rate > 0.001).length;
    expect(often).toBeGreaterThan(0.3 * map.exchanges.length);
    expect(gap).toBeLessThan(1e-10);
    expect(residual).toBeLessThan(1e-8);
  });

  it('holds eleven systems of positions, moves and answers that flow into each other', () => {
    expect([map.positions.length, map.moves.length]).toEqual([113, 402]);
    expect(map.systems).toHaveLength(11);
    expect(map.exchanges.length).toBe(1834);
    expect(map.mechanics.length).toBe(84);
    for (const { id } of map.systems) {
      const inside = map.positions.filter(({ systems }) => systems.includes(id));
      const leaves = inside.some((position) =>
        index
          .movesOf(position.id)
          .some((move) =>
            index
              .exchangesOf(move.id)
              .some(({ to }) => !isOutcome(to) && !index.position.get(to.position)!.systems.includes(id)),
          ),
      );
      expect(leaves, id).toBe(true);
    }
  });

  it('has no error and no hole; every warning is one that a coach would leave', () => {
    const found = validateMap(map).filter(({ severity }) => severity !== 'note');
    expect(found.filter(({ severity }) => severity === 'error')).toEqual([]);
    expect(found.filter(({ code }) => code === 'hole')).toEqual([]);
    // What a reader had found by eye is found by rule, and is not there any more.
    const mended = [
      'cheap-break',
      'leaning-words',
      'wait-is-lost',
      'cloth-mechanic',
      'loss-without-tap',
      'short-clash',
      'lets-unlisted',
    ];
    expect(validateMap(map).filter(({ code }) => mended.includes(code))).toEqual([]);
  });

  it('says of every chance that it is your guess, and teaches every reaction by feel and script', () => {
    expect(new Set(map.exchanges.map(({ basis }) => basis))).toEqual(new Set(['coach']));
    for (const { id, feel, script } of map.reactions)
      expect([id, Boolean(feel && script)]).toEqual([id, true]);
    for (const move of map.moves) expect([move.id, move.steps.length > 0]).toEqual([move.id, true]);
  });

  it('warns wherever a joint or the neck is attacked', () => {
    for (const move of map.moves.filter(({ kind }) => kind === 'submission'))
      expect([move.id, move.hazards.length > 0]).toEqual([move.id, true]);
  });

  it('is weighed: something between the two corners, and every position of it', () => {
    const weighing = weighMap(map);
    expect(weighing.entry).toBeGreaterThan(-1);
    expect(weighing.entry).toBeLessThan(1);
    expect(weighing.residual).toBeLessThan(1e-6);
    expect(weighing.positions).toHaveLength(map.positions.length);
  });

  it('keeps to the practice of the trade (common practice, no published source)', () => {
    const position = (id: string) => index.position.get(id)!;
    // The arms have the body, by harness or body lock, before the hooks go in on the back.
    for (const move of map.moves.filter(({ kind }) => kind === 'back-take')) {
      const at = (...actions: string[]) =>
        move.steps.findIndex((step) => step.take.some(({ action }) => actions.includes(action)));
      const [arms, hook] = [at('harness', 'body-lock'), at('hook')];
      if (arms >= 0 && hook >= 0) expect([move.id, arms <= hook]).toEqual([move.id, true]);
    }
    // Butterfly hooks are for a kneeling top: who stands hangs them in the air.
    for (const { id, holds, signs } of map.positions.filter(({ systems }) => systems.includes('butterfly'))) {
      const hooks = holds.filter(({ action, target }) => action === 'hook' && target.part === 'thigh');
      if (hooks.length === 2 && signs['own.torso'] === 'seated')
        expect([id, signs['top.stance'] ?? 'kneeling']).not.toContain('standing');
    }
    // Over-under: the head goes to the side of the caught arm, and so does the sweep.
    const caught = position('butterfly').holds.find(({ action }) => action === 'overhook')!.target.side;
    expect(position('butterfly').holds.find(({ contacts }) => contacts.includes('head'))!.target.side).toBe(
      caught,
    );
    const falls = Math.sin((index.move.get('over-under-sweep')!.direction! * Math.PI) / 180);
    expect(falls > 0).toBe(caught === 'R');
    // Single-leg X lifts the hips off the mat, off the line to top.
    expect(position('slx').signs['own.hips']).toBe('raised');
    expect(position('slx').signs['own.angle']).not.toBe('square');
    // Twisting leg attacks carry their caution and are not for novices.
    for (const move of map.moves.filter(
      ({ kind, hazards }) => kind === 'submission' && hazards.includes('heel-hook'),
    ))
      expect([move.id, move.level ?? position(move.position).level]).not.toContain('novice');
    // Who turns or rolls over a bent trapped arm loads its shoulder.
    expect(validateMap(map).filter(({ code }) => code === 'roll-without-hazard')).toEqual([]);
  });

  it('leads nowhere by steps that cannot be: arrivals, reactions and chances are as they are written', () => {
    const codes = new Set(validateMap(map).map(({ code }) => code));
    for (const code of [
      'impossible-reaction',
      'arrival-stance',
      'broken-back',
      'same-landing',
      'limb-conflict',
    ])
      expect([code, codes.has(code)]).toEqual([code, false]);
  });

  it('sends its sweeps where top is weakest, most of them', () => {
    const sweeps = map.moves.filter(({ kind }) => kind === 'sweep');
    const weak = sweeps.filter((move) => checkSweep(index.position.get(move.position)!, move).weakest);
    expect(weak.length / sweeps.length).toBeGreaterThan(0.75);
    for (const id of ['scissor', 'closed-scissor-sweep', 'closed-hip-bump', 'closed-lock-bump'])
      expect(weak.map((move) => move.id)).toContain(id);
  });

  it('can be played without a jacket wherever it says so', () => {
    for (const position of map.positions.filter(({ apparel }) => apparel !== 'gi'))
      expect([position.id, translateApparel(position, 'no-gi').available]).toEqual([position.id, true]);
  });

  it('has chains that are walks, habits of what the looks list, and a class of answers that are there', () => {
    for (const { id, exchanges } of map.chains) {
      const walk = exchanges.map((turn) => turnIn(map, turn)!);
      walk.slice(1).forEach(({ at }, i) => {
        expect([id, walk[i]!.to]).toEqual([id, { position: at }]);
      });
    }
    const plan = ClassSchema.parse(JSON.parse(readFileSync(here('tuesday.class.json'), 'utf8')));
    const links = plan.blocks.flatMap((block) => ('links' in block ? block.links : []));
    expect(links.length).toBeGreaterThan(5);
    for (const { move } of plan.lesson!.steps) expect(index.move.has(move), move).toBe(true);
    for (const { exchange } of links) expect(index.exchange.has(exchange), exchange).toBe(true);
  });
});
