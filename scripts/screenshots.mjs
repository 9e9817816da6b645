import { build, installChromium, installPackages, run } from './set-up.mjs';

// Makes the pictures in docs/screenshots, from the demo data and the production build.
installPackages();
installChromium();
build();
run('npx', ['playwright', 'test', '--config', 'scripts/screenshots.config.ts']);
