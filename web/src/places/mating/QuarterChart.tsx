import type { MatingRecordView } from '@yaylak/contract';
import styled from 'styled-components';
import { slanted } from '../../parts/weave';
import { colour, fonts, space } from '../../theme/tokens';
import { monthYear } from '../../words/format';

type Quarter = MatingRecordView['quarters'][number];

/** How much of a quarter's services fell after heat, from which its bar is barred. */
const HOT_SHARE = 0.5;
const HEIGHT = 120;

/** Share that took by quarter, each bar with its range and its count. */
export function QuarterChart({ quarters }: { readonly quarters: readonly Quarter[] }) {
  return (
    <Bars role="list" aria-label="Share that took, by quarter">
      {quarters.slice(-16).map((q) => {
        const isHot = q.afterHeat >= HOT_SHARE * q.spells;
        const words = `From ${monthYear(q.from)}: ${q.share ? `${Math.round(100 * q.share.share)} % of ${q.share.of} took` : 'not known yet'}${
          q.meanSize === null ? '' : `, ${q.meanSize.toFixed(1)} young a litter`
        }${q.afterHeat > 0 ? `, ${q.afterHeat} of ${q.spells} after heat` : ''}`;
        return (
          <div key={q.from} role="listitem" aria-label={words} title={words}>
            <span style={{ height: HEIGHT }}>
              {q.share ? (
                <>
                  <i data-hot={isHot || undefined} style={{ height: q.share.share * HEIGHT }} />
                  <em style={{ bottom: q.share.low * HEIGHT, height: (q.share.high - q.share.low) * HEIGHT }} />
                </>
              ) : null}
            </span>
            <b>{q.share ? `${Math.round(100 * q.share.share)} %` : '?'}</b>
            <small>{q.meanSize === null ? '' : `${q.meanSize.toFixed(1)} yg`}</small>
            <small>{monthYear(q.from).replace(/ 20/, ' ')}</small>
          </div>
        );
      })}
    </Bars>
  );
}

const Bars = styled.div`
  display: flex;
  gap: ${space(2)};
  overflow-x: auto;
  padding: ${space(3)} 0;
  div {
    flex: 0 0 46px;
    display: flex;
    flex-direction: column;
    align-items: center;
  }
  span {
    position: relative;
    width: 26px;
    display: block;
    border-bottom: 1px solid ${colour('ink')};
  }
  i {
    position: absolute;
    left: 0;
    bottom: 0;
    width: 26px;
    background: ${colour('indigo')};
    border-radius: 3px 3px 0 0;
  }
  i[data-hot] {
    background: ${slanted(colour('madder'), colour('madderWash'))};
  }
  em {
    position: absolute;
    left: 12px;
    width: 2px;
    background: ${colour('ink')};
    outline: 1px solid ${colour('panel')};
  }
  b {
    font: 600 13px ${fonts.text};
    white-space: nowrap;
  }
  small {
    font-size: 12px;
    color: ${colour('inkSoft')};
    white-space: nowrap;
  }
`;
