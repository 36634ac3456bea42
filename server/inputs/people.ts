import 'reflect-metadata';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsEmail,
  ValidateIf,
  IsIn,
  IsOptional,
  IsString,
  Length,
  Matches,
  MaxLength,
  MinLength,
} from 'class-validator';
import { ID_PATTERN, NAME_PATTERN } from '../../core/document/id';
import { MODES, SERVICES, type Mode, type ServiceName } from '../services/service';

export class SignInInput {
  @IsString() @Length(1, 80) login!: string;
  @IsString() @Length(1, 200) password!: string;
}

/** Sites by their hosts, in small letters and without anything around them. */
export class EmbedsInput {
  @IsArray()
  @ArrayMaxSize(200)
  @MaxLength(253, { each: true })
  @Matches(/^([a-z0-9]([a-z0-9-]*[a-z0-9])?\.)+[a-z][a-z0-9-]*$/, { each: true })
  hosts!: string[];
}

export class SignInAsInput {
  @IsString() @Matches(ID_PATTERN) person!: string;
}

export class MemberInput {
  @IsString() @Matches(ID_PATTERN) person!: string;
  @IsIn(['author', 'reviewer', 'marker', 'none']) role!: 'author' | 'reviewer' | 'marker' | 'none';
}

export class PersonInput {
  @IsString() @MinLength(1) @MaxLength(80) @Matches(NAME_PATTERN) name!: string;
  @IsString() @Matches(/^[\p{L}\p{N}._@-]{2,80}$/u) login!: string;
  @IsString() @MinLength(10) @MaxLength(200) password!: string;
}

/** Somebody who is added: by a first password, or by a letter with a link to choose one. */
export class NewPersonInput {
  @IsString() @MinLength(1) @MaxLength(80) @Matches(NAME_PATTERN) name!: string;
  @IsString() @Matches(/^[\p{L}\p{N}._@-]{2,80}$/u) login!: string;
  @ValidateIf((input: NewPersonInput) => input.mail === undefined)
  @IsString()
  @MinLength(10)
  @MaxLength(200)
  password?: string;
  @IsOptional() @IsEmail() @MaxLength(200) mail?: string;
}

/** A letter to somebody, to another address where one is given. */
export class LetterInput {
  @IsOptional() @IsEmail() @MaxLength(200) mail?: string;
}

/** The link of a letter. */
export class LinkTokenInput {
  @IsString() @Matches(/^[\w-]{20,60}$/) token!: string;
}

/** The password somebody chooses by the link of a letter. */
export class WelcomeInput extends LinkTokenInput {
  @IsString() @MinLength(10) @MaxLength(200) password!: string;
}

/** How a stand-in is to behave. */
export class ModeInput {
  @IsIn(SERVICES) service!: ServiceName;
  @IsIn([...new Set(Object.values(MODES).flat())]) mode!: Mode;
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
