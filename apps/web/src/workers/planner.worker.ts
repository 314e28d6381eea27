import '../jitless.ts';
import { planClass } from '@aftersquall/core';
import { expose } from 'comlink';

const planner = { planClass };
export type Planner = typeof planner;

expose(planner);
