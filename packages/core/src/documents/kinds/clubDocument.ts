import {
  type Athlete,
  AthleteSchema,
  CLUB_FORMAT,
  type Club,
  ClubSchema,
  type Group,
  GroupSchema,
  type Holiday,
  HolidaySchema,
  type Mat,
  MatSchema,
  type TermSlot,
  TermSlotSchema,
} from '../../model/club.ts';
import { type RulesProfile, RulesProfileSchema } from '../../model/rulesProfile.ts';
import { defineDocument, type EntityKindDefinition, type Reference } from '../defineDocument.ts';

const athlete: EntityKindDefinition<Athlete> = {
  list: 'athletes',
  schema: AthleteSchema,
  nameOf: (_, { alias }) => alias,
};
const group: EntityKindDefinition<Group> = {
  list: 'groups',
  schema: GroupSchema,
  references: ({ athletes }) =>
    athletes.map(
      (id, i): Reference => ({
        path: ['athletes', i],
        kind: 'athlete',
        id,
        onLoss: { drop: ['athletes', i] },
      }),
    ),
};
const profile: EntityKindDefinition<RulesProfile> = {
  list: 'profiles',
  schema: RulesProfileSchema,
  word: 'rules profile',
};
const mat: EntityKindDefinition<Mat> = { list: 'mats', schema: MatSchema };
const slot: EntityKindDefinition<TermSlot> = {
  list: 'slots',
  word: 'time',
  schema: TermSlotSchema,
  references: (value) =>
    (['group', 'mat'] as const).flatMap((kind): Reference[] =>
      value[kind] ? [{ path: [kind], kind, id: value[kind], onLoss: { drop: [kind] } }] : [],
    ),
};

const holiday: EntityKindDefinition<Holiday> = {
  list: 'holidays',
  schema: HolidaySchema,
  check: (_, { from, to }) =>
    from <= to ? [] : [{ path: ['to'], message: 'holidays end on the day they begin, or later' }],
};

/** The club: people, groups, rules profiles, mats, the times of the term and holidays. */
export const clubDocument = defineDocument<Club>()({
  kind: 'club',
  format: CLUB_FORMAT,
  schema: ClubSchema,
  head: { name: 'name of the club', note: 'note of the club' },
  summary: ['name'],
  entities: { athlete, group, profile, mat, slot, holiday },
});
