import { useQuery } from '@tanstack/react-query';
import { chanceText, type CarryingFemaleView, say, SPECIES_WORDS } from '@yaylak/contract';
import type { Species } from '@yaylak/core';
import { Link } from 'react-router';
import { carryingFemaleQuery } from '../../api/queries';
import { ChanceHow } from '../../parts/ChanceHow';
import { Panel, Row, Small } from '../../parts/Panel';
import { WindowBar } from '../../parts/WindowBar';
import { contradictionText } from '../../words/carrying';
import { shortDate } from '../../words/dates';
import { countText } from '../../words/format';
import { servedBy } from '../../words/mating';

interface Props {
  readonly animalId: string;
  readonly species: Species;
  readonly today: string;
}

/** How likely a served female carries, and when she would give birth. */
export function InYoung({ animalId, species, today }: Props) {
  const { data } = useQuery(carryingFemaleQuery(animalId));
  if (!data?.chance) return null;
  const { chance, birth, young } = data;
  const [one, many] = SPECIES_WORDS[species].young.unknown;
  return (
    <Panel aria-label={say('In young')}>
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>
          {headline(data)}
          <ChanceHow tag={data.tag.text} chance={chance} />
        </h2>
        <Small>
          {say('served {date} by {servedBy}{value}', {
            date: shortDate(chance.servedOn),
            servedBy: servedBy(
              chance.males.map((m) => m.name ?? m.text),
              chance.otherSire,
            ),
            value: young === null ? '' : say(', {count} seen', { count: countText(young, one, many) }),
          })}
        </Small>
      </Row>
      {chance.contradictions.map((c, i) => (
        <p key={i}>
          <b>{contradictionText(c)}</b>
        </p>
      ))}
      {birth ? (
        <>
          <Small>{data.isOverdue ? say('The birth is overdue') : say('Birth')}</Small>
          <WindowBar window={birth} today={today} />
        </>
      ) : null}
      <Small>
        <Link to={`/carrying?species=${species}`}>{say('All that are carried')}</Link>
      </Small>
    </Panel>
  );
}

function headline({ chance, state }: CarryingFemaleView): string {
  if (state === 'lost') return say('Lost what she carried');
  return chance?.probability == null
    ? say('Overdue')
    : say('In young: {chance}', { chance: chanceText(chance.probability) });
}
