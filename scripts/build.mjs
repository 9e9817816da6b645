import { build } from './set-up.mjs';

build();
