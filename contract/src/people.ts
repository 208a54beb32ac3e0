import { IsIn, IsString, IsUUID, Length, Matches, MaxLength } from 'class-validator';
import { MayBeMissing } from './nested';
import { ROLES, type Role } from './roles';

/** Characters of a password at the least. */
export const LEAST_PASSWORD = 10;
const MOST_PASSWORD = 200;
/** Four to eight digits. */
const PIN = /^\d{4,8}$/;
/** Days a log-in lasts that is not used. */
export const SESSION_DAYS = 30;

/** Somebody of the household. */
export interface PersonView {
  readonly id: string;
  /** Stands under what they write; it stays. */
  readonly name: string;
  readonly role: Role;
  /** They chose a PIN, and have logged in on this device before: the PIN is enough. */
  readonly isByPin: boolean;
}
/** What a script shows instead of logging in; it may what who made it may. */
export interface KeyView {
  readonly id: string;
  readonly name: string;
  readonly madeOn: string;
  readonly usedOn: string | null;
}
/** Who is logged in. */
export interface MeView extends PersonView {
  readonly hasPin: boolean;
  readonly keys: readonly KeyView[];
}
/** Who of the household writes in the book. */
export interface PeopleView {
  /** Somebody has to log in: there are people, and the book is open to the house. */
  readonly isAsked: boolean;
  readonly me: MeView | null;
  /** Everybody for the owner; for others those who have logged in on this device. */
  readonly people: readonly PersonView[];
}
/** A key that was just made: what it is is shown once. */
export interface KeyMade {
  readonly people: PeopleView;
  readonly key: string;
}

export class LogIn {
  @IsString()
  @Length(1, 60)
  name: string;
  @IsString()
  @MaxLength(MOST_PASSWORD)
  password: string;
}
/** The hands change on a device both have logged in on before. */
export class SwitchHands {
  @IsUUID()
  id: string;
  @Matches(PIN)
  pin: string;
}
/** One more of the household. */
export class AddPerson {
  /** Sent twice it is one person. */
  @IsUUID()
  id: string;
  @IsString()
  @Length(1, 60)
  name: string;
  @IsIn(ROLES)
  role: Role;
  @IsString()
  @Length(LEAST_PASSWORD, MOST_PASSWORD)
  password: string;
}
export class ChangePerson {
  @MayBeMissing()
  @IsIn(ROLES)
  role?: Role;
  /** Ends all log-ins of that person. */
  @MayBeMissing()
  @IsString()
  @Length(LEAST_PASSWORD, MOST_PASSWORD)
  password?: string;
}
/** One’s own password or PIN anew. */
export class ChangeOwn {
  /** The password as it is now. */
  @IsString()
  @MaxLength(MOST_PASSWORD)
  password: string;
  @MayBeMissing()
  @IsString()
  @Length(LEAST_PASSWORD, MOST_PASSWORD)
  newPassword?: string;
  @MayBeMissing()
  @Matches(PIN)
  pin?: string;
}
export class MakeKey {
  @IsUUID()
  id: string;
  /** What it is for. */
  @IsString()
  @Length(1, 60)
  name: string;
}
