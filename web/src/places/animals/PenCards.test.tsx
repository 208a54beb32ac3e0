import { screen, within } from '@testing-library/react';
import jsQR from 'jsqr';
import { aRoster, aRosterAnimal, aTag } from '../../tests/builders';
import { renderPage } from '../../tests/renderPage';
import { animalOfCard, cardAddress, cardsOf, idsOfCards } from '../../shared/nav/cardAddress';
import { PenCards } from './PenCards';

const ID = '0192aaaa-bbbb-7ccc-8ddd-eeeeffff0001';

describe('cards for the pens', () => {
  it('say who is in the pen, each animal once and in the order asked, those that left not at all', async () => {
    const doe = aRosterAnimal('K-D21', {
      tag: aTag('K-D21', { animalId: ID, name: 'Pamuk' }),
      species: 'rabbit',
      bornOn: '2024-03-01',
      dam: 'K-D02',
      sire: 'K-B1',
      worn: [
        ['K-D21', 'e1', 'visual'],
        ['792000000120001', 'e2', 'electronic'],
      ],
    });
    const buck = aRosterAnimal('K-B2', { species: 'rabbit', sex: 'male', bornOn: null, dam: null });
    renderPage(<PenCards />, {
      at: `/animals/cards?ids=id of K-B2,gone,${ID},${ID}`,
      answers: { 'GET /api/roster': aRoster([doe, buck]) },
    });
    const cards = await screen.findAllByRole('article');
    expect(cards.map((c) => c.getAttribute('aria-label'))).toEqual(['K-B2', 'K-D21']);
    const [, card] = cards;
    expect(card).toHaveTextContent(/^K-D21Pamukdoe, born 1 Mar 2024of K-D02, by K-B1Top paddock792000000120001/);
    expect(within(card as HTMLElement).getByRole('img', { name: 'Code of K-D21' })).toBeVisible();
    expect(screen.getByText(/^2 cards, eight to a sheet/)).toBeVisible();
    expect(document.title).toBe('Pen cards · Yaylak');
  });

  it('say what to do where none is asked for', async () => {
    renderPage(<PenCards />, { at: '/animals/cards', answers: { 'GET /api/roster': aRoster([]) } });
    expect(await screen.findByText('No cards')).toBeVisible();
  });

  it('have a code that reads as the animal’s address', async () => {
    renderPage(<PenCards />, {
      at: `/animals/cards?ids=${ID}`,
      answers: { 'GET /api/roster': aRoster([aRosterAnimal('1', { tag: aTag('1', { animalId: ID }) })]) },
    });
    const svg = await screen.findByRole('img', { name: 'Code of 1' });
    expect(readSvg(svg)).toBe(cardAddress(window.location.origin, ID));
  });
});

/** Draws the modules of a code into pixels and reads them, as a camera would. */
function readSvg(svg: Element): string | undefined {
  const side = Number(svg.getAttribute('viewBox')?.split(' ')[2]);
  const path = svg.querySelectorAll('path')[1]?.getAttribute('d') ?? '';
  const scale = 6;
  const margin = 4;
  const width = (side + 2 * margin) * scale;
  const pixels = new Uint8ClampedArray(width * width * 4).fill(255);
  const dark = (x: number, y: number): void => {
    for (let dx = 0; dx < scale; dx++)
      for (let dy = 0; dy < scale; dy++) {
        const at = 4 * (((y + margin) * scale + dy) * width + (x + margin) * scale + dx);
        pixels.fill(0, at, at + 3);
      }
  };
  // Runs of dark modules: `M x y h length v1 H x z`.
  for (const [, x, y, length] of path.matchAll(/M\s?(\d+)[ ,](\d+)\s?h(\d+)/g))
    for (let i = 0; i < Number(length); i++) dark(Number(x) + i, Number(y));
  return jsQR(pixels, width, width)?.data;
}

describe('the code of a card', () => {
  it('leads to the animal by whatever name the computer has, and to nobody where it is another code', () => {
    expect(animalOfCard(cardAddress('https://barn.local:4870', ID))).toBe(ID);
    expect(animalOfCard(` http://127.0.0.1:4870/animals/${ID.toUpperCase()} `)).toBe(ID);
    for (const other of ['', 'https://barn.local/animals/7', `https://barn.local/animals/${ID}/pedigree`, ID])
      expect(animalOfCard(other)).toBeUndefined();
  });
  it('is printed for so many as an address can name', () => {
    const many = Array.from({ length: 100 }, (_, i) => `a${i}`);
    const address = new URL(cardsOf(many), 'http://yaylak');
    expect(idsOfCards(address.searchParams)).toEqual(many.slice(0, 80));
  });
});
