import '../jitless.ts';
import { helpfulRoot, otherThemes, planClass, planLesson, planTerm, proposeClasses } from '@aftersquall/core';
import { expose } from 'comlink';

const planner = { planClass, planLesson, planTerm, otherThemes, helpfulRoot, proposeClasses };
export type Planner = typeof planner;

expose(planner);
