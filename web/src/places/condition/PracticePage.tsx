import { useQuery } from '@tanstack/react-query';
import { SPECIES } from '@yaylak/core';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { drillsQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { LinkButton } from '../../parts/LinkButton';
import { Page } from '../../parts/Page';
import { NotePanel, Panel, Small } from '../../parts/Panel';
import { useInAddress } from '../../parts/useInAddress';
import { colour, fonts, space } from '../../theme/tokens';
import { Drill } from './Drill';
import { DrillHistory } from './DrillHistory';
import { DRAWN_LOINS, LoinDrawing } from '../../shared/help/drawings/LoinDrawing';
import { useFirstSpecies, useSpeciesOptions } from '../../words/useHolding';
import { say, FEEL_GUIDES } from '@yaylak/contract';

/** What each score feels like, a drill with written cases, and how the hand learns. */
export function PracticePage() {
  const speciesOptions = useSpeciesOptions();
  const first = useFirstSpecies();
  const [asked, setSpecies] = useInAddress('species');
  const species = SPECIES.find((s) => s === asked) ?? first;
  const [drill, setDrill] = useState(0);
  const { data } = useQuery(drillsQuery);
  const guide = FEEL_GUIDES[species];
  return (
    <Page
      title={say('What does each score feel like?')}
      lead={say('By the hand, not by the eye')}
      actions={
        <>
          <LinkButton as={Link} to="/condition">
            {say('Back to Condition')}
          </LinkButton>
          <Choice
            label={say('Species')}
            isLabelHidden
            value={species}
            options={speciesOptions}
            onChange={(s) => {
              setSpecies(s);
              setDrill(0);
            }}
          />
          <Button kind="main" onPress={() => setDrill(drill + 1)}>
            {drill === 0 ? say('Start a drill') : say('Start over')}
          </Button>
        </>
      }
      aside={
        <>
          <DrillHistory drills={data?.drills ?? []} />
          <NotePanel $tone="weld">
            <h3>{say('Safety')}</h3>
            <p>
              {say(
                'Cattle only in a crush with the gate shut behind you. A male in the mating season is not felt from behind with your back to him. Wash your hands after.',
              )}
            </p>
          </NotePanel>
        </>
      }
    >
      <p>{guide.how}</p>
      {drill > 0 ? <Drill key={`${species} ${drill}`} species={species} turn={drill} /> : null}
      <Five>
        {guide.scores.map((places, i) => (
          <Panel key={i}>
            <h2>{i + 1}</h2>
            {DRAWN_LOINS.includes(species) ? <LoinDrawing score={i + 1} /> : null}
            <dl>
              {places.map((words, p) => (
                <div key={guide.places[p]}>
                  <dt>{guide.places[p]}</dt>
                  <dd>{words}</dd>
                </div>
              ))}
            </dl>
          </Panel>
        ))}
      </Five>
      <Small>
        {say(
          'Halves lie between; quarters are for a hand that finds them again. Drawn: bone white, the eye muscle red, fat under the skin. One hand a job is best, and the same hand from year to year.',
        )}
      </Small>
    </Page>
  );
}

const Five = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
  gap: ${space(3)};
  h2 {
    font: 700 26px ${fonts.heading};
  }
  dl {
    margin: ${space(2)} 0 0;
  }
  dt {
    font-size: 13px;
    color: ${colour('inkSoft')};
    margin-top: ${space(2)};
  }
  dd {
    margin: 0;
  }
`;
