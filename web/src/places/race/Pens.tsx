import type { GateChoice } from '@yaylak/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Field } from '../../parts/Field';
import { LinkButton } from '../../parts/LinkButton';
import { Row, Small } from '../../parts/Panel';
import { colour, space } from '../../theme/tokens';

import { countedText, jobPens, type Pen } from './pens';
import { factsOf } from './plan';
import type { Race } from './useRace';
import { PlainList } from '../../parts/PlainList';
import { say } from '@yaylak/contract';

const MOST_HEADS = 20_000;

/** Who stands in which pen, with the heads that were counted there held against who went in by the gate. */
export function Pens({ race }: { readonly race: Race }) {
  const { job, passages, animals } = race;
  if (!job || job.gates.length === 0) return null;
  const count = (key: GateChoice['key'], heads: number | undefined): void => {
    const gates = job.gates.map(({ counted, ...gate }) => {
      const own = gate.key === key ? heads : counted;
      return own === undefined ? gate : { ...gate, counted: own };
    });
    void race.change(factsOf({ ...job, gates }));
  };
  return (
    <section>
      <h3>{say('In the pens')}</h3>
      <Small>{say('Count the heads in each pen before the gates are opened.')}</Small>
      <List>
        {jobPens(job.gates, passages, animals).map((pen) => (
          <li key={pen.name}>
            <span>
              <b>{pen.name}</b>
              <br />
              {say('{n} {n, plural, one {animal} other {animals}} in by the gate', { n: pen.inside.length })}
            </span>
            {pen.gate ? <Counted pen={pen} gate={pen.gate} onCount={count} /> : null}
          </li>
        ))}
      </List>
      <Row>
        <LinkButton as={Link} to={`/race/${job.id}/pens`}>
          {say('Pen lists')}
        </LinkButton>
      </Row>
    </section>
  );
}

const textOf = (heads: number | undefined): string => (heads === undefined ? '' : String(heads));

/** A pen's heads as they were counted, held against who went in. */
export function Counted(props: {
  readonly pen: Pen;
  readonly gate: GateChoice;
  readonly onCount: (key: GateChoice['key'], heads: number | undefined) => void;
}) {
  const { pen, gate, onCount } = props;
  const [known, setKnown] = useState(gate.counted);
  const [typed, setTyped] = useState(textOf(gate.counted));
  const [error, setError] = useState<string>();
  // Another device may have counted. The field itself stays, and with it where the keyboard is and what is half typed.
  if (known !== gate.counted) {
    setKnown(gate.counted);
    if (typed === textOf(known)) setTyped(textOf(gate.counted));
  }
  const keep = (): void => {
    const text = typed.trim();
    const heads = text === '' ? undefined : Number(text);
    if (heads !== undefined && (!/^\d+$/.test(text) || heads > MOST_HEADS))
      return setError(
        say('“{text}” is not a whole number of head. Enter one, such as {n}.', { text, n: pen.inside.length || 14 }),
      );
    setError(undefined);
    if (heads !== gate.counted) onCount(gate.key, heads);
  };
  return (
    <>
      <Field
        label={say('Counted in {name}', { name: gate.name })}
        value={typed}
        onChange={setTyped}
        onBlur={keep}
        onKeyDown={(e) => {
          if (e.key === 'Enter') keep();
        }}
        inputMode="numeric"
        error={error}
      />
      <Verdict role="status" data-agrees={gate.counted === pen.inside.length || undefined}>
        {gate.counted === undefined ? say('not counted yet') : countedText(gate.counted, pen.inside.length)}
      </Verdict>
    </>
  );
}

const List = styled(PlainList)`
  margin: ${space(2)} 0;
  li {
    display: grid;
    grid-template-columns: minmax(120px, 1fr) 150px minmax(120px, 2fr);
    gap: ${space(3)};
    align-items: end;
    padding: ${space(2)} 0;
    border-bottom: 1px solid ${colour('line')};
  }
  @media (max-width: 640px) {
    li {
      grid-template-columns: 1fr 1fr;
    }
  }
`;
const Verdict = styled.span`
  padding-bottom: ${space(2)};
  font-weight: 600;
  color: ${colour('madder')};
  &[data-agrees] {
    color: ${colour('moss')};
  }
`;
