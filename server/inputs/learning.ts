import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsOptional,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateBy,
  ValidateNested,
} from 'class-validator';
import { ITEMS_MOST, LETTERS_MOST } from '../../core/blocks/survey/form';
import { CRITERIA_MOST } from '../../core/checks/task/form';
import { ID_PATTERN, NAME_PATTERN } from '../../core/document/id';
import type { LearnerEvent } from '../../core/learning/state';
import type { Rules } from '../../core/learning/rules';

/** A response is some plain data of at most so many characters as JSON. */
const RESPONSE_MOST = 20_000;
const SMALL = {
  name: 'small',
  validator: { validate: (value: unknown) => JSON.stringify(value).length <= RESPONSE_MOST },
};

/** All answers of a form, as JSON. */
const SHEET_MOST = ITEMS_MOST * LETTERS_MOST;
const SHEET = {
  name: 'sheet',
  validator: {
    validate: (value: unknown) =>
      typeof value === 'object' && value !== null && JSON.stringify(value).length <= SHEET_MOST,
  },
};

const isIds = (value: unknown, most: (text: string) => boolean): boolean =>
  typeof value === 'object' &&
  value !== null &&
  Object.keys(value).length <= CRITERIA_MOST &&
  Object.entries(value).every(([id, text]) => ID_PATTERN.test(id) && typeof text === 'string' && most(text));
/** A level by criterion, both by their ids. */
const IDS = {
  name: 'ids',
  validator: { validate: (value: unknown) => isIds(value, (id) => ID_PATTERN.test(id)) },
};
const NOTES = {
  name: 'notes',
  validator: { validate: (value: unknown) => isIds(value, ({ length }) => length <= 2000) },
};

/** How a release is taken, as a screen sends it. */
export class RulesInput {
  @IsIn(['read', 'answered', 'passed']) lesson!: Rules['lesson']['kind'];
  @IsIn(['lessons', 'passed']) course!: Rules['course']['kind'];
  @IsNumber() @Min(0.01) @Max(1) share!: number;
  @IsIn(['free', 'forced']) order!: Rules['order'];
  @IsOptional() @IsInt() @Min(1) @Max(3) tries?: number;
}

export class ReleaseInput {
  @IsString() @MaxLength(400) note!: string;
  @IsIn(['people', 'link', 'nobody']) access!: 'people' | 'link' | 'nobody';
  @ValidateNested() @Type(() => RulesInput) rules!: RulesInput;
  @IsBoolean() move!: boolean;
}

export class AccessInput {
  @IsIn(['people', 'link', 'nobody']) access!: 'people' | 'link' | 'nobody';
  @IsBoolean() withdrawn!: boolean;
}

export class BeginInput {
  @IsOptional() @IsString() @Length(1, 80) @Matches(NAME_PATTERN) name?: string;
}

export class ReturnInput {
  @IsString() @Matches(/^[\w-]{16,80}$/) key!: string;
  /** Whether the place is taken; otherwise only whose it is is said. */
  @IsOptional() @IsBoolean() take?: boolean;
}

export class EventInput {
  @IsString() @Matches(ID_PATTERN) id!: string;
  @IsIn(['read', 'answer', 'sit', 'hand']) kind!: 'read' | 'answer' | 'sit' | 'hand';
  @IsString() @Matches(ID_PATTERN) lesson!: string;
  @IsOptional() @IsString() @Matches(ID_PATTERN) check?: string;
  /** As the check's kind has it; it is held against the check where it is marked. */
  @IsOptional() @ValidateBy(SMALL) response?: unknown;
  /** What pages opened before checks had kinds send as the response. */
  @IsOptional() @IsString() @Matches(ID_PATTERN) option?: string;
  /** Milliseconds UTC by the learner's clock. */
  @IsInt() @Min(0) @Max(8.64e15) at!: number;
}

export class EventsInput {
  @IsArray()
  @ArrayMinSize(1)
  @ArrayMaxSize(200)
  @ValidateNested({ each: true })
  @Type(() => EventInput)
  events!: EventInput[];
}

/** A feedback form as it was filled in; its answers are held against the form where they are taken. */
export class SheetInput {
  @IsString() @Matches(ID_PATTERN) sheet!: string;
  @ValidateBy(SHEET) answers!: unknown;
  /** What the page said of names to whoever filled it in. */
  @IsBoolean() named!: boolean;
  /** Of whoever has no place in the course. */
  @IsOptional() @IsString() @Length(1, 80) @Matches(NAME_PATTERN) name?: string;
}

/** A person's mark for an answer. */
export class MarkInput {
  @IsString() @Matches(ID_PATTERN) check!: string;
  /** The lesson it was answered in, where it is asked in several. */
  @IsOptional() @IsString() @Matches(ID_PATTERN) lesson?: string;
  /** 0 to 1. */
  @IsNumber() @Min(0) @Max(1) score!: number;
  /** What is said to it. */
  @IsOptional() @IsString() @MaxLength(2000) said?: string;
  /** Levels by criterion, and what is said to each, where it is marked by criteria; the score comes of them. */
  @IsOptional() @ValidateBy(IDS) levels?: Record<string, string>;
  @IsOptional() @ValidateBy(NOTES) notes?: Record<string, string>;
}

/** What a learner is granted besides at a quiz. */
export class GrantInput {
  @IsString() @Matches(ID_PATTERN) lesson!: string;
  /** More of each try. */
  @IsOptional() @IsInt() @Min(1) @Max(600) minutes?: number;
  @IsOptional() @IsInt() @Min(1) @Max(20) tries?: number;
}

/** The rules a screen's choice stands for. */
export function rulesFrom({ lesson, course, share, order, tries }: RulesInput): Rules {
  return {
    lesson: lesson === 'passed' ? { kind: lesson, share } : { kind: lesson },
    course: course === 'passed' ? { kind: course, share } : { kind: course },
    order,
    tries: tries ?? null,
  };
}

/** An event as it was sent; undefined for an answer without check or response. */
export function eventFrom({
  id,
  kind,
  lesson,
  check,
  option,
  response = option,
  at,
}: EventInput): (LearnerEvent & { at: number }) | undefined {
  if (kind !== 'answer') return { id, kind, lesson, at };
  return check !== undefined && response !== undefined ? { id, kind, lesson, check, response, at } : undefined;
}
