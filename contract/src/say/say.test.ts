import { learn, say, speak, spokenLanguage } from './say';
import { told } from './told';

afterEach(() => speak(() => 'en'));

describe('what is said', () => {
  it('is the English of the sources where no other language is spoken', () => {
    expect(say('Save')).toBe('Save');
    expect(say('{n} {n, plural, one {ewe} other {ewes}} due', { n: 1 })).toBe('1 ewe due');
    expect(say('{n} {n, plural, one {ewe} other {ewes}} due', { n: 12 })).toBe('12 ewes due');
  });

  it('keeps what a value holds as it is', () => {
    expect(say('Taken back: {name}.', { name: '{n} <b> 26-0014’s' })).toBe('Taken back: {n} <b> 26-0014’s.');
  });

  it('says a text without values as it stands, braces too', () => {
    expect(say('such as {YY}-{NNNN}')).toBe('such as {YY}-{NNNN}');
  });

  it('is of the language of who asks, and English where its file lacks it', () => {
    learn('tr', { Save: 'Kaydet', '{n} due': '{n} bekleniyor' });
    let asks: 'en' | 'tr' = 'tr';
    speak(() => asks);
    expect(spokenLanguage()).toBe('tr');
    expect([say('Save'), say('{n} due', { n: 3 }), say('Undo'), say('{n} late', { n: 2 })]).toEqual([
      'Kaydet',
      '3 bekleniyor',
      'Undo',
      '2 late',
    ]);
    asks = 'en';
    expect(say('Save')).toBe('Save');
  });
});

describe('a table of texts', () => {
  const WORDS = told({ vet: 'vet', young: { unknown: ['lamb', 'lambs'] as const }, days: 147 });

  it('is said anew for each who asks', () => {
    learn('tr', { vet: 'veteriner', lamb: 'kuzu' });
    speak(() => 'tr');
    expect([WORDS.vet, ...WORDS.young.unknown, WORDS.days]).toEqual(['veteriner', 'kuzu', 'lambs', 147]);
    speak(() => 'en');
    expect(WORDS.vet).toBe('vet');
  });

  it('has a word of its own for what it is said of, where the language has one', () => {
    const of = { goat: told({ female: 'doe' }, 'goat'), rabbit: told({ female: 'doe' }, 'rabbit') };
    learn('tr', { doe: 'dişi', 'doe (goat)': 'keçi' });
    speak(() => 'tr');
    expect([of.goat.female, of.rabbit.female]).toEqual(['keçi', 'dişi']);
    speak(() => 'en');
    expect(of.goat.female).toBe('doe');
  });

  it('is gone through and copied like any other', () => {
    expect(Object.entries(WORDS.young.unknown)).toEqual([
      ['0', 'lamb'],
      ['1', 'lambs'],
    ]);
    expect(WORDS.young.unknown.map((w) => w.length)).toEqual([4, 5]);
    expect({ ...WORDS }.vet).toBe('vet');
  });
});
