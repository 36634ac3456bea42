import 'reflect-metadata';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
} from 'class-validator';
import type { GivenBrief } from '../../core/brief/given';
import type { Problem } from '../../core/document/problem';
import { checkInput } from './check';

/** A brief as a person or a program sends it. */
export class BriefInput implements GivenBrief {
  @IsOptional() @IsString() @MaxLength(400) title?: string;
  @IsOptional() @IsString() @MaxLength(4000) promise?: string;
  @IsOptional() @IsString() @MaxLength(1000) audience?: string;
  @IsOptional()
  @IsArray()
  @ArrayMaxSize(200)
  @IsString({ each: true })
  @MinLength(1, { each: true })
  @MaxLength(200, { each: true })
  known?: string[];
  @IsOptional() @IsNumber() @Min(1) @Max(100_000) minutes?: number;
  @IsOptional() @IsInt() @Min(1) @Max(1000) modules?: number;
  @IsOptional() @IsInt() @Min(1) @Max(1000) lessons?: number;
  @IsOptional() @IsInt() @Min(0) @Max(50) questions?: number;
  @IsOptional() @IsString() @Matches(/^[a-z]{2,3}(-[A-Z]{2}|-\d{3})?$/) language?: string;
  @IsOptional() @IsBoolean() sourcesOnly?: boolean;
}

/** Checks what was sent; unknown fields are refused. The first problem names the field. */
export function checkBriefInput(value: unknown): { ok: true; input: BriefInput } | { ok: false; problem: Problem } {
  const checked = checkInput(BriefInput, value);
  if (!checked.ok) return { ok: false, problem: { ...checked.problem, code: 'bad-brief' } };
  const input = checked.value;
  if (input.minutes !== undefined && (input.modules !== undefined || input.lessons !== undefined))
    return { ok: false, problem: { code: 'two-sizes', place: 'minutes' } };
  return { ok: true, input };
}
