// Writes src/api/contracts.ts from the contracts of the Ruby core.
//   node scripts/types.mjs < contracts.json
import { writeFileSync } from 'node:fs';
import { json } from 'node:stream/consumers';
import { compile } from 'json-schema-to-typescript';
import { format } from 'prettier';

const { commands, constants } = await json(process.stdin);
const HEAD = '// Generated from the contracts of the core by `npm run contracts`. Do not edit.\n\n';

const schema = {
  title: 'Commands',
  type: 'object',
  properties: commands,
  required: Object.keys(commands),
  additionalProperties: false,
};
const types = await compile(schema, 'Commands', {
  bannerComment: '',
  additionalProperties: false,
  ignoreMinAndMaxItems: true,
});
const values = Object.entries(constants).map(([name, value]) =>
  typeof value === 'object'
    ? `export const ${name}: Record<string, ${typeof Object.values(value)[0]}> = ${JSON.stringify(value)};`
    : `export const ${name} = ${JSON.stringify(value)};`,
);
const text = HEAD + types + '\n' + values.join('\n') + '\n';
writeFileSync(
  new URL('../src/api/contracts.ts', import.meta.url),
  await format(text, { parser: 'typescript', singleQuote: true, printWidth: 120 }),
);
