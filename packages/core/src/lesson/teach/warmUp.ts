import type { Block } from '../../model/blocks/blockKinds.ts';
import { doseSeconds } from '../../model/dose.ts';
import type { Mechanic } from '../../model/mechanic.ts';
import { clip } from '../blocks/lessonWords.ts';
import { sentences } from '../blocks/roleWords.ts';
import { fallDrills } from './falls.ts';
import type { Room } from './room.ts';
import { bare, CLOTH, type Said } from './said.ts';

const MINUTE = 60;
/** A movement takes at most so long. */
const LONGEST = 150;
const PULSE = {
  novice: 'Light steps, side steps, hip escapes, one length each.',
  intermediate: 'Light steps, hip escapes, technical stand-ups, one length each.',
  expert: 'Hip escapes, technical stand-ups, hip circles, one length each.',
} as const;

/** A warm-up that warms: the pulse first, then the falls of the night, then what the first techniques are made of. */
export function warmUp(room: Room, seconds: number): Block[] {
  const { teach, theme, said } = room;
  const { index, request, barred } = teach;
  const order = [
    ...theme.defence,
    ...(theme.wayIn ? [theme.wayIn] : []),
    ...theme.taught.map(({ technique }) => technique),
  ];
  const falls = fallDrills(teach, [theme.main, ...order]);
  const needed = order.flatMap(({ move }) =>
    move.requires.flatMap((need) => ('mechanic' in need ? [need.mechanic] : [])),
  );
  const made = [...order, ...teach.at(request.root)].flatMap(({ move }) => move.mechanics);
  const spared = request.options?.sparedJoints ?? [];
  const fits = (mechanic: Mechanic): boolean =>
    // The falls of the night are done already.
    !/^fall-/.test(mechanic.id) &&
    !(falls.some(({ id }) => id === 'over') && /roll/.test(mechanic.id)) &&
    !mechanic.hazards.some((tag) => barred.includes(tag) || request.youth) &&
    !(
      request.level !== 'expert' && mechanic.hazards.some((tag) => ['heel-hook', 'neck-crank'].includes(tag))
    ) &&
    !(request.apparel === 'no-gi' && CLOTH.test(mechanic.said ?? mechanic.how)) &&
    !spared.some((joint) => mechanic.loads?.[joint]);
  const mechanics = [...new Set([...(order[0]?.move.mechanics ?? []), ...needed, ...made])]
    .flatMap((id) => index.mechanic.get(id) ?? [])
    .filter(fits);
  const pulse = seconds >= 330 ? 90 : MINUTE;
  let left = seconds - pulse - falls.length * MINUTE;
  const most = left >= 6 * MINUTE ? 3 : left >= LONGEST ? 2 : left >= MINUTE ? 1 : 0;
  const chosen = mechanics.slice(0, most);
  const drills = chosen.map((mechanic, i): Block => {
    const each = Math.min(LONGEST, Math.floor(left / (chosen.length - i) / 30) * 30);
    left -= each;
    return mechanicBlock(said, mechanic, each);
  });
  const movement = (id: string, title: string, how: string, length: number): Block => ({
    kind: 'move',
    id,
    title,
    why: '',
    note: '',
    form: 'solo',
    dose: '',
    how: said.toBottom(how),
    partner: '',
    hazards: [],
    seconds: length,
  });
  return [
    movement('pulse', 'On the move', PULSE[request.level], pulse + Math.max(0, left)),
    ...falls.map(({ id, how }) => movement(`fall-of-tonight-${id}`, 'Tonight’s fall', how, MINUTE)),
    ...drills,
  ];
}

export function mechanicBlock(said: Said, mechanic: Mechanic, seconds: number): Block {
  const { id, name, form, how, said: short, partner, cues, note, hazards, dose = '' } = mechanic;
  const care = note && /sore|left out|slow|neck/i.test(note) ? bare(said.toBottom(note)) : undefined;
  return {
    kind: 'move',
    id: `move-${id}`.slice(0, 70),
    title: clip(name),
    why: '',
    note: '',
    mechanic: id,
    form,
    dose: fittingDose(dose, seconds, form === 'pair'),
    how: sentences(said.toBottom(short ?? how), care ?? (cues[0] ? said.toBottom(cues[0]) : undefined)),
    partner: partner ? said.toBottom(partner) : '',
    hazards: [...hazards],
    seconds,
  };
}

/** A dose that can be done in the time it has: for a pair both take their turn in it. */
function fittingDose(dose: string, seconds: number, pair: boolean): string {
  const room = pair ? seconds / 2 : seconds;
  const needs = doseSeconds(dose);
  if (needs !== undefined && needs <= room) return dose.split(/[;,]/)[0]!.trim() + (pair ? ', swap' : '');
  const held = /(\d+) s/.exec(dose);
  if (held)
    return `${Math.max(1, Math.floor(room / (Number(held[1]) + 10)))} × ${held[1]} s${pair ? ' each' : ''}`;
  if (/length/.test(dose)) return 'one length there and back';
  const sides = /(?:a|an|each) (?:side|arm|foot|leg|shoulder)/.exec(dose)?.[0];
  const count = Math.max(3, Math.min(8, Math.floor(room / 4 / (sides ? 2 : 1))));
  return `${count}${sides ? ` ${sides}` : ''}${pair ? ', swap' : ''}`;
}
