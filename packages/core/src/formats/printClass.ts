import { blockTime, classSeconds } from '../lesson/blockTime.ts';
import { forkCalls } from '../lesson/forkCalls.ts';
import { type Block, blockLines, blockName, isDrilled, isPlayed } from '../model/blocks/blockKinds.ts';
import type { ClassPlan } from '../model/classPlan.ts';

const clock = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.round(seconds % 60)).padStart(2, '0')}`;

/** How much of a block is done: "8 × 12 s a side, both sides" or "4 rounds of 60 s". */
export function doseWords(block: Block): string {
  if (isDrilled(block)) {
    const turned = block.links[0]?.mirrored ? ', begun on the other side' : '';
    return `${block.reps} × ${block.secondsPerRep} s${block.sides === 2 ? ' a side, both sides' : ''}${turned}`;
  }
  if (isPlayed(block)) return `${block.rounds} × ${block.secondsPerRound} s each`;
  return '';
}

const WHO = { all: '', bottom: 'Bottom: ', top: 'Top: ' } as const;

/** So many calls stand on a sheet for a fork drill. */
const CALLS = 24;

/** A class as Markdown (CommonMark): blocks with their times, both roles, hazards, and the calls of its fork drills. */
export function printClass(plan: ClassPlan): string {
  let at = 0;
  const blocks = plan.blocks.map((block) => {
    const { total } = blockTime(block, plan);
    const start = at;
    at += total;
    const dose = doseWords(block);
    const hazards =
      'hazards' in block && block.hazards.length > 0
        ? block.hazards.map((tag) => tag.replaceAll('-', ' '))
        : [];
    const lines = [
      `## ${clock(start)} ${plainLine(block.title)}`,
      '',
      `*${blockName(block.kind)}, ${clock(total)}${dose && `, ${dose}`}${'resistance' in block ? `, ${block.resistance}` : ''}*`,
      '',
      ...(block.why ? [plainLine(block.why), ''] : []),
      ...blockLines(block).map(({ who, text }) => `- ${WHO[who]}${plainLine(text)}`),
      ...(hazards.length > 0 ? [`- Care: ${hazards.join(', ')}`] : []),
      ...('override' in block && block.override
        ? [`- Barred by the rules of this class, done all the same: ${plainLine(block.override)}`]
        : []),
      ...(block.kind === 'fork'
        ? [
            `- Calls: ${forkCalls(block, CALLS)
              .map((i) => i + 1)
              .join(
                ' ',
              )} (${block.links.map(({ meets }, i) => `${i + 1} ${plainLine(meets || 'nothing')}`).join(', ')})`,
          ]
        : []),
    ];
    return lines.join('\n');
  });
  const total = classSeconds(plan);
  return `${[
    `# ${plainLine(plan.name)}`,
    `${plan.when ? `${plan.when.date}, ${plan.when.start}; ` : ''}${plan.minutes} minutes, ${plan.people} people, ${plan.apparel}; ${clock(total)} planned.`,
    ...blocks,
    'Practise under a qualified coach. The event’s current rule book and the club’s own policy decide what may be done; joint attacks and strangles are finished slowly and released at the tap.',
  ].join('\n\n')}\n`;
}

/** Text that Markdown takes for nothing but text, on one line. */
const plainLine = (text: string): string =>
  text.replaceAll(/\s+/g, ' ').replaceAll(/[\\`*_[\]<>#]/g, (sign) => `\\${sign}`);
