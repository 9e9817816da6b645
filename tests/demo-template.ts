import { spawnSync } from 'node:child_process';
import { mkdirSync, rmSync } from 'node:fs';

/** The demo practice, loaded once a run; every test copies it. */
export const DEMO_TEMPLATE = 'test-results/demo-template.sqlite';

export default function loadDemoTemplate(): void {
  mkdirSync('test-results', { recursive: true });
  rmSync(DEMO_TEMPLATE, { force: true });
  const { status } = spawnSync(process.execPath, ['dist/server/load-demo.js'], {
    env: { ...process.env, NODE_ENV: 'production', NERVATO_DB: DEMO_TEMPLATE },
    stdio: 'inherit',
  });
  if (status !== 0) throw new Error('The demo practice did not load.');
}
