import { msg } from '../../message/message';
import type { School, SchoolId } from '../schools';

/** The schools of rule PRS-2. */
export const SCHOOLS: Record<SchoolId, School> = {
  clinic: {
    label: msg('Clinic'),
    percentLop: { arm: { start: 40, usual: 50, top: 50 }, leg: { start: 60, usual: 80, top: 80 } },
    usualProtocol: 'standard-75',
    lastSet: msg('failure expected'),
  },
  'research-consensus': {
    label: msg('Research consensus'),
    percentLop: { arm: { start: 40, usual: 50, top: 80 }, leg: { start: 40, usual: 60, top: 80 } },
    usualProtocol: 'standard-75',
    lastSet: msg('failure or scheme done'),
  },
  'graded-start': {
    label: msg('Graded start'),
    percentLop: { arm: { start: 30, usual: 40, top: 50 }, leg: { start: 50, usual: 60, top: 80 } },
    usualProtocol: 'standard-75',
    lastSet: msg('one or two left'),
  },
  'gym-accessory': {
    label: msg('Gym accessory'),
    percentLop: { arm: { start: 40, usual: 50, top: 60 }, leg: { start: 50, usual: 70, top: 80 } },
    usualProtocol: 'standard-75',
    lastSet: msg('one or two left'),
  },
  'rest-release': {
    label: msg('Rest-release'),
    percentLop: { arm: { start: 40, usual: 45, top: 50 }, leg: { start: 50, usual: 65, top: 80 } },
    usualProtocol: 'release-75',
    lastSet: msg('close to failure'),
  },
};
