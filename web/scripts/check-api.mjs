// Fails when the generated types no longer fit the API's description.
import { readFileSync } from 'node:fs';
import openapiTS, { astToString } from 'openapi-typescript';
import { format, resolveConfig } from 'prettier';

const target = 'src/lib/api/schema.d.ts';
const described = JSON.parse(readFileSync('openapi.json', 'utf8'));
const banner = readFileSync(target, 'utf8').match(/^\/\*\*[\s\S]*?\*\/\n/)?.[0] ?? '';
const generated = astToString(await openapiTS(described));
const options = { ...(await resolveConfig(target)), parser: 'typescript' };
const expected = await format(banner + '\n' + generated, options);
const present = await format(readFileSync(target, 'utf8'), options);
if (expected !== present) {
  console.error(`${target} does not fit openapi.json. Run: npm run generate-api`);
  process.exit(1);
}
