import { spawn } from 'node:child_process';
import { installPackages, ROOT } from './set-up.mjs';

// Server and interface with live reload, on the demo data; beside a running demo, which has a port and a file of its own.
installPackages();
const { default: getPort } = await import('get-port');
const port = process.env.NERVATO_PORT ?? String(await getPort({ port: 4320 }));
const env = {
  ...process.env,
  NERVATO_DB: process.env.NERVATO_DB ?? `${ROOT}data/dev.sqlite`,
  NERVATO_PORT: port,
  NERVATO_API_PORT: port,
};
const children = [
  spawn('npx', ['tsx', 'watch', 'demo/serve.ts'], { cwd: ROOT, stdio: 'inherit', env }),
  spawn('npx', ['vite'], { cwd: ROOT, stdio: 'inherit', env }),
];
for (const child of children) {
  child.on('exit', () => {
    for (const other of children) other.kill();
  });
}
