import { plainToInstance } from 'class-transformer';
import {
  arrayMaxSize,
  arrayMinSize,
  arrayUnique,
  getMetadataStorage,
  isBoolean,
  isHexColor,
  isNumber,
  isObject,
  isString,
  maxLength,
  minLength,
} from 'class-validator';

type Test = (value: unknown) => boolean;

/** A decorator's test with its constraints built in, by the name that the library gives it; null for one unknown here. */
function compileRule(name: string | undefined, constraints: readonly unknown[]): Test | null {
  const [limit] = constraints as [never];
  switch (name) {
    case 'isString':
      return isString;
    case 'isBoolean':
      return isBoolean;
    case 'isInt':
      return Number.isInteger;
    case 'isNumber':
      return (value) => isNumber(value, limit);
    case 'isArray':
      return Array.isArray;
    case 'isObject':
      return isObject;
    case 'isHexColor':
      return isHexColor as Test;
    case 'isIn': {
      const among = new Set<unknown>(limit);
      return (value) => among.has(value);
    }
    case 'min':
      return (value) => typeof value === 'number' && value >= limit;
    case 'max':
      return (value) => typeof value === 'number' && value <= limit;
    // Signs of two units count once, so that a text is never longer than its units and at least half as long.
    case 'minLength':
      return (value) => typeof value === 'string' && (value.length >= 2 * limit || minLength(value, limit));
    case 'maxLength':
      return (value) => typeof value === 'string' && (value.length <= limit || maxLength(value, limit));
    case 'arrayMinSize':
      return (value) => arrayMinSize(value, limit);
    case 'arrayMaxSize':
      return (value) => arrayMaxSize(value, limit);
    case 'arrayUnique':
      return (value) => Array.isArray(value) && arrayUnique(value);
    case 'matches': {
      const pattern = limit as RegExp;
      return pattern instanceof RegExp && !pattern.global
        ? (value) => typeof value === 'string' && pattern.test(value)
        : null;
    }
    default:
      return null;
  }
}

type Class = new () => object;

/** The class of a nested property, found by letting the transformer make one. */
function findNestedClass(owner: Class, property: string): Class | null {
  const list = (plainToInstance(owner, { [property]: [{}] }) as Record<string, unknown>)[property];
  const [made] = Array.isArray(list) ? (list as unknown[]) : [];
  const found = typeof made === 'object' && made !== null ? (made.constructor as Class) : Object;
  return found === Object ? null : found;
}

interface Property {
  isOptional: boolean;
  isNested: boolean;
  nested: Test | null;
  readonly rules: Test[];
}

const NESTED = 'nestedValidation';
const CONDITIONAL = 'conditionalValidation';
const WHITELIST = 'whitelistValidation';

/**
 * A class's decorators as one quick test of a plain object; with `isPart`, of some of its fields. It says yes only where
 * the validator says yes; a no, or a decorator that it does not know, leaves the answer to the validator, which also
 * finds the words.
 */
export function compileTest(owner: Class, isPart = false): Test {
  const properties = new Map<string, Property>();
  let isKnown = true;
  for (const rule of getMetadataStorage().getTargetValidationMetadatas(owner, '', true, false)) {
    const property = properties.get(rule.propertyName) ?? {
      isOptional: false,
      isNested: false,
      nested: null,
      rules: [],
    };
    properties.set(rule.propertyName, property);
    const { type } = rule;
    if (type === NESTED) {
      const nested = findNestedClass(owner, rule.propertyName);
      property.isNested = true;
      property.nested = nested && compileTest(nested);
      isKnown &&= nested !== null;
    } else if (type === CONDITIONAL && rule.name === 'isOptional') property.isOptional = true;
    else if (type !== WHITELIST) {
      const test = compileRule(rule.name, (rule.constraints ?? []) as unknown[]);
      isKnown &&= test !== null;
      if (test)
        property.rules.push(
          rule.each ? (value) => Array.isArray(value) && (value as unknown[]).every((one) => test(one)) : test,
        );
    }
  }
  if (!isKnown) return () => false;
  const required = isPart ? [] : [...properties].filter(([, property]) => !property.isOptional).map(([name]) => name);
  return (raw) => {
    if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) return false;
    const record = raw as Record<string, unknown>;
    for (const name of required) if (!(name in record)) return false;
    for (const name of Object.keys(record)) {
      const property = properties.get(name);
      if (!property) return false;
      const value = record[name];
      if (value === undefined) return false;
      for (const test of property.rules) if (!test(value)) return false;
      if (!property.nested) continue;
      // A list where the validator expects one has an array rule of its own.
      const isGood = Array.isArray(value) ? (value as unknown[]).every(property.nested) : property.nested(value);
      if (!isGood) return false;
    }
    return true;
  };
}
