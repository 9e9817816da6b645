import { msg } from '../../message/message';
import { heartRateMomentSchema } from '../heart-rate-moment';
import { findSet } from '../state';
import { defineEvent } from './define';
import { beatsPerMinuteSchema, setPlace } from './values';

export const heartRateNoted = defineEvent({
  type: 'heart-rate-noted',
  body: {
    ...setPlace,
    moment: heartRateMomentSchema,
    beatsPerMinute: beatsPerMinuteSchema,
  },
  undoable: true,
  afterFinish: true,
  corrects: false,
  atHome: false,
  deflates: false,
  changesSummary: false,
  words: msg('the heart rate'),
  apply: (_, state, event) => {
    const { moment, beatsPerMinute } = event;
    findSet(state, event)?.heartRates.push({ moment, beatsPerMinute });
  },
});
