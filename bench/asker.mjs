import { Agent, request } from 'node:http';
import { parentPort } from 'node:worker_threads';

/*
 * A device beside the server, in a thread of its own: what it takes to read an answer is not the server's time, and not
 * its memory.
 */
const agent = new Agent({ keepAlive: true });
parentPort.on('message', ({ url, body }) => {
  const at = performance.now();
  const headers = { 'accept-encoding': 'gzip', ...(body === undefined ? {} : { 'content-type': 'application/json' }) };
  const asked = request(url, { agent, method: body === undefined ? 'GET' : 'POST', headers }, (answer) => {
    const pieces = [];
    answer.on('data', (piece) => pieces.push(piece));
    answer.on('end', () => {
      const ms = performance.now() - at;
      const text = body === undefined ? undefined : Buffer.concat(pieces).toString();
      parentPort.postMessage({ ms, status: answer.statusCode, text });
    });
  });
  asked.on('error', (error) => parentPort.postMessage({ error: error.message }));
  asked.end(body);
});
