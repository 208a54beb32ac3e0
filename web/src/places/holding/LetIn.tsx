import { say, type HouseDoorView, type HouseholdView, type JoinCodeView } from '@yaylak/contract';
import { QRCodeSVG } from 'qrcode.react';
import { useState } from 'react';
import styled from 'styled-components';
import { ask } from '../../api/client';
import { Button } from '../../parts/Button';
import { Panel, Small, Stack } from '../../parts/Panel';
import { colour, fonts, phone, radius, space } from '../../theme/tokens';
import { newId } from '../../words/ids';

interface Props {
  readonly door: HouseDoorView;
  readonly code: JoinCodeView | null;
  readonly onShown: (view: HouseholdView) => void;
}

/** Has a code shown, and says what a device does with it. */
export function LetIn({ door, code, onShown }: Props) {
  const [problem, setProblem] = useState<string>();
  const show = async (): Promise<void> => {
    setProblem(undefined);
    try {
      onShown(await ask<HouseholdView>('/api/household/code', { method: 'POST', body: { id: newId() } }));
    } catch (e) {
      setProblem((e as Error).message);
    }
  };
  return (
    <Panel>
      <Stack>
        <h2>{say('Let a device in')}</h2>
        {code ? (
          <Shown door={door} code={code} />
        ) : (
          <p>
            {say('A tablet, a phone or another computer on the same network joins with a code that is shown here.')}
          </p>
        )}
        <div>
          <Button kind={code ? 'plain' : 'main'} onPress={() => void show()}>
            {code ? say('Show another code') : say('Show a code')}
          </Button>
        </div>
        {problem ? <p role="alert">{problem}</p> : null}
      </Stack>
    </Panel>
  );
}

function Shown({
  door: { joinAt, fingerprint },
  code: { code, seconds },
}: Omit<Props, 'onShown' | 'code'> & { readonly code: JoinCodeView }) {
  const [first = '', ...others] = joinAt.map((address) => `${address}/join`);
  return (
    <Side>
      <Square>
        {/* Behind the # it stays in the device: the line is not encrypted yet. */}
        <QRCodeSVG value={`${first}#${code}`} size={184} level="M" title={say('Where a device joins, as a code')} />
      </Square>
      <Steps>
        <li>
          {say('On the device, on the same network: point its camera at the square, or open')} <b>{first}</b>
          {others.length > 0 ? <Small>{say('or {others}', { others: others.join(', ') })}</Small> : null}
        </li>
        <li>
          {say('Follow the steps there: the device takes in the certificate of this book, once.')}
          <details>
            <summary>{say('If the device shows a fingerprint')}</summary>
            <Small>{say('It is, as SHA-256:')}</Small>
            <Print>{fingerprint.replaceAll(':', ' ')}</Print>
          </details>
        </li>
        <li>
          {say('Open the book from there and type the code, if it is not filled in already:')}
          <Code aria-label={code.split('').join(' ')}>
            {code.slice(0, 4)} {code.slice(4)}
          </Code>
          <Small role="status">
            {say('For one device, good for {minutes, plural, one {# minute} other {# minutes}} more.', {
              minutes: Math.ceil(seconds / 60),
            })}
          </Small>
        </li>
      </Steps>
    </Side>
  );
}

const Side = styled.div`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: ${space(5)};
  align-items: start;
  ${phone} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
/** Dark on light in the barn as well, or no camera reads it. */
const Square = styled.div`
  background: #fff;
  padding: ${space(3)};
  border-radius: ${radius};
  line-height: 0;
  justify-self: start;
`;
const Steps = styled.ol`
  margin: 0;
  padding-left: ${space(5)};
  display: flex;
  flex-direction: column;
  gap: ${space(3)};
  overflow-wrap: anywhere;
`;
const Code = styled.p`
  font: 650 32px/1.3 ${fonts.heading};
  letter-spacing: 0.06em;
`;
const Print = styled.code`
  overflow-wrap: anywhere;
  color: ${colour('inkSoft')};
`;
