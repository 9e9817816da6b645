import { z } from 'zod';
import { type Message, msg } from '../message/message';
import type { LimbKind } from '../quantity/limb';
import type { ProtocolId } from './protocols';

export const schoolIdSchema = z.enum([
  'clinic',
  'research-consensus',
  'graded-start',
  'gym-accessory',
  'rest-release',
]);
export type SchoolId = z.infer<typeof schoolIdSchema>;

/** Percentages of LOP a school starts at, usually works at, and never goes past. */
export type PercentRange = { start: number; usual: number; top: number };

export type School = {
  label: Message;
  percentLop: Record<LimbKind, PercentRange>;
  betweenSets: Message;
  usualProtocol: ProtocolId;
  lastSet: Message;
};

/** The schools of rule PRS-2. */
export const SCHOOLS: Record<SchoolId, School> = {
  clinic: {
    label: msg('Clinic'),
    percentLop: { arm: { start: 40, usual: 50, top: 50 }, leg: { start: 60, usual: 80, top: 80 } },
    betweenSets: msg('stay inflated'),
    usualProtocol: 'standard-75',
    lastSet: msg('failure expected'),
  },
  'research-consensus': {
    label: msg('Research consensus'),
    percentLop: { arm: { start: 40, usual: 50, top: 80 }, leg: { start: 40, usual: 60, top: 80 } },
    betweenSets: msg('either'),
    usualProtocol: 'standard-75',
    lastSet: msg('failure or scheme done'),
  },
  'graded-start': {
    label: msg('Graded start'),
    percentLop: { arm: { start: 30, usual: 40, top: 50 }, leg: { start: 50, usual: 60, top: 80 } },
    betweenSets: msg('stay inflated'),
    usualProtocol: 'standard-75',
    lastSet: msg('one or two left'),
  },
  'gym-accessory': {
    label: msg('Gym accessory'),
    percentLop: { arm: { start: 40, usual: 50, top: 60 }, leg: { start: 50, usual: 70, top: 80 } },
    betweenSets: msg('either'),
    usualProtocol: 'standard-75',
    lastSet: msg('one or two left'),
  },
  'rest-release': {
    label: msg('Rest-release'),
    percentLop: { arm: { start: 40, usual: 45, top: 50 }, leg: { start: 50, usual: 65, top: 80 } },
    betweenSets: msg('deflate, 60 s rest'),
    usualProtocol: 'release-75',
    lastSet: msg('close to failure'),
  },
};
