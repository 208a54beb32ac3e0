import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { LinesFields } from './LinesFields';

const show = (lines: { readonly keep: number; readonly second: number }) => {
  const onLines = jest.fn();
  render(<LinesFields lines={lines} ranked={28} onLines={onLines} />);
  const user = userEvent.setup();
  const type = async (label: string, text: string): Promise<void> => {
    await user.clear(screen.getByLabelText(label));
    await user.type(screen.getByLabelText(label), `${text}{Enter}`);
  };
  return { type, onLines };
};

it('draws the lines at typed numbers, the second string giving way to those who stay', async () => {
  const { type, onLines } = show({ keep: 11, second: 7 });
  await type('Second string', '9');
  await type('Keep, of 28', '25');
  expect(onLines.mock.calls).toEqual([[{ keep: 11, second: 9 }], [{ keep: 25, second: 3 }]]);
});

it.each([
  ['Keep, of 28', '99', 'Only 28 are ranked: type 28 or fewer.'],
  ['Second string', '18', 'Only 17 are left after those that stay: type 17 or fewer.'],
  ['Keep, of 28', '1.5', 'Type a whole number, 0 or more.'],
  ['Keep, of 28', 'all', '“all” is not a number.'],
])('draws no line at %s “%s”, and says why', async (label, text, words) => {
  const { type, onLines } = show({ keep: 11, second: 7 });
  await type(label, text);
  expect(screen.getByRole('alert')).toHaveTextContent(words);
  expect(onLines).not.toHaveBeenCalled();
});
