// The coach's own data, in data/aftersquall.db.
import { build, install, serve } from './setUp.mjs';

install();
build();
serve({});
