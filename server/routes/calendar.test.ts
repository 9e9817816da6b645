import { describe, expect, it } from 'vitest';
import type { NewCalendarFeed } from '#contract/calendar';
import type { ClientRecord } from '#contract/client';
import { type Api, measuredClient, prescriptionFor, startApi } from '../api.fixture';
import { blockFor } from '../block.fixture';

async function withBlock(api: Api, name: string, by: 'clara' | 'colin' = 'clara'): Promise<ClientRecord> {
  const client = await measuredClient(api);
  await api.sql(`update client set name = '${name}' where id = '${client.id}'`);
  const signed = await api.post(`/clients/${client.id}/prescriptions`, prescriptionFor(client));
  return api.post(`/clients/${client.id}/blocks`, blockFor(signed), by);
}
const made = (api: Api, namesPeople: boolean) => api.post<NewCalendarFeed>('/calendar', { namesPeople });
const fetched = async (api: Api, { path }: NewCalendarFeed) => {
  const { status, text } = await api.text(path.replace('/api', ''));
  return { status, text: text.replace(/\r\n[ \t]/g, '') };
};

describe('a calendar to subscribe to', () => {
  it('has the sessions of everyone whose block the practitioner has kept, and names no one unless asked', async () => {
    const api = await startApi();
    await withBlock(api, 'Ada Wick');
    await withBlock(api, 'Bea Wick');
    await withBlock(api, 'Cay Wick', 'colin');
    const nameless = await fetched(api, await made(api, false));
    expect(nameless.text.match(/BEGIN:VEVENT/g)).toHaveLength(16);
    expect(nameless.text).not.toMatch(/Wick/);
    const named = await fetched(api, await made(api, true));
    expect(named.text).toContain('SUMMARY:Ada Wick\\, session 1 of 8');
    expect(named.text).not.toContain('Cay Wick');
  });

  it('is at a secret address that can be changed and ended, and is kept as a hash', async () => {
    const api = await startApi();
    await withBlock(api, 'Ada Wick');
    const first = await made(api, false);
    expect(await api.get('/calendar')).toEqual({ exists: true, namesPeople: false });
    const second = await made(api, false);
    expect((await fetched(api, first)).status).toBe(404);
    expect((await fetched(api, second)).status).toBe(200);
    const secret = second.path.split('/').at(-2) ?? '';
    expect(secret.length).toBeGreaterThanOrEqual(32);
    expect(JSON.stringify(await api.sql('select * from calendar_feed'))).not.toContain(secret);
    expect(JSON.stringify(await api.sql('select * from audit'))).not.toContain(secret);
    await api.post('/calendar/end', {});
    expect((await fetched(api, second)).status).toBe(404);
    expect((await api.raw('POST', '/calendar', '{"namesPeople":false}', 'signed-out')).status).toBe(401);
  });

  it('answers no more once the account of its practitioner has ended', async () => {
    const api = await startApi();
    await withBlock(api, 'Ada Wick');
    const feed = await made(api, true);
    expect((await fetched(api, feed)).status).toBe(200);
    await api.sql(`update account set ended_at_ms = 1 where practitioner_id = 'clara'`);
    expect(await fetched(api, feed)).toMatchObject({
      status: 404,
      text: expect.not.stringContaining('Wick'),
    });
  });

  it('keeps a name with line breaks in it in its line', async () => {
    const api = await startApi();
    await withBlock(api, 'Ada\r\nEND:VCALENDAR\r\nX:');
    await api.sql(`update practice set name = 'Tide' || char(13) || char(10) || 'X-EVIL:1'`);
    const { text } = await fetched(api, await made(api, true));
    expect(text.match(/END:VCALENDAR/gm)?.length).toBe(9);
    expect(text.match(/^END:VCALENDAR$/gm)).toHaveLength(1);
    expect(text).not.toMatch(/^X-EVIL/m);
  });
});
