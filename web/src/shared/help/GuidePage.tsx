import styled from 'styled-components';
import { PaperHead } from '../../parts/PaperHead';
import { PaperSheet } from '../../parts/PaperSheet';
import { colour, space } from '../../theme/tokens';
import { EVERYWHERE } from './everywhere';
import { HelpText } from './HelpText';
import { TOPICS } from './topics';
import { say } from '@yaylak/contract';

/** All of the help on paper, a topic after the other. */
export function GuidePage() {
  return (
    <PaperSheet>
      <PaperHead title={say('Yaylak: the guide')} back={{ to: '/', words: say('Back to Today') }} />
      {TOPICS.map((topic, i) => (
        <Chapter key={topic.id}>
          <HelpText
            topic={topic}
            {...(i === TOPICS.length - 1 ? { everywhere: EVERYWHERE } : {})}
            heading={(text) => <h2>{text}</h2>}
          />
        </Chapter>
      ))}
    </PaperSheet>
  );
}

const Chapter = styled.article`
  border-top: 2px solid ${colour('ink')};
  padding-top: ${space(2)};
  margin-top: ${space(4)};
  h2 {
    font-size: 22px;
    break-after: avoid;
  }
`;
