import type { ReactNode, RefObject } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Key } from '../../parts/Key';
import { NotePanel, Small } from '../../parts/Panel';
import { colour, space } from '../../theme/tokens';
import { HelpDrawing } from './drawings';
import type { HelpTopic, Keys } from './topic';
import { say } from '@yaylak/contract';
import { Said } from '../../parts/Said';

interface Props {
  readonly topic: HelpTopic;
  /** What stands at the keys, to be gone to. */
  readonly keysAt?: RefObject<HTMLHeadingElement | null>;
  /** Keys that do the same everywhere, under the topic's own. */
  readonly everywhere?: Keys;
  readonly heading: (text: string) => ReactNode;
}

/** A topic to be read: what for, how it is done, both schools, what can hurt, the keys. */
export function HelpText({ topic, keysAt, everywhere, heading }: Props) {
  const { title, forWhat, steps, drawing, schools, cautions, keys = [] } = topic;
  return (
    <Text>
      {heading(title)}
      <p>{forWhat}</p>
      <h3>{say('In the yard')}</h3>
      <ol>
        {steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      {drawing ? <HelpDrawing name={drawing} /> : null}
      {cautions ? (
        <NotePanel $tone="madder" aria-label={say('Safety')}>
          <h3>{say('Safety')}</h3>
          <ul>
            {cautions.map((caution) => (
              <li key={caution}>{caution}</li>
            ))}
          </ul>
        </NotePanel>
      ) : null}
      {schools?.map((school) => (
        <section key={school.question}>
          <h3>{school.question}</h3>
          <ul>
            {school.ways.map((way) => (
              <li key={way}>{way}</li>
            ))}
          </ul>
          <Small>
            <Said
              text={'Yours is set under <0>{words}</0>.'}
              values={{ words: school.setAt.words }}
              parts={{ 0: <Link to={school.setAt.to} /> }}
            />
          </Small>
        </section>
      ))}
      {keys.length > 0 || everywhere ? (
        <section>
          <h3 ref={keysAt} tabIndex={-1}>
            {say('Keys')}
          </h3>
          <KeyList keys={keys} />
          {everywhere ? <KeyList keys={everywhere} /> : null}
        </section>
      ) : null}
    </Text>
  );
}

const KeyList = ({ keys }: { readonly keys: Keys }) =>
  keys.length === 0 ? null : (
    <List>
      {keys.map(([key, what]) => (
        <div key={key}>
          <dt>
            <Key>{key}</Key>
          </dt>
          <dd>{what}</dd>
        </div>
      ))}
    </List>
  );

const Text = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${space(3)};
  ol,
  ul {
    margin: 0;
    padding-left: ${space(5)};
    display: flex;
    flex-direction: column;
    gap: ${space(2)};
  }
  h3:focus {
    outline: none;
  }
  section {
    break-inside: avoid;
    display: flex;
    flex-direction: column;
    gap: ${space(1)};
  }
`;
const List = styled.dl`
  margin: 0;
  padding: ${space(1)} 0;
  div {
    display: flex;
    gap: ${space(3)};
    padding: ${space(1)} 0;
    border-bottom: 1px solid ${colour('line')};
  }
  dt {
    width: 104px;
    flex: none;
  }
  dd {
    margin: 0;
  }
`;
