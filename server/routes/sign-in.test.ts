import { TOTP } from 'otpauth';
import { describe, expect, it } from 'vitest';
import type { Accounts, Me, SignInState } from '#contract/sign-in';
import { attackRuns } from '../../tests/attack-runs';
import { type Api, FIRST_WORD, PASSPHRASE, startApi } from '../api.fixture';

/** A browser on one device: it keeps what it is given, and sends it back. */
function device(api: Api) {
  const kept = new Map<string, string>();
  const cookie = () => [...kept].map(([name, value]) => `${name}=${value}`).join('; ');
  const ask = async (method: string, path: string, json?: unknown) => {
    const answer = await api.ask(path, {
      method,
      headers: { cookie: cookie() },
      ...(json === undefined ? {} : { body: JSON.stringify(json) }),
    });
    const set = answer.headers.getSetCookie();
    for (const one of set) {
      const [pair = ''] = one.split(';');
      const [name = '', value = ''] = pair.split('=');
      if (value === '') kept.delete(name);
      else kept.set(name, value);
    }
    const text = await answer.text();
    return { status: answer.status, body: text ? JSON.parse(text) : null, set, headers: answer.headers };
  };
  return {
    ask,
    kept,
    signIn: (name: string, passphrase = PASSPHRASE, code?: string) =>
      ask('POST', '/sign-in', { name, passphrase, ...(code === undefined ? {} : { code }) }),
    who: async () => (await ask('GET', '/me')).body as Me,
  };
}

describe('signing in', () => {
  it('takes name and passphrase, and keeps a cookie that no script and no other page can use', async () => {
    const here = device(await startApi());
    expect((await here.ask('GET', '/practice')).status).toBe(401);
    const { status, body, set } = await here.signIn(' Clara ');
    expect([status, body]).toEqual([204, null]);
    const cookie = set.find((one) => one.startsWith('__Host-nervato='));
    for (const word of ['HttpOnly', 'Secure', 'SameSite=Strict', 'Path=/']) expect(cookie).toContain(word);
    expect(cookie).not.toContain('Domain');
    expect((await here.who()).practitioner).toEqual({
      id: 'clara',
      name: 'Clara',
      role: 'clinician',
      isOwner: true,
    });
  });

  it('says the same of a wrong name and of a wrong passphrase', async () => {
    const api = await startApi();
    const wrong = await device(api).signIn('clara', 'not this one at all');
    const unknown = await device(api).signIn('claras', PASSPHRASE);
    expect(wrong.status).toBe(401);
    expect(unknown.body).toEqual(wrong.body);
    expect(JSON.stringify(wrong.body)).not.toMatch(/clara/i);
  });

  it('gives a new token each time: one that was planted before is worth nothing', async () => {
    const here = device(await startApi());
    here.kept.set('__Host-nervato', 'planted');
    await here.signIn('clara');
    const first = here.kept.get('__Host-nervato');
    expect(first).not.toBe('planted');
    await here.signIn('clara');
    expect(here.kept.get('__Host-nervato')).not.toBe(first);
    here.kept.set('__Host-nervato', first ?? '');
    expect((await here.ask('GET', '/me')).status).toBe(401);
  });

  it('lets in no guess, and makes the one who guesses wait longer each time', async () => {
    const api = await startApi();
    const there = device(api);
    let tried = 0;
    for (let i = 0; i < attackRuns(500); i += 1) {
      const { status, headers } = await there.signIn('clara', `guess number ${i}`);
      expect(status).not.toBe(204);
      if (status === 429) {
        expect(Number(headers.get('retry-after'))).toBeGreaterThan(0);
        // Who guesses comes back every second.
        api.clock.realMs += 1_000;
      } else tried += 1;
    }
    expect(tried).toBeLessThan(30);
  });

  it('does not keep its owner out where she has signed in before, despite guesses elsewhere', async () => {
    const api = await startApi();
    const hers = device(api);
    await hers.signIn('clara');
    const there = device(api);
    for (let i = 0; i < 8; i += 1) await there.signIn('clara', 'a guess and no more');
    expect((await there.signIn('clara')).status).toBe(429);
    await hers.ask('POST', '/sign-out', {});
    expect((await hers.signIn('clara')).status).toBe(204);
  });

  it('ends here or everywhere', async () => {
    const api = await startApi();
    const [one, other] = [device(api), device(api)];
    await one.signIn('clara');
    await other.signIn('clara');
    const token = one.kept.get('__Host-nervato') ?? '';
    await one.ask('POST', '/sign-out', {});
    one.kept.set('__Host-nervato', token);
    expect((await one.ask('GET', '/me')).status).toBe(401);
    expect((await other.ask('GET', '/me')).status).toBe(200);
    await one.signIn('clara');
    await one.ask('POST', '/sign-out', { everywhere: true });
    expect((await other.ask('GET', '/me')).status).toBe(401);
  });

  it('is on ten devices at once and no more: the longest unused ends', async () => {
    const api = await startApi();
    const devices = Array.from({ length: 11 }, () => device(api));
    for (const one of devices) {
      await one.signIn('colin');
      api.clock.realMs += 61_000;
    }
    const states = await Promise.all(devices.map(async (one) => (await one.ask('GET', '/me')).status));
    // The fixture has signed him in on one device more.
    expect(states.filter((status) => status === 200)).toHaveLength(10);
    expect(states[0]).toBe(401);
  });

  it('ends what was being followed when the device is locked', async () => {
    const api = await startApi();
    const feed = await api.follow('/feed');
    await api.call('POST', '/sign-in/lock');
    await expect(feed.next()).rejects.toThrow('The stream ended.');
  });

  it('is in the audit with its failures, and a passphrase is nowhere', async () => {
    const api = await startApi();
    const here = device(api);
    await here.signIn('clara', 'my other passphrase');
    await here.signIn('my secret typed into the name', 'x');
    await here.signIn('clara');
    expect(await api.sql("select action, subject from audit where action like '%sign%'")).toEqual([
      { action: 'sign-in-refused', subject: 'clara' },
      { action: 'sign-in-refused', subject: 'nobody' },
      { action: 'signed-in', subject: 'clara' },
    ]);
    for (const table of ['audit', 'sign_in', 'sign_in_wait', 'account'])
      expect(JSON.stringify(await api.sql(`select * from ${table}`))).not.toMatch(
        /my other|secret typed|rowing/,
      );
  });
});

