import { parseArgs } from 'node:util';
import { signInAt } from '#server/access/sign-in-at';
import { checkDevice } from '#server/devices/device-check';
import { linkTo } from '#server/devices/http-link';

// `npm run device-check -- http://127.0.0.1:4320`: asks a device, or a bridge to one, all that docs/device-protocol.md promises.
// Put the cuff on a bottle, not on a limb.
const { values, positionals } = parseArgs({
  options: { as: { type: 'string' } },
  allowPositionals: true,
});
const [address] = positionals;
if (!address || !/^https?:\/\//.test(address)) {
  console.error(
    'Say where the device is, with http:// or https://, as in: http://127.0.0.1:4320 (the protocol is HTTP with an event stream)',
  );
  process.exit(1);
}
// The simulated devices of a practice ask who is signed in; a bridge does not.
const headers = values.as
  ? await signInAt(new URL(address).origin, {
      name: values.as,
      passphrase: process.env.NERVATO_PASSPHRASE ?? '',
    })
  : {};
const link = await linkTo(address.replace(/\/$/, ''), { headers }).catch((error: Error) => {
  console.error(`No device at ${address}: ${error.message}`);
  process.exit(1);
});
const checked = await checkDevice(link);
await link.leave();
for (const { name, failed } of checked)
  console.log(failed === null ? `holds  ${name}` : `FAILS  ${name}: ${failed}`);
const failures = checked.filter(({ failed }) => failed !== null).length;
console.log(`${checked.length - failures} hold, ${failures} fail`);
process.exit(failures === 0 ? 0 : 1);
