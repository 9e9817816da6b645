import { expose } from 'comlink';
import { placeBlock } from '#core/course/place-block';
import { forecast } from '#core/forecast/forecast';

/** The heavy sums of planning, away from the page's own thread. */
const planning = { forecast, placeBlock };
export type Planning = typeof planning;

expose(planning);
