import type { ReactNode } from 'react';
import { Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import { colour, radius, space } from '../theme/tokens';
import { useUnsavedGuard } from './unsaved';

interface Props {
  readonly title: string;
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly children: ReactNode;
  readonly width?: number;
  /** Nothing typed here is to be kept: something is looked for, or shown. */
  readonly isForLooking?: boolean;
}

/** A sheet laid over the page; Escape puts it away, or asks first where something typed in it is not saved yet. */
export function Sheet({ title, isOpen, onClose, children, width = 560, isForLooking = false }: Props) {
  const guard = useUnsavedGuard(onClose);
  return (
    <Overlay isOpen={isOpen} onOpenChange={(open) => !open && guard.close()} isDismissable>
      <Body style={{ maxWidth: width }}>
        <Dialog>
          <Heading slot="title">{title}</Heading>
          <Content onChange={isForLooking ? undefined : guard.onTyped}>{guard.wrap(children)}</Content>
        </Dialog>
      </Body>
    </Overlay>
  );
}

const Overlay = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  background: #14110f99;
  display: grid;
  place-items: start center;
  padding: ${space(10)} ${space(4)};
  overflow: auto;
  z-index: 20;
`;
const Body = styled(Modal)`
  width: 100%;
  background: ${colour('panel')};
  border: 1px solid ${colour('line')};
  border-radius: ${radius};
  padding: ${space(5)};
  section,
  section:focus-visible {
    outline: none;
    display: flex;
    flex-direction: column;
    gap: ${space(4)};
  }
  h2 {
    font-size: 20px;
  }
`;
const Content = styled.div`
  display: contents;
`;
