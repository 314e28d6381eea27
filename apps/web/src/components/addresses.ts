import type { DocumentAddress } from '@aftersquall/core/contract';

/** Where a place of a map is: `mapAddress('kelpwick', 'read')`; without a place, the map itself. */
export const mapAddress = (map: string, place = ''): string =>
  place ? `/map/${map}/${place}` : `/map/${map}`;

export const classAddress = (id = ''): string => (id ? `/club/classes/${id}` : '/club/classes');
/** The first page: what is on tonight. */
export const tonightAddress = '/club';
export const termAddress = '/club/term';
export const logAddress = '/club/log';
/** The quiz of a map, for a group where one is named. */
export const recallAddress = (map: string, group = ''): string =>
  group ? `/recall/${map}?group=${group}` : `/recall/${map}`;
export const matAddress = (id = ''): string => (id ? `/club/mat/${id}` : '/club/mat');

/** Where a document is shown. */
export const addressOfDocument = ({ kind, id }: DocumentAddress): string =>
  kind === 'map' ? mapAddress(id) : kind === 'class' ? classAddress(id) : '/club';

const OLD_PLACES: Record<string, (map: string, rest: string) => string> = {
  map: (map) => mapAddress(map),
  read: (map) => mapAddress(map, 'read'),
  weigh: (map) => mapAddress(map, 'weigh'),
  balance: (map) => mapAddress(map, 'balance'),
  drills: (_, rest) => classAddress(rest),
  mat: (_, rest) => matAddress(rest),
};

/** Where an address of before leads now (`/kelpwick/drills/tuesday`); undefined for what never was one. */
export function newAddress(old: string): string | undefined {
  const [, map = '', place = '', rest = ''] = /^\/([^/]+)\/([^/]+)(?:\/([^/]*))?$/.exec(old) ?? [];
  return Object.hasOwn(OLD_PLACES, place) ? OLD_PLACES[place]!(map, rest) : undefined;
}
