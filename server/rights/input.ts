import 'reflect-metadata';
import { IsIn, IsString, Length, Matches, MaxLength, MinLength } from 'class-validator';

export class SignInInput {
  @IsString() @Length(1, 80) login!: string;
  @IsString() @Length(1, 200) password!: string;
}

export class SignInAsInput {
  @IsString() @Matches(/^[a-z][a-z0-9]{9,15}$/) person!: string;
}

export class MemberInput {
  @IsString() @Matches(/^[a-z][a-z0-9]{9,15}$/) person!: string;
  @IsIn(['author', 'reviewer', 'none']) role!: 'author' | 'reviewer' | 'none';
}

export class PersonInput {
  @IsString() @MinLength(1) @MaxLength(80) name!: string;
  @IsString() @Matches(/^[\p{L}\p{N}._@-]{2,80}$/u) login!: string;
  @IsString() @MinLength(10) @MaxLength(200) password!: string;
}
