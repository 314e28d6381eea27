import { OUTCOME_WORDS } from '../../body/landingWords.ts';
import { translateApparel } from '../../body/translateApparel.ts';
import { holdWords, wordContext } from '../../body/words.ts';
import { wornWords } from '../../body/wornWords.ts';
import type { Hold } from '../../model/hold.ts';
import { lowerFirst, upperFirst } from '../../model/letterCase.ts';
import { isOutcome, type Landing } from '../../model/outcome.ts';
import type { Apparel } from '../../model/primitives.ts';
import type { ReactionRef } from '../../model/reaction.ts';
import { otherWay, reactionWords } from '../../model/reactionWords.ts';
import { type SignValue, signOf } from '../../model/signs.ts';
import { type Row, reactionOf, type Teachable, type Technique } from './technique.ts';

/** The book speaks as bottom ("our"); a class is said to bottom ("your"). */
const toBottom = (text: string): string =>
  text
    .replace(/\bours\b/g, 'yours')
    .replace(/\b(O|o)ur\b/g, (_, o: string) => (o === 'O' ? 'Your' : 'your'))
    .replace(/\bus\b/g, 'you')
    .replace(/\bwe\b/g, 'you')
    .replace(/\bthe own\b/g, 'your own');
/** The same said to the partner. */
const toPartner = (text: string): string =>
  text
    .replace(/\bours\b/g, 'theirs')
    .replace(/\bour\b/g, 'their')
    .replace(/\bus\b/g, 'them')
    .replace(/\bthe own\b/g, 'your own');
/** Without what ends it. */
export const bare = (text: string): string => text.trim().replace(/[.;,]+$/, '');

/** What has no meaning without the jacket. */
const GI_ONLY = /\bgi\b|jacket|lapel|\bcloth\b|trouser/i;
export const CLOTH = /sleeve|collar|lapel|cuff|belt|trouser|jacket|cloth/i;

const baseForm = (word: string): string => {
  if (/ies$/.test(word)) return `${word.slice(0, -3)}y`;
  if (/(?:ch|sh|ss|x|o)es$/.test(word)) return word.slice(0, -2);
  return /[^s]s$/.test(word) ? word.slice(0, -1) : word;
};
const NOUNS = /^(?:hands|hips|legs|feet|heels|knees|grips|toes|hooks|arms|elbows|ankles|ribs|its|his)$/;
const VERBS = /^(?:sits|leans|turns|stands|comes|goes|steps|drives|walks)$/;
/** "Sits back and pulls" → "sit back and pull". */
function plainVerb(name: string): string {
  const words = name.split(' ');
  // "Leg drags": the verb comes second.
  if (words.length > 1 && !/s$/.test(words[0]!)) words[1] = baseForm(words[1]!);
  words[0] = baseForm(words[0]!.toLowerCase());
  for (let i = 1; i < words.length; i++) {
    const [before, word] = [words[i - 1]!, words[i]!];
    const joined = before === 'and' || (before.endsWith(',') && VERBS.test(word));
    if (joined && /[a-z]s$/.test(word) && !NOUNS.test(word)) words[i] = baseForm(word);
  }
  return words.join(' ');
}

/** Coach's words for a class: near and far worked out, "they" for top, short lines, without a jacket none of cloth. */
export class Said {
  private readonly apparel: Apparel;
  /** Moves of a class that share their name with another one: they say where they are done. */
  private twins: ReadonlySet<string> = new Set();

  constructor(private readonly teach: Teachable) {
    this.apparel = teach.request.apparel;
  }

  /** The techniques of the class, so that two of one name are told apart. */
  tellApart(techniques: readonly Technique[]): void {
    const { root } = this.teach.request;
    const name = ({ move }: Technique) => move.short ?? move.name;
    const plain = techniques.filter(({ variant }) => !variant);
    this.twins = new Set(
      plain
        .filter((one) => one.at !== root && plain.some((other) => other !== one && name(other) === name(one)))
        .map(({ move }) => move.id),
    );
  }

  toBottom = (text: string): string => wornWords(toBottom(text), this.apparel);

