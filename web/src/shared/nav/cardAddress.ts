/** Cards on one go: what an address can name, and a printer's patience. */
export const MOST_CARDS = 80;

/** Where the cards of animals are printed. */
export const cardsOf = (animalIds: readonly string[]): string =>
  `/animals/cards?ids=${animalIds.slice(0, MOST_CARDS).join(',')}`;

/** The animals an address names, each once, in its order. */
export const idsOfCards = (params: URLSearchParams): readonly string[] =>
  [...new Set((params.get('ids') ?? '').split(','))].filter((id) => id !== '').slice(0, MOST_CARDS);

/** What the code of a card says: the animal's page, where the book is reached. */
export const cardAddress = (origin: string, animalId: string): string => `${origin}/animals/${animalId}`;

const UUID = /\/animals\/([0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12})$/i;

/** The animal a card is of; undefined for a code that is not one of these. The computer may have another name since. */
export function animalOfCard(code: string): string | undefined {
  return UUID.exec(code.trim())?.[1]?.toLowerCase();
}
