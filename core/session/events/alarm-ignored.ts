import { msg } from '../../message/message';
import { limbSchema } from '../../quantity/limb';
import { defineEvent } from './define';

/** The occlusion limit was passed by a while and the cuff was still up (rule RUN-1). */
export const alarmIgnored = defineEvent({
  type: 'alarm-ignored',
  body: { limb: limbSchema },
  undoable: false,
  afterFinish: true,
  corrects: false,
  atHome: true,
  deflates: false,
  changesSummary: false,
  words: msg('the alarm'),
  apply: (_, state, { atMs, limb }) => {
    state.ignoredAlarms.push({ atMs, limb });
  },
});
