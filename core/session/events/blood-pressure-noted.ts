import { msg } from '../../message/message';
import { bloodPressureSchema } from '../../screening/blood-pressure';
import { defineEvent } from './define';
import { bloodPressureMomentSchema } from './values';

export const bloodPressureNoted = defineEvent({
  type: 'blood-pressure-noted',
  body: { moment: bloodPressureMomentSchema, reading: bloodPressureSchema },
  undoable: true,
  afterFinish: true,
  corrects: false,
  atHome: false,
  deflates: false,
  changesSummary: false,
  words: msg('the blood pressure'),
  apply: (_, state, { atMs, moment, reading }) => {
    state.bloodPressures.push({ atMs, moment, reading });
  },
});
