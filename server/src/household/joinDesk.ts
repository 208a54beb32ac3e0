import { X509Certificate } from 'node:crypto';
import type { IncomingMessage, RequestListener, ServerResponse } from 'node:http';
import { answeredIn } from '../doors/language';
import { deskPage, DESK_SCRIPT, DESK_STYLE } from './deskPage';
import { isKind, kindOf } from './deviceKinds';

const CERTIFICATE = '/yaylak-authority.crt';

/** Nothing from elsewhere, nothing framed, nothing sent anywhere. */
const HEADERS = {
  'content-security-policy':
    "default-src 'none'; style-src 'self'; script-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'",
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'cache-control': 'no-store',
};

/**
 * The plain door: hands out the authority's certificate and says what to do with it. It knows nothing of the book, and
 * the code of who joins stands behind the # of the address, which a browser keeps to itself.
 * @param openAt where the book is open to who trusts the authority
 */
export function joinDesk(certificate: string, openAt: () => readonly string[]): RequestListener {
  const der = new X509Certificate(certificate).raw;
  return (request, response) => {
    const asking = addressOf(request);
    if (!asking) return answer(request, response, 400, 'text/plain', '');
    const { pathname, searchParams } = asking;
    if (request.method !== 'GET' && request.method !== 'HEAD') return answer(request, response, 405, 'text/plain', '');
    if (pathname === CERTIFICATE) return answer(request, response, 200, 'application/x-x509-ca-cert', der);
    if (pathname === '/join.js') return answer(request, response, 200, 'text/javascript', DESK_SCRIPT);
    if (pathname === '/join.css') return answer(request, response, 200, 'text/css', DESK_STYLE);
    if (pathname !== '/' && pathname !== '/join') return answer(request, response, 404, 'text/plain', '');
    const asked = searchParams.get('kind');
    const kind = isKind(asked) ? asked : kindOf(request.headers['user-agent']);
    answeredIn(request.headers['accept-language'], (language) =>
      answer(
        request,
        response,
        200,
        'text/html',
        deskPage({ kind, openAt: openAt(), certificate: CERTIFICATE, language }),
      ),
    );
  };
}

/** Nothing where it is no address: whatever comes from the network, the desk stays open. */
function addressOf({ url = '/' }: IncomingMessage): URL | undefined {
  try {
    return new URL(url, 'http://desk');
  } catch {
    return undefined;
  }
}

function answer(
  { method }: IncomingMessage,
  response: ServerResponse,
  status: number,
  type: string,
  body: string | Buffer,
): void {
  const charset = type.startsWith('text/') ? '; charset=utf-8' : '';
  response.writeHead(status, { ...HEADERS, 'content-type': `${type}${charset}` });
  response.end(method === 'HEAD' ? undefined : body);
}
