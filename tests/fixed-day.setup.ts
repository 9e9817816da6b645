import { liveOnTheFixedDay } from './fixed-day';

liveOnTheFixedDay();
