import type { AnimalView, IdentifierView } from '@yaylak/contract';
import { spacedDigits } from '@yaylak/core';
import { useState } from 'react';
import { Button } from '../../parts/Button';
import { Panel, Row, Small } from '../../parts/Panel';
import { FitForm } from '../../shared/tags/FitForm';
import { fullDate } from '../../words/dates';
import { LoseForm } from './LoseForm';
import { say } from '@yaylak/contract';

interface Props {
  readonly view: AnimalView;
  readonly today: string;
}

/** What it wears and wore; fit one, or write one down as lost, taken out or replaced. */
export function Identifiers({ view, today }: Props) {
  const [isFitting, setFitting] = useState(false);
  const [losingId, setLosingId] = useState<string>();
  const { animalId } = view.row.tag;
  return (
    <Panel>
      <h2>{say('Identifiers')}</h2>
      {view.identifiers.length === 0 ? <p>{say('None. Two are advised from birth.')}</p> : null}
      {view.identifiers.map((i) => (
        <div key={i.entryId} style={{ marginTop: 6 }}>
          <Row style={{ justifyContent: 'space-between', flexWrap: 'nowrap' }}>
            <span>
              {i.ended ? <s>{shownAs(i)}</s> : shownAs(i)}
              <Small>{lifeOf(i)}</Small>
            </span>
            {i.ended || i.kind === 'name' || losingId === i.entryId ? null : (
              <Button
                kind="quiet"
                onPress={() => setLosingId(i.entryId)}
                aria-label={say('Lost: {shownAs}', { shownAs: shownAs(i) })}
              >
                {say('Lost')}
              </Button>
            )}
          </Row>
          {losingId === i.entryId ? (
            <LoseForm
              animalId={animalId}
              identifier={i}
              words={shownAs(i)}
              today={today}
              onDone={() => setLosingId(undefined)}
            />
          ) : null}
        </div>
      ))}
      {isFitting ? (
        <FitForm animal={view.row} today={today} onDone={() => setFitting(false)} />
      ) : (
        <Button style={{ marginTop: 8 }} onPress={() => setFitting(true)}>
          {say('Fit another')}
        </Button>
      )}
    </Panel>
  );
}

const shownAs = ({ colour, kind, text }: IdentifierView): string =>
  `${colour ? say(colour) : ''} ${kind === 'electronic' ? spacedDigits(text) : text}`.trim();

/** `visual, left ear, since 2 Apr 2026`, or how and when it ended. */
function lifeOf({ kind, ear, fittedOn, ended }: IdentifierView): string {
  const where = `${say(kind)}${ear ? say(', {ear} ear', { ear: say(ear) }) : ''}`;
  if (!ended) return say('{where}, since {date}', { where, date: fullDate(fittedOn) });
  const how = ended.how === 'removed' ? say('taken out') : ended.how;
  return `${where}, ${how} ${fullDate(ended.on)}${ended.reason ? `: ${ended.reason}` : ''}`;
}
