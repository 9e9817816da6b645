import { p } from '@mikro-orm/core';
import type { CoursePlan, CoursePlanState, Occasion } from '#core/course';
import { AS_WRITTEN } from '../db/dialect/sql';
import { clientId, defineRecord, id } from './define';
import { factsOf } from './read';

export const coursePlanRecord = defineRecord({
  name: 'CoursePlan',
  table: 'course_plan',
  of: 'client',
  properties: {
    id: id(),
    clientId: clientId(),
    /** Its own; of one that has none, what it was called when it was first signed. */
    name: p.string(),
    isNamed: p.boolean().default(true),
    occasion: p.json().$type<Occasion>(),
    state: p.string().$type<CoursePlanState>(),
    untilMs: p.bigint('number').nullable(),
  },
  archive: { kind: 'course-plan', order: AS_WRITTEN },
  indexes: ["course_plan (client_id) where state <> 'ended'", 'course_plan (state, client_id)'],
});

export const coursePlanFacts = factsOf(coursePlanRecord, {
  take: ['id', 'name', 'isNamed', 'occasion', 'state', 'untilMs'],
  parts: [{ when: `state <> 'ended'` }],
  of: ({ isNamed, name, ...row }): CoursePlan => ({ ...row, name, ownName: isNamed ? name : null }),
});
