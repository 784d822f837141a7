import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import openapi, { astToString } from 'openapi-typescript';
import ts from 'typescript';
import { ROOT } from './project.mjs';

const folder = join(ROOT, 'web/src/api');
const document = JSON.parse(readFileSync(join(folder, 'openapi.json'), 'utf8'));

/** Where the document names a type of the core, the client uses that one type. */
const coreType = (schema) => {
  const name = schema['x-core-type'];
  if (name === undefined) return undefined;
  const type = ts.factory.createTypeReferenceNode(`Core.${name}`);
  return schema.nullable
    ? ts.factory.createUnionTypeNode([type, ts.factory.createLiteralTypeNode(ts.factory.createNull())])
    : type;
};

const ast = await openapi(document, {
  transform: coreType,
  inject: `import type * as Core from '@compas/core';`,
});
writeFileSync(join(folder, 'schema.d.ts'), astToString(ast));
