import '../jitless.ts';
import {
  type GuardMap,
  type HoldPattern,
  holdDependence,
  type WeighOptions,
  weighMap,
} from '@aftersquall/core';
import { expose } from 'comlink';

const weigher = {
  weigh: (map: GuardMap, options: WeighOptions, start: readonly number[] | undefined) =>
    weighMap(map, options, start),
  depend: (map: GuardMap, holds: HoldPattern, options: WeighOptions) => holdDependence(map, holds, options),
};
export type Weigher = typeof weigher;

expose(weigher);
