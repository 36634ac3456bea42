import 'reflect-metadata';
import { Transform, Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBase64,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  Length,
  Matches,
  Min,
  ValidateNested,
} from 'class-validator';
import { PLANS, type PlanKey } from '../../core/brief/plans';
import { AIMS, type Aim } from '../../core/rewrite';
import { ID_PATTERN } from '../../core/document/id';
import type { Operation } from '../../core/course/operations';

/** Signs of the longest label. */
const LABEL = 80;

/** A change as a screen sends it; the operation itself is checked when it is made. */
export class ChangeInput {
  @IsString() @Matches(ID_PATTERN) id!: string;
  @IsString() @Matches(ID_PATTERN) group!: string;
  @IsObject() operation!: Operation;
}

export class ChangesInput {
  @IsInt() @Min(0) since!: number;
  /** What undo calls it: shortened, since words are not refused for the sake of their label. */
  @Transform(({ value }: { value: unknown }) => (typeof value === 'string' ? label(value) : value))
  @IsOptional()
  @IsString()
  what?: string;
  @IsArray() @ArrayMaxSize(3000) @ValidateNested({ each: true }) @Type(() => ChangeInput) changes!: ChangeInput[];
}

/** A label, shortened to what undo has room for; none for an empty one. */
function label(text: string): string | undefined {
  const signs = [...text];
  return (signs.length > LABEL ? `${signs.slice(0, LABEL - 1).join('')}…` : text) || undefined;
}

export class SinceInput {
  @IsInt() @Min(0) since!: number;
}

/** By what an outline is drafted: nothing but brief and sources, or a course plan and what it is about. */
export class OutlineInput {
  @IsOptional() @IsIn(Object.keys(PLANS)) plan?: PlanKey;
  @IsOptional() @IsString() @Length(1, 200) topic?: string;
}

export class LessonsInput {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(5000)
  @IsString({ each: true })
  @Matches(ID_PATTERN, { each: true })
  lessons!: string[];
}

export class NewCourseInput {
  @IsString() @Length(1, 200) title!: string;
  @IsOptional() @IsIn(['en', 'de', 'fr', 'es']) language?: string;
}

export class VersionInput {
  @IsString() @Length(1, 120) name!: string;
}

export class TextSourceInput {
  @IsString() @Length(1, 200) title!: string;
  @IsString() @Length(1, 1_000_000) text!: string;
}

/** An author's own outline: a file, or pasted lines as one, in base64. */
export class OwnOutlineInput {
  @IsString() @Length(1, 300) name!: string;
  @IsBase64() @Length(1, 4_000_000) data!: string;
}

/** Questions of an author's own, as a file. */
export class OwnQuestionsInput {
  @IsString() @Length(1, 300) name!: string;
  @IsBase64() @Length(1, 4_000_000) data!: string;
  @IsString() @Matches(ID_PATTERN) lesson!: string;
}

export class LinkInput {
  @IsString() @Length(8, 2000) address!: string;
  @IsBoolean() below!: boolean;
}

/** A video that is linked to, with what is said in it. */
export class VideoInput {
  @IsString() @Length(8, 2000) address!: string;
  @IsString() @Length(1, 200) title!: string;
  @IsString() @Length(1, 2_000_000) transcript!: string;
}

/** What a copy of a course is called. */
export class CopyInput {
  @IsString() @Length(1, 400) title!: string;
}

export class FromShelfInput {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(500)
  @IsString({ each: true })
  @Matches(ID_PATTERN, { each: true })
  sources!: string[];
}

export class FieldInput {
  @IsArray() @ArrayMaxSize(12) @IsString({ each: true }) @Length(1, 200, { each: true }) field!: string[];
}

export class RewriteInput {
  @IsIn(AIMS) aim!: Aim;
  /** Parts of the page; none for all of it. */
  @IsArray()
  @ArrayMaxSize(500)
  @IsString({ each: true })
  @Matches(ID_PATTERN, { each: true })
  blocks!: string[];
}

/** Passages that are wanted on a page. */
export class PulledInput {
  @IsArray()
  @ArrayMaxSize(60)
  @IsString({ each: true })
  @Matches(ID_PATTERN, { each: true })
  passages!: string[];
  /** With all that stands or falls with them. */
  @IsBoolean() whole!: boolean;
  /** What the ids of its parts are made of. */
  @IsString() @Matches(ID_PATTERN) place!: string;
}

export class PutAwayInput {
  @IsBoolean() away!: boolean;
}
