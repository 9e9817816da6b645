import { build, installPackages, ROOT, run } from './set-up.mjs';

// Everything a fresh machine needs to look at Nervato: install, build, migrate, load the demo practice, start.
const env = {
  NODE_ENV: 'production',
  NERVATO_DB: process.env.NERVATO_DB ?? `${ROOT}data/demo.sqlite`,
  NERVATO_WEB_ROOT: './dist/web',
  NERVATO_LOG_LEVEL: process.env.NERVATO_LOG_LEVEL ?? 'warn',
};
installPackages('to run');
build();
run('node', ['dist/server/demo.js'], env);
