import { type Message, msg } from '../message/message';
import { LIGHTER_NAMES, type Lighter, WHY_LIGHTER } from './lighter-schema';

/** @example lighterWords({ how: 'sets', why: 'sore' }) //=> 'Lighter today: one set fewer. Sore.' */
export const lighterWords = ({ how, why }: Lighter): Message =>
  msg('Lighter today: {how}. {why}.', { how: LIGHTER_NAMES[how], why: WHY_LIGHTER[why] });
