import { IsString, IsUUID, Length, MaxLength } from 'class-validator';

/** A code is good for so many minutes, for one device. */
export const CODE_MINUTES = 10;
/** Letters and digits of a code that nobody mistakes for each other, in two groups of four. */
export const CODE_LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';

/** A tablet, a phone or another computer that was let in. */
export interface DeviceView {
  readonly id: string;
  readonly name: string;
  readonly joinedOn: string;
  /** When it last asked for something. */
  readonly seenOn: string;
}

/** What lets one more device in. */
export interface JoinCodeView {
  readonly code: string;
  /** How many seconds it is still good for. */
  readonly seconds: number;
}

/** Where others in the house find this computer. */
export interface HouseDoorView {
  /** Where a device begins that does not know this computer yet: `http://…`. */
  readonly joinAt: readonly string[];
  /** Where it works from then on: `https://…`, by name first. */
  readonly openAt: readonly string[];
  /** SHA-256 of the certificate of this book's authority, in pairs of hexadecimal digits. */
  readonly fingerprint: string;
}

/** How the book is opened to the house. */
export interface HouseholdView {
  /** Asked on the computer that keeps the book; a device sees itself only. */
  readonly isHere: boolean;
  /** Nothing where the book is not opened to the house. */
  readonly door: HouseDoorView | null;
  /** Those that were let in, the last one first. */
  readonly devices: readonly DeviceView[];
  readonly code: JoinCodeView | null;
}

/** Asks for a code that lets a device in. */
export class AskJoinCode {
  /** Sent twice it is one code. */
  @IsUUID()
  id: string;
}
/** A device joins with the code from the computer's screen. */
export class JoinHousehold {
  /** Of the device; sent twice it is one device. */
  @IsUUID()
  id: string;

  /** As typed: small letters, blanks and lines between are taken too. */
  @IsString()
  @MaxLength(40)
  code: string;

  /** What it is called in the list. */
  @IsString()
  @Length(1, 60)
  name: string;
}
/** Has a device stay outside from now on. */
export class TurnAway {
  @IsUUID()
  id: string;
}
