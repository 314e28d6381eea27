import '../jitless.ts';
import { helpfulRoot, planClass, planLesson, planTerm, rivalLesson } from '@aftersquall/core';
import { expose } from 'comlink';

const planner = { planClass, planLesson, planTerm, rivalLesson, helpfulRoot };
export type Planner = typeof planner;

expose(planner);
