// Server on 4700 with the demo data, web application with live reload on 4701.
import { spawn } from 'node:child_process';
import { build, install, root, serve } from './setUp.mjs';

install();
build();
spawn('npx', ['vite', 'apps/web', '--host', '127.0.0.1'], { cwd: root, stdio: 'inherit' });
serve({ AFTERSQUALL_DATABASE: 'data/demo.db', AFTERSQUALL_SEED: 'demo' });
