import 'reflect-metadata';
import { ArrayMaxSize, IsArray, IsBoolean, IsInt, IsNumber, IsOptional, IsString, Matches, Max, MaxLength, Min, MinLength } from 'class-validator';
import { checkInput } from '../course/input';
import type { Brief } from '../course/course';
import type { Problem } from '../course/problem';

/** A brief as a person or a program sends it. */
export class BriefInput {
  @IsOptional() @IsString() @MaxLength(400) title?: string;
  @IsOptional() @IsString() @MaxLength(4000) promise?: string;
  @IsOptional() @IsString() @MaxLength(1000) audience?: string;
  @IsOptional() @IsArray() @ArrayMaxSize(200) @IsString({ each: true }) @MinLength(1, { each: true }) @MaxLength(200, { each: true }) known?: string[];
  @IsOptional() @IsNumber() @Min(1) @Max(100_000) minutes?: number;
  @IsOptional() @IsInt() @Min(1) @Max(1000) modules?: number;
  @IsOptional() @IsInt() @Min(1) @Max(1000) lessons?: number;
  @IsOptional() @IsInt() @Min(0) @Max(50) questions?: number;
  @IsOptional() @IsString() @Matches(/^[a-z]{2,3}(-[A-Z]{2}|-\d{3})?$/) language?: string;
  @IsOptional() @IsBoolean() sourcesOnly?: boolean;
}

/** Questions placed in a lesson at most, when the brief does not say. */
export const QUESTIONS_PER_LESSON = 3;

/** Checks what was sent; unknown fields are refused. The first problem names the field. */
export function checkBriefInput(value: unknown): { ok: true; input: BriefInput } | { ok: false; problem: Problem } {
  const checked = checkInput(BriefInput, value);
  if (!checked.ok) return { ok: false, problem: { ...checked.problem, code: 'bad-brief' } };
  const input = checked.value;
  if (input.minutes !== undefined && (input.modules !== undefined || input.lessons !== undefined)) return { ok: false, problem: { code: 'two-sizes', place: 'minutes' } };
  return { ok: true, input };
}

/** The brief of a course out of what was sent; `language` is used when none was asked for. */
export function briefFrom(input: BriefInput, language: string): Brief {
  return {
    promise: input.promise ?? '',
    audience: { who: input.audience ?? '', knows: input.known ?? [] },
    size: {
      questionsPerLesson: input.questions ?? QUESTIONS_PER_LESSON,
      ...(input.minutes !== undefined && { minutes: input.minutes }),
      ...(input.modules !== undefined && { modules: input.modules }),
      ...(input.lessons !== undefined && { lessonsPerModule: input.lessons }),
    },
    language: input.language ?? language,
    sourcesOnly: input.sourcesOnly ?? false,
    outcomes: [],
  };
}
