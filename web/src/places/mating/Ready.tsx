import type { FemaleToMateView, MatingView } from '@yaylak/contract';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { LineTable } from '../../parts/LineTable';
import { Panel, Small } from '../../parts/Panel';
import { useFirst } from '../../parts/useFirst';
import { WindowBar } from '../../parts/WindowBar';
import { NamedTag } from '../../parts/NamedTag';
import { say } from '@yaylak/contract';

interface Props {
  readonly females: readonly FemaleToMateView[];
  readonly view: MatingView;
  readonly onServe: (female: FemaleToMateView) => void;
}

const SHOWN = 10;

/** Who may be mated, those whose next heat is foretold first. */
export function Ready({ females, view, onServe }: Props) {
  const order = (f: FemaleToMateView): string => f.nextHeat?.opens ?? '9999';
  const sorted = [...females].sort((a, b) => (order(a) < order(b) ? -1 : order(a) > order(b) ? 1 : 0));
  const { shown, more } = useFirst(sorted, SHOWN);
  if (females.length === 0) return null;
  return (
    <Panel>
      <h2>{say('May be mated ({n})', { n: females.length })}</h2>
      <Middle>
        <thead>
          <tr>
            <th>{say('Female')}</th>
            <th>{say('Group')}</th>
            <th>{view.school === 'none' ? say('When') : say('Next heat')}</th>
            <th>{say('Runs with')}</th>
            <th aria-label={say('Serve')} />
          </tr>
        </thead>
        <tbody>
          {shown.map((f) => (
            <tr key={f.tag.animalId}>
              <td>
                <NamedTag tag={f.tag} />
              </td>
              <td>{f.groupName ?? ''}</td>
              <td>
                {f.nextHeat ? (
                  <WindowBar window={f.nextHeat} today={view.on} />
                ) : (
                  <Small>{view.school === 'none' ? say('any day she will stand') : say('no heat seen yet')}</Small>
                )}
              </td>
              <td>{f.runsWith.map((m) => m.name ?? m.text).join(', ') || say('no male')}</td>
              <td>
                <Button kind="quiet" onPress={() => onServe(f)}>
                  {say('Serve')}
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </Middle>
      {more}
    </Panel>
  );
}

const Middle = styled(LineTable)`
  td {
    vertical-align: middle;
  }
`;
