import type { planClass } from '@aftersquall/core';

/** What a class is to be about. */
export interface Goal {
  name: string;
  exchanges: string[];
}

/** What a class is planned from, the map left aside. */
export type Request = Omit<Parameters<typeof planClass>[0], 'map'>;
