import { useQuery } from '@tanstack/react-query';
import type { MaleToMateView } from '@yaylak/contract';
import { SPECIES_WORDS } from '@yaylak/core';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { matingQuery } from '../../api/queries';
import { useStartJob } from '../../shared/jobs/useStartJob';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Field';
import { How } from '../../parts/How';
import { LineTable } from '../../parts/LineTable';
import { Page } from '../../parts/Page';
import { NotePanel, Panel, Row, Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { colour, touchable } from '../../theme/tokens';
import { countText, shareText, shortDate } from '../../words/format';
import { GRADE_WORDS, PART_WORDS } from '../../words/mating';
import { MaleCheckSheet } from './MaleCheckSheet';
import { MatingTabs } from './MatingTabs';
import { Partings } from './Partings';
import { StaySheet } from './StaySheet';
import { useMatingScope } from './useMating';
import { NamedTag } from '../../parts/NamedTag';
import { useSpeciesOptions } from '../../words/useHolding';

/** Whether the males are fit, have room, and where they run. */
export function MalesPage() {
  const speciesOptions = useSpeciesOptions();
  const { query, setSpecies } = useMatingScope();
  const { data, error, refetch } = useQuery({ ...matingQuery(query), placeholderData: (before) => before });
  const [checked, setChecked] = useState<MaleToMateView>();
  const [put, setPut] = useState<MaleToMateView>();
  const [problem, setProblem] = useState<string>();
  const startJob = useStartJob();
  const read = async (groupName: string): Promise<void> => {
    const females = (data?.females ?? []).filter((f) => f.groupName === groupName);
    setProblem(
      await startJob({
        name: `${groupName}, marks read`,
        stations: ['raddle'],
        gates: [],
        animalIds: females.map((f) => f.tag.animalId),
      }),
    );
  };
  if (!data)
    return <Page title="Males">{error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}</Page>;
  const words = SPECIES_WORDS[data.species].grown.male;
  const flagged = data.males.filter((m) => m.reasons.length > 0 || m.load > m.capacity);
  return (
    <Page
      title={`Are the ${words[1]} fit, and have they room?`}
      lead={
        data.males.length === 0
          ? `No breeding ${words[1]} here.`
          : `${flagged.length} of ${countText(data.males.length, words[0], words[1])} want a look.`
      }
      actions={<MatingTabs species={data.species} but="/males" />}
      aside={
        <>
          <Partings rows={data.partings} today={data.on} />
          {data.otherMales > 0 ? (
            <Panel>
              <h2>Not for breeding ({data.otherMales})</h2>
              <Small>
                Other males are old enough and are not shown. Check one from its pedigree, or choose to keep it, and it
                stands here.
              </Small>
            </Panel>
          ) : null}
          <NotePanel $tone="weld">
            <h2>Before the season</h2>
            <Small>
              Six to eight weeks before they go in: feet, teeth, testicles even and firm, condition 3 to 4, temper. What
              was sick or hot in these weeks shows in the seed. Two people and a good gate; a male that has changed his
              temper is not handled alone.
            </Small>
          </NotePanel>
        </>
      }
    >
      <Row>
        <Choice label="Species" value={data.species} options={speciesOptions} onChange={setSpecies} />
      </Row>
      {data.males.length === 0 ? (
        <Empty title="No breeding males here">
          Add one under <Link to="/animals">Animals</Link>, or choose a young one to be kept.
        </Empty>
      ) : (
        <Panel>
          <Middle>
            <thead>
              <tr>
                <th>Male</th>
                <th>
                  Females
                  <How of="Females to a male">
                    <p>
                      Those with him now, and those served by hand in the last 90 days, of how many he should have. A
                      young one has fewer. Both figures are set under Holding; give fewer on wide or steep ground.
                    </p>
                  </How>
                </th>
                <th>
                  Took
                  <How of="The share that took">
                    <p>
                      Services whose time is over and that ended in a birth; in brackets the range that holds it four
                      times out of five. Services that may be another male’s are left out.
                    </p>
                  </How>
                </th>
                <th>Checked</th>
                <th>Runs with</th>
                <th aria-label="Do" />
              </tr>
            </thead>
            <tbody>
              {data.males.map((m) => (
                <tr key={m.tag.animalId}>
                  <td>
                    <NamedTag tag={m.tag} />
                    <Small>
                      {[
                        ...(m.ageYears === null ? [] : [countText(m.ageYears, 'year', 'years')]),
                        ...m.reasons.map((r) => r.words),
                      ].join('; ')}
                    </Small>
                  </td>
                  <td>
                    <Load m={m} />
                    <Small>
                      {m.notWith > 0 ? (
                        <Apart to={`/animals/${m.tag.animalId}/pedigree`}>
                          not with {m.notWith} of {m.females}
                        </Apart>
                      ) : (
                        'with all of them'
                      )}
                    </Small>
                  </td>
                  <td>{m.share ? shareText(m.share) : 'not known yet'}</td>
                  <td>
                    {m.check ? (
                      <>
                        {shortDate(m.check.on)}
                        <Small>{checkWords(m.check)}</Small>
                      </>
                    ) : (
                      'never'
                    )}
                  </td>
                  <td>
                    {m.stays.map((s) => (
                      <div key={s.stayId}>
                        {s.groupName}
                        {s.isTeaser ? ', teaser' : ''}
                        <Button kind="quiet" onPress={() => void read(s.groupName)}>
                          Read the marks
                        </Button>
                        <Small>
                          since {shortDate(s.from)}
                          {s.colour ? `, ${s.colour} since ${shortDate(s.colourFrom ?? s.from)}` : ''}
                        </Small>
                      </div>
                    ))}
                    {m.stays.length === 0 ? 'by himself' : null}
                  </td>
                  <td>
                    <Row $gap={1}>
                      <Button kind="quiet" onPress={() => setChecked(m)}>
                        Check
                      </Button>
                      <Button kind="quiet" onPress={() => setPut(m)}>
                        {m.stays.length === 0 ? 'Put in' : 'Raddle, out'}
                      </Button>
                    </Row>
                  </td>
                </tr>
              ))}
            </tbody>
          </Middle>
        </Panel>
      )}
      {problem ? <p role="alert">{problem}</p> : null}
      {checked ? <MaleCheckSheet male={checked} on={data.on} onClose={() => setChecked(undefined)} /> : null}
      {put ? <StaySheet male={put} view={data} onClose={() => setPut(undefined)} /> : null}
    </Page>
  );
}

function checkWords({ grades, girthCm }: NonNullable<MaleToMateView['check']>): string {
  const bad = Object.entries(grades).flatMap(([part, grade]) =>
    grade === 'good' ? [] : [`${PART_WORDS[part as keyof typeof PART_WORDS].toLowerCase()} ${GRADE_WORDS[grade]}`],
  );
  return [bad.join(', ') || 'all good', ...(girthCm === null ? [] : [`${girthCm} cm`])].join(', ');
}

/** How full a male is: a bar that runs over in madder, with the figures. */
function Load({ m }: { readonly m: MaleToMateView }) {
  const share = m.capacity === 0 ? 1 : m.load / m.capacity;
  const words = `${m.load} of ${m.capacity}${share > 1 ? ', too many' : ''}`;
  return (
    <LoadBox>
      <span style={{ width: `${Math.min(100, 100 * share)}%` }} data-over={share > 1 || undefined} />
      <b>{words}</b>
    </LoadBox>
  );
}

const LoadBox = styled.div`
  position: relative;
  min-width: 110px;
  padding-bottom: 10px;
  span {
    position: absolute;
    left: 0;
    bottom: 0;
    height: 6px;
    border-radius: 3px;
    background: ${colour('mossFill')};
  }
  span[data-over] {
    background: repeating-linear-gradient(115deg, ${colour('madder')} 0 4px, ${colour('madderWash')} 4px 7px);
  }
  b {
    font-weight: 600;
  }
`;
const Middle = styled(LineTable)`
  td {
    vertical-align: middle;
  }
`;
const Apart = styled(Link)`
  ${touchable}
`;
