import { FAT_CLASSES, FAT_PLACES, SHAPE_CLASSES } from '@yaylak/core';
import styled from 'styled-components';
import { NotePanel, Panel, Small } from '../../parts/Panel';
import { colour, fonts, space } from '../../theme/tokens';
import { FAT_FEELS, HAND_AT, SHAPE_LOOKS } from '../../words/finishGuide';
import { FAT_PLACE_WORDS } from '../../words/selling';
import { BodyDrawing } from './BodyDrawing';
import { HindDrawing } from './HindDrawing';
import { RibDrawing } from './RibDrawing';
import { say } from '@yaylak/contract';

/** Where the hand goes, and what each class of fat and shape feels and looks like. */
export function FinishGuide() {
  return (
    <>
      <Panel>
        <h2>{say('Where the hand goes')}</h2>
        <Where>
          <BodyDrawing />
          <ol>
            {FAT_PLACES.map((place) => (
              <li key={place}>
                <b>{FAT_PLACE_WORDS[place]}</b>: {HAND_AT[place]}
              </li>
            ))}
          </ol>
        </Where>
        <Small>
          {say(
            'Flat of the hand, no more pressure than it takes. A full fleece and a wet one deceive: part the wool. Fat is laid on last at the brisket and the ribs, so all four are felt; what is kept is their mean.',
          )}
        </Small>
      </Panel>
      <Panel>
        <h2>{say('Fat, 1 to 5')}</h2>
        <Five>
          {FAT_CLASSES.map((c) => (
            <section key={c} aria-label={say('Fat {c}', { c })}>
              <h3>{c}</h3>
              <RibDrawing fat={Number(c)} />
              <dl>
                {FAT_PLACES.map((place) => (
                  <div key={place}>
                    <dt>{FAT_PLACE_WORDS[place]}</dt>
                    <dd>{FAT_FEELS[place][c]}</dd>
                  </div>
                ))}
              </dl>
            </section>
          ))}
        </Five>
        <Small>
          {say('Drawn: bone white, fat under the skin. Plus and minus are thirds of a class; 3- is nearly 2+.')}
        </Small>
      </Panel>
      <Panel>
        <h2>{say('Shape, P to E')}</h2>
        <Five>
          {SHAPE_CLASSES.map((c, i) => (
            <section key={c} aria-label={say('Shape {c}', { c })}>
              <h3>{c}</h3>
              <HindDrawing shape={i} name={c} />
              <p>{SHAPE_LOOKS[c]}</p>
            </section>
          ))}
        </Five>
        <Small>
          {say(
            'From behind, standing square, then with the hand over leg and loin: wool and fat fill hollows that the grader sees. Two schools: some judge by the leg alone, some leg, loin and shoulder alike. Take one and stay with it; the application learns how the grader differs from your eye.',
          )}
        </Small>
      </Panel>
      <NotePanel $tone="weld">
        <h3>{say('Safety')}</h3>
        <p>
          {say(
            'Stand beside, not behind. Cattle only in a crush with its gate shut; no arm between an animal and the rails. Mind the gate when the next one comes.',
          )}
        </p>
      </NotePanel>
    </>
  );
}

const Where = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(4)};
  align-items: center;
  margin: ${space(2)} 0;
  > svg {
    flex: 1 1 260px;
  }
  ol {
    flex: 1 1 260px;
    margin: 0;
    padding-left: ${space(5)};
    display: grid;
    gap: ${space(2)};
  }
`;
const Five = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(130px, 1fr));
  gap: ${space(4)};
  margin: ${space(2)} 0;
  h3 {
    font: 700 22px ${fonts.heading};
  }
  dl,
  dd,
  p {
    margin: 0;
  }
  dt {
    font-size: 13px;
    color: ${colour('inkSoft')};
    margin-top: ${space(2)};
  }
`;
