import { moveDate } from './move-date.mjs';

// Loaded before a program of Node.js that is to live on the day of the tests.
moveDate(Number(process.env.NERVATO_TESTS_AHEAD_MS ?? 0));
