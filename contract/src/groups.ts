import { SPECIES } from '@yaylak/core';
import type { Species } from '@yaylak/core';
import { IsBoolean, IsIn, IsInt, IsString, IsUUID, Length, Min } from 'class-validator';
import { MayBeMissing } from './nested';
import { MAX_TEXT } from './rules';

export class CreateGroup {
  @IsUUID()
  id: string;
  @IsString()
  @Length(1, MAX_TEXT)
  name: string;
  @MayBeMissing()
  @IsIn(SPECIES)
  species?: Species;
}

export class ChangeGroup {
  @IsInt()
  @Min(1)
  version: number;
  @MayBeMissing()
  @IsString()
  @Length(1, MAX_TEXT)
  name?: string;
  @MayBeMissing()
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
