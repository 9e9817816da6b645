import { expose } from 'comlink';
import { placeBlock, rehearseRuns } from '#core/course';
import { forecast } from '#core/forecast';
import { draftSession } from '#core/plan';

/** The heavy sums of planning, away from the page's own thread. */
const planning = { draftSession, forecast, placeBlock, rehearseRuns };
export type Planning = typeof planning;

expose(planning);
