import styled from 'styled-components';
import { colour, gloved, narrow, phone, radius, space, touch, touchable, touchRace } from '../../theme/tokens';

/** On a phone the keys lie at its lower edge and what is under them scrolls; so high they are, in pixels. */
export const KEYS_HIGH = 300;

/** The race, full screen: its head, three columns and the line of keys below. */
export const Frame = styled.div`
  ${gloved}
  height: 100%;
  display: grid;
  grid-template:
    'head head head' auto
    'left main aside' minmax(0, 1fr)
    'foot foot foot' auto / 236px minmax(0, 1fr) 312px;
  ${narrow} {
    grid-template:
      'head head' auto
      'main left' minmax(0, 2fr)
      'main aside' minmax(310px, 3fr)
      'foot foot' auto / minmax(0, 1fr) 312px;
  }
  ${phone} {
    display: flex;
    flex-direction: column;
    height: auto;
    min-height: 100%;
  }
`;
export const Head = styled.header`
  grid-area: head;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space(1)} ${space(4)};
  padding: ${space(2)} ${space(5)};
  /* As high as a gloved finger is wide: its buttons answer from edge to edge. */
  min-height: ${touchRace};
  background: ${colour('band')};
  color: ${colour('bandInk')};
  h1 {
    font-size: 18px;
  }
  label {
    ${touchable}
    display: inline-flex;
    gap: 6px;
    align-items: center;
    min-height: ${touch};
    min-width: ${touch};
  }
  > span {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  ${narrow} {
    > .stations {
      display: none;
    }
  }
  ${phone} {
    padding: ${space(1)} ${space(4)};
    h1 {
      flex: 1 1 0;
      min-width: 0;
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
  }
`;
export const Right = styled.div`
  margin-left: auto;
  display: flex;
  gap: ${space(4)};
  align-items: center;
  ${phone} {
    display: none;
    order: 2;
    flex: 1 0 100%;
    flex-wrap: wrap;
    gap: ${space(5)} ${space(2)};
    padding: ${space(2)} 0 ${space(3)};
    &[data-open] {
      display: flex;
    }
  }
`;
/** Opens what a phone's head has no room for. */
export const MoreButton = styled.button`
  ${touchable}
  display: none;
  min-width: ${touch};
  min-height: ${touch};
  padding: 0 ${space(3)};
  border: 1px solid ${colour('bandSoft')};
  border-radius: ${radius};
  background: transparent;
  color: ${colour('bandInk')};
  ${phone} {
    display: block;
  }
`;
/** A button in the dark head. */
export const HeadButton = styled.button`
  ${touchable}
  min-height: ${touch};
  padding: 0 ${space(3)};
  border: 1px solid ${colour('bandSoft')};
  border-radius: ${radius};
  background: transparent;
  color: ${colour('bandInk')};
  font-variant-numeric: tabular-nums;
  cursor: pointer;
  &[data-state='away'] {
    border-color: #ebbe62;
  }
`;
export const Kept = styled.span`
  &::before {
    content: '';
    display: inline-block;
    width: 10px;
    height: 10px;
    border-radius: 50%;
    margin-right: ${space(2)};
    background: #ebbe62;
  }
  &[data-sent]::before {
    background: #a5cb9b;
  }
`;
export const Left = styled.aside`
  grid-area: left;
  padding: ${space(4)};
  padding-right: 0;
  overflow: auto;
  ${narrow} {
    padding: ${space(4)} ${space(4)} 0 0;
  }
  ${phone} {
    order: 4;
    padding: ${space(4)};
  }
`;
export const Main = styled.main`
  grid-area: main;
  padding: ${space(4)};
  overflow: auto;
  ${phone} {
    order: 1;
    padding: ${space(2)};
    overflow: visible;
  }
`;
export const Aside = styled.aside`
  grid-area: aside;
  padding: ${space(4)};
  padding-left: 0;
  display: flex;
  flex-direction: column;
  gap: ${space(3)};
  ${narrow} {
    padding-top: 0;
    overflow: auto;
  }
  ${phone} {
    /* Its keys stand in the frame, where they can keep to the lower edge of the screen. */
    display: contents;
  }
`;
/** The figures give way to the keys: beside them they scroll, below a narrow screen's keys they follow. */
export const Scrolling = styled.div`
  flex: 1 1 0;
  min-height: 0;
  overflow: auto;
  ${narrow} {
    flex: none;
    order: 2;
    overflow: visible;
  }
  ${phone} {
    order: 3;
    padding: ${space(4)} ${space(4)} 0;
  }
`;
export const Foot = styled.footer`
  grid-area: foot;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${space(2)} ${space(5)};
  padding: ${space(2)} ${space(5)};
  min-height: ${touchRace};
  background: ${colour('rail')};
  border-top: 1px solid ${colour('line')};
  font-size: 14px;
  ${narrow} {
    /* A tablet has no arrows and no Backspace; F1 tells of them where there is a keyboard. */
    [data-hint] {
      display: none;
    }
  }
  ${phone} {
    order: 5;
    > span {
      display: none;
    }
  }
`;
/** A word in place of the race. */
export const Alone = styled.div`
  padding: ${space(6)};
`;
