import { expose } from 'comlink';
import { placeBlock } from '#core/course/place-block';
import { rehearse } from '#core/course/rehearse';
import { forecast } from '#core/forecast/forecast';

/** The heavy sums of planning, away from the page's own thread. */
const planning = { forecast, placeBlock, rehearse };
export type Planning = typeof planning;

expose(planning);
