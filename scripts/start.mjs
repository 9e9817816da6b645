import { build, installPackages, ROOT, run } from './set-up.mjs';

// An ordinary practice: install, build, migrate, start. The first start says the words by which its owner begins.
installPackages('to run');
build();
run('node', ['dist/server/main.js'], {
  NODE_ENV: 'production',
  NERVATO_DB: process.env.NERVATO_DB ?? `${ROOT}data/nervato.sqlite`,
  NERVATO_WEB_ROOT: './dist/web',
  NERVATO_LOG_LEVEL: process.env.NERVATO_LOG_LEVEL ?? 'warn',
});
