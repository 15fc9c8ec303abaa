// The start page's script and style, gzipped, must stay light.
import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const MOST_KB = 350;
const page = readFileSync('dist/index.html', 'utf8');
const files = [...page.matchAll(/(?:src|href)="\/(assets\/[^"]+\.(?:js|css))"/g)].map((m) => m[1]);
const bytes = files.reduce((sum, file) => sum + gzipSync(readFileSync(`dist/${file}`)).length, 0);
const kb = bytes / 1000;
console.log(
  `start page: ${kb.toFixed(0)} kB of script and style gzipped, at most ${MOST_KB} (${files.length} files)`,
);
if (files.length < 2 || kb > MOST_KB) {
  process.exit(1);
}
