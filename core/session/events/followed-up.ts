import { msg } from '../../message/message';
import { defineEvent } from './define';
import { followUpSchema } from './values';

export const followedUp = defineEvent({
  type: 'followed-up',
  body: followUpSchema.shape,
  undoable: false,
  afterFinish: true,
  corrects: false,
  atHome: false,
  deflates: false,
  changesSummary: true,
  words: msg('the day after'),
  apply: (_, state, { soreness, bruising, pinpointBleeding, numbness, skinAbrasion, urgent }) => {
    state.followUp = {
      soreness,
      bruising,
      pinpointBleeding,
      numbness,
      ...(skinAbrasion === undefined ? {} : { skinAbrasion }),
      ...(urgent === undefined ? {} : { urgent }),
    };
  },
});
