import { parse } from 'papaparse';
import { describe, expect, it } from 'vitest';
import { ARCHIVE_KINDS } from '#contract/archive-rows';
import { measuredClient, startAfter, startApi } from '../api.fixture';
import { ready, train } from '../forbidden.fixture';

describe('a table exported as CSV', () => {
  it('is RFC 4180 with units in its headings, and no cell is a formula', async () => {
    const {
      api,
      made: { id },
    } = await startAfter(measuredClient);
    await api.sql(`update client set name = '=cmd|x, "Ada"' where id = '${id}'`);
    const text = await (await api.raw('GET', '/archive/csv/fit')).text();
    const [head, row, end] = text.split('\r\n');
    expect(head).toBe('person,id,client_id,at,limb,girth_cm,kind,kit_id,label,width_cm');
    expect(row).toMatch(/^"'=cmd\|x, ""Ada""",/);
    expect(row).toContain(`,${new Date(api.clock.nowMs).toISOString()},left-thigh,55,cuff,thigh-large,`);
    expect(end).toBe('');
  });

  it('has semicolons where a spreadsheet wants them, and every table there is', async () => {
    const { api, made: person } = await startAfter(ready);
    await train(api, person, [], 3_600_000);
    for (const kind of ARCHIVE_KINDS) {
      const answer = await api.raw('GET', `/archive/csv/${kind}?separator=semicolon`);
      const { data, errors } = parse<string[]>(await answer.text(), { delimiter: ';' });
      expect([kind, answer.status, errors]).toEqual([kind, 200, []]);
      const widths = new Set(data.filter((cells) => cells.length > 1).map((cells) => cells.length));
      expect([kind, widths.size]).toEqual([kind, 1]);
    }
    const events = await (await api.raw('GET', '/archive/csv/event')).text();
    expect(events.split('\r\n').length).toBeGreaterThan(5);
    expect(events.split('\r\n')[0]).toMatch(/^\w+(,\w+)+$/);
  });

  it('is for clinicians, of tables there are, and leaves a mark in the audit', async () => {
    const api = await startApi();
    expect((await api.raw('GET', '/archive/csv/client', undefined, 'colin')).status).toBe(403);
    expect((await api.raw('GET', '/archive/csv/secrets')).status).toBe(404);
    expect((await api.raw('GET', '/archive/csv/client?separator=tab')).status).toBe(400);
    await api.raw('GET', '/archive/csv/client');
    expect(await api.sql("select action, subject from audit where action <> 'refused'")).toEqual([
      { action: 'archive-taken-out', subject: 'client' },
    ]);
  });

  it('says in the audit whose archive went out', async () => {
    const api = await startApi();
    const { id } = await api.post('/clients', { name: 'Ada' });
    await (await api.raw('GET', `/archive/of/${id}`)).text();
    expect(await api.sql("select subject from audit where action = 'archive-taken-out'")).toEqual([
      { subject: id },
    ]);
  });
});
