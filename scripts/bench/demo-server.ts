import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import getPort from 'get-port';

/** The production server over a database file, for measuring. */
export async function startServer(file: string, entry = 'main.js') {
  const port = await getPort();
  const server = spawn(process.execPath, [`dist/server/${entry}`], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      NERVATO_DB: file,
      NERVATO_WEB_ROOT: './dist/web',
      NERVATO_PORT: String(port),
      NERVATO_LOG_LEVEL: 'warn',
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise<void>((done) => {
    server.stdout.on('data', (text) => String(text).includes('Nervato is at') && done());
  });
  return {
    address: `http://localhost:${port}`,
    pid: server.pid ?? 0,
    residentBytes: (): number => {
      const status = readFileSync(`/proc/${server.pid}/status`, 'utf8');
      return 1024 * Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? Number.NaN);
    },
    stop: () => {
      server.kill();
    },
  };
}

/** The same on a demo database of its own, its months played before: nothing goes on beside what is measured. */
export async function startDemoServer() {
  const folder = mkdtempSync(join(tmpdir(), 'nervato-bench-'));
  const file = join(folder, 'bench.sqlite');
  spawnSync(process.execPath, ['dist/server/load-demo.js'], {
    env: { ...process.env, NODE_ENV: 'production', NERVATO_DB: file },
    stdio: 'inherit',
  });
  const server = await startServer(file, 'demo.js');
  return {
    ...server,
    stop: () => {
      server.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
