import { readdirSync, rmSync, writeFileSync } from 'node:fs';
import stringify from 'json-stringify-pretty-compact';
import { demoTerm } from './demoTerm.ts';
import { readDemo } from './readDemo.ts';

/** Writes the classes of the demo's term. `npx tsx demo/makeTerm.ts` */
const here = (file: string) => new URL(file, import.meta.url);
for (const name of readdirSync(here('.'))) if (/^term-.*\.class\.json$/.test(name)) rmSync(here(name));
for (const plan of demoTerm(readDemo()))
  writeFileSync(here(`${plan.id}.class.json`), `${stringify(plan, { maxLength: 110 })}\n`);
