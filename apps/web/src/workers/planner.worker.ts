import '../jitless.ts';
import { helpfulRoot, planClass, planLesson } from '@aftersquall/core';
import { expose } from 'comlink';

const planner = { planClass, planLesson, helpfulRoot };
export type Planner = typeof planner;

expose(planner);
