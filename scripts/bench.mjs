import { build, installChromium, installPackages, run } from './set-up.mjs';

// Prints what things cost, as ratios measured in one run on this machine.
installPackages();
installChromium();
build();
for (const file of [
  'append-events',
  'fold-log',
  'plan-session',
  'first-view-size',
  'device-stream',
  'floor-live',
])
  run('npx', ['tsx', `scripts/bench/${file}.ts`]);
