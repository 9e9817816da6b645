import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

// Compresses what was built once, as hard as it goes, so that the server only picks the file a browser can read.
const ROOT = 'dist/web';
const WORTH_IT_BYTES = 1024;

for (const name of readdirSync(ROOT, { recursive: true, encoding: 'utf8' })) {
  if (!/\.(js|css|html|svg|webmanifest)$/.test(name)) continue;
  const file = join(ROOT, name);
  const bytes = readFileSync(file);
  if (bytes.length < WORTH_IT_BYTES) continue;
  writeFileSync(`${file}.gz`, gzipSync(bytes, { level: 9 }));
  writeFileSync(
    `${file}.br`,
    brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY } }),
  );
}
