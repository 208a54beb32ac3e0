import { STATIONS, say } from '@yaylak/contract';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { Tick } from '../../parts/Tick';
import { colour, space } from '../../theme/tokens';
import { STATION_WORDS } from '../../words/stations';
import { movedStation, withStation, type JobPlan } from './plan';

interface Props {
  readonly plan: JobPlan;
  readonly onChange: (plan: JobPlan) => void;
}

/** Which stations the job has, and in which order they stand. */
export function StationChoice({ plan, onChange }: Props) {
  return (
    <>
      <Stations>
        <legend>{say('Stations')}</legend>
        {STATIONS.map((station) => (
          <Tick
            key={station}
            label={STATION_WORDS[station]}
            isSelected={plan.stations.includes(station)}
            onChange={(isIn) => onChange(withStation(plan, station, isIn))}
          />
        ))}
      </Stations>
      {plan.stations.length > 1 ? (
        <Order aria-label={say('Order of the stations')}>
          {plan.stations.map((station, i) => (
            <li key={station}>
              {STATION_WORDS[station]}
              <Button
                kind="quiet"
                aria-label={say('{station} earlier', { station: STATION_WORDS[station] })}
                isDisabled={i === 0}
                onPress={() => onChange(movedStation(plan, station, -1))}
              >
                ←
              </Button>
              <Button
                kind="quiet"
                aria-label={say('{station} later', { station: STATION_WORDS[station] })}
                isDisabled={i === plan.stations.length - 1}
                onPress={() => onChange(movedStation(plan, station, 1))}
              >
                →
              </Button>
            </li>
          ))}
        </Order>
      ) : null}
    </>
  );
}

const Stations = styled.fieldset`
  display: flex;
  flex-wrap: wrap;
  gap: 0 ${space(5)};
  margin: 0;
  padding: 0;
  border: 0;
  legend {
    padding: 0;
    font-size: 13px;
    color: ${colour('inkSoft')};
  }
`;
const Order = styled.ol`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(1)} ${space(4)};
  margin: 0;
  padding-left: ${space(5)};
  li {
    padding-right: ${space(2)};
  }
  li::marker {
    color: ${colour('inkSoft')};
  }
`;