describe('codes of a second device', () => {
  it('are asked for once they are set up, and taken once each', async () => {
    const api = await startApi();
    const here = device(api);
    await here.signIn('lena');
    const { body } = await here.ask('POST', '/me/code', { passphrase: PASSPHRASE });
    const secret = new URL(body.uri).searchParams.get('secret') ?? '';
    const codeNow = () => new TOTP({ secret }).generate({ timestamp: api.clock.realMs });
    expect((await here.ask('POST', '/me/code/confirm', { code: '000000' })).status).toBe(422);
    expect((await here.ask('POST', '/me/code/confirm', { code: codeNow() })).status).toBe(204);

    const there = device(api);
    const asked = await there.signIn('lena');
    expect([asked.status, asked.body.errors[0].path]).toEqual([401, 'code']);
    expect((await there.signIn('lena', PASSPHRASE, codeNow())).status).toBe(401);
    api.clock.realMs += 30_000;
    expect((await there.signIn('lena', PASSPHRASE, codeNow())).status).toBe(204);
    expect((await device(api).signIn('lena', PASSPHRASE, codeNow())).status).toBe(401);
  });
});

describe('a tablet that several share', () => {
  it('changes hands by PIN among those who came in today, under a token of its own each time', async () => {
    const api = await startApi();
    const tablet = device(api);
    await tablet.signIn('clara');
    await tablet.ask('POST', '/me/pin', { passphrase: PASSPHRASE, pin: '2718' });
    const before = tablet.kept.get('__Host-nervato') ?? '';
    await tablet.signIn('colin');
    expect((await tablet.ask('GET', '/sign-in')).body as SignInState).toMatchObject({
      state: 'signed-in',
      onDevice: [
        { practitionerId: 'clara', initials: 'C', hasPin: true },
        { practitionerId: 'colin', initials: 'C', hasPin: false },
      ],
    });
    await tablet.ask('POST', '/sign-in/lock');
    expect((await tablet.ask('GET', '/sign-in')).body.state).toBe('locked');
    expect((await tablet.ask('GET', '/clients')).status).toBe(401);
    expect(JSON.stringify((await tablet.ask('GET', '/sign-in')).body)).not.toMatch(/Clara|Colin/);
    expect((await tablet.ask('POST', '/sign-in/pin', { practitionerId: 'clara', pin: '2718' })).status).toBe(
      204,
    );
    expect((await tablet.who()).practitioner.id).toBe('clara');
    const after = tablet.kept.get('__Host-nervato') ?? '';
    tablet.kept.set('__Host-nervato', before);
    expect((await tablet.ask('GET', '/me')).status).toBe(401);
    tablet.kept.set('__Host-nervato', after);
    expect((await tablet.ask('GET', '/me')).status).toBe(200);
  });

  it('asks for the passphrase after five wrong PINs, and a PIN is worth nothing on another device', async () => {
    const api = await startApi();
    const tablet = device(api);
    await tablet.signIn('clara');
    await tablet.ask('POST', '/me/pin', { passphrase: PASSPHRASE, pin: '2718' });
    const pin = (on: typeof tablet, given: string) =>
      on.ask('POST', '/sign-in/pin', { practitionerId: 'clara', pin: given });
    const other = device(api);
    await other.signIn('colin');
    expect((await pin(other, '2718')).status).toBe(401);
    await tablet.ask('POST', '/sign-in/lock');
    for (let i = 0; i < 5; i += 1) expect((await pin(tablet, '0001')).status).toBe(401);
    api.clock.realMs += 60_000;
    expect((await pin(tablet, '2718')).status).toBe(401);
    expect((await tablet.ask('GET', '/sign-in')).body).toMatchObject({ state: 'signed-out', onDevice: [] });
  });

  it('looks at five PINs of many that are sent at once', async () => {
    const api = await startApi();
    const tablet = device(api);
    await tablet.signIn('clara');
    await tablet.ask('POST', '/me/pin', { passphrase: PASSPHRASE, pin: '2718' });
    await tablet.ask('POST', '/sign-in/lock');
    const pins = [...Array.from({ length: 20 }, (_, place) => String(1_000 + place)), '2718'];
    const statuses = await Promise.all(
      pins.map(async (pin) => {
        const answer = await tablet.ask('POST', '/sign-in/pin', { practitionerId: 'clara', pin });
        return answer.status;
      }),
    );
    expect(statuses.filter((status) => status === 204)).toEqual([]);
    expect((await tablet.ask('GET', '/sign-in')).body).toMatchObject({ state: 'signed-out', onDevice: [] });
  });

  it('takes no PIN that is tried first, and none without the passphrase', async () => {
    const here = device(await startApi());
    await here.signIn('clara');
    for (const pin of ['1234', '0000', '987654'])
      expect((await here.ask('POST', '/me/pin', { passphrase: PASSPHRASE, pin })).status).toBe(422);
    expect((await here.ask('POST', '/me/pin', { passphrase: 'wrong one here', pin: '2718' })).status).toBe(
      403,
    );
  });
});

