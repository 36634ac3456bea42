import 'reflect-metadata';
import {
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
} from 'class-validator';
import { ID_PATTERN, NAME_PATTERN } from '../../core/document/id';

export class SignInInput {
  @IsString() @Length(1, 80) login!: string;
  @IsString() @Length(1, 200) password!: string;
}

export class SignInAsInput {
  @IsString() @Matches(ID_PATTERN) person!: string;
}

export class MemberInput {
  @IsString() @Matches(ID_PATTERN) person!: string;
  @IsIn(['author', 'reviewer', 'none']) role!: 'author' | 'reviewer' | 'none';
}

export class PersonInput {
  @IsString() @MinLength(1) @MaxLength(80) @Matches(NAME_PATTERN) name!: string;
  @IsString() @Matches(/^[\p{L}\p{N}._@-]{2,80}$/u) login!: string;
  @IsString() @MinLength(10) @MaxLength(200) password!: string;
}

/** What is changed about a person: their standing, or a password to be replaced at the next sign-in. */
export class PersonChangeInput {
  @IsOptional() @IsIn(['owner', 'member']) role?: 'owner' | 'member';
  @IsOptional() @IsString() @MinLength(10) @MaxLength(200) password?: string;
}

/** How a person, or a learner, is taken out: what they did stays under their name, or without it. */
export class RemovalInput {
  @IsIn(['keep', 'drop']) name!: 'keep' | 'drop';
}

/** How a learner is taken out: with all they did, or only their name. */
export class LearnerRemovalInput {
  @IsIn(['all', 'name']) what!: 'all' | 'name';
}

export class PasswordInput {
  @IsString() @Length(1, 200) old!: string;
  @IsString() @MinLength(10) @MaxLength(200) fresh!: string;
}

export class AcceptInput {
  @IsBoolean() accept!: boolean;
}

/** Who may do what with a source, by its owner. */
export class SourceGiftInput {
  @IsString() @Matches(ID_PATTERN) person!: string;
  @IsIn(['use', 'change', 'none']) may!: 'use' | 'change' | 'none';
}

export class SourceVersionInput {
  @IsString() @Matches(/^[0-9a-f]{64}$/) version!: string;
}

/** What of the audit is looked for. Times are milliseconds UTC; `before` is the line to go on from. */
export class AuditInput {
  @IsOptional() @IsString() @MaxLength(600) what?: string;
  @IsOptional() @IsString() @Matches(ID_PATTERN) person?: string;
  @IsOptional() @IsString() @MaxLength(120) words?: string;
  @IsOptional() @IsInt() @Min(0) @Max(8.64e15) since?: number;
  @IsOptional() @IsInt() @Min(0) @Max(8.64e15) until?: number;
  @IsOptional() @IsInt() @Min(0) before?: number;
}
