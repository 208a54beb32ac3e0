import type { ProductView } from '@yaylak/contract';
import type { Species } from '@yaylak/core';
import { useController } from 'react-hook-form';
import styled from 'styled-components';
import { Choice } from '../../parts/Choice';
import { Field } from '../../parts/Field';
import { useShown } from '../../parts/form/shownFields';
import { Row } from '../../parts/Panel';
import { Wrong } from '../../parts/Wrong';
import { colour, radius, space } from '../../theme/tokens';
import { STATION_WORDS } from '../../words/stations';
import { useWeightUnit } from '../../words/useHolding';
import type { JobPlan } from './plan';
import { StationChoice } from './StationChoice';
import { StationSettingsForm } from './settings/StationSettingsForm';
import { say } from '@yaylak/contract';

interface Props {
  /** What is done until something of it is changed; the form's own value is null until then. */
  readonly usual?: JobPlan;
  readonly products: readonly ProductView[];
  /** Of those who come: a pan is typed in their unit. */
  readonly species: Species | undefined;
  readonly startedBy: string;
  /** Stations were ticked or moved. @returns what is done then */
  readonly onStations?: (plan: JobPlan) => JobPlan;
}

const MOST_DAYS = 60;

const NOTHING: JobPlan = { stations: [], settings: {}, gates: [] };

/** What is done at a job, station by station, and of whom it is written down: the `plan` of the form around it. */
export function PlanFields({ usual = NOTHING, products, species, startedBy, onStations = (plan) => plan }: Props) {
  const unit = useWeightUnit();
  const { field, fieldState } = useController({ name: 'plan' });
  useShown('plan');
  const plan = (field.value as JobPlan | null) ?? usual;
  const { settings, stations } = plan;
  const onSettings: (next: JobPlan) => void = field.onChange;
  return (
    <>
      <Row $gap={3} style={{ alignItems: 'flex-end' }}>
        <Choice
          label={say('Recorded as')}
          value={settings.subject ?? 'each'}
          options={[
            ['each', say('each animal')],
            ['young', say('the young of each dam')],
            ['litter', say('each dam’s litter as one')],
          ]}
          onChange={(subject) => onSettings({ ...plan, settings: { ...settings, subject } })}
        />
        {settings.subject === 'young' ? (
          <Field
            label={say('How old, days')}
            inputMode="numeric"
            value={String(settings.young?.ageDays ?? 2)}
            onChange={(text) => {
              const ageDays = Math.min(MOST_DAYS, Number(text.replace(/\D/g, '')));
              onSettings({ ...plan, settings: { ...settings, young: { ageDays } } });
            }}
          />
        ) : null}
      </Row>
      <StationChoice plan={plan} onChange={(next) => onSettings(onStations(next))} />
      {stations.map((station) => (
        <StationPart key={station} aria-label={STATION_WORDS[station]}>
          <legend>{STATION_WORDS[station]}</legend>
          <StationSettingsForm
            station={station}
            plan={plan}
            products={products}
            startedBy={startedBy}
            unit={unit}
            species={species}
            onChange={onSettings}
          />
        </StationPart>
      ))}
      {fieldState.error ? <Wrong role="alert">{fieldState.error.message}</Wrong> : null}
    </>
  );
}

const StationPart = styled.fieldset`
  display: flex;
  flex-direction: column;
  gap: ${space(2)};
  margin: 0;
  padding: ${space(2)} ${space(3)} ${space(3)};
  border: 1px solid ${colour('line')};
  border-radius: ${radius};
  legend {
    padding: 0 ${space(2)};
    font-weight: 700;
  }
`;
