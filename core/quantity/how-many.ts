import { z } from 'zod';
import { msg } from '../message/message';

/** How many of a piece of kit there are; not there, it is not counted. */
export const howManySchema = z
  .number(msg('Enter how many there are.'))
  .int()
  .min(1, msg('At least one.'))
  .max(99, msg('At most 99.'))
  .optional();
