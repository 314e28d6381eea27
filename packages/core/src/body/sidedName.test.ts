import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { parseMapFile } from '../formats/mapFile.ts';
import { indexMap } from '../model/indexMap.ts';
import { type Reaction, ReactionSchema } from '../model/reaction.ts';
import { answerName, doneName } from './answerName.ts';
import { sided } from './mirror.ts';
import { sidedName } from './sidedName.ts';

const RIGHT = { leadSide: 'R' } as const;
const LEFT = { leadSide: 'L' } as const;
const reaction = (name: string, more: object = {}): Reaction =>
  ReactionSchema.parse({ id: 'one', name, group: 'arms & grips', ...more });
const named = (name: string, more: object, mirrored: boolean, at?: typeof RIGHT | typeof LEFT) =>
  sidedName(name, reaction(name, more), mirrored, at);

describe('a reaction by the limb it uses', () => {
  it('changes near and far where the reaction or the position is the other way round, and not where both are', () => {
    const posts = 'Posts the far hand';
    expect(named(posts, {}, false, RIGHT)).toBe(posts);
    expect(named(posts, {}, true, RIGHT)).toBe('Posts the near hand');
    expect(named(posts, {}, false, LEFT)).toBe('Posts the near hand');
    expect(named(posts, {}, true, LEFT)).toBe(posts);
    expect(named('Bases far out with the free leg', {}, true, RIGHT)).not.toContain('near out');
  });

  it('names the limb of the other side by the sign it changes, the hold it takes or the grip it breaks', () => {
    const knee = { changes: { 'top.kneeR': 'inward' } };
    expect(named('Turns the knee in', knee, false, RIGHT)).toBe('Turns the knee in');
    expect(named('Turns the knee in', knee, true, RIGHT)).toBe('Turns the far knee in');
    // In a position built on the left the mirrored one is what the name says.
    expect(named('Turns the knee in', knee, true, LEFT)).toBe('Turns the knee in');
    const left = { changes: { 'top.kneeL': 'inward' } };
    expect(named('Turns the knee in', left, true, RIGHT)).toBe('Turns the near knee in');
    const sleeve = { breaks: [{ part: 'sleeve', side: 'R' }] };
    expect(named('Pulls the sleeve hand free', sleeve, true, RIGHT)).toBe('Pulls the far sleeve hand free');
    const arm = { changes: { 'top.elbowR': 'straight' } };
    expect(named('Straightens the trapped arm', arm, true, RIGHT)).toBe('Straightens the far trapped arm');
  });

  it('says the other one where nobody knows which, and the side where no limb is named', () => {
    expect(named('Turns the knee in', { changes: { 'top.kneeR': 'inward' } }, true)).toBe(
      'Turns the other knee in',
    );
    expect(
      named('Brings the other hand to help', { changes: { 'top.handR': 'gripping' } }, true, RIGHT),
    ).toBe('Brings the far hand to help');
    expect(named('Rolls forward', {}, true, RIGHT)).toBe('Rolls forward, on the other side');
  });

  it('agrees with the limbs of the mirrored reaction, in every answer of the small club', () => {
    const map = parseMapFile(
      readFileSync(new URL('../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
    );
    const index = indexMap(map);
    let checked = 0;
    for (const exchange of map.exchanges) {
      if (exchange.reaction === 'none' || !exchange.reaction.mirrored) continue;
      const known = index.reaction.get(exchange.reaction.id)!;
      const at = index.position.get(index.move.get(exchange.move)!.position)!;
      const { meets } = answerName(map, exchange);
      if (at.leadSide === 'L') {
        expect(meets).toBe(known.name);
        continue;
      }
      expect(meets).not.toBe(known.name);
      const seen = sided('reaction', known, true);
      const limb = Object.keys(seen.changes).map(
        (sign) => /^top\.(?:hand|elbow|knee|leg)([LR])$/.exec(sign)?.[1],
      );
      const side = limb.find(Boolean);
      if (!side || /\b(near|far)\b/.test(known.name)) continue;
      expect(meets).toContain(side === at.leadSide ? 'near' : 'far');
      checked++;
    }
    expect(checked).toBeGreaterThan(0);
  });
});

describe('what is done in an answer', () => {
  const map = parseMapFile(
    readFileSync(new URL('../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
  );
  const index = indexMap(map);
  const [exchange] = map.exchanges;
  const move = index.move.get(exchange!.move)!;
  const step = { text: 'The foot climbs to the biceps.', seconds: 1 };
  const variant = { id: 'climbs', name: 'Foot climbs to the biceps', steps: [step] };
  const withWay = (more: object, of: object) => {
    const changed = { ...move, variants: [{ ...variant, when: {}, why: '', ...more }] } as typeof move;
    const changedMap = { ...map, moves: map.moves.map((one) => (one === move ? changed : one)) };
    return doneName(changedMap, { ...exchange!, variant: 'climbs', ...of });
  };

  it('is the variant where that has steps of its own, and the move where it is only another way of it', () => {
    expect(withWay({}, {})).toBe('Foot climbs to the biceps');
    expect(withWay({ steps: [] }, {})).toBe(move.name);
    expect(withWay({ sameMove: true }, {})).toBe(move.name);
    expect(withWay({}, { variant: undefined })).toBe(move.name);
  });

  it('is where one goes instead where nothing of the move happens', () => {
    const at = map.positions.at(-1)!;
    const stopped = { ...exchange!, variant: undefined, stops: 0 };
    expect(doneName(map, { ...stopped, to: { position: at.id } })).toBe(`Go to ${at.name}`);
    expect(doneName(map, { ...stopped, to: { outcome: 'top-guard' } })).toBe('On top in their guard');
    expect(doneName(map, { ...stopped, stops: 1 })).toBe(move.name);
  });
});
