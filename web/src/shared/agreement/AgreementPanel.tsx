import { lazy, Suspense, type ReactNode } from 'react';
import styled from 'styled-components';
import { How } from '../../parts/How';
import { Panel } from '../../parts/Panel';
import { narrow, space } from '../../theme/tokens';
import type { Agreement, AgreementLook } from './AgreementPlot';

// Charts are read where one is drawn.
const AgreementPlot = lazy(async () => ({ default: (await import('./AgreementPlot')).AgreementPlot }));

/** A figure of how two agree. */
export interface AgreementFigure {
  readonly name: string;
  /** What it is, where its name does not say so. */
  readonly how?: { readonly of: string; readonly words: string };
  readonly value: ReactNode;
}

interface Props {
  readonly name: string;
  /** Behind its name: of how many. */
  readonly count: string;
  readonly of: Agreement;
  readonly look: AgreementLook;
  readonly figures: readonly AgreementFigure[];
}

/** How two who read the same agree: the differences drawn, and what they come to. */
export function AgreementPanel({ name, count, of, look, figures }: Props) {
  return (
    <Panel aria-label={name}>
      <h2>
        {name} ({count})
      </h2>
      <Two>
        <Suspense fallback={<div style={{ height: 240 }} />}>
          <AgreementPlot of={of} look={look} />
        </Suspense>
        <dl>
          {figures.map((figure) => (
            <div key={figure.name}>
              <dt>
                {figure.name}
                {figure.how ? (
                  <How of={figure.how.of}>
                    <p>{figure.how.words}</p>
                  </How>
                ) : null}
              </dt>
              <dd>{figure.value}</dd>
            </div>
          ))}
        </dl>
      </Two>
    </Panel>
  );
}

const Two = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 240px;
  gap: ${space(5)};
  margin-top: ${space(2)};
  dl {
    margin: 0;
    display: flex;
    flex-direction: column;
    gap: ${space(3)};
  }
  dd {
    margin: 0;
    font-weight: 700;
    font-size: 17px;
  }
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;
