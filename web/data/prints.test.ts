import { describe, expect, it } from 'vitest';
import { printedAt } from './prints';

describe('what is printed', () => {
  it.each([
    ['/people/p1', 'p1', 'person'],
    ['/people/p1/sheet/operator', 'p1', 'sheet'],
    ['/people/p1/report', 'p1', 'report'],
    ['/sessions/s1', 's1', 'session'],
    ['/papers/one-rep-max/p1', 'p1', 'one-rep-max'],
  ])('at %s is of a person', (path, subject, view) => {
    expect(printedAt(path)).toEqual({ subject, view });
  });

  it.each(['/', '/kit', '/people/new', '/papers/screening', '/audit/p1'])('at %s is about no one', (path) => {
    expect(printedAt(path)).toBeNull();
  });
});
