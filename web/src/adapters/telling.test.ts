import { telling } from './telling';

it('passes word of progress on while the work goes on, and none that comes after its answer or its failure', async () => {
  const heard: number[] = [];
  let tell: (n: number) => void = () => undefined;
  const work = async (say: (n: number) => void): Promise<string> => {
    tell = say;
    say(1);
    await Promise.resolve();
    say(2);
    return 'done';
  };
  expect(await telling((n: number) => heard.push(n), work)).toBe('done');
  tell(3);
  expect(heard).toEqual([1, 2]);

  const fails = async (say: (n: number) => void): Promise<string> => {
    await work(say);
    throw new Error('The line is down.');
  };
  await expect(telling((n: number) => heard.push(n), fails)).rejects.toThrow('The line is down.');
  tell(4);
  expect(heard).toEqual([1, 2, 1, 2]);
});