  /** What top does: "sit back on the heels", said to bottom or to the partner. */
  verb(ref: ReactionRef, to: 'bottom' | 'partner' = 'bottom'): string {
    const reaction = this.teach.index.reaction.get(ref.id);
    const name = reaction?.short ?? reaction?.name ?? ref.id;
    const turned = ref.mirrored ? (reaction?.shortMirrored ?? otherWay(name)) : name;
    const verb = plainVerb(turned);
    const own = to === 'bottom' ? toBottom(verb.replace(/\bthe own\b/g, 'their own')) : toPartner(verb);
    return wornWords(own, this.apparel);
  }
  they = (row: Row): string => `they ${this.verb(reactionOf(row)!)}`;

  /** How a reaction is felt and given here, on its side: in the look's own words, else in the catalogue's, turned. */
  reaction({ move }: Technique, ref: ReactionRef): { feel: string; script: string } {
    const { feel, script } = reactionWords(this.teach.map, move, ref);
    const say = (text: string) => lowerFirst(bare(wornWords(text, this.apparel)));
    return { feel: say(toBottom(feel)), script: say(toPartner(script)) };
  }

  place(id: string): string {
    const position = this.teach.index.position.get(id);
    const name = position?.usual ?? position?.short ?? position?.name.replace(/ \(we [^)]*\)/, '') ?? id;
    return wornWords(toBottom(name), this.apparel);
  }
  landing = (landing: Landing): string =>
    isOutcome(landing)
      ? landing.outcome === 'submission'
        ? 'the catch'
        : OUTCOME_WORDS[landing.outcome]
      : lowerFirst(this.place(landing.position));

  name({ variant, name, move, at }: Technique): string {
    // "They sat by themselves: stand up": what calls for it is said already.
    if (variant) return upperFirst(wornWords(toBottom(name.replace(TRIGGER, '')), this.apparel));
    const own = wornWords(toBottom(move.short ?? name), this.apparel);
    return this.twins.has(move.id) ? `${own} from ${lowerFirst(this.place(at))}` : own;
  }
  /** "They sit back: underhook, come up": the reaction in front, unless the name says it already. */
  calledName(technique: Technique, call: Row | undefined): string {
    const name = this.name(technique);
    if (!call || call.key === 'none') return name;
    const verb = this.verb(reactionOf(call)!);
    const said = new Set(verb.toLowerCase().split(/[^a-z]+/));
    const words = name
      .toLowerCase()
      .split(/[^a-z]+/)
      .filter((word) => word.length > 3);
    const repeats = words.filter((word) => said.has(word)).length * 2 >= words.length;
    return words.length > 0 && repeats ? name : `They ${verb}: ${lowerFirst(name)}`;
  }

  /** The steps as they are said; each whole. In class nothing goes on to the tap. */
  steps({ steps, kind }: Technique): string[] {
    return steps.map(({ said, text }) => {
      const words = said ?? text;
      const caught = kind === 'submission' ? words.replace(/,? (?:until the|to the|to) tap\b/i, '') : words;
      return lowerFirst(bare(this.toBottom(caught)));
    });
  }
  /** The first cue that can be called: at most nine words. */
  cue({ variant, move }: Technique): string {
    if (variant) return '';
    const fits = move.cues.filter((cue) => this.apparel === 'gi' || !GI_ONLY.test(cue));
    const short = fits.find((cue) => cue.split(' ').length <= 9);
    return bare(this.toBottom(short ?? fits[0] ?? ''));
  }
  /** The faults to look for, with what mends them: every one that hurts somebody, else the first. */
  lookFor({ variant, move }: Technique): string {
    if (variant) return '';
    const all = move.faults.filter(
      ({ text, mend = '' }) => this.apparel === 'gi' || !GI_ONLY.test(`${text} ${mend}`),
    );
    const hurts = all.filter(({ text, mend = '' }) => HURTS.test(`${text} ${mend}`));
    const told = hurts.length > 0 ? hurts : all.slice(0, 1);
    return told
      .map(({ text, mend }) => {
        const wrong = lowerFirst(bare(this.toBottom(text)));
        return mend ? `${wrong} → ${lowerFirst(bare(this.toBottom(mend)))}` : wrong;
      })
      .join('. ');
  }
  /** How it works by luck, and what shows that it is skill. */
  luckOrSkill({ variant, move }: Technique): string {
    if (variant) return '';
    const [luck] = move.falsePositives;
    const say = (text: string) => bare(this.toBottom(text));
    if (luck) return `${upperFirst(say(luck.text))}. Test: ${lowerFirst(say(luck.test))}`;
    return move.test ? `Test: ${lowerFirst(say(move.test))}` : '';
  }

  /** Where both are and what is held: what people must be in before the first repetition. */
  start(id: string): string {
    const { position } = translateApparel(this.teach.index.position.get(id)!, this.apparel);
    const context = wordContext(position);
    const kept = (hold: Hold) => Number(!hold.keep);
    const shown = [...position.holds].sort((a, b) => kept(a) - kept(b)).slice(0, MOST_HOLDS);
    const own = shown.map((hold) => holdShort(holdWords(hold, context)));
    const top = position.topHolds
      .slice(0, shown.length > 3 ? 1 : 2)
      .map((hold) => `their ${toBottom(unbracketed(holdWords(hold, context, 'top')))}`);
    const who = `${OWN_STANCE[signOf(position.signs, 'own.torso')] ?? 'you down'}, ${TOP_STANCE[signOf(position.signs, 'top.stance')] ?? 'partner on the knees'}`;
    const held = [...own, ...top].join(', ');
    const owned = /^both /.test(held)
      ? held.replace(/^both /, 'both your ')
      : own.length > 0
        ? `your ${held}`
        : held;
    return wornWords(held ? `${who}; ${owned}` : who, this.apparel);
  }
  /** How the partner is who does nothing special. */
  still(id: string): string {
    const stance = signOf(this.teach.index.position.get(id)!.signs, 'top.stance');
    return STILL[stance] ?? 'kneel normally';
  }
  /** The heading of a look as something one does, "fall to the caught arm"; nothing where it is not. */
  lookAsStart({ at, look }: Technique): string {
    const name = this.teach.index.position.get(at)?.looks.find(({ id }) => id === look)?.name ?? '';
    if (/[?:]/.test(name) || !/^\w+(?:s|es)\b/.test(name) || NOUNS.test(name.split(' ')[0]!.toLowerCase()))
      return '';
    return lowerFirst(this.toBottom(plainVerb(name)));
  }
}

