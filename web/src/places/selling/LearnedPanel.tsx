import type { GraderView, HabitView, ResultsView } from '@yaylak/contract';
import { Link } from 'react-router';
import styled from 'styled-components';
import { How } from '../../parts/How';
import { LinkButton } from '../../parts/LinkButton';
import { Panel, Small } from '../../parts/Panel';
import { colour, space } from '../../theme/tokens';
import { figureText } from '../../words/format';
import { comparedText, FAT_GROUP_WORDS, habitText, killingOutText } from '../../words/results';
import { say } from '@yaylak/contract';
import { Said } from '../../parts/Said';

/** What the results taught: killing-out, and how each grader sees beside the own hand. */
export function LearnedPanel({ view }: { readonly view: ResultsView }) {
  const { graders, compared, outlets, killingOut } = view;
  const nameOf = (id: string): string => outlets.find((o) => o.id === id)?.name ?? '';
  return (
    <>
      <Panel>
        <h2>{say('Killing-out')}</h2>
        <p>{killingOutText(killingOut)}</p>
      </Panel>
      {graders.length > 0 ? (
        <Panel>
          <h2>
            <Said
              text={'Graders and your hand <0/>'}
              parts={{
                0: (
                  <How of={say('the graders')}>
                    <p>
                      {say(
                        'The grader’s class less what was felt last before the sale, in thirds of a class; fat is carried on from the feel to the day by how fast it is laid on. The range holds four times out of five.',
                      )}
                    </p>
                    <p>
                      {say(
                        'Reckoned with is less than what was seen: from five head half of it is believed, from twenty four fifths. From then on every estimate for that outlet moves by it.',
                      )}
                    </p>
                  </How>
                ),
              }}
            />
          </h2>
          {graders.map((g) => (
            <Grader key={`${g.outletId} ${g.breedGroup ?? ''}`} name={nameOf(g.outletId)} grader={g} />
          ))}
          {compared.map((c) => (
            <Small key={`${c.first} ${c.second}`} style={{ marginTop: 8 }}>
              {say('{name} against {name2}: {list}.', {
                name: nameOf(c.first),
                name2: nameOf(c.second),
                list: [
                  c.shape ? say('shape, {compared}', { compared: comparedText(c.shape, 'shape') }) : undefined,
                  c.fat ? say('fat, {compared}', { compared: comparedText(c.fat, 'fat') }) : undefined,
                ]
                  .filter((text) => text !== undefined)
                  .join('; '),
              })}
            </Small>
          ))}
          <LinkButton as={Link} to="/selling/feel" style={{ marginTop: 12 }}>
            {say('What each class feels like')}
          </LinkButton>
        </Panel>
      ) : null}
    </>
  );
}

function Grader({ name, grader }: { readonly name: string; readonly grader: GraderView }) {
  return (
    <Seen>
      <b>
        {name}
        {grader.breedGroup ? say(', {fat} to fatten', { fat: FAT_GROUP_WORDS[grader.breedGroup] }) : ''}
      </b>
      <Habit label={say('Shape')} habit={grader.shape} of="shape" />
      <Habit label={say('Fat')} habit={grader.fat} of="fat" />
    </Seen>
  );
}

/** Thirds of a class shown to each side of the own hand. */
const REACH = 4;
const within = (n: number): number => Math.max(-REACH, Math.min(REACH, n));

/** A grader beside the own hand, which is the line in the middle; hollow is what is reckoned with. */
function Habit({
  label,
  habit,
  of,
}: {
  readonly label: string;
  readonly habit: HabitView;
  readonly of: 'shape' | 'fat';
}) {
  const { mean, halfWidth, used } = habit;
  return (
    <div>
      <Small>
        {label}: {habitText(habit, of)}
        {mean === null ? '' : say('. Reckoned with: {figure}', { figure: figureText(Math.abs(used), 1) })}
      </Small>
      {mean === null ? null : (
        <svg viewBox={`${-REACH - 0.2} -0.5 ${2 * REACH + 0.4} 1`} aria-hidden="true">
          {Array.from({ length: 2 * REACH + 1 }, (_, i) => (
            <line
              key={i}
              x1={i - REACH}
              x2={i - REACH}
              y1={i === REACH ? -0.45 : 0.1}
              y2={0.25}
              data-hand={i === REACH || undefined}
            />
          ))}
          {halfWidth === null ? null : (
            <line x1={within(mean - halfWidth)} x2={within(mean + halfWidth)} y1={-0.1} y2={-0.1} data-range />
          )}
          <circle cx={within(used)} cy={-0.1} r={0.13} data-used />
          <circle cx={within(mean)} cy={-0.1} r={0.13} />
        </svg>
      )}
    </div>
  );
}

const Seen = styled.div`
  border-top: 1px solid ${colour('line')};
  padding: ${space(2)} 0;
  svg {
    display: block;
    width: 100%;
    height: 30px;
  }
  line {
    stroke: ${colour('lineStrong')};
    stroke-width: 0.03;
  }
  line[data-hand] {
    stroke: ${colour('ink')};
    stroke-width: 0.06;
  }
  line[data-range] {
    stroke: ${colour('indigo')};
    stroke-width: 0.1;
  }
  circle {
    fill: ${colour('indigo')};
  }
  circle[data-used] {
    fill: ${colour('panel')};
    stroke: ${colour('indigo')};
    stroke-width: 0.06;
  }
`;
