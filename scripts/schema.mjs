// Writes docs/map.schema.json from the shared schemas.
import { writeFileSync } from 'node:fs';
import { mapJsonSchema } from '../packages/core/dist/formats/index.js';

writeFileSync(
  new URL('../docs/map.schema.json', import.meta.url),
  `${JSON.stringify(mapJsonSchema(), null, 2)}\n`,
);
