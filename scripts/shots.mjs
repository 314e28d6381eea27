// Takes the pictures in docs/screenshots anew, from the demo data.
import { needChromium } from './chromium.mjs';
import { build, install, run } from './setUp.mjs';

install();
build();
needChromium();
run('npx', ['playwright', 'test', '--config', 'playwright.shots.config.ts']);
