import { Button as AriaButton, type ButtonProps } from 'react-aria-components';
import styled from 'styled-components';
import { colour, radius, space, touch, touchable } from '../theme/tokens';

const Plain = styled(AriaButton)`
  ${touchable}
  min-height: ${touch};
  padding: 0 ${space(4)};
  border-radius: ${radius};
  border: 1px solid ${colour('indigo')};
  background: ${colour('panel')};
  color: ${colour('indigo')};
  font-weight: 600;
  white-space: nowrap;
  cursor: pointer;
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: ${space(2)};
  &[data-kind='main'] {
    background: ${colour('indigo')};
    color: ${colour('onIndigo')};
  }
  &[data-kind='quiet'] {
    border-color: transparent;
    background: transparent;
  }
  &[data-kind='danger'] {
    border-color: ${colour('madder')};
    color: ${colour('madder')};
  }
  &[data-hovered] {
    filter: brightness(0.96);
  }
  &[data-disabled] {
    opacity: 0.55;
    cursor: default;
  }
`;

interface Props extends ButtonProps {
  readonly kind?: 'main' | 'plain' | 'quiet' | 'danger';
}

/** A thing to press. */
export const Button = ({ kind = 'plain', ...props }: Props) => <Plain data-kind={kind} {...props} />;
