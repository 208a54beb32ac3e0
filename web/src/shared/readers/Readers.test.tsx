import { screen } from '@testing-library/react';
import { aHolding } from '../../tests/builders';
import { renderPage } from '../../tests/renderPage';
import { Readers } from './Readers';

const opened = async (devicesUrl: string | null) => {
  const holding = aHolding();
  const { user } = renderPage(<Readers />, {
    answers: { 'GET /api/holding': { ...holding, about: { ...holding.about, devicesUrl } } },
  });
  await user.click(await screen.findByRole('button', { name: /^Readers/ }));
  return user;
};

const { WebSocket } = globalThis;
afterEach(() => void (globalThis.WebSocket = WebSocket));

it('takes the address of a bridge from the settings only, and says how it is set', async () => {
  await opened(null);
  expect(await screen.findByText(/No bridge is set/)).toHaveTextContent('DEVICES_URL=ws://127.0.0.1:4871 npm start');
  expect(screen.queryByRole('textbox', { name: /Address/ })).toBeNull();
});

it('connects to the bridge the server was told of by itself, and lets go of it', async () => {
  const sockets: string[] = [];
  globalThis.WebSocket = class {
    constructor(url: string) {
      sockets.push(url);
    }
    close(): void {}
  } as never;
  const user = await opened('ws://127.0.0.1:4871');
  await user.click(await screen.findByRole('button', { name: 'Disconnect' }));
  expect(sockets).toEqual(['ws://127.0.0.1:4871']);
  expect(localStorage.getItem('yaylak-bridge')).toBe('off');
  await user.click(await screen.findByRole('button', { name: 'Connect' }));
  expect(sockets).toEqual(['ws://127.0.0.1:4871', 'ws://127.0.0.1:4871']);
});
