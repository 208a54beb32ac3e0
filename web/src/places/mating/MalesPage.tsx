import { useQuery } from '@tanstack/react-query';
import type { MaleToMateView } from '@yaylak/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { matingQuery } from '../../api/queries';
import { useStartJob } from '../../shared/jobs/useStartJob';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { How } from '../../parts/How';
import { LineTable } from '../../parts/LineTable';
import { stackedOnPhone } from '../../parts/stackedOnPhone';
import { Page } from '../../parts/Page';
import { NotePanel, Panel, Row, Small } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { colour, touchable } from '../../theme/tokens';
import { shortDate } from '../../words/dates';
import { countText, shareText } from '../../words/format';
import { GRADE_WORDS, PART_WORDS } from '../../words/mating';
import { MaleCheckSheet } from './MaleCheckSheet';
import { MatingTabs } from './MatingTabs';
import { Partings } from './Partings';
import { StaySheet } from './StaySheet';
import { useMatingScope } from './useMating';
import { NamedTag } from '../../parts/NamedTag';
import { useSpeciesOptions } from '../../words/useHolding';
import { say, SPECIES_WORDS, lower } from '@yaylak/contract';
import { Said } from '../../parts/Said';
import { LeadTo } from '../../parts/LeadTo';

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
        name: say('{groupName}, marks read', { groupName }),
        stations: ['raddle'],
        gates: [],
        animalIds: females.map((f) => f.tag.animalId),
      }),
    );
  };
  if (!data)
    return (
      <Page title={say('Males')}>{error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}</Page>
    );
  const words = SPECIES_WORDS[data.species].grown.male;
  const flagged = data.males.filter((m) => m.reasons.length > 0 || m.load > m.capacity);
  return (
    <Page
      title={say('Are the {value} fit, and have they room?', { value: words[1] })}
      lead={
        data.males.length === 0
          ? say('No breeding {value} here.', { value: words[1] })
          : say('{n} of {count} {n, plural, one {needs} other {need}} a look.', {
              n: flagged.length,
              count: countText(data.males.length, words[0], words[1]),
            })
      }
      actions={<MatingTabs species={data.species} but="/males" />}
      aside={
        <>
          <Partings rows={data.partings} today={data.on} />
          {data.otherMales > 0 ? (
            <Panel>
              <h2>{say('Not for breeding ({otherMales})', { otherMales: data.otherMales })}</h2>
              <Small>
                {say(
                  'Other males are old enough and are not shown. Check one from its pedigree, or choose to keep it, and it stands here.',
                )}
              </Small>
            </Panel>
          ) : null}
          <NotePanel $tone="weld">
            <h2>{say('Before the season')}</h2>
            <Small>
              {say(
                'Six to eight weeks before they go in: feet, teeth, testicles even and firm, condition 3 to 4, temper. What was sick or hot in these weeks shows in the seed. Two people and a good gate; a male that has changed his temper is not handled alone.',
              )}
            </Small>
          </NotePanel>
        </>
      }
    >
      <Row>
        <Choice label={say('Species')} value={data.species} options={speciesOptions} onChange={setSpecies} />
      </Row>
      {data.males.length === 0 ? (
        <Empty title={say('No breeding males here')} action={<LeadTo to="/animals" words={say('Add animals')} />}>
          <Said
            text={'Add one under <0>Animals</0>, or choose a young one to be kept.'}
            parts={{ 0: <Link to="/animals" /> }}
          />
        </Empty>
      ) : (
        <Panel>
          <Middle>
            <thead>
              <tr>
                <th>{say('Male')}</th>
                <th>
                  {say('Females')}
                  <How of={say('Females to a male')}>
                    <p>
                      {say(
                        'Those with him now, and those served by hand in the last 90 days, of how many he should have. A young one has fewer. Both figures are set under Holding; give fewer on wide or steep ground.',
                      )}
                    </p>
                  </How>
                </th>
                <th>
                  {say('Took')}
                  <How of={say('The share that took')}>
                    <p>
                      {say(
                        'Services whose time is over and that ended in a birth; in brackets the range that holds it four times out of five. Services that may be another male’s are left out.',
                      )}
                    </p>
                  </How>
                </th>
                <th>{say('Checked')}</th>
                <th>{say('Runs with')}</th>
                <th aria-label={say('Do')} />
              </tr>
            </thead>
            <tbody>
              {data.males.map((m) => (
                <tr key={m.tag.animalId}>
                  <td>
                    <NamedTag tag={m.tag} />
                    <Small>
                      {[
                        ...(m.ageYears === null
                          ? []
                          : [say('{ageYears} {ageYears, plural, one {year} other {years}}', { ageYears: m.ageYears })]),
                        ...m.reasons.map((r) => r.words),
                      ].join('; ')}
                    </Small>
                  </td>
                  <td data-under={say('Females')}>
                    <Load m={m} />
                    <Small>
                      {m.notWith > 0 ? (
                        <Apart to={`/animals/${m.tag.animalId}/pedigree`}>
                          {say('not with {notWith} of {females}', { notWith: m.notWith, females: m.females })}
                        </Apart>
                      ) : (
                        say('with all of them')
                      )}
                    </Small>
                  </td>
                  <td data-under={say('Took')}>{m.share ? shareText(m.share) : say('not known yet')}</td>
                  <td data-under={say('Checked')}>
                    {m.check ? (
                      <>
                        {shortDate(m.check.on)}
                        <Small>{checkWords(m.check)}</Small>
                      </>
                    ) : (
                      say('never')
                    )}
                  </td>
                  <td data-under={say('Runs with')}>
                    {m.stays.map((s) => (
                      <div key={s.stayId}>
                        {s.groupName}
                        {s.isTeaser ? say(', teaser') : ''}
                        <Button kind="quiet" onPress={() => void read(s.groupName)}>
                          {say('Read the marks')}
                        </Button>
                        <Small>
                          {say('since {date}{value}', {
                            date: shortDate(s.from),
                            value: s.colour
                              ? say(', {colour} since {date}', {
                                  colour: say(s.colour),
                                  date: shortDate(s.colourFrom ?? s.from),
                                })
                              : '',
                          })}
                        </Small>
                      </div>
                    ))}
                    {m.stays.length === 0 ? say('by himself') : null}
                  </td>
                  <td>
                    <Row $gap={1}>
                      <Button kind="quiet" onPress={() => setChecked(m)}>
                        {say('Check')}
                      </Button>
                      <Button kind="quiet" onPress={() => setPut(m)}>
                        {m.stays.length === 0 ? say('Put in') : say('Raddle, out')}
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
    grade === 'good' ? [] : [`${lower(PART_WORDS[part as keyof typeof PART_WORDS])} ${GRADE_WORDS[grade]}`],
  );
  return [bad.join(', ') || say('all good'), ...(girthCm === null ? [] : [say('{girthCm} cm', { girthCm })])].join(
    ', ',
  );
}

/** How full a male is: a bar that runs over in madder, with the figures. */
function Load({ m }: { readonly m: MaleToMateView }) {
  const share = m.capacity === 0 ? 1 : m.load / m.capacity;
  const words = say('{load} of {capacity}{value}', {
    load: m.load,
    capacity: m.capacity,
    value: share > 1 ? say(', too many') : '',
  });
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
  ${stackedOnPhone}
`;
const Apart = styled(Link)`
  ${touchable}
`;
