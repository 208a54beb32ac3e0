import { hash, verify } from '@node-rs/argon2';

/** Of a password nobody has: who asks by a name that is not there waits as long. */
let ofNobody: Promise<string> | undefined;

/** argon2id, by the package’s own figures (19 MiB, 2 rounds), with its salt. */
export const hashedSecret = (secret: string): Promise<string> => hash(secret);

/** Whether it is the password or PIN that was hashed; takes as long where there is none. */
export async function isSecret(hashed: string | null | undefined, secret: string): Promise<boolean> {
  ofNobody ??= hash('nobody');
  const isIt = await verify(hashed ?? (await ofNobody), secret);
  return isIt && typeof hashed === 'string';
}
