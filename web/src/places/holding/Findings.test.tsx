import { render, screen } from '@testing-library/react';
import { Findings } from './Findings';

it('says nothing while the book stands', () => {
  const { container } = render(<Findings findings={[]} />);
  expect(container.textContent).toBe('');
});

it('names each record that cannot be used, and what to do', () => {
  render(
    <Findings
      findings={[
        { record: 'plan', id: 'p1', message: 'The plan lacks wanted.' },
        { record: 'clock', id: '2026-11-23', message: 'The newest entry is later than this computer’s day.' },
      ]}
    />,
  );
  expect(screen.getByRole('region', { name: 'Check the book' })).toBeTruthy();
  expect(screen.getAllByRole('listitem').map((i) => i.textContent)).toEqual([
    'Plan of the year p1: The plan lacks wanted.',
    'Clock 2026-11-23: The newest entry is later than this computer’s day.',
  ]);
  expect(screen.getByText(/put back a copy/)).toBeTruthy();
});
