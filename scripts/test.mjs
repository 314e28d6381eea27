// Everything that has to hold, from a fresh clone: install, types, lint, build, unit, HTTP and browser tests.
import { needChromium } from './chromium.mjs';
import { build, install, run } from './setUp.mjs';

install();
build();
run('npm', ['run', 'typecheck', '--silent']);
run('npm', ['run', 'lint', '--silent']);
run('npx', ['vitest', 'run']);
needChromium();
run('npx', ['playwright', 'test']);
