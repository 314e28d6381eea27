import '../jitless.ts';
import { type Finding, type GuardMap, type RulesProfile, validateMap } from '@aftersquall/core';
import { expose } from 'comlink';

const checker = {
  check: (map: GuardMap, rules: RulesProfile | undefined): Finding[] =>
    validateMap(map, rules ? { rules } : {}),
};
export type Checker = typeof checker;

expose(checker);
