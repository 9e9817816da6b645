import { spawn } from 'node:child_process';
import { installPackages, ROOT, run } from './set-up.mjs';

// Server and interface with live reload, on the demo data.
const env = {
  ...process.env,
  NERVATO_DB: process.env.NERVATO_DB ?? `${ROOT}data/dev.sqlite`,
  NERVATO_PORT: '4310',
};
installPackages();
run('npx', ['tsx', 'demo/main.ts'], env);
const children = [
  spawn('npx', ['tsx', 'watch', 'server/main.ts'], { cwd: ROOT, stdio: 'inherit', env }),
  spawn('npx', ['vite'], { cwd: ROOT, stdio: 'inherit', env }),
];
for (const child of children) {
  child.on('exit', () => {
    for (const other of children) other.kill();
  });
}
