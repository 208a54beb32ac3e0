import type { FormEvent, ReactNode } from 'react';
import { X } from 'lucide-react';
import { Button, Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import { colour, radius, space, touch } from '../theme/tokens';
import { useUnsavedGuard } from './unsaved';
import { say } from '@yaylak/contract';

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
          <Head>
            <Heading slot="title">{title}</Heading>
            <Close aria-label={say('Close the sheet')} onPress={guard.close}>
              <X size={20} aria-hidden />
            </Close>
          </Head>
          <Content onChange={isForLooking ? undefined : guard.onTyped} onSubmit={onlyHere}>
            {guard.wrap(children)}
          </Content>
        </Dialog>
      </Body>
    </Overlay>
  );
}

/** A form in a sheet is not sent through the form the sheet was opened from, though React hands on what happens in it. */
const onlyHere = (event: FormEvent): void => event.stopPropagation();

const Overlay = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  background: #14110f99;
  display: grid;
  /* No wider than the window, whatever stands in it. */
  grid-template-columns: minmax(0, 1fr);
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
const Head = styled.div`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: ${space(3)};
  /* The button's own room is the edge's. */
  margin: -${space(2)} -${space(3)} -${space(2)} 0;
`;
const Close = styled(Button)`
  flex: none;
  display: grid;
  place-items: center;
  width: ${touch};
  height: ${touch};
  border: 0;
  border-radius: ${radius};
  background: none;
  color: ${colour('inkSoft')};
  cursor: pointer;
`;
const Content = styled.div`
  display: contents;
`;