describe('a passphrase', () => {
  it('is changed by who knows it, for one that is good enough, and puts every other device out', async () => {
    const api = await startApi();
    const [here, there] = [device(api), device(api)];
    await here.signIn('clara');
    await there.signIn('clara');
    const change = (passphrase: string, old = PASSPHRASE) =>
      here.ask('POST', '/me/passphrase', { old, passphrase });
    for (const weak of ['short one', 'passwordpassword', 'clara clara clara', '123456789012', PASSPHRASE])
      expect([weak, (await change(weak)).status]).toEqual([weak, 422]);
    expect((await change('a boat with two sails', 'not the old one')).status).toBe(403);
    expect((await change('a boat with two sails')).status).toBe(204);
    expect((await here.ask('GET', '/me')).status).toBe(200);
    expect((await there.ask('GET', '/me')).status).toBe(401);
    expect((await there.signIn('clara')).status).toBe(401);
    expect((await there.signIn('clara', 'a boat with two sails')).status).toBe(204);
  });

  it('that another person made is good for nothing but choosing another', async () => {
    const api = await startApi();
    const { passphrase } = await api.post<{ passphrase: string }>(
      '/accounts/colin/new-passphrase',
      {},
      'lena',
    );
    const here = device(api);
    expect((await here.signIn('colin')).status).toBe(401);
    expect((await here.signIn('colin', passphrase)).status).toBe(204);
    expect((await here.ask('GET', '/clients')).body.title).toBe('A passphrase of your own first');
    await here.ask('POST', '/me/passphrase', { old: passphrase, passphrase: 'kettles on the stove' });
    expect((await here.ask('GET', '/clients')).status).toBe(200);
  });
});

