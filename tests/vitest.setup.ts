import fc from 'fast-check';
import { liveOnTheFixedDay } from './fixed-day';
import { testSeed } from './seed';

liveOnTheFixedDay();
fc.configureGlobal({ ...fc.readConfigureGlobal(), seed: testSeed() });
