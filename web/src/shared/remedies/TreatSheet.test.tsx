import { screen, waitFor } from '@testing-library/react';
import { aHolding, aProduct, aRoster, aRosterAnimal, TODAY } from '../../tests/builders';
import { renderPage } from '../../tests/renderPage';
import { TreatSheet } from './TreatSheet';

const light = aRosterAnimal('26-0001', { weights: [['2026-11-20', 30, 'scale']] });
const heavy = aRosterAnimal('26-0002', { weights: [['2026-11-20', 44, 'scale']] });
const kid = aRosterAnimal('K-1', { species: 'goat' });

const show = (ids: readonly string[], products = [aProduct('White drench')]) => {
  const onClose = jest.fn();
  const shown = renderPage(<TreatSheet animalIds={ids} onClose={onClose} />, {
    at: '/',
    route: '/',
    answers: {
      'GET /api/roster': aRoster([light, heavy, kid], { products }),
      'GET /api/holding': aHolding(),
    },
  });
  return { ...shown, onClose };
};
const press = () => screen.getByRole('button', { name: 'Save' });
const both = [light.tag.animalId, heavy.tag.animalId];

it('doses each by its own weight, and records it with batch and withdrawal', async () => {
  const { user, entries, onClose } = show(both);
  // 0.2 ml x 30 = 6; x 44 = 8.8, up to 9.
  expect(
    await screen.findByRole('row', { name: /26-0001.*30.0.kg, scale, 3 days old.*6 ml.*14 days, no figure/ }),
  ).toBeVisible();
  expect(screen.getByText('15 ml in all')).toBeVisible();
  await user.type(screen.getByLabelText('Why'), 'worms');
  await user.click(press());
  await waitFor(() => expect(entries()).toHaveLength(2));
  expect(entries()).toMatchObject([
    {
      type: 'treatment',
      animalId: both[0],
      on: TODAY,
      amount: 6,
      batch: 'K1',
      reason: 'worms',
      meatDays: 14,
      doseKg: 30,
    },
    { amount: 9, doseKg: 44 },
  ]);
  await waitFor(() => expect(onClose).toHaveBeenCalled());
});

it('doses all by the heaviest when asked', async () => {
  const { user, entries } = show(both);
  await user.click(await screen.findByText(/One dose for all, by the heaviest/));
  await user.click(press());
  await waitFor(() =>
    expect(entries().map((e) => (e.type === 'treatment' ? [e.amount, e.doseKg] : []))).toEqual([
      [9, 44],
      [9, 44],
    ]),
  );
});

it('holds an amount far from the label’s until it has a reason, and asks once more', async () => {
  const { user, entries } = show([light.tag.animalId]);
  await screen.findByText('6 ml');
  await user.type(screen.getByLabelText(/Amount, ml/), '60');
  await user.click(press());
  expect(await screen.findByText(/far from the label’s dose: say why/)).toBeVisible();
  await user.type(screen.getByLabelText('Why'), 'the vet, by telephone');
  await user.click(press());
  expect(await screen.findByText(/60 ml is 10 times the label’s 6 ml. Look at the amount again./)).toBeVisible();
  expect(entries()).toEqual([]);
  await user.click(press());
  await waitFor(() => expect(entries()).toMatchObject([{ amount: 60, reason: 'the vet, by telephone' }]));
});

describe('a label that is not for the young and light', () => {
  const bolus = aProduct('Trace bolus');
  const label = {
    ...bolus,
    facts: { ...bolus.facts, doses: [{ species: 'sheep' as const, by: 'head' as const, amount: 1, fromDays: 90 }] },
  };
  const baby = aRosterAnimal('26-0101', { bornOn: '2026-11-21', weights: [] });
  const showBolus = (ids: readonly string[]) =>
    renderPage(<TreatSheet animalIds={ids} onClose={jest.fn()} />, {
      at: '/',
      route: '/',
      answers: {
        'GET /api/roster': aRoster([light, heavy, baby], { products: [label] }),
        'GET /api/holding': aHolding(),
      },
    });

  it('leaves those out of a round and says who', async () => {
    const { user, entries } = showBolus([...both, baby.tag.animalId]);
    expect(
      await screen.findByText(
        '26-0101: Trace bolus: left out. The label is for animals from 90 days old; this one is 2 days old.',
      ),
    ).toBeVisible();
    expect(screen.getByText('2 ml in all')).toBeVisible();
    await user.click(press());
    await waitFor(() => expect(entries().map((e) => (e.type === 'treatment' ? e.animalId : ''))).toEqual(both));
  });

  it('gives it to none of them alone, but on the vet’s word', async () => {
    const { user, entries } = showBolus([baby.tag.animalId]);
    await screen.findByText(/left out\. The label is for animals from 90 days old/);
    await user.click(press());
    expect(await screen.findByRole('alert')).toHaveTextContent('It is under the label’s least age or weight.');
    await user.click(screen.getByText('Off the label, on the vet’s word'));
    await user.type(screen.getByLabelText('Vet’s days for meat'), '30');
    await user.type(screen.getByLabelText(/^Amount/), '1');
    await user.click(press());
    await waitFor(() => expect(entries()).toMatchObject([{ isOffLabel: true, meatDays: 30, amount: 1 }]));
  });
});

it('asks whether the backs are dry before a pour-on', async () => {
  const poured = aProduct('Blue pour-on');
  const withdrawals = poured.facts.withdrawals.map((w) => ({ ...w, route: 'pour-on' as const }));
  const { user, entries } = show(both, [{ ...poured, facts: { ...poured.facts, routes: ['pour-on'], withdrawals } }]);
  await screen.findByText('15 ml in all');
  await user.click(press());
  expect(await screen.findByRole('alert')).toHaveTextContent('Are the backs dry?');
  expect(entries()).toEqual([]);
  await user.click(press());
  await waitFor(() => expect(entries()).toHaveLength(2));
});

it('does not give what is not on the label, unless the vet’s days are typed', async () => {
  const { user, entries } = show([kid.tag.animalId]);
  await screen.findByText('not on the label');
  await user.type(screen.getByLabelText(/Amount, ml/), '5');
  await user.click(press());
  expect(await screen.findByText(/K-1: the label of White drench has no withdrawal for this species/)).toBeVisible();
  await user.click(screen.getByText('Off the label, on the vet’s word'));
  await user.click(press());
  expect(await screen.findByText(/Type the days for meat that the vet gave/)).toBeVisible();
  await user.type(screen.getByLabelText('Vet’s days for meat'), '60');
  await user.click(press());
  await waitFor(() => expect(entries()).toMatchObject([{ isOffLabel: true, meatDays: 60, amount: 5 }]));
});

it('asks before a batch that is over', async () => {
  const old = aProduct(
    'White drench',
    {},
    {
      batches: [{ batch: 'K0', expiresOn: '2026-11-01', amount: 9, left: 9, state: 'expired' }],
    },
  );
  const { user, entries } = show([light.tag.animalId], [old]);
  await screen.findByText('6 ml');
  await user.click(press());
  expect(await screen.findByText(/no batch on the shelf may be used \(K0 expired on 1 Nov 2026\)/)).toBeVisible();
  expect(entries()).toEqual([]);
  await user.click(press());
  await waitFor(() => expect(entries()).toHaveLength(1));
});
