import { EventEmitter } from 'node:events';
import type { Request, Response } from 'express';
import { Quiet } from './quiet';

const aRequest = (quiet: Quiet): (() => void) => {
  const response = new EventEmitter();
  quiet.count({} as Request, response as Response, () => undefined);
  return () => void response.emit('close');
};
const aMoment = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 5));
/** Whether a pause is over, asked a moment later. */
async function paused(quiet: Quiet, mostMs: number): Promise<() => Promise<boolean>> {
  let isOver = false;
  void quiet.pause(mostMs).then(() => (isOver = true));
  await aMoment();
  return async () => {
    await aMoment();
    return isOver;
  };
}

it('goes on at once where nobody waits for an answer', async () => {
  expect(await (await paused(new Quiet(), 60_000))()).toBe(true);
});

it('stands back until all are answered', async () => {
  const quiet = new Quiet();
  const [answerOne, answerOther] = [aRequest(quiet), aRequest(quiet)];
  const isOver = await paused(quiet, 60_000);
  answerOne();
  expect(await isOver()).toBe(false);
  answerOther();
  expect(await isOver()).toBe(true);
});

it('stands back no longer than it is told', async () => {
  const quiet = new Quiet();
  aRequest(quiet);
  expect(await (await paused(quiet, 1))()).toBe(true);
});
