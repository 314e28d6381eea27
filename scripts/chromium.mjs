import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { giveUp, run } from './setUp.mjs';

/** Debian's Chromium, the smaller one without windows first: it is there for tests and starts faster. */
const BROWSERS = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'];

/** The browser that is there. */
export const chromium = () => BROWSERS.find((path) => existsSync(path));

/** Makes sure that Debian's Chromium is there, for whoever drives the application in a browser. */
export function needChromium() {
  if (chromium()) return;
  if (spawnSync('apt-get', ['--version']).error) {
    giveUp(
      `The browser tests need Chromium at ${BROWSERS.join(' or ')}, and there is no apt-get to install it with.`,
    );
  }
  console.log('Installing Chromium…');
  run('apt-get', ['update', '-qq']);
  const install = (name) => ['install', '-y', '-qq', '--no-install-recommends', name];
  if (spawnSync('apt-get', install('chromium-headless-shell'), { stdio: 'inherit' }).status === 0) return;
  run('apt-get', install('chromium'), {
    hint: 'Chromium could not be installed. Install the Debian package "chromium" by hand, then try again.',
  });
}
