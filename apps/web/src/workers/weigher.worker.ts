import '../jitless.ts';
import { expose } from 'comlink';
import { createWeighingEngine } from './weighingEngine.ts';

expose(createWeighingEngine());
