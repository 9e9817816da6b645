import { expect, it } from 'vitest';
import { inEnglish } from '#language/render';
import { whyNotReachable } from './reachable';

it.each([
  'http://localhost:4400',
  'http://app.localhost',
  'http://127.0.0.1:4400/x',
  'http://[::1]:4400',
  'http://0.0.0.0:4400',
  'HTTP://LOCALHOST',
])('a phone cannot open %s', (address) => {
  expect(inEnglish(whyNotReachable(address) ?? '')).toContain('A phone cannot open');
});

it.each(['192.168.1.20:4400', 'ftp://nervato.example', 'nonsense', ''])(
  '“%s” is no whole address',
  (address) => {
    expect(inEnglish(whyNotReachable(address) ?? '')).toContain('Enter a whole address');
  },
);

it.each(['http://192.168.1.20:4400', 'https://nervato.example', 'http://clinic.local:4400'])(
  'a phone may open %s',
  (address) => {
    expect(whyNotReachable(address)).toBeNull();
  },
);
