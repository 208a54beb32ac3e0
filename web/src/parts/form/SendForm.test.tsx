import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { NoteEntry } from '@yaylak/contract';
import { renderPage } from '../../tests/renderPage';
import { Sheet } from '../Sheet';
import { FormField } from './fields';
import { SendForm } from './SendForm';
import { madeEntry } from './useEntryForm';
import { useTypedForm } from './useTypedForm';

interface Typed {
  readonly text: string;
}

interface Props {
  readonly send: (typed: Typed) => Promise<readonly string[]>;
  readonly hasField?: boolean;
}

function Form({ send, hasField = true }: Props) {
  const form = useTypedForm<Typed>({
    start: { text: '' },
    made: ({ text }) => [
      madeEntry(NoteEntry, {
        type: 'note',
        animalId: '0191d5a0-0000-7000-8000-0000000000a1',
        on: '2026-11-23',
        text,
      }),
    ],
    words: { text: 'Write what there is to say.' },
  });
  return (
    <SendForm form={form} send={send} onDone={() => undefined} submit="Send">
      {hasField ? <FormField name="text" label="Note" /> : null}
    </SendForm>
  );
}

const show = (answers: readonly (readonly string[])[]) => {
  const left = [...answers];
  const send = jest.fn((_: Typed): Promise<readonly string[]> => Promise.resolve(left.shift() ?? []));
  return { send, ...renderPage(<Form send={send} />) };
};

it('sends once what is sent twice before it has answered', async () => {
  const { send, user } = show([[]]);
  await user.type(screen.getByLabelText('Note'), 'calm');
  const form = screen.getByLabelText('Note').closest('form') as HTMLFormElement;
  fireEvent.submit(form);
  fireEvent.submit(form);
  await waitFor(() => expect(send).toHaveBeenCalled());
  await waitFor(() => expect(screen.getByRole('button', { name: 'Send' })).toBeEnabled());
  expect(send.mock.calls.map(([typed]) => typed)).toEqual([{ text: 'calm' }]);
});

it('says at the field what the contract’s class refuses, and sends nothing', async () => {
  const { send, user } = show([[]]);
  await user.click(screen.getByRole('button', { name: 'Send' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('Write what there is to say.');
  expect(screen.getByLabelText('Note')).toHaveFocus();
  expect(send).not.toHaveBeenCalled();
});

it('keeps what was typed when the book refuses it, and can be sent again', async () => {
  const { send, user } = show([['She is not in the book.'], []]);
  await user.type(screen.getByLabelText('Note'), 'calm');
  await user.click(screen.getByRole('button', { name: 'Send' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('She is not in the book.');
  expect(screen.getByLabelText('Note')).toHaveValue('calm');
  await user.click(screen.getByRole('button', { name: 'Send' }));
  await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
  expect(send).toHaveBeenCalledTimes(2);
});

it('says below what no field of it shows: its button never does nothing without a word', async () => {
  const send = jest.fn();
  const { user } = renderPage(<Form send={send} hasField={false} />);
  await user.click(screen.getByRole('button', { name: 'Send' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('Write what there is to say.');
  expect(send).not.toHaveBeenCalled();
});

describe('in a sheet', () => {
  const showSheet = () => {
    const onClose = jest.fn();
    const send = jest.fn((_: Typed): Promise<readonly string[]> => Promise.resolve([]));
    const shown = renderPage(
      <Sheet title="A note" isOpen onClose={onClose}>
        <Form send={send} />
      </Sheet>,
    );
    return { ...shown, onClose, send };
  };
  const ASKED = 'What you typed is not saved yet.';

  it('asks before what is half typed is put away, and goes back to it', async () => {
    const { user, onClose } = showSheet();
    await user.type(screen.getByLabelText('Note'), 'calm');
    await user.keyboard('{Escape}');
    expect(await screen.findByText(ASKED)).toBeVisible();
    expect(onClose).not.toHaveBeenCalled();
    // Escape again, or the button, goes on with it.
    await user.keyboard('{Escape}');
    expect(screen.queryByText(ASKED)).toBeNull();
    expect(screen.getByLabelText('Note')).toHaveValue('calm');
    await user.keyboard('{Escape}');
    await user.click(await screen.findByRole('button', { name: 'Leave without saving' }));
    expect(onClose).toHaveBeenCalledTimes(1);
  });

  it('is put away without a word where nothing was typed, or what was typed is saved', async () => {
    const { user, onClose } = showSheet();
    await user.keyboard('{Escape}');
    expect(onClose).toHaveBeenCalledTimes(1);
    await user.type(screen.getByLabelText('Note'), 'calm');
    await user.clear(screen.getByLabelText('Note'));
    await user.keyboard('{Escape}');
    expect(onClose).toHaveBeenCalledTimes(2);
  });

  it('is asked about as well where no form tells what was typed, but not where something is only looked for', async () => {
    const onClose = jest.fn();
    const sheet = (isForLooking: boolean) => (
      <Sheet title="Foster" isForLooking={isForLooking} isOpen onClose={onClose}>
        <input aria-label="Why" />
      </Sheet>
    );
    const { user } = renderPage(sheet(false));
    await user.type(screen.getByLabelText('Why'), 'hungry');
    await user.keyboard('{Escape}');
    expect(await screen.findByText(ASKED)).toBeVisible();
    expect(onClose).not.toHaveBeenCalled();
    cleanup();
    const looking = renderPage(sheet(true));
    await looking.user.type(screen.getByLabelText('Why'), 'hungry');
    await looking.user.keyboard('{Escape}');
    expect(onClose).toHaveBeenCalledTimes(1);
  });

  it('holds a reload only while something is not saved', async () => {
    const { user } = showSheet();
    const isHeld = (): boolean => {
      const event = new Event('beforeunload', { cancelable: true });
      window.dispatchEvent(event);
      return event.defaultPrevented;
    };
    expect(isHeld()).toBe(false);
    await user.type(screen.getByLabelText('Note'), 'calm');
    expect(isHeld()).toBe(true);
    await user.click(screen.getByRole('button', { name: 'Send' }));
    await waitFor(() => expect(isHeld()).toBe(false));
  });
});
