import { z } from 'zod';
import { msg } from '../../message/message';
import { defineEvent } from './define';

/** Takes a correction or a note back. What it takes back is left out before anything is applied. */
export const undone = defineEvent({
  type: 'undone',
  body: { eventId: z.uuid() },
  undoable: false,
  afterFinish: true,
  corrects: false,
  atHome: false,
  deflates: false,
  changesSummary: false,
  words: msg('the undoing'),
  apply: () => {},
});