describe('accounts', () => {
  it('are opened, changed and ended by the owner, and work at once', async () => {
    const api = await startApi();
    const made = await api.post<{ passphrase: string }>('/accounts', {
      practitioner: { name: 'Petra Stand-in', role: 'coach' },
      name: 'petra',
      isOwner: false,
    });
    const here = device(api);
    await here.signIn('petra', made.passphrase);
    await here.ask('POST', '/me/passphrase', { old: made.passphrase, passphrase: 'kettles on the stove' });
    const { id } = (await here.who()).practitioner;
    expect((await here.ask('POST', '/clients/none/prescriptions', {})).status).not.toBe(403);
    await api.post(`/accounts/${id}`, { role: 'assistant', name: 'petra.s' });
    expect((await api.get<Accounts>('/accounts')).accounts.map(({ name }) => name)).toContain('petra.s');
    expect((await here.ask('POST', '/clients/none/prescriptions', {})).status).toBe(403);
    await api.post(`/accounts/${id}/end`, {});
    expect((await here.ask('GET', '/clients')).status).toBe(401);
    expect((await here.signIn('petra.s', 'kettles on the stove')).status).toBe(401);
  });

  it('keep until when a certificate is valid, for its holder to see', async () => {
    const api = await startApi();
    const until = async () =>
      (await api.get<Accounts>('/accounts')).accounts.map(({ certifiedUntilDay }) => certifiedUntilDay);
    await api.post('/accounts/lena', { certifiedUntilDay: '2027-05-04' });
    await api.post('/accounts/lena', { role: 'clinician' });
    expect(await until()).toContain('2027-05-04');
    expect((await api.call('GET', '/me', undefined, 'lena')).body).toMatchObject({
      certifiedUntilDay: '2027-05-04',
    });
    const { problem } = await api.refused('/accounts/lena', { certifiedUntilDay: '2027-02-31' });
    expect(problem.errors[0]?.path).toBe('certifiedUntilDay');
    await api.post('/accounts/lena', { certifiedUntilDay: null });
    expect(new Set(await until())).toEqual(new Set([null]));
  });

  it('keep their names apart, and leave an owner of the practice', async () => {
    const api = await startApi();
    const petra = { practitioner: { name: 'Petra', role: 'coach' }, isOwner: false };
    expect((await api.refused('/accounts', { ...petra, name: 'CLARA' })).status).toBe(409);
    await api.post('/accounts/olga/end', {});
    expect((await api.refused('/accounts/clara/end', {})).status).toBe(409);
    expect((await api.refused('/accounts/clara', { isOwner: false })).status).toBe(409);
    expect((await api.refused('/accounts/clara/new-passphrase', {}, 'lena')).status).toBe(403);
  });
});

describe('a first start', () => {
  const first = {
    word: FIRST_WORD,
    practiceName: 'Quayside',
    massUnit: 'kg',
    lengthUnit: 'cm',
    schoolId: 'research-consensus',
    practitioner: { name: 'Petra Stand-in', role: 'clinician' },
    name: 'petra',
    passphrase: 'kettles on the stove',
    kitIds: ['thigh-medium', 'hand-pump'],
  };
  const empty = async () => {
    const api = await startApi();
    for (const table of ['sign_in', 'account', 'person', 'kit', 'practice'])
      await api.sql(`delete from ${table}`);
    await api.restart();
    return api;
  };

  it('makes the practice and who owns it, for who can read the terminal', async () => {
    const api = await empty();
    const here = device(api);
    expect((await here.ask('GET', '/sign-in')).body.state).toBe('first-start');
    expect((await here.ask('POST', '/sign-in/first', { ...first, word: 'guess' })).status).toBe(403);
    expect((await here.ask('POST', '/sign-in/first', { ...first, passphrase: 'quayside' })).status).toBe(422);
    expect((await here.ask('POST', '/sign-in/first', first)).status).toBe(201);
    expect((await here.who()).practitioner).toMatchObject({ name: 'Petra Stand-in', isOwner: true });
    const practice = (await here.ask('GET', '/practice')).body;
    expect([practice.settings.name, practice.cuffs.length, practice.pumps.length]).toEqual([
      'Quayside',
      1,
      1,
    ]);
    expect((await device(api).ask('POST', '/sign-in/first', { ...first, name: 'second' })).status).toBe(409);
  });

  it('keeps a practice of an earlier release as it is, and gives one of its people an account', async () => {
    const api = await startApi();
    for (const table of ['sign_in', 'account']) await api.sql(`delete from ${table}`);
    await api.restart();
    const here = device(api);
    expect(
      (await here.ask('POST', '/sign-in/first', { ...first, practitioner: { id: 'lena' } })).status,
    ).toBe(201);
    expect((await here.who()).practitioner).toMatchObject({ id: 'lena', isOwner: true });
    expect((await here.ask('GET', '/practice')).body.settings.name).toBe('Test practice');
  });
});
