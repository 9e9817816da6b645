import { demoFile } from './demo-file';
import { liveOnTheFixedDay } from './fixed-day';

// Made before anything needs it: what journeys and API tests copy.
liveOnTheFixedDay();
console.log(`The demo practice is in ${demoFile()}.`);
