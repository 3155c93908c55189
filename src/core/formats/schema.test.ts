import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { Ajv2020, type SchemaObject } from 'ajv/dist/2020.js';
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import { strFromU8, unzipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { createEmptyHousehold, createSampleHousehold } from '../../sample/index.ts';
import { BUNDLE_VERSION } from '../records/migrations.ts';
import { createPlaceTree } from '../storage/index.ts';
import { toBundle } from './index.ts';
import { toPieceFile } from './piece.ts';

const FILE = 'docs/schemas/household.schema.json';

/** JSON Schema of a bundle's contents, made from the validator classes. */
function createSchema(): object {
  const $defs = validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage as never,
    refPointerPrefix: '#/$defs/',
  });
  for (const schema of Object.values($defs)) {
    Object.assign(schema, { additionalProperties: false });
    // What a field refers to says already that it is an object.
    for (const field of Object.values(schema.properties ?? {}))
      if ('$ref' in field) delete (field as SchemaObject).type;
  }
  const list = (name: string) => ({ type: 'array', items: { $ref: `#/$defs/${name}` } });
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'household.json of a Yardmist bundle',
    type: 'object',
    required: ['format', 'version', 'settings', 'places', 'items', 'lots', 'plans', 'projects', 'events'],
    additionalProperties: false,
    properties: {
      format: { const: 'yardmist-bundle' },
      version: { const: BUNDLE_VERSION },
      settings: { $ref: '#/$defs/Settings' },
      places: list('Place'),
      items: list('Item'),
      lots: list('Lot'),
      plans: list('Plan'),
      projects: list('Project'),
      events: list('DaybookEvent'),
    },
    $defs,
  };
}

const PIECE_FILE = 'docs/schemas/piece.schema.json';

/** JSON Schema of a piece of furniture in a file of its own: of the classes only those that it is made of. */
function createPieceSchema({ $defs }: { $defs: Record<string, object> }): object {
  const used: Record<string, object> = {};
  const use = (name: string) => {
    if (name in used) return;
    used[name] = $defs[name]!;
    for (const [, next] of JSON.stringify($defs[name]).matchAll(/"#\/\$defs\/(\w+)"/gu)) use(next!);
  };
  for (const name of ['UnitSpec', 'SlotSpec', 'ContainerSpec']) use(name);
  const named = (properties: object) => ({
    type: 'object',
    required: ['name', ...Object.keys(properties)],
    additionalProperties: false,
    properties: { name: { type: 'string' }, ...properties },
  });
  const bin = named({ container: { $ref: '#/$defs/ContainerSpec' } });
  const slot = named({ slot: { $ref: '#/$defs/SlotSpec' }, containers: { type: 'array', items: bin } });
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'A piece of furniture in a file of its own',
    ...named({
      format: { const: 'yardmist-piece' },
      version: { const: 1 },
      unit: { $ref: '#/$defs/UnitSpec' },
      slots: { type: 'array', items: slot },
    }),
    $defs: used,
  };
}

/** The shape of the records of each bundle version, as a hash: a shape that is out is never another. */
const SHAPES = 'src/core/formats/golden/shapes.json';

/** In the order of names: the order in which classes were loaded says nothing. */
function sort(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sort);
  if (typeof value !== 'object' || value === null) return value;
  const entries = Object.entries(value).toSorted(([a], [b]) => (a < b ? -1 : 1));
  return Object.fromEntries(entries.map(([name, field]) => [name, sort(field)]));
}

describe('the published schema', () => {
  const schema = createSchema();
  if (process.env['UPDATE_SCHEMA']) writeFileSync(FILE, `${JSON.stringify(schema, null, 2)}\n`);

  it('is the one that the classes make (npm run schema writes it)', () => {
    expect(JSON.parse(readFileSync(FILE, 'utf8'))).toEqual(JSON.parse(JSON.stringify(schema)));
  });

  it('of a piece is made from it, and accepts what is written', () => {
    const piece = createPieceSchema(schema as { $defs: Record<string, object> });
    if (process.env['UPDATE_SCHEMA']) writeFileSync(PIECE_FILE, `${JSON.stringify(piece, null, 2)}\n`);
    expect(JSON.parse(readFileSync(PIECE_FILE, 'utf8'))).toEqual(JSON.parse(JSON.stringify(piece)));
    const validate = new Ajv2020({ strict: false, allErrors: true, validateFormats: false }).compile(piece);
    const tree = createPlaceTree(createSampleHousehold(1, 60).household.places);
    for (const unit of tree.rooms.flatMap((room) => tree.getChildren(room.id))) {
      const raw = JSON.parse(toPieceFile(tree, unit)) as { unit: object };
      validate(raw);
      expect(validate.errors ?? []).toEqual([]);
      expect(validate({ ...raw, unit: { ...raw.unit, more: 1 } })).toBe(false);
    }
  });

  it('is of this bundle version: records that change their shape need a new version, a migration and a golden file', () => {
    const shapes = JSON.parse(readFileSync(SHAPES, 'utf8')) as Record<string, string>;
    const { $defs } = schema as { $defs: object };
    const hash = createHash('sha256')
      .update(JSON.stringify(sort($defs)))
      .digest('hex')
      .slice(0, 32);
    if (process.env['UPDATE_SCHEMA'] && !(BUNDLE_VERSION in shapes))
      writeFileSync(SHAPES, `${JSON.stringify({ ...shapes, [BUNDLE_VERSION]: hash }, null, 2)}\n`);
    else expect(shapes[BUNDLE_VERSION]).toBe(hash);
  });

  it('accepts what is written, and refuses a field too many', () => {
    const validate = new Ajv2020({ strict: false, allErrors: true, validateFormats: false }).compile(schema);
    for (const chronicle of [createSampleHousehold(1, 60), createEmptyHousehold()]) {
      const raw = JSON.parse(strFromU8(unzipSync(toBundle(chronicle))['household.json']!)) as Record<string, unknown>;
      validate(raw);
      expect(validate.errors ?? []).toEqual([]);
      expect(validate({ ...raw, settings: { ...(raw['settings'] as object), more: 1 } })).toBe(false);
    }
  });
});
