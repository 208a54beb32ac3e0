import { useQuery } from '@tanstack/react-query';
import type { TagNeed } from '@yaylak/core';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { tagsQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Chip } from '../../parts/Chip';
import { Page } from '../../parts/Page';
import { Row } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { useInAddress } from '../../parts/useInAddress';
import { colour, radius } from '../../theme/tokens';

import { BlankTagStock } from './BlankTagStock';
import { LinkElectronic } from './LinkElectronic';
import { MarksInField } from './MarksInField';
import { NeedRow } from './NeedRow';
import { NumbersToCome } from '../../shared/tags/NumbersToCome';
import { TagLater } from './TagLater';
import { SharedNumbers } from './SharedNumbers';
import { PlainList } from '../../parts/PlainList';
import { say } from '@yaylak/contract';

const NEEDS: readonly (readonly [need: TagNeed, words: string])[] = [
  ['none-worn', say('without')],
  ['lost-one', say('lost one')],
  ['too-few', say('with too few')],
];

/** Who needs a tag, and which numbers come next. */
export function TagsPage() {
  const { data, error, refetch } = useQuery(tagsQuery);
  const [asked, setOnly] = useInAddress('need');
  const only = NEEDS.find(([need]) => need === asked)?.[0];
  const navigate = useNavigate();
  if (!data)
    return (
      <Page title={say('Tags')}>{error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}</Page>
    );
  const all = NEEDS.reduce((sum, [need]) => sum + data.counts[need], 0);
  const shown = data.needs.filter((n) => only === undefined || n.need === only);
  return (
    <Page
      title={say('Who needs a tag?')}
      lead={
        all === 0
          ? say('Nobody: all {present} properly tagged', { present: data.present })
          : say('{all} {all, plural, one {animal} other {animals}} of {present} present', {
              all,
              present: data.present,
            })
      }
      actions={
        all > 0 ? (
          <Button
            onPress={() =>
              void navigate('/race', {
                state: { animalIds: data.needs.map((n) => n.tag.animalId), name: say('Re-tag'), templateId: 'retag' },
              })
            }
          >
            {say('Re-tag them as a job')}
          </Button>
        ) : undefined
      }
      aside={
        <>
          <LinkElectronic />
          <NumbersToCome />
          <BlankTagStock />
        </>
      }
    >
      {all > 0 ? (
        <Row role="group" aria-label={say('Why')}>
          {NEEDS.filter(([need]) => data.counts[need] > 0).map(([need, words]) => (
            <Chip
              key={need}
              type="button"
              aria-pressed={only === need}
              onClick={() => setOnly(only === need ? undefined : need)}
            >
              {data.counts[need]} {words}
            </Chip>
          ))}
        </Row>
      ) : (
        <Empty title={say('All wear their tags')}>{say('A tag recorded as lost puts its animal on this list.')}</Empty>
      )}
      {shown.length > 0 ? (
        <Rows aria-label={say('To fit')}>
          {shown.map((n) => (
            <NeedRow key={n.tag.animalId} need={n} />
          ))}
        </Rows>
      ) : null}
      <TagLater later={data.later} />
      <MarksInField marks={data.marks} />
      <SharedNumbers shared={data.shared} />
    </Page>
  );
}

const Rows = styled(PlainList)`
  background: ${colour('panel')};
  border: 1px solid ${colour('line')};
  border-radius: ${radius};
`;
