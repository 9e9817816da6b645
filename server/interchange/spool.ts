import { closeSync, openSync, readSync } from 'node:fs';
import { mkdtemp, open, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { StringDecoder } from 'node:string_decoder';
import { type Message, msg, sentences } from '#core/message';
import { Problem } from '../problem';

const CHUNK_BYTES = 256 * 1024;

/**
 * Keeps a body that does not fit into memory in a file while it is worked on, and removes it after.
 * @throws Problem 413 where it is larger than the bound
 */
export async function spooled<T>(
  body: ReadableStream<Uint8Array> | null,
  bound: Bound,
  work: (file: string) => Promise<T>,
): Promise<T> {
  const folder = await mkdtemp(join(tmpdir(), 'nervato-in-'));
  try {
    const file = join(folder, 'body');
    const handle = await open(file, 'w', 0o600);
    try {
      let bytes = 0;
      for await (const chunk of body ?? []) {
        bytes += chunk.byteLength;
        if (bytes > bound.mostMb * 1024 * 1024) throw tooLarge(bound);
        await handle.write(chunk);
      }
    } finally {
      await handle.close();
    }
    return await work(file);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

/** How large a body may be, and what to do with a larger one. */
type Bound = { mostMb: number; else: Message };

const tooLarge = ({ mostMb, else: otherwise }: Bound) =>
  new Problem(
    413,
    msg('Too large'),
    sentences(msg('A file is at most {mostMb} MB here.', { mostMb }), otherwise),
  );

/** The lines of a text file, read piece by piece; a line may be as long as the caller bears. */
export function* linesOf(file: string, longest: number): Generator<string> {
  const handle = openSync(file, 'r');
  try {
    const decoder = new StringDecoder('utf8');
    const chunk = Buffer.alloc(CHUNK_BYTES);
    let rest = '';
    for (let bytes = readSync(handle, chunk); bytes > 0; bytes = readSync(handle, chunk)) {
      const lines = (rest + decoder.write(chunk.subarray(0, bytes))).split('\n');
      rest = lines.pop() ?? '';
      for (const line of lines) yield line;
      if (rest.length > longest) {
        yield rest;
        return;
      }
    }
    if (rest + decoder.end() !== '') yield rest;
  } finally {
    closeSync(handle);
  }
}
