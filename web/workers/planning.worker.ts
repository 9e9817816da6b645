import { expose } from 'comlink';
import { placeSessions } from '#core/course/place-sessions';
import { forecast } from '#core/forecast/forecast';

/** The heavy sums of planning, away from the page's own thread. */
const planning = { forecast, placeSessions };
export type Planning = typeof planning;

expose(planning);
