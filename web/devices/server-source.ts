import { deviceFrameSchema, type NewDevice } from '#contract/device';
import { api, read } from '../data/api';
import { FrameHub, type PressureSource } from './pressure-source';

/** A simulated device of the server, over the stream of docs/device-protocol.md. @throws as `read` does */
export async function serverSource(device: NewDevice): Promise<PressureSource> {
  const { id } = await read(api.devices.$post({ json: device }));
  const hub = new FrameHub();
  const stream = new EventSource(`/api/devices/${id}/stream`);
  stream.onmessage = ({ data }) => {
    const frame = deviceFrameSchema.safeParse(JSON.parse(data));
    if (frame.success) hub.publish(frame.data);
  };
  // The browser tries again by itself; until it succeeds the last figure is not to be believed.
  stream.onerror = () => hub.publish(null);
  return {
    kind: device.kind,
    subscribe: (listener) => hub.subscribe(listener),
    command: (command) => {
      read(api.devices[':id'].commands.$post({ param: { id }, json: command })).then(
        (frame) => hub.publish(frame),
        () => hub.publish(null),
      );
    },
    close: () => stream.close(),
  };
}
