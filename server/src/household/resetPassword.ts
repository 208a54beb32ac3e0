import { randomInt } from 'node:crypto';
import { CODE_LETTERS } from '@yaylak/contract';
import { hashedSecret } from './passwords';
import { People } from './people';

/** Letters of a password that is given out: 31 ^ 12 of them. */
const LETTERS = 12;
const GROUP = 4;

/**
 * Gives somebody a new password, and ends their log-ins and their PIN; for who stands before the computer with the book.
 * @param folder of the household, beside the book
 * @returns with the name as it is kept
 * @throws Error in words where there is nobody of that name
 */
export async function resetPassword(
  folder: string,
  name: string,
): Promise<{ readonly name: string; readonly password: string }> {
  const people = new People(folder);
  const all = people.all();
  if (all.length === 0) throw new Error('Nobody has to log in to this book: it has no people yet.');
  const person = people.byName(name);
  if (!person) throw new Error(`There is nobody called “${name}”. Name one of: ${all.map((p) => p.name).join(', ')}`);
  const letters = Array.from({ length: LETTERS }, () => CODE_LETTERS[randomInt(CODE_LETTERS.length)]).join('');
  const password = (letters.match(new RegExp(`.{${GROUP}}`, 'g')) ?? []).join('-').toLowerCase();
  const hashed = await hashedSecret(password);
  people.change(person.id, () => ({ password: hashed, pin: null, devices: [], sessions: [] }));
  return { name: person.name, password };
}
