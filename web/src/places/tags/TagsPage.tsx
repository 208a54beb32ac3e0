import { useQuery } from '@tanstack/react-query';
import type { TagNeed } from '@yaylak/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { tagsQuery } from '../../api/queries';
import { Button } from '../../parts/Button';
import { Chip } from '../../parts/Chip';
import { Page } from '../../parts/Page';
import { Row } from '../../parts/Panel';
import { Empty, Failed, Loading } from '../../parts/States';
import { colour, radius } from '../../theme/tokens';
import { countText } from '../../words/format';
import { BlankTagStock } from './BlankTagStock';
import { LinkElectronic } from './LinkElectronic';
import { MarksInField } from './MarksInField';
import { NeedRow } from './NeedRow';
import { NumbersToCome } from '../../shared/tags/NumbersToCome';
import { TagLater } from './TagLater';
import { SharedNumbers } from './SharedNumbers';
import { PlainList } from '../../parts/PlainList';

const NEEDS: readonly (readonly [need: TagNeed, words: string])[] = [
  ['none-worn', 'without'],
  ['lost-one', 'lost one'],
  ['too-few', 'with too few'],
];

/** Who needs a tag, and which numbers come next. */
export function TagsPage() {
  const { data, error, refetch } = useQuery(tagsQuery);
  const [only, setOnly] = useState<TagNeed>();
  const navigate = useNavigate();
  if (!data)
    return <Page title="Tags">{error ? <Failed error={error} onRetry={() => void refetch()} /> : <Loading />}</Page>;
  const all = NEEDS.reduce((sum, [need]) => sum + data.counts[need], 0);
  const shown = data.needs.filter((n) => only === undefined || n.need === only);
  return (
    <Page
      title="Who needs a tag?"
      lead={
        all === 0
          ? `Nobody: all ${data.present} properly tagged`
          : `${countText(all, 'animal', 'animals')} of ${data.present} present`
      }
      actions={
        all > 0 ? (
          <Button
            onPress={() =>
              void navigate('/race', {
                state: { animalIds: data.needs.map((n) => n.tag.animalId), name: 'Re-tag', templateId: 'retag' },
              })
            }
          >
            Re-tag them as a job
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
        <Row role="group" aria-label="Why">
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
        <Empty title="All wear their tags">A tag recorded as lost puts its animal on this list.</Empty>
      )}
      {shown.length > 0 ? (
        <Rows aria-label="To fit">
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
