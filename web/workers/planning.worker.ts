import { expose } from 'comlink';
import { forecast } from '#core/forecast/forecast';
import { placeSessions } from '#core/programme/place-sessions';

/** The heavy sums of planning, away from the page's own thread. */
const planning = { forecast, placeSessions };
export type Planning = typeof planning;

expose(planning);
