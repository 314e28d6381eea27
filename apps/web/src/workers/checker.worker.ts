import '../jitless.ts';
import { type Finding, type RulesProfile, validateMap } from '@aftersquall/core';
import { expose } from 'comlink';
import { keepMap } from './mapMirror.ts';

const { open, change, map } = keepMap();
const checker = {
  open,
  change,
  check: (rules: RulesProfile | undefined): Finding[] => validateMap(map(), rules ? { rules } : {}),
};
export type Checker = typeof checker;

expose(checker);
