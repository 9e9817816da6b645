/**
 * Signs a program in at an address, as a browser does.
 * @returns the header that says so from then on
 * @throws Error with the server's words
 */
export async function signInAt(
  address: string,
  account: { name: string; passphrase: string },
): Promise<{ cookie: string }> {
  const answer = await fetch(`${address}/api/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name: account.name, passphrase: account.passphrase }),
  });
  if (!answer.ok) throw new Error(`${address} did not sign ${account.name} in: ${await answer.text()}`);
  const kept = answer.headers.getSetCookie().map((cookie) => cookie.split(';')[0]);
  return { cookie: kept.join('; ') };
}
