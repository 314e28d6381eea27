import '../jitless.ts';
import { helpfulRoot, otherThemes, planClass, planLesson, planTerm } from '@aftersquall/core';
import { expose } from 'comlink';

const planner = { planClass, planLesson, planTerm, otherThemes, helpfulRoot };
export type Planner = typeof planner;

expose(planner);
