import { languageOf } from './language';

describe('the language of who asks', () => {
  it.each([
    [undefined, 'en'],
    ['', 'en'],
    ['*', 'en'],
    ['tr', 'tr'],
    ['tr-TR,tr;q=0.9,en;q=0.8', 'tr'],
    ['de-DE,tr;q=0.7', 'tr'],
    ['en-GB,tr;q=0.5', 'en'],
    ['TR', 'tr'],
    ['x'.repeat(5000), 'en'],
  ])('of %p is %s', (accepted, language) => {
    expect(languageOf(accepted)).toBe(language);
  });
});
