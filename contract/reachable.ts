import { type Message, msg } from '#core/message';

/** Names under which a machine reaches itself, and no other reaches it. */
const ITSELF = /^(?:localhost|.*\.localhost|127(?:\.\d+){3}|0\.0\.0\.0|\[::1?\])$/i;

/**
 * Why a phone cannot open an address, with what to do; null where it may.
 * @param address of the server, such as "http://192.168.1.20:4400"
 * @example whyNotReachable('http://localhost:4400') //=> a message; whyNotReachable('https://nervato.example') //=> null
 */
export function whyNotReachable(address: string): Message | null {
  const url = URL.canParse(address) ? new URL(address) : null;
  if (!url || !/^https?:$/.test(url.protocol))
    return msg('Enter a whole address, such as http://192.168.1.20:4400.');
  if (!ITSELF.test(url.hostname)) return null;
  return msg(
    'A phone cannot open {address}: it is this machine’s name for itself. Enter the address it has in the network, such as http://192.168.1.20:4400.',
    { address: url.origin },
  );
}
