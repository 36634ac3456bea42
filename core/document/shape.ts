import type { Problem } from './problem';

/**
 * The form of a piece of plain data, said once: `check` finds what is wrong with a value, `schema` says the same
 * as JSON Schema (2020-12). Unknown properties are refused everywhere.
 */
export interface Shape {
  schema: Record<string, unknown>;
  check(value: unknown, place: string, problems: Problem[]): void;
}

const wrong = (code: string, place: string, problems: Problem[]) => void problems.push({ code, place });

/** A string; `pattern` must match all of it. */
export function string(limits: { min?: number; max?: number; pattern?: RegExp } = {}): Shape {
  const { min = 0, max, pattern } = limits;
  return {
    schema: {
      type: 'string',
      ...(min && { minLength: min }),
      ...(max && { maxLength: max }),
      ...(pattern && { pattern: pattern.source }),
    },
    check(value, place, problems) {
      if (typeof value !== 'string') wrong('not-text', place, problems);
      else if ([...value].length < min) wrong('too-short', place, problems);
      else if (max !== undefined && [...value].length > max) wrong('too-long', place, problems);
      else if (pattern && !pattern.test(value)) wrong('wrong-form', place, problems);
    },
  };
}

/** A finite number within bounds; `whole` for integers. */
export function number(limits: { min?: number; max?: number; whole?: boolean } = {}): Shape {
  const { min, max, whole } = limits;
  return {
    schema: {
      type: whole ? 'integer' : 'number',
      ...(min !== undefined && { minimum: min }),
      ...(max !== undefined && { maximum: max }),
    },
    check(value, place, problems) {
      const good = typeof value === 'number' && Number.isFinite(value) && (!whole || Number.isInteger(value));
      if (!good) wrong('not-a-number', place, problems);
      else if ((min !== undefined && value < min) || (max !== undefined && value > max))
        wrong('out-of-range', place, problems);
    },
  };
}

export const boolean: Shape = {
  schema: { type: 'boolean' },
  check(value, place, problems) {
    if (typeof value !== 'boolean') wrong('not-yes-or-no', place, problems);
  },
};

/** One of a few values. */
export function oneOf(...values: (string | number)[]): Shape {
  return {
    schema: { enum: values },
    check(value, place, problems) {
      if (!values.includes(value as string)) wrong('not-one-of', place, problems);
    },
  };
}

/** A list. */
export function list(of: Shape, limits: { min?: number; max?: number } = {}): Shape {
  return {
    schema: {
      type: 'array',
      items: of.schema,
      ...(limits.min && { minItems: limits.min }),
      ...(limits.max && { maxItems: limits.max }),
    },
    check(value, place, problems) {
      if (!Array.isArray(value)) wrong('not-a-list', place, problems);
      else if (value.length < (limits.min ?? 0)) wrong('too-few', place, problems);
      else if (value.length > (limits.max ?? Infinity)) wrong('too-long', place, problems);
      else value.forEach((item, index) => of.check(item, `${place}/${index}`, problems));
    },
  };
}

/** An object with just these properties. */
export function object(required: Record<string, Shape>, optional: Record<string, Shape> = {}): Shape {
  const all = { ...required, ...optional };
  return {
    schema: {
      type: 'object',
      properties: Object.fromEntries(Object.entries(all).map(([key, shape]) => [key, shape.schema])),
      required: Object.keys(required),
      additionalProperties: false,
    },
    check(value, place, problems) {
      if (!isObject(value)) return wrong('not-an-object', place, problems);
      for (const key of Object.keys(required))
        if (!Object.hasOwn(value, key)) wrong('missing', `${place}/${key}`, problems);
      for (const [key, part] of Object.entries(value)) {
        if (!Object.hasOwn(all, key)) wrong('unknown-property', `${place}/${key}`, problems);
        else all[key].check(part, `${place}/${key}`, problems);
      }
    },
  };
}

/** An object whose `tag` property says which of several shapes it has; the shapes do not name the tag themselves. */
export function tagged(
  tag: string,
  shapes: Record<string, { required: Record<string, Shape>; optional?: Record<string, Shape> }>,
): Shape {
  const whole = Object.fromEntries(
    Object.entries(shapes).map(([name, parts]) => [
      name,
      object({ [tag]: oneOf(name), ...parts.required }, parts.optional),
    ]),
  );
  return {
    schema: { oneOf: Object.values(whole).map((shape) => shape.schema) },
    check(value, place, problems) {
      const name = isObject(value) ? value[tag] : undefined;
      if (typeof name !== 'string' || !Object.hasOwn(whole, name)) wrong('unknown-kind', `${place}/${tag}`, problems);
      else whole[name].check(value, place, problems);
    },
  };
}

/** Any JSON value. */
/** Yes: what is said by a field being there at all. */
export const always: Shape = {
  schema: { const: true },
  check(value, place, problems) {
    if (value !== true) wrong('not-yes-or-no', place, problems);
  },
};

export const anything: Shape = { schema: {}, check: () => undefined };

/** A value of a shape, or null. */
export function nullable(of: Shape): Shape {
  return {
    schema: { anyOf: [of.schema, { type: 'null' }] },
    check: (value, place, problems) => void (value === null || of.check(value, place, problems)),
  };
}

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
