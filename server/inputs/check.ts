import 'reflect-metadata';
import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validateSync, type ValidationError } from 'class-validator';
import type { Problem, Result } from '../../core/document/problem';

/**
 * Checks what was sent against its class; unknown fields are refused. The problem names the first field that is wrong.
 */
export function checkInput<T extends object>(kind: ClassConstructor<T>, value: unknown): Result<T> {
  const input = plainToInstance(kind, value);
  if (typeof input !== 'object' || input === null || Array.isArray(input))
    return { ok: false, problem: { code: 'bad-input' } };
  const [error] = validateSync(input, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true });
  return error ? { ok: false, problem: problemOf(error) } : { ok: true, value: input };
}

function problemOf(error: ValidationError, path = ''): Problem {
  const place = path ? `${path}.${error.property}` : error.property;
  const [inner] = error.children ?? [];
  return inner
    ? problemOf(inner, place)
    : { code: 'bad-input', parameters: { rule: Object.keys(error.constraints ?? {})[0] ?? '' }, place };
}
