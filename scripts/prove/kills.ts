import { randomUUID } from 'node:crypto';
import { liveOnTheFixedDay } from '../../tests/fixed-day';
import { killWhileWriting } from '../../tests/kill-while-writing';
import { Nervato } from '../../tests/nervato';

// `npm run prove:kills [-- TIMES]`: ends the server the hard way, in the middle of writing, over and over.
const times = Number(process.argv[2] ?? 1_000);
liveOnTheFixedDay();
const nervato = await Nervato.start();
try {
  const { acknowledged, lost, slowestStartMs } = await killWhileWriting(nervato, times, randomUUID());
  console.log(
    `${times} kills: ${acknowledged} events were acknowledged, ${lost} of them lost; the slowest restart took ${Math.round(slowestStartMs)} ms.`,
  );
  process.exitCode = lost === 0 ? 0 : 1;
} finally {
  await nervato.end();
}
