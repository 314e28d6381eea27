import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { giveUp, run } from './setUp.mjs';

/** Makes sure that Debian's Chromium is there, for whoever drives the application in a browser. */
export function needChromium() {
  if (existsSync('/usr/bin/chromium')) return;
  if (spawnSync('apt-get', ['--version']).error) {
    giveUp(
      'The browser tests need Chromium at /usr/bin/chromium, and there is no apt-get to install it with.',
    );
  }
  console.log('Installing Chromium…');
  run('apt-get', ['update', '-qq']);
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], {
    hint: 'Chromium could not be installed. Install the Debian package "chromium" by hand, then try again.',
  });
}
