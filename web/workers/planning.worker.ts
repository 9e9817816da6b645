import { expose } from 'comlink';
import { placeBlock, rehearse } from '#core/course';
import { forecast } from '#core/forecast';

/** The heavy sums of planning, away from the page's own thread. */
const planning = { forecast, placeBlock, rehearse };
export type Planning = typeof planning;

expose(planning);
