// Part of the build: each of the application's files as small as it gets, once, instead of anew for each visit.
import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { promisify } from 'node:util';
import { brotliCompress, constants } from 'node:zlib';

const FOLDER = 'dist/web/assets';
/** Below that nothing is gained. */
const LEAST = 500;

const compress = promisify(brotliCompress);
const params = { [constants.BROTLI_PARAM_MODE]: constants.BROTLI_MODE_TEXT };
const files = readdirSync(FOLDER).filter((file) => /\.(js|css|svg|json)$/.test(file));
await Promise.all(
  files.map(async (file) => {
    const whole = readFileSync(`${FOLDER}/${file}`);
    if (whole.length >= LEAST)
      writeFileSync(`${FOLDER}/${file}.br`, await compress(whole, { params }));
  }),
);
