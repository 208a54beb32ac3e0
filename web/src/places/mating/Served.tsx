import type { FemaleToMateView, MatingView } from '@yaylak/contract';
import styled from 'styled-components';
import { Button } from '../../parts/Button';
import { ChanceHow } from '../../parts/ChanceHow';
import { How } from '../../parts/How';
import { LineTable } from '../../parts/LineTable';
import { Panel, Small } from '../../parts/Panel';
import { WindowBar } from '../../parts/WindowBar';
import { chanceText, percentText, say } from '@yaylak/contract';
import { fullDate, shortDate } from '../../words/dates';
import { servedBy } from '../../words/mating';
import { NamedTag } from '../../parts/NamedTag';

interface Props {
  readonly females: readonly FemaleToMateView[];
  readonly view: MatingView;
  readonly onServe: (female: FemaleToMateView) => void;
}

/** Who is served: when she would come back on heat, and how likely she carries by now. */
export function Served({ females, view, onServe }: Props) {
  if (females.length === 0) return null;
  const isRabbit = view.school === 'none';
  return (
    <Panel>
      <h2>
        {say('Served ({n})', { n: females.length })}
        <How of={say('In young')}>
          <p>
            {say(
              '{percent} of services take here: the species’ usual share, drawn toward this holding’s own. An empty female comes back on heat a cycle later, if somebody sees it; each day without it speaks a little more for carrying (Bayes). The share of heats that are seen is set under Holding.',
              { percent: percentText(view.takingShare) },
            )}
          </p>
          <p>{say('No return is a first sign and no test: some empty ones are missed.')}</p>
        </How>
      </h2>
      <Middle>
        <thead>
          <tr>
            <th>{say('Female')}</th>
            <th>{say('By')}</th>
            <th>{say('Served')}</th>
            <th>{isRabbit ? say('Birth') : say('Back on heat')}</th>
            <th>{say('In young')}</th>
            <th aria-label={say('Serve')} />
          </tr>
        </thead>
        <tbody>
          {females.map((f) => {
            const { chance } = f;
            if (!chance) return null;
            return (
              <tr key={f.tag.animalId}>
                <td>
                  <NamedTag tag={f.tag} />
                </td>
                <td>
                  {servedBy(
                    chance.males.map((m) => m.name ?? m.text),
                    chance.otherSire,
                  )}
                </td>
                <td>{shortDate(chance.servedOn)}</td>
                <td>
                  {chance.returnedOn ? (
                    <b>{say('back on {date}', { date: shortDate(chance.returnedOn) })}</b>
                  ) : chance.returns && chance.returns.closes >= view.on ? (
                    <WindowBar window={chance.returns} today={view.on} />
                  ) : (
                    <Small>
                      {say('birth {date} to {date2}', {
                        date: shortDate(chance.birthFrom),
                        date2: fullDate(chance.birthTo),
                      })}
                    </Small>
                  )}
                </td>
                <td style={{ whiteSpace: 'nowrap' }}>
                  <b>{chanceText(chance.probability)}</b>
                  <ChanceHow tag={f.tag.text} chance={chance} />
                </td>
                <td>
                  <Button kind="quiet" onPress={() => onServe(f)}>
                    {isRabbit ? say('Offer again') : say('Serve again')}
                  </Button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </Middle>
    </Panel>
  );
}

const Middle = styled(LineTable)`
  td {
    vertical-align: middle;
  }
`;
