export { issue, messageOf } from './issue';
export {
  capital,
  isMessage,
  type Joint,
  length,
  list,
  type Message,
  mass,
  msg,
  only,
  sentences,
  type Text,
  type Value,
} from './message';
export { MessageError } from './message-error';
export { messageSchema, textSchema } from './message-schema';