/** What a variant's name says of its moment, in front of what is done. */
const TRIGGER = /^(?:They|The|Their|Foot|Head|Elbow|Collar)\b[^:]*: /;
/** Words that name how a part of somebody gets hurt. */
const HURTS =
  /crown|neck|on the head|straight arm|arm straight|locked|stamp|jerk|yank|crank|on the elbow|on the face|spin/i;
const MOST_HOLDS = 4;
const unbracketed = (text: string): string => text.replace(/ \([^)]*\)/g, '');
const SHORTER: readonly (readonly [RegExp, string])[] = [
  [/ overhooks /, ' over '],
  [/ underhooks /, ' under '],
  [/ (?:is|are) placed on /, ' on '],
  [/ presse?s? on /, ' on '],
  [/ grips? /, ' on '],
  [/ two-on-one on /, ' on '],
  [/ cups? /, ' on '],
  [/ posts? on the mat/, ' on the mat'],
  [/left (leg|arm|hand|foot) and right \1/, 'both $1s'],
  [/both foots/, 'both feet'],
  [/\bown /, 'your own '],
];
const holdShort = (words: string): string =>
  toBottom(SHORTER.reduce((text, [long, short]) => text.replace(long, short), unbracketed(words)));
const OWN_STANCE: Partial<Record<SignValue, string>> = {
  seated: 'you sit',
  'on-back': 'you on your back',
  'side-L': 'you on your left side',
  'side-R': 'you on your right side',
  kneeling: 'you on your knees',
  standing: 'you stand',
  'on-shoulder': 'you up on your shoulders',
  inverted: 'you upside down',
};
const TOP_STANCE: Partial<Record<SignValue, string>> = {
  kneeling: 'partner on the knees',
  standing: 'partner stands',
  squatting: 'partner squats',
  'half-kneeling': 'partner on one knee',
  'all-fours': 'partner on hands and toes',
  seated: 'partner sits',
  'on-back': 'partner on the back',
};
const STILL: Partial<Record<SignValue, string>> = {
  standing: 'stand normally',
  squatting: 'squat still',
  seated: 'sit normally',
  'on-back': 'lie still',
  'all-fours': 'stay on hands and toes',
  'half-kneeling': 'stay on one knee',
};
