import { say, type FollowingView, type SecondPlaceView } from '@yaylak/contract';
import { fullDate } from './dates';

/** What is wrong with the second place, and what to do. */
export function secondPlaceText({ path, state, lastAt, said }: SecondPlaceView): string {
  const newest =
    lastAt === null
      ? say('There is no copy on it yet.')
      : say('The newest copy on it is of {date}.', { date: fullDate(lastAt) });
  return state === 'missing'
    ? `${say('{path} is not there. Plug it in: within the hour it gets the newest copy by itself.', { path })} ${newest}`
    : `${say('{path} could not be written: {said}. Make room on it, or name another.', { path, said: said ?? '' })} ${newest}`;
}

/** Where the book is followed to, or why it is not at this moment, and what to do. */
export const followingText = ({ to, said }: FollowingView): string =>
  said === null
    ? say('The book is followed to {to}: what is written is there too within a second or so.', { to })
    : say(
        'The book is not followed to {to}: {said}. Look whether it is there and has room; it is tried again with whatever is written next.',
        {
          to,
          said,
        },
      );
