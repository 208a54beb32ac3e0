import { serveStandIn } from './serve';

const port = Number(process.env.DEVICES_PORT ?? 4871);
const host = process.env.HOST ?? '127.0.0.1';
const bookUrl = process.env.BOOK_URL ?? 'http://127.0.0.1:4870';

const haste = Number(process.env.DEVICES_HASTE ?? 1);

void serveStandIn({ port, host, bookUrl, haste }).then(() => {
  console.log(`Stand-in stick, crate and laboratory are steered at http://${host}:${port}`);
});
