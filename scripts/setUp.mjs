import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

/** The folder of the project, wherever it was cloned to. */
export const root = fileURLToPath(new URL('../', import.meta.url));
const at = (...parts) => path.join(root, ...parts);

/** Ends with a sentence that says what to do. */
export function giveUp(sentence) {
  console.error(sentence);
  process.exit(1);
}

/** Runs a command of the project; ends the script where it fails. */
export function run(command, args, { quiet = false, hint } = {}) {
  const { status, stdout, stderr, error } = spawnSync(command, args, {
    cwd: root,
    stdio: quiet ? 'pipe' : 'inherit',
    encoding: 'utf8',
  });
  if (status === 0) return;
  if (quiet) console.error(`${stdout ?? ''}${stderr ?? ''}`);
  giveUp(
    hint ??
      `"${command} ${args.join(' ')}" failed${error ? ` (${error.message})` : ''}; what it says is above.`,
  );
}

/** Installs the packages where they are missing or older than the lock file. */
export function install() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    giveUp(`Aftersquall needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
  }
  const stamp = at('node_modules', '.aftersquall-installed');
  const lock = readFileSync(at('package-lock.json'), 'utf8');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  console.log('Installing packages…');
  run('npm', ['ci', '--no-audit', '--no-fund'], {
    hint: 'Installing the packages failed. They come from the package registry, so check the connection and try again.',
  });
  writeFileSync(stamp, lock);
}

/** Newest change below a folder, in ms. */
function newest(folder) {
  return Math.max(
    0,
    ...readdirSync(folder, { recursive: true, withFileTypes: true })
      .filter((entry) => entry.isFile() && !/[\\/](node_modules|dist)([\\/]|$)/.test(entry.parentPath))
      .map((entry) => statSync(path.join(entry.parentPath, entry.name)).mtimeMs),
  );
}

/** Builds what is older than its sources. */
export function build() {
  const parts = [
    ['packages/core', 'dist/model/index.js', ['packages/core']],
    ['apps/server', 'dist/main.js', ['packages/core', 'apps/server']],
    ['apps/web', 'dist/index.html', ['packages/core', 'apps/web']],
  ];
  for (const [folder, product, sources] of parts) {
    const file = at(folder, product);
    const stale =
      !existsSync(file) || statSync(file).mtimeMs < Math.max(...sources.map((source) => newest(at(source))));
    if (!stale) continue;
    console.log(`Building ${folder}…`);
    run('npm', ['run', 'build', '-w', folder, '--silent'], { quiet: true });
  }
}

/** Starts the server with these settings and stays until it ends. */
export function serve(environment) {
  const child = spawn(process.execPath, ['apps/server/dist/main.js'], {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...environment },
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  child.on('exit', (code) => process.exit(code ?? 0));
}
