import '../jitless.ts';
import { expose } from 'comlink';
import { mapWeigher } from './mapWeigher.ts';

expose(mapWeigher());
