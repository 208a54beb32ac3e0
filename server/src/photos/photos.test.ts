import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { BookFile, PassportFile, PassportsRead, RosterView } from '@yaylak/contract';
import { MOST_PICTURE_BYTES } from '@yaylak/contract';
import { refusalOf } from '../tests/bookRefusal';
import { arrival, fact, strike, testApp, uuid, type TestApp } from '../tests/testApp';

/** The smallest thing that begins as a JPEG does: what lies behind it is the browser's to read. */
const JPEG = Buffer.concat([
  Buffer.from([0xff, 0xd8, 0xff, 0xe0]),
  Buffer.from('wool on a line'),
  Buffer.from([0xff, 0xd9]),
]);
const PICTURE = JPEG.toString('base64');

let t: TestApp;
beforeEach(async () => {
  t = await testApp();
});
afterEach(() => t.close());

const send = (id: string, picture: unknown = PICTURE) => t.http().put(`/api/photos/${id}`).send({ picture });
const filesOf = ({ config }: TestApp): string[] =>
  existsSync(join(config.dataDir, 'photos')) ? readdirSync(join(config.dataDir, 'photos')) : [];
/** An animal with a photo. */
async function pictured(): Promise<{
  readonly animal: string;
  readonly pictureId: string;
  readonly photo: { readonly id: string };
}> {
  const [animal, pictureId] = [uuid(), uuid()];
  const photo = fact('photo', animal, { pictureId, width: 640, height: 480, shows: 'left side' });
  await send(pictureId).expect(204);
  const answers = await t.post(arrival(animal), photo);
  expect(answers.map((a) => a.status)).toEqual(['kept', 'kept']);
  return { animal, pictureId, photo };
}

describe('a picture', () => {
  it('is kept beside the book, sent again it stays as it is, and is asked for once for good', async () => {
    const id = uuid();
    await send(id).expect(204);
    await send(id, Buffer.from([0xff, 0xd8, 0xff, 0]).toString('base64')).expect(204);
    const { body, headers } = await t.http().get(`/api/photos/${id}`).expect(200);
    expect(Buffer.compare(body as Buffer, JPEG)).toBe(0);
    expect(headers).toMatchObject({ 'content-type': 'image/jpeg', 'x-content-type-options': 'nosniff' });
    expect(headers['cache-control']).toContain('immutable');
    expect(filesOf(t)).toContain(`${id}.jpg`);
    t = await t.again();
    await t.http().get(`/api/photos/${id}`).expect(200);
  });

  it.each([
    ['no picture at all', null],
    ['a text', 'a ewe by the gate'],
    ['a page', Buffer.from('<svg onload="alert(1)">').toString('base64')],
    ['one too large', Buffer.concat([JPEG, Buffer.alloc(MOST_PICTURE_BYTES)]).toString('base64')],
  ])('that is %s is refused in words', async (_, picture) => {
    const { body } = await send(uuid(), picture).expect(400);
    expect(body).toMatchObject({
      fields: [
        {
          field: 'picture',
          message: expect.stringMatching(picture === null ? /it is missing/ : /is a JPEG of up to 150/),
        },
      ],
    });
  });

  it('under a name that is no id, or that nobody sent, is not there', async () => {
    await t.http().get('/api/photos/..%2Fyaylak.sqlite').expect(400);
    await send('..%2F..%2Fevil').expect(400);
    await t.http().get(`/api/photos/${uuid()}`).expect(404);
  });
});

describe('a photo', () => {
  it('is shown with its animal until it is struck out, and goes with the roster of a device', async () => {
    const { animal, pictureId, photo } = await pictured();
    const ofRoster = async () =>
      ((await t.http().get('/api/roster').expect(200)).body as RosterView).animals.find(
        (a) => a.tag.animalId === animal,
      )?.photo;
    expect(await ofRoster()).toEqual({ pictureId, width: 640, height: 480 });
    await t.post(strike(photo.id));
    expect(await ofRoster()).toBeUndefined();
    expect(await t.post(fact('photo', animal, { pictureId, width: 640, height: 480 }))).toMatchObject([
      { status: 'kept' },
    ]);
    expect(await ofRoster()).toEqual({ pictureId, width: 640, height: 480 });
  });

  it('goes with the whole book into another holding, and a book that is refused leaves no picture behind', async () => {
    const { pictureId } = await pictured();
    const file = (await t.http().get('/api/book').expect(200)).body as BookFile;
    expect(file.photos).toEqual([{ id: pictureId, picture: PICTURE }]);
    const other = await testApp();
    const stray = { id: uuid(), picture: PICTURE };
    const [before] = [filesOf(other)];
    const spoilt = { ...file, photos: [...(file.photos ?? []), { id: 'no id', picture: PICTURE }] };
    expect((await refusalOf(other, JSON.stringify(spoilt)))?.detail).toContain('photos');
    expect(filesOf(other)).toEqual(before);
    expect(
      await refusalOf(other, JSON.stringify({ ...file, photos: [...(file.photos ?? []), stray] })),
    ).toBeUndefined();
    const { body } = await other.http().get(`/api/photos/${pictureId}`).expect(200);
    expect(Buffer.compare(body as Buffer, JPEG)).toBe(0);
    await other.http().get(`/api/photos/${stray.id}`).expect(404);
    expect((await other.http().get('/api/book').expect(200)).body).toEqual(file);
    await other.close();
  });

  it('goes with the passport of an animal, the newest alone', async () => {
    const { animal, pictureId } = await pictured();
    const newer = uuid();
    await send(newer).expect(204);
    await t.post(fact('photo', animal, { pictureId: newer, width: 8, height: 8 }));
    const passport = (await t.http().get(`/api/passports?ids=${animal}`).expect(200)).body as PassportFile;
    expect(passport.photos).toEqual([{ id: newer, picture: PICTURE }]);
    const other = await testApp();
    await other.http().get(`/api/photos/${newer}`).expect(404);
    const read = (await other.http().post('/api/passports?mode=keep').send(passport).expect(200)).body as PassportsRead;
    expect(read.animals).toMatchObject([{ status: 'new' }]);
    await other.http().get(`/api/photos/${newer}`).expect(200);
    await other.http().get(`/api/photos/${pictureId}`).expect(404);
    const there = (await other.http().get('/api/roster').expect(200)).body as RosterView;
    expect(there.animals.find((a) => a.tag.animalId === animal)?.photo?.pictureId).toBe(newer);
    await other.close();
  });
});
