import styled from 'styled-components';
import { colour, space } from '../../theme/tokens';
import { axisTicks, placed, type Life } from './life';

/** Room at both ends of every lane, the same as the growth curve above leaves for its axis and its last figure. */
export const LANE_LEFT_PX = 64;
export const LANE_RIGHT_PX = 70;
/** About the share of the axis a letter takes at 600 pixels. */
const LETTER_SHARE = 0.0125;
/** A stretch narrower than this shows no label: a single cut letter says nothing. */
const CUT_LABEL_SHARE = 0.05;

/** What happened, lane under lane, along one axis of days. */
export function LifeLanes({ life }: { readonly life: Life }) {
  const share = (day: number): string => `${(100 * (day - life.from)) / (life.to - life.from)}%`;
  return (
    <Frame>
      {life.lanes.map((lane) => (
        <Lane key={lane.name}>
          <span aria-hidden>{lane.name}</span>
          <ul aria-label={lane.name}>
            {placed(lane.marks, life).map((m) => {
              const isStretch = m.to > m.from && m.width > 0.004;
              const fits = (isStretch ? m.width : m.room) > m.label.length * LETTER_SHARE;
              return (
                <Mark
                  key={m.key}
                  data-tone={m.tone}
                  data-stretch={isStretch || undefined}
                  data-end={m.left > 0.9 || undefined}
                  title={m.words}
                  style={{ left: `${100 * m.left}%`, ...(isStretch ? { width: `${100 * m.width}%` } : {}) }}
                >
                  <i aria-hidden />
                  <span aria-hidden>{fits || (isStretch && m.width > CUT_LABEL_SHARE) ? m.label : ''}</span>
                  <Heard>{m.words}</Heard>
                </Mark>
              );
            })}
          </ul>
        </Lane>
      ))}
      <Axis aria-hidden>
        {axisTicks(life).map((t) => (
          <span key={t.day} style={{ left: share(t.day) }}>
            {t.name}
          </span>
        ))}
      </Axis>
    </Frame>
  );
}

const Frame = styled.div`
  margin-right: ${LANE_RIGHT_PX}px;
`;
const Lane = styled.div`
  display: grid;
  grid-template-columns: ${LANE_LEFT_PX}px minmax(0, 1fr);
  align-items: center;
  border-top: 1px solid ${colour('line')};
  font-size: 13px;
  > span {
    color: ${colour('inkSoft')};
  }
  ul {
    position: relative;
    height: 30px;
    margin: 0;
    padding: 0;
    list-style: none;
  }
`;
const Mark = styled.li`
  position: absolute;
  top: 5px;
  display: flex;
  align-items: center;
  gap: ${space(1)};
  height: 20px;
  max-width: 100%;
  white-space: nowrap;
  font-size: 12px;
  i {
    flex: none;
    width: 10px;
    height: 10px;
    margin-left: -5px;
    border-radius: 50%;
    background: ${colour('lineStrong')};
  }
  &[data-tone='good'] i {
    background: ${colour('mossFill')};
  }
  &[data-tone='look'] i {
    border-radius: 2px;
    background: ${colour('weldFill')};
  }
  &[data-tone='over'] i {
    border-radius: 2px;
    transform: rotate(45deg);
    background: ${colour('plum')};
  }
  &[data-tone='births'] i {
    width: 14px;
    height: 14px;
    border-radius: 3px;
    background: radial-gradient(circle, #fff3d2 1.6px, transparent 2px) 0 0 / 7px 7px #b97f14;
  }
  &[data-end] {
    transform: translateX(-100%);
    flex-direction: row-reverse;
    i {
      margin: 0 -5px 0 0;
    }
  }
  &[data-stretch] {
    display: block;
    transform: none;
    overflow: hidden;
    text-overflow: ellipsis;
    line-height: 20px;
    padding: 0 ${space(1)};
    border-radius: 3px;
    background: ${colour('stretch')};
    color: ${colour('ink')};
    border-left: 2px solid ${colour('lineStrong')};
    i {
      display: none;
    }
  }
  &[data-stretch][data-tone='births'] {
    background: ${colour('weldWash')};
    border-left-color: ${colour('weldFill')};
  }
`;
const Heard = styled.span`
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
`;
const Axis = styled.div`
  position: relative;
  height: 20px;
  margin-left: ${LANE_LEFT_PX}px;
  border-top: 1px solid ${colour('line')};
  font-size: 12px;
  color: ${colour('inkSoft')};
  span {
    position: absolute;
    padding-left: 3px;
    border-left: 1px solid ${colour('lineStrong')};
    line-height: 20px;
    white-space: nowrap;
  }
`;
