import { type BarredBlock, barredWords } from '../lesson/blocks/barredBlocks.ts';
import { classSeconds, timetable } from '../lesson/blocks/blockTime.ts';
import { forkCalls } from '../lesson/practise/forkCalls.ts';
import { type Block, blockLines, blockName, isDrilled, isPlayed } from '../model/blocks/blockKinds.ts';
import type { ClassPlan } from '../model/classPlan.ts';
import { clockText } from './clockText.ts';
import { SAFETY_NOTE } from './safetyNote.ts';

/** How much of a block is done: "8 × 12 s a side, both sides" or "4 rounds of 60 s". */
export function doseWords(block: Block): string {
  if (isDrilled(block)) {
    const turned = block.links[0]?.mirrored ? ', starting on the other side' : '';
    const other = block.otherReps ? `, then ${block.otherReps} on the other side` : '';
    return `${block.reps} × ${block.secondsPerRep} s${block.sides === 2 ? ' a side, both sides' : ''}${other}${turned}`;
  }
  if (isPlayed(block)) return `${block.rounds} × ${block.secondsPerRound} s each`;
  return '';
}

const WHO = { all: '', bottom: 'Bottom: ', top: 'Top: ' } as const;

/** A block that says where it starts, what keeps both safe and what is called. */
export const toldInFull = (block: Block): boolean =>
  isDrilled(block) ? Boolean(block.start) : isPlayed(block) && block.limit !== undefined;

/** So many calls stand on a sheet for a fork drill. */
const CALLS = 24;

/** A class as Markdown (CommonMark): blocks with their times, both roles, hazards, and the calls of its fork drills. */
export function printClass(plan: ClassPlan, barred: readonly BarredBlock[] = []): string {
  const blocks = timetable(plan).map(({ block, start, total }) => {
    const dose = doseWords(block);
    const hazards =
      'hazards' in block && block.hazards.length > 0
        ? block.hazards.map((tag) => tag.replaceAll('-', ' '))
        : [];
    const lines = [
      `## ${clockText(start)} ${plainLine(block.title)}`,
      '',
      `*${blockName(block.kind)}, ${clockText(total)}${dose && `, ${dose}`}${'resistance' in block && !toldInFull(block) ? `, ${block.resistance}` : ''}*`,
      '',
      ...(block.why ? [plainLine(block.why), ''] : []),
      ...blockLines(block).map(
        ({ who, label, text }) =>
          `- ${label === undefined ? WHO[who] : label.endsWith('?') ? `${label} ` : `${label}: `}${plainLine(text)}`,
      ),
      ...(hazards.length > 0 && !toldInFull(block) ? [`- Care: ${hazards.join(', ')}`] : []),
      ...barred.filter((one) => one.block.id === block.id).map((one) => `- ${plainLine(barredWords(one))}`),
      ...(block.kind === 'fork' && !toldInFull(block)
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
    `${plan.when ? `${plan.when.date}, ${plan.when.start}; ` : ''}${plan.minutes} minutes, ${plan.people} people, ${plan.apparel}; ${clockText(total)} planned${total < plan.minutes * 60 ? `, ${clockText(plan.minutes * 60 - total)} spare` : ''}.`,
    ...blocks,
    SAFETY_NOTE,
  ].join('\n\n')}\n`;
}

/** Text that Markdown takes for nothing but text, on one line. */
const plainLine = (text: string): string =>
  text.replaceAll(/\s+/g, ' ').replaceAll(/[\\`*_[\]<>#]/g, (sign) => `\\${sign}`);
