import { type Block, BlockSchema } from '../../model/blocks/blockKinds.ts';
import { CLASS_FORMAT, type ClassPlan, ClassSchema } from '../../model/classPlan.ts';
import { defineDocument, type EntityKindDefinition } from '../defineDocument.ts';

const block: EntityKindDefinition<Block> = {
  list: 'blocks',
  schema: BlockSchema,
  nameOf: (_, { title }) => title,
};

/** A class: blocks in their order. It names its map but does not hang on it. */
export const classDocument = defineDocument<ClassPlan>()({
  kind: 'class',
  format: CLASS_FORMAT,
  schema: ClassSchema,
  head: {
    name: 'name of the class',
    map: 'map of the class',
    minutes: 'minutes',
    people: 'people',
    apparel: 'apparel',
    when: 'day of the class',
    changeOverSeconds: 'change-over',
    leftOver: 'what did not fit',
    lesson: 'what the class teaches',
  },
  summary: ['name', 'map', 'minutes', 'people', 'apparel', 'when', 'lesson', 'leftOver'],
  entities: { block },
  fieldWords: { secondsPerRep: 'seconds a rep', demoSeconds: 'time shown' },
});
