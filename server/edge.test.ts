import { describe, expect, it } from 'vitest';
import { measuredClient, startAfter, startApi } from './api.fixture';

describe('what every answer says to a browser', () => {
  it('lets no script and no style in but the server’s own, and no page frame it', async () => {
    const api = await startApi();
    const { headers } = await api.ask('/health');
    const policy = headers.get('content-security-policy') ?? '';
    expect(/script-src ([^;]+)/.exec(policy)?.[1]).toBe("'self'");
    expect(/style-src ([^;]+)/.exec(policy)?.[1]).toBe("'self'");
    for (const rule of [
      "object-src 'none'",
      "base-uri 'none'",
      "form-action 'self'",
      "frame-ancestors 'none'",
    ])
      expect(policy).toContain(rule);
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('permissions-policy')).toContain('geolocation=()');
    expect(headers.get('referrer-policy')).toBe('no-referrer');
  });

  it('keeps records out of caches', async () => {
    const {
      api,
      made: { id },
    } = await startAfter(measuredClient);
    const answer = await api.raw('GET', `/clients/${id}`);
    expect(answer.headers.get('cache-control')).toBe('no-store');
  });

  it('holds no line that another person has put there', async () => {
    const api = await startApi();
    const { id } = await api.post('/clients', { name: 'Test\r\nSet-Cookie: stolen=1' });
    for (const path of [`/archive/of/${id}`, `/archive/of/${id}/fhir`, `/clients/${id}`]) {
      const { headers } = await api.raw('GET', path);
      expect(headers.get('set-cookie')).toBeNull();
      expect([...headers.values()].join('')).not.toMatch(/stolen/);
    }
    const asked = await api.ask('/health', { headers: { 'x-request-id': 'mine; stolen=1' } });
    expect(asked.headers.get('x-request-id')).not.toContain('stolen');
  });

  it('redirects nowhere else', async () => {
    const api = await startApi();
    for (const path of ['//evil.example', '/%2F%2Fevil.example', '/sign-in?next=https://evil.example']) {
      const { status, headers } = await api.ask(path);
      expect([path, headers.get('location')]).toEqual([path, null]);
      expect(status === 200 || status >= 400).toBe(true);
    }
  });
});
