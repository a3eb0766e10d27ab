// Writes src/api/contracts.ts (what may be asked for, and constants) and src/api/shapes.ts (what the server says) from the Ruby side.
//   node scripts/types.mjs < contracts.json
import { writeFileSync } from 'node:fs';
import { json } from 'node:stream/consumers';
import { compile } from 'json-schema-to-typescript';
import { format } from 'prettier';

const { commands, constants, shapes } = await json(process.stdin);
const HEAD = '// Generated from the Ruby side by `npm run contracts`. Do not edit.\n\n';

const OPTIONS = { bannerComment: '', additionalProperties: false, ignoreMinAndMaxItems: true };
/** An interface of the given name, whose fields are these. */
const object = (title, properties) => ({
  title,
  type: 'object',
  properties,
  required: Object.keys(properties),
  additionalProperties: false,
});
const write = async (file, text) =>
  writeFileSync(
    new URL(`../src/api/${file}`, import.meta.url),
    await format(HEAD + text, { parser: 'typescript', singleQuote: true, printWidth: 120 }),
  );

const types = await compile(object('Commands', commands), 'Commands', OPTIONS);
/** The type of a constant: what all of its parts have in common. */
const typeOf = (value) => {
  if (Array.isArray(value)) return `readonly ${value.length > 0 ? wrapped(typeOf(value[0])) : 'unknown'}[]`;
  if (value === null) return 'null';
  if (typeof value !== 'object') return typeof value;
  return `Readonly<Record<string, ${[...new Set(Object.values(value).map(typeOf))].join(' | ')}>>`;
};
const wrapped = (type) => (type.startsWith('readonly') ? `(${type})` : type);
const values = Object.entries(constants).map(([name, value]) =>
  typeof value === 'object'
    ? `export const ${name}: ${typeOf(value)} = ${JSON.stringify(value)};`
    : `export const ${name} = ${JSON.stringify(value)};`,
);
await write('contracts.ts', types + '\n' + values.join('\n') + '\n');

const references = Object.fromEntries(Object.keys(shapes).map((name) => [name, { $ref: `#/$defs/${name}` }]));
const named = Object.fromEntries(Object.entries(shapes).map(([name, shape]) => [name, { ...shape, title: name }]));
await write('shapes.ts', await compile({ ...object('Shapes', references), $defs: named }, 'Shapes', OPTIONS));
