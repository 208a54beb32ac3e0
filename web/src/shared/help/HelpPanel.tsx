import { X } from 'lucide-react';
import { lazy, Suspense } from 'react';
import styled from 'styled-components';
import { Loading } from '../../parts/States';
import { colour, space, touch } from '../../theme/tokens';
import type { Help } from './useHelp';
import { say } from '@yaylak/contract';

/** What is read seldom is fetched when it is; the service worker has it where there is no network. */
const HelpBody = lazy(async () => ({ default: (await import('./HelpBody')).HelpBody }));

const LazySheet = lazy(async () => ({ default: (await import('../../parts/Sheet')).Sheet }));

interface Props {
  readonly help: Help;
}

const body = (help: Help) => (
  <Suspense fallback={<Loading />}>
    <HelpBody
      pathname={help.pathname}
      topicId={help.topicId}
      isAtKeys={help.isAtKeys}
      onTopic={(topicId) => help.open({ topicId })}
    />
  </Suspense>
);

/** The help beside a place, which goes on being worked in. */
export function HelpBeside({ help }: Props) {
  return (
    <Side
      aria-label={say('Help')}
      className="no-print"
      onKeyDown={(e) => {
        if (e.key === 'Escape') help.close();
      }}
    >
      <Head>
        {say('Help')}
        <Close type="button" aria-label={say('Close the help')} onClick={help.close}>
          <X size={20} aria-hidden />
        </Close>
      </Head>
      {body(help)}
    </Side>
  );
}

/** The help where there is no room beside: over the page, until it is put away. */
export const HelpSheet = ({ help }: Props) =>
  help.isOpen ? (
    <Suspense fallback={null}>
      <LazySheet isForLooking title={say('Help')} isOpen onClose={help.close}>
        {body(help)}
      </LazySheet>
    </Suspense>
  ) : null;

const Side = styled.aside`
  overflow: auto;
  background: ${colour('panel')};
  border-left: 1px solid ${colour('line')};
  padding: 0 ${space(4)} ${space(4)};
`;
const Head = styled.p`
  display: flex;
  align-items: center;
  justify-content: space-between;
  color: ${colour('inkSoft')};
`;
const Close = styled.button`
  margin-right: -${space(3)};
  display: grid;
  place-items: center;
  width: ${touch};
  height: ${touch};
  border: 0;
  background: none;
  color: ${colour('ink')};
  cursor: pointer;
`;
