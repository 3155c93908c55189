import { plainToInstance } from 'class-transformer';
import { getMetadataStorage } from 'class-validator';
import { CLASS_OF } from './check.ts';
import type { TableName } from './event.ts';

type Class = new () => object;

/** The class of what a field holds, found by letting the transformer make one. */
function findHeld(owner: Class, field: string): Class | null {
  const made = (plainToInstance(owner, { [field]: [{}] }) as Record<string, unknown>)[field];
  const first: unknown = Array.isArray(made) ? made[0] : made;
  return typeof first === 'object' && first !== null ? (first.constructor as Class) : null;
}

/**
 * How many letters a text field of a record takes, as its own class says: `lots.reserved.forWhat`. Throws where there is
 * no such field or it has no limit: every text that can be typed has one.
 */
export function getTextLimit(path: string): number {
  const [table, ...fields] = path.split('.') as [TableName | 'events', ...string[]];
  let owner: Class | null = CLASS_OF[table] as Class;
  for (const field of fields.slice(0, -1)) owner = owner && findHeld(owner, field);
  const last = fields.at(-1) ?? '';
  const rule = owner
    ? getMetadataStorage()
        .getTargetValidationMetadatas(owner, '', true, false)
        .find((one) => one.propertyName === last && one.name === 'maxLength')
    : undefined;
  const limit: unknown = rule?.constraints?.[0];
  if (typeof limit !== 'number') throw new Error(`${path} has no limit`);
  return limit;
}
