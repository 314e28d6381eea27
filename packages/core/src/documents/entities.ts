import type { Block } from '../model/blocks/blockKinds.ts';
import type { Athlete, Group, Holiday, Mat, TermSlot } from '../model/club.ts';
import type { EntityKind, EntityOf } from '../model/map.ts';
import type { RulesProfile } from '../model/rulesProfile.ts';

/** Every kind of entity of every kind of document, with its type. */
export type Entities = { [K in EntityKind]: EntityOf<K> } & {
  block: Block;
  athlete: Athlete;
  group: Group;
  profile: RulesProfile;
  mat: Mat;
  slot: TermSlot;
  holiday: Holiday;
};
export type EntityKindName = keyof Entities;
