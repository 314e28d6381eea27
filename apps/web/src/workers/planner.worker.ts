import '../jitless.ts';
import {
  helpfulRoot,
  otherThemes,
  planClass,
  planLesson,
  planTerm,
  proposeClasses,
  singleBlock,
} from '@aftersquall/core/lesson';
import { expose } from 'comlink';

const planner = { planClass, planLesson, planTerm, otherThemes, helpfulRoot, proposeClasses, singleBlock };
export type Planner = typeof planner;

expose(planner);
