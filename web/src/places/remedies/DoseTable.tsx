import { say, SPECIES_WORDS } from '@yaylak/contract';
import { SPECIES } from '@yaylak/core';
import styled from 'styled-components';
import { Choice } from '../../parts/Choice';
import { LineTable } from '../../parts/LineTable';
import { stackedOnPhone } from '../../parts/stackedOnPhone';
import { colour, space } from '../../theme/tokens';
import { ROUTE_WORDS } from '../../words/stations';
import { useWeightUnit } from '../../words/useHolding';
import { NO_DAYS, type DoseDraft, type ProductDraft } from './productDraft';

interface Props {
  readonly draft: ProductDraft;
  readonly onChange: (change: Partial<ProductDraft>) => void;
}

/** What the label says of each species: dose, whom it is too much for, and days withheld by how it is given. */
export function DoseTable({ draft, onChange }: Props) {
  const unit = useWeightUnit();
  return (
    <Table>
      <thead>
        <tr>
          <th>{say('For')}</th>
          <th>{say('Dose by')}</th>
          <th>{say('Figure, {doseUnit}', { doseUnit: draft.doseUnit })}</th>
          <th colSpan={2}>{say('Not under, days and {unit}', { unit })}</th>
          {draft.routes.map((route) => (
            <th key={route} colSpan={2}>
              {say('Meat and milk, days{value}', { value: draft.routes.length > 1 ? `, ${ROUTE_WORDS[route]}` : '' })}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {SPECIES.map((species) => {
          const dose = draft.doses[species];
          const name = SPECIES_WORDS[species].plural;
          const set = (change: Partial<DoseDraft>): void =>
            onChange({ doses: { ...draft.doses, [species]: { ...dose, ...change } } });
          return (
            <tr key={species}>
              <th scope="row">{name}</th>
              <td data-under={say('Dose by')}>
                <Choice
                  label={say('Dose by, {name}', { name })}
                  isLabelHidden
                  value={dose.by}
                  options={[
                    ['none', say('not on the label')],
                    ['kg', unit === 'lb' ? say('the pound') : say('the kilogram')],
                    ['band', unit === 'lb' ? say('bands of weight, lb') : say('bands of weight')],
                    ['head', say('the head')],
                  ]}
                  onChange={(by) => set({ by })}
                />
              </td>
              <td data-under={say('Figure, {doseUnit}', { doseUnit: draft.doseUnit })}>
                <Cell
                  aria-label={say('Dose, {name}', { name })}
                  disabled={dose.by === 'none'}
                  placeholder={dose.by === 'band' ? '30: 6, 60: 12' : ''}
                  value={dose.text}
                  onChange={(e) => set({ text: e.target.value })}
                />
              </td>
              {(['fromDays', 'fromKg'] as const).map((least) => (
                <td
                  key={least}
                  data-under={least === 'fromDays' ? say('Least age, days') : say('Least weight, {unit}', { unit })}
                >
                  <Cell
                    aria-label={`${least === 'fromDays' ? say('Least age, days') : say('Least weight, {unit}', { unit })}, ${name}`}
                    inputMode="decimal"
                    disabled={dose.by === 'none'}
                    placeholder={least === 'fromDays' ? 'days' : unit}
                    value={dose[least]}
                    onChange={(e) => set({ [least]: e.target.value })}
                  />
                </td>
              ))}
              {draft.routes.flatMap((route) =>
                (['meat', 'milk'] as const).map((of) => {
                  const days = dose.days[route] ?? NO_DAYS;
                  const way = draft.routes.length > 1 ? `, ${ROUTE_WORDS[route]}` : '';
                  const what = of === 'meat' ? say('Meat') : say('Milk');
                  return (
                    <td
                      key={`${route} ${of}`}
                      data-under={say('{value} days, {name}{way}', { value: what, name, way })}
                    >
                      <Cell
                        aria-label={say('{value} days, {name}{way}', { value: what, name, way })}
                        inputMode="numeric"
                        placeholder={of}
                        value={days[of]}
                        onChange={(e) => set({ days: { ...dose.days, [route]: { ...days, [of]: e.target.value } } })}
                      />
                    </td>
                  );
                }),
              )}
            </tr>
          );
        })}
      </tbody>
    </Table>
  );
}

const Table = styled(LineTable)`
  ${stackedOnPhone}
  tbody th {
    vertical-align: middle;
    font-weight: 400;
    text-transform: capitalize;
  }
`;
const Cell = styled.input`
  min-height: 44px;
  width: 100%;
  min-width: 70px;
  padding: 0 ${space(3)};
  border: 1px solid ${colour('lineStrong')};
  border-radius: 8px;
  background: ${colour('panel')};
  color: ${colour('ink')};
  font: inherit;
  &:disabled {
    opacity: 0.5;
  }
`;
