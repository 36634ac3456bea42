import 'reflect-metadata';
import { Transform, Type } from 'class-transformer';
import { IsArray, IsIn, IsInt, IsOptional, IsString, Matches, Max, MaxLength, Min } from 'class-validator';
import { ASKING_FORMS, LEVELS, TAG_LONGEST, type AskingForm, type Level } from '../../core/checks/check';
import { CHECK_KINDS, type CheckKind } from '../../core/checks/forms';
import { ID_PATTERN } from '../../core/document/id';
import { PACKAGE_FORMATS, type PackageFormat } from '../../core/learning/packages';

/** Ids with commas between; what is none is left out, and so is what is more than a screen shows. */
const idsIn = (value: unknown, most: number): string[] =>
  String(value ?? '')
    .split(',')
    .filter((id) => ID_PATTERN.test(id))
    .slice(0, most);

/** What somebody typed to search for; no longer than a person types. */
export class TypedQuery {
  @Transform(({ value }: { value: unknown }) => String(value ?? '').slice(0, 300)) @IsString() typed!: string;
}

/** What a file that is sent is called. */
export class FileQuery {
  @IsOptional() @IsString() name?: string;
}

/** A file for a task, and what it is called. */
export class HandedQuery extends FileQuery {
  @IsString() @Matches(ID_PATTERN) check!: string;
}

/** Of which task hand-ins are saved; without it, of all. */
export class TogetherQuery {
  @IsOptional() @IsString() @Matches(ID_PATTERN) check?: string;
}

export class SinceQuery {
  @Type(() => Number) @IsInt() @Min(0) since!: number;
}

export class RevisionQuery {
  @Type(() => Number) @IsInt() @Min(0) revision!: number;
}

/** How a script is written. */
export class ScriptQuery {
  @IsIn(['docx', 'txt']) as!: 'docx' | 'txt';
}

export class PackageQuery {
  @IsIn(PACKAGE_FORMATS) format!: PackageFormat;
}

/** What is looked for among all questions of a person; `from`: how many of those found are passed over. */
export class PoolQuery {
  @IsOptional() @IsString() @MaxLength(300) words?: string;
  @IsOptional() @IsIn(CHECK_KINDS) kind?: CheckKind;
  @IsOptional() @IsIn(LEVELS) level?: Level;
  @IsOptional() @IsString() @MaxLength(TAG_LONGEST) tag?: string;
  @IsOptional() @IsString() @Matches(ID_PATTERN) besides?: string;
  @IsOptional() @Type(() => Number) @IsInt() @Min(0) @Max(1_000_000) from?: number;
}

/** What is wanted to be asked: about a lesson, quiz or module (or all), in some words, a form, for an objective. */
export class QuestionsQuery {
  @IsString() @Matches(ID_PATTERN) about!: string;
  @IsOptional() @IsString() @MaxLength(300) words?: string;
  @IsOptional() @IsIn(ASKING_FORMS) form?: AskingForm;
  @IsOptional() @IsString() @Matches(ID_PATTERN) objective?: string;
  /** Ids of passages, commas between. */
  @IsOptional()
  @Transform(({ value }: { value: unknown }) => idsIn(value, 200))
  @IsArray()
  passages?: string[];
}

/** A wrong answer of a question that another could stand in place of. */
export class AnswerQuery {
  @IsString() @Matches(ID_PATTERN) option!: string;
}

/** Two sources to be laid side by side. */
export class ComparisonQuery {
  @IsOptional() @IsString() first?: string;
  @IsOptional() @IsString() second?: string;
}

/** Passages that are to be shown. */
export class PassagesQuery {
  @Transform(({ value }: { value: unknown }) => idsIn(value, 60))
  @IsArray()
  ids!: string[];
}

/** What of the audit is looked for. Times are milliseconds UTC; `before` is the line to go on from. */
export class AuditQuery {
  @IsOptional() @IsString() @MaxLength(600) what?: string;
  @IsOptional() @IsString() @Matches(ID_PATTERN) person?: string;
  @IsOptional() @IsString() @MaxLength(120) words?: string;
  @IsOptional() @Type(() => Number) @IsInt() @Min(0) @Max(8.64e15) since?: number;
  @IsOptional() @Type(() => Number) @IsInt() @Min(0) @Max(8.64e15) until?: number;
  @IsOptional() @Type(() => Number) @IsInt() @Min(0) before?: number;
}
