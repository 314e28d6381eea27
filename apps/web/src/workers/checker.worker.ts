import '../jitless.ts';
import { type CheckContext, type Finding, validateMap } from '@aftersquall/core/check';
import { expose } from 'comlink';
import { keepMap } from './mapMirror.ts';

const { open, change, map } = keepMap();
const checker = {
  open,
  change,
  check: (context: CheckContext): Finding[] => validateMap(map(), context),
};
export type Checker = typeof checker;

expose(checker);
