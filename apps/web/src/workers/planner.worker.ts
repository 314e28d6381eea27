import '../jitless.ts';
import { helpfulRoot, planClass, planLesson, planTerm } from '@aftersquall/core';
import { expose } from 'comlink';

const planner = { planClass, planLesson, planTerm, helpfulRoot };
export type Planner = typeof planner;

expose(planner);
