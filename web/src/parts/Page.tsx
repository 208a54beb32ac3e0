import type { ReactNode } from 'react';
import styled from 'styled-components';
import { colour, narrow, phone, space } from '../theme/tokens';
import { PageGuard } from './unsaved';

interface Props {
  /** Words become the heading; anything else brings its own. */
  readonly title: ReactNode;
  readonly lead?: ReactNode;
  readonly actions?: ReactNode;
  readonly aside?: ReactNode;
  readonly children: ReactNode;
}

/** A place's page: its question, what answers it, and what stands beside. */
export function Page({ title, lead, actions, aside, children }: Props) {
  return (
    <Frame $hasAside={aside !== undefined}>
      <Head>
        <Words>
          {typeof title === 'string' ? <h1>{title}</h1> : title}
          {lead ? <Lead>{lead}</Lead> : null}
        </Words>
        {actions ? <Actions className="no-print">{actions}</Actions> : null}
      </Head>
      <PageGuard>
        <Main>{children}</Main>
        {aside === undefined ? null : <Aside>{aside}</Aside>}
      </PageGuard>
    </Frame>
  );
}

const Frame = styled.div<{ $hasAside: boolean }>`
  display: grid;
  grid-template-columns: ${({ $hasAside }) => ($hasAside ? 'minmax(0, 1fr) 300px' : 'minmax(0, 1fr)')};
  gap: ${space(4)} ${space(5)};
  /* Its end stands clear of the bar that takes back. */
  padding: ${space(5)} ${space(5)} ${space(24)};
  max-width: 1500px;
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
  /* With the help beside it a place is narrow on a wide screen too. */
  @container place (max-width: 860px) {
    grid-template-columns: minmax(0, 1fr);
  }
  ${phone} {
    padding: ${space(3)} ${space(3)} ${space(24)};
  }
  @media print {
    display: block;
    padding: 0;
  }
`;
const Head = styled.header`
  grid-column: 1 / -1;
  display: flex;
  align-items: flex-start;
  justify-content: space-between;
  flex-wrap: wrap;
  gap: ${space(3)};
`;
/** A long answer runs on in lines of its own before the actions are pushed under it. */
const Words = styled.div`
  flex: 1 1 440px;
  min-width: 0;
`;
const Lead = styled.p`
  color: ${colour('inkSoft')};
  margin-top: ${space(1)};
`;
const Actions = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space(2)};
`;
const Main = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${space(4)};
  min-width: 0;
`;
const Aside = styled.aside`
  display: flex;
  flex-direction: column;
  gap: ${space(4)};
  min-width: 0;
`;
