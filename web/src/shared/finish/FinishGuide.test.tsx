import { screen, within } from '@testing-library/react';
import { renderPage } from '../../tests/renderPage';
import { FinishGuide } from './FinishGuide';

it('tells of each class what it feels like at every place the hand goes to, and draws it', async () => {
  renderPage(<FinishGuide />, { answers: {} });
  expect(await screen.findByRole('img', { name: /1 tail-head, 2 loin, 3 ribs, 4 brisket/ })).toBeVisible();
  for (const fat of ['1', '2', '3', '4', '5']) {
    const one = within(screen.getByRole('region', { name: `Fat ${fat}` }));
    expect(one.getByRole('img', { name: `Ribs under fat of class ${fat}` })).toBeVisible();
    expect(one.getAllByRole('definition')).toHaveLength(4);
  }
  for (const shape of ['P', 'O', 'R', 'U', 'E'])
    expect(screen.getByRole('img', { name: `From behind, shape ${shape}` })).toBeVisible();
});

it('says how to stand', async () => {
  renderPage(<FinishGuide />, { answers: {} });
  expect(await screen.findByText(/Cattle only in a crush with its gate shut/)).toBeVisible();
});
