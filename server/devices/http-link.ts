import type { DeviceLink } from './device-check';

type Ask = (url: string, init?: RequestInit) => Promise<Response> | Response;

/** A device at an address, as docs/device-protocol.md says: `…/stream` for its frames, `…/commands` for its commands. */
export async function linkTo(
  address: string,
  { headers = {}, ask = fetch }: { headers?: Record<string, string>; ask?: Ask } = {},
): Promise<DeviceLink & { leave: () => Promise<void> }> {
  const answer = await ask(`${address}/stream`, { headers });
  const reader = answer.body?.getReader();
  if (!answer.ok || !reader)
    throw new Error(`${address}/stream answered ${answer.status}: no device is there.`);
  const decoder = new TextDecoder();
  let text = '';
  const nextFrame = async (): Promise<unknown> => {
    for (;;) {
      const message = /^data: (.*)$/m.exec(text);
      if (message && text.indexOf('\n', message.index) >= 0) {
        text = text.slice(message.index + message[0].length);
        return JSON.parse(message[1] ?? 'null');
      }
      const { value, done } = await reader.read();
      if (done) throw new Error('The stream ended.');
      text += decoder.decode(value, { stream: true });
    }
  };
  return {
    nextFrame,
    command: async (command) => {
      const said = await ask(`${address}/commands`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', ...headers },
        body: JSON.stringify(command),
      });
      return { status: said.status, body: await said.json().catch(() => null) };
    },
    leave: () => reader.cancel(),
  };
}
