import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import getPort from 'get-port';

/** The production server on a demo database of its own, for measuring. `stop` ends it and takes the file away. */
export async function startDemoServer() {
  const folder = mkdtempSync(join(tmpdir(), 'nervato-bench-'));
  const port = await getPort();
  const env = {
    ...process.env,
    NODE_ENV: 'production',
    NERVATO_DB: join(folder, 'bench.sqlite'),
    NERVATO_WEB_ROOT: './dist/web',
    NERVATO_PORT: String(port),
    NERVATO_LOG_LEVEL: 'warn',
  };
  const start = (file: string) =>
    spawn(process.execPath, [`dist/server/${file}`], { env, stdio: ['ignore', 'pipe', 'inherit'] });
  await new Promise((done) => start('load-demo.js').once('exit', done));
  const server = start('main.js');
  await new Promise<void>((done) => {
    server.stdout.on('data', (text) => String(text).includes('Nervato is at') && done());
  });
  return {
    address: `http://localhost:${port}`,
    pid: server.pid ?? 0,
    stop: () => {
      server.kill();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
