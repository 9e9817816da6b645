import { v4 as newId } from 'uuid';
import { describe, expect, it } from 'vitest';
import { type Attachment, MOST_ATTACHED_BYTES, PART_BYTES } from '#contract/attachments';
import type { RecordEntries } from '#contract/corrections';
import { AGREED, type Api, measuredClient, startAfter, startApi, type Who } from '../api.fixture';
import { jpegFile, pdfFile, pngFile, SECRET } from '../attachments/files.fixture';

const attach = async (
  api: Api,
  clientId: string,
  file: Uint8Array,
  asked: Record<string, string> = {},
  who: Who = 'clara',
) => {
  const query = new URLSearchParams({ id: newId(), name: 'Letter.jpg', about: 'person', ...asked });
  const answer = await api.raw(
    'POST',
    `/clients/${clientId}/attachments?${query}`,
    new Uint8Array(file),
    who,
  );
  return { status: answer.status, body: (await answer.json()) as Attachment[] };
};
const content = async (api: Api, clientId: string, id: string) => {
  const answer = await api.raw('GET', `/clients/${clientId}/attachments/${id}`);
  return { answer, bytes: Buffer.from(await answer.arrayBuffer()) };
};

describe('attachments of a record', () => {
  it('are kept by an assistant, listed, and come back without their metadata, shown as what they are', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const id = newId();
    const { status, body } = await attach(
      api,
      client.id,
      jpegFile(),
      { id, name: 'Brief “Knie”.jpg' },
      'aske',
    );
    expect(status).toBe(201);
    expect(body).toMatchObject([
      {
        id,
        name: 'Brief “Knie”.jpg',
        mediaType: 'image/jpeg',
        about: 'person',
        aboutId: null,
        by: 'Aske',
        isRetracted: false,
      },
    ]);
    const { answer, bytes } = await content(api, client.id, id);
    expect(bytes.includes(SECRET)).toBe(false);
    expect(bytes.length).toBe(body[0]?.bytes);
    expect(answer.headers.get('content-type')).toBe('image/jpeg');
    expect(answer.headers.get('content-security-policy')).toContain("default-src 'none'");
    expect(answer.headers.get('x-content-type-options')).toBe('nosniff');
    expect(answer.headers.get('cache-control')).toBe('no-store');
    // Of another person there is none of that id.
    const other = await api.post('/clients', { name: 'Other Person', story: '' });
    expect((await content(api, other.id, id)).answer.status).toBe(404);
  });

  it('are of more than one part where they are long, and are kept once though they are sent twice', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const id = newId();
    const long = Buffer.concat([
      jpegFile().subarray(0, -27),
      Buffer.alloc(PART_BYTES * 2, 7),
      Buffer.from([0xff, 0xd9]),
    ]);
    await attach(api, client.id, long, { id });
    const { body } = await attach(api, client.id, long, { id });
    expect(body).toHaveLength(1);
    const [counted] = await api.sql('select count(*) as n from attachment_part');
    expect(Number(counted?.n)).toBe(3);
    const { bytes } = await content(api, client.id, id);
    expect(bytes.length).toBe(body[0]?.bytes);
    expect(bytes.subarray(-2)).toEqual(Buffer.from([0xff, 0xd9]));
  });

  it('belong to a clearance, a consent or a session of that person, and to no other', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    api.clock.nowMs += 1_000;
    await api.post(`/clients/${client.id}/consents`, AGREED);
    const { entries } = await api.get<RecordEntries>(`/clients/${client.id}/entries`);
    const consent = entries.find(({ content: { kind } }) => kind === 'consent') ?? expect.unreachable();
    const { body } = await attach(api, client.id, await pdfFile(), { about: 'consent', aboutId: consent.id });
    expect(body).toMatchObject([{ about: 'consent', aboutId: consent.id, mediaType: 'application/pdf' }]);
    expect(
      (await attach(api, client.id, pngFile(), { about: 'clearance', aboutId: consent.id })).status,
    ).toBe(404);
    const { body: newest } = await attach(api, client.id, pngFile(), { about: 'consent' });
    expect(newest[0]).toMatchObject({ about: 'consent', aboutId: consent.id, mediaType: 'image/png' });
    expect((await attach(api, client.id, pngFile(), { about: 'session' })).status).toBe(404);
    const other = await api.post('/clients', { name: 'Other Person', story: '' });
    expect((await attach(api, other.id, pngFile(), { about: 'consent', aboutId: consent.id })).status).toBe(
      404,
    );
  });

  it('are refused where they are too large, of another kind, or not of who asks', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const path = `/clients/${client.id}/attachments`;
    const tooLong = new Uint8Array(MOST_ATTACHED_BYTES + 1);
    tooLong.set(jpegFile());
    expect((await attach(api, client.id, tooLong)).status).toBe(413);
    expect((await attach(api, client.id, Buffer.from('<script>'), { name: 'letter.pdf' })).status).toBe(422);
    expect((await attach(api, client.id, jpegFile(), {}, 'signed-out')).status).toBe(401);
    expect(await api.get(path)).toEqual([]);
  });

  it('are not shown where a file of another practice says of an attachment what it is not', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const id = newId();
    await attach(api, client.id, jpegFile(), { id });
    await api.sql("update attachment_part set content = 'PHNjcmlwdD4='");
    expect((await content(api, client.id, id)).answer.status).toBe(409);
  });

  it('are retracted like any entry, go along in an archive, and are erased with the person', async () => {
    const { api, made: client } = await startAfter(measuredClient);
    const id = newId();
    await attach(api, client.id, jpegFile(), { id });
    const { bytes } = await content(api, client.id, id);
    await api.post(`/clients/${client.id}/retractions`, {
      kind: 'attachment',
      id,
      reason: 'Of another person',
    });
    expect(await api.get(`/clients/${client.id}/attachments`)).toMatchObject([{ id, isRetracted: true }]);
    const { text: archive } = await api.text(`/archive/of/${client.id}`);
    const elsewhere = await startApi();
    expect((await elsewhere.raw('POST', '/archive', archive)).status).toBe(201);
    expect(await elsewhere.get(`/clients/${client.id}/attachments`)).toMatchObject([
      { id, isRetracted: true },
    ]);
    expect((await content(elsewhere, client.id, id)).bytes).toEqual(bytes);
    await api.post(`/clients/${client.id}/erasure`, { name: client.name, reason: 'Asked for it' });
    expect(await api.sql('select id from attachment_part union all select id from attachment')).toEqual([]);
  });
});
