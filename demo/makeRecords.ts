import { writeFileSync } from 'node:fs';
import { demoRecords } from './demoRecords.ts';
import { readDemo } from './readDemo.ts';

/** Writes ten weeks of records. `npx tsx demo/makeRecords.ts` */
const lines = demoRecords(readDemo()).map((record) => JSON.stringify(record));
writeFileSync(new URL('records.json', import.meta.url), `[\n${lines.join(',\n')}\n]\n`);
