import { SPECIES } from '@yaylak/core';
import type { Species } from '@yaylak/core';
import { IsBoolean, IsIn, IsInt, IsOptional, IsString, IsUUID, Length, Min } from 'class-validator';
import { MAX_TEXT } from './rules';

export class CreateGroup {
  @IsUUID()
  id: string;
  @IsString()
  @Length(1, MAX_TEXT)
  name: string;
  @IsOptional()
  @IsIn(SPECIES)
  species?: Species;
}

export class ChangeGroup {
  @IsInt()
  @Min(1)
  version: number;
  @IsOptional()
  @IsString()
  @Length(1, MAX_TEXT)
  name?: string;
  @IsOptional()
  @IsBoolean()
  isClosed?: boolean;
}

export interface GroupView {
  readonly id: string;
  readonly name: string;
  readonly species: Species | null;
  readonly isClosed: boolean;
  readonly present: number;
  readonly version: number;
}
